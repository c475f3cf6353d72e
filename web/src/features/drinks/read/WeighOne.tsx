import '../../../words/places/drinks.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { saveKitchen } from '../../../shared/saveKitchen.ts';
import { sayItem } from '../../../words/names.ts';
import { say, sayCode } from '../../../words/say.ts';

/** A cup of something that lies loose or close: weighed once, the kitchen knows it from then on. */
export function WeighOne({ itemId, measureId }: { itemId: string; measureId: string }) {
  const [open, setOpen] = useState(false);
  const [massG, setMassG] = useState<number | null>(null);
  const measure = sayCode(`unit.${measureId}`, { count: 1 });
  const item = sayItem(itemId).toLowerCase();
  const label = say('readPage.weighed', { measure, item });
  const keep = () => {
    if (massG === null) return;
    void saveKitchen((kitchen) => ({
      cupWeights: [
        ...kitchen.cupWeights.filter((w) => w.ingredientId !== itemId || w.measureId !== measureId),
        { ingredientId: itemId, measureId, massG },
      ],
    }));
  };
  if (!open)
    return (
      <Button
        size="small"
        aria-label={say('readPage.weighOneOf', { measure, item })}
        onClick={() => setOpen(true)}
      >
        {say('readPage.weighOne', { measure })}
      </Button>
    );
  return (
    <Box
      sx={{ flexBasis: '100%', order: 1, display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}
    >
      <QuantityField
        label={label}
        value={massG}
        min={0.1}
        max={10_000}
        unit="g"
        width={280}
        onValue={setMassG}
      />
      <Button size="small" variant="outlined" disabled={massG === null} onClick={keep}>
        {say('common.keepIt')}
      </Button>
    </Box>
  );
}
