import { recipeWarnings } from '@big-ladle/core/compare';
import type { Program } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import { memo, useState } from 'react';
import { PlausibilityQuestions } from '../../../shared/PlausibilityQuestions.tsx';

/** Amounts of a plan far outside what is usual. */
export const PlanWarnings = memo(function PlanWarnings(props: {
  program: Program;
  litres: number;
  tables: Tables;
}) {
  const { program, litres, tables } = props;
  const [meant, setMeant] = useState<readonly string[]>([]);
  const slips = recipeWarnings({ lines: program.lines, basisL: litres }, tables).filter(
    (s) => !meant.includes(s.key),
  );
  if (slips.length === 0) return null;
  return (
    <Alert severity="warning" sx={{ mb: 1.5 }} data-testid="plan-slip">
      <PlausibilityQuestions slips={slips} forL={litres} onMeant={(key) => setMeant([...meant, key])} />
    </Alert>
  );
});
