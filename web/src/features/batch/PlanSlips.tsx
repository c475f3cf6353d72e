import { type Program, planSlips, type Tables } from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { sayItem } from '../../words/names.ts';
import { saySlip } from '../../words/slipWords.ts';

/** Amounts far outside what is usual, asked about once: with a tap they are meant. */
export function PlanSlips(props: { program: Program; litres: number; tables: Tables }) {
  const { program, litres, tables } = props;
  const [meant, setMeant] = useState<readonly string[]>([]);
  return planSlips(program, litres, tables).map((slip) => {
    const itemId = 'itemId' in slip ? slip.itemId : '';
    if (meant.includes(itemId)) return null;
    return (
      <Alert
        key={itemId}
        severity="warning"
        sx={{ mb: 1.5 }}
        data-testid="plan-slip"
        action={
          <Button color="inherit" onClick={() => setMeant([...meant, itemId])}>
            Yes, I mean it
          </Button>
        }
      >
        <strong>{sayItem(itemId)}</strong>: {saySlip(slip, litres)}
      </Alert>
    );
  });
}
