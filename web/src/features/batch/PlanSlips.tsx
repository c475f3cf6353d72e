import { type Program, recipeSlips, type Tables } from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import { useState } from 'react';
import { SlipQuestions } from '../../shared/SlipQuestions.tsx';

/** Amounts of a plan far outside what is usual. */
export function PlanSlips(props: { program: Program; litres: number; tables: Tables }) {
  const { program, litres, tables } = props;
  const [meant, setMeant] = useState<readonly string[]>([]);
  const slips = recipeSlips({ lines: program.lines, basisL: litres }, tables).filter(
    (s) => !meant.includes(s.key),
  );
  if (slips.length === 0) return null;
  return (
    <Alert severity="warning" sx={{ mb: 1.5 }} data-testid="plan-slip">
      <SlipQuestions slips={slips} forL={litres} onMeant={(key) => setMeant([...meant, key])} />
    </Alert>
  );
}
