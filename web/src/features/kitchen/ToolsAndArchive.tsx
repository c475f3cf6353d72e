import { say } from '../../words/say.ts';
import '../../words/places/kitchen.ts';
import type { Kitchen, KitchenTools } from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useState } from 'react';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { TakeArchive, type Taken } from '../../shared/TakeArchive.tsx';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';

/** Tools whose size decides in how many loads the work goes. */
export function ToolsPanel({
  kitchen,
  save,
}: {
  kitchen: Kitchen;
  save: (change: Partial<Kitchen>) => Promise<boolean>;
}) {
  const { tools } = kitchen;
  const put = (change: Partial<KitchenTools>) => void save({ tools: { ...tools, ...change } });
  const size = (
    key: 'blenderMl' | 'bowlMl' | 'receiverMl',
    label: string,
    min: number,
    max: number,
    helper: string,
  ) => (
    <QuantityField
      label={label}
      value={tools[key] / 1000}
      unit="L"
      min={min}
      max={max}
      width={186}
      helper={helper}
      onCommit={(litres) => {
        if (Math.abs(litres * 1000 - tools[key]) > 0.5) put({ [key]: Math.round(litres * 1000) });
      }}
    />
  );
  return (
    <Panel title={say('toolsAndArchive.tools')}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {size('blenderMl', say('toolsAndArchive.blenderJar'), 0, 10, say('toolsAndArchive.none'))}
        {size('bowlMl', say('toolsAndArchive.largestBowl'), 0.2, 100, say('toolsAndArchive.forWashing'))}
        {size(
          'receiverMl',
          say('toolsAndArchive.toStrainInto'),
          0.5,
          400,
          say('toolsAndArchive.allVesselsTogether'),
        )}
      </Box>
      <FormControlLabel
        control={<Switch checked={tools.juicer} onChange={(e) => put({ juicer: e.target.checked })} />}
        label={say('toolsAndArchive.thereIsAJuicer')}
        sx={{ mt: 1, minHeight: 44 }}
      />
    </Panel>
  );
}

/** Everything of this kitchen in one file, out and in. */
export function ArchivePanel() {
  const [taken, setTaken] = useState<Taken | null>(null);
  return (
    <Panel title={say('toolsAndArchive.everythingInOneFile')}>
      <Box sx={{ color: role('inkMuted'), mb: 1.5 }}>{say('toolsAndArchive.kitchenRecipesWithTheir')}</Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" component="a" href="/api/archive" download="big-ladle.json">
          {say('toolsAndArchive.writeItDown')}
        </Button>
        <TakeArchive label={say('toolsAndArchive.takeOneIn')} onTaken={setTaken} />
      </Box>
      {taken && (
        <Alert severity={taken.ok ? 'success' : 'error'} sx={{ mt: 1.5 }}>
          {taken.said}
        </Alert>
      )}
    </Panel>
  );
}
