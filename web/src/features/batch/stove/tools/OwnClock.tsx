import '../../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { thumb } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** A clock of the cook's own, beside those of the steps. */
export function OwnClock({ live, onDone }: { live: LiveBatch; onDone: () => void }) {
  const [minutes, setMinutes] = useState(10);
  const presets = ['clock.spicePot', 'clock.peelSoak', 'clock.hotBottles'] as const;
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
      <QuantityField
        label={say('stovePage.for')}
        value={minutes}
        min={0.5}
        max={1440}
        decimals={1}
        unit="min"
        onValue={setMinutes}
        width={140}
      />
      {presets.map((code) => (
        <Button
          key={code}
          variant="outlined"
          color="inherit"
          sx={thumb}
          onClick={() => {
            void live.record([{ kind: 'clockStarted', body: { clockId: uuid(), code, minutes } }]);
            onDone();
          }}
        >
          {say(code)}
        </Button>
      ))}
    </Box>
  );
}
