import '../../words/places/kitchen.ts';
import type { Kitchen, KitchenTools } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { Panel } from '../../shared/ui.tsx';
import { say } from '../../words/say.ts';

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
    <Panel title={say('tools.tools')}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {size('blenderMl', say('tools.blenderJar'), 0, 10, say('tools.none'))}
        {size('bowlMl', say('tools.largestBowl'), 0.2, 100, say('tools.forWashing'))}
        {size('receiverMl', say('tools.toStrainInto'), 0.5, 400, say('tools.allVesselsTogether'))}
      </Box>
      <FormControlLabel
        control={<Switch checked={tools.juicer} onChange={(e) => put({ juicer: e.target.checked })} />}
        label={say('tools.thereIsAJuicer')}
        sx={{ mt: 1, minHeight: 44 }}
      />
    </Panel>
  );
}
