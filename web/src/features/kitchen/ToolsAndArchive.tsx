import type { Kitchen, KitchenTools } from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useState } from 'react';
import { ApiError, call } from '../../shared/api.ts';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { queryClient } from '../../shared/queries.ts';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { num } from '../../words/say.ts';

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
    <Panel title="Tools">
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {size('blenderMl', 'Blender jar', 0, 10, '0: there is none')}
        {size('bowlMl', 'Largest bowl', 0.2, 100, 'for washing')}
        {size('receiverMl', 'To strain into', 0.5, 400, 'all vessels together')}
      </Box>
      <FormControlLabel
        control={<Switch checked={tools.juicer} onChange={(e) => put({ juicer: e.target.checked })} />}
        label="There is a juicer"
        sx={{ mt: 1, minHeight: 44 }}
      />
    </Panel>
  );
}

interface ImportReport {
  recipes: number;
  ingredients: number;
  batches: number;
  events: number;
  kept: number;
  kitchen: boolean;
}

/** Everything of this kitchen in one file, out and in. */
export function ArchivePanel() {
  const [report, setReport] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    setReport(null);
    setProblem(null);
    let value: unknown;
    try {
      value = JSON.parse(await file.text());
    } catch (error) {
      setProblem(
        `${file.name} is no JSON file: ${error instanceof Error ? error.message : 'it cannot be read'}. Nothing was taken in.`,
      );
      return;
    }
    try {
      const r = await call<ImportReport>('POST', '/archive', value);
      await queryClient.invalidateQueries();
      setReport(
        `Taken in: ${num(r.recipes)} recipes, ${num(r.ingredients)} ingredients, ${num(r.batches)} batches with ${num(r.events)} entries${r.kitchen ? ', and the kitchen' : ''}. ${r.kept > 0 ? `${num(r.kept)} were here already and stayed as they are.` : ''}`,
      );
    } catch (error) {
      setProblem(
        error instanceof ApiError
          ? error.detail
          : 'The kitchen server does not answer. Nothing was taken in.',
      );
    }
  };
  return (
    <Panel title="Everything in one file">
      <Box sx={{ color: role('inkMuted'), mb: 1.5 }}>
        Kitchen, recipes with their versions, batches and logs, as one JSON file. Taking one in never
        overwrites what is here.
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" component="a" href="/api/archive" download="big-ladle.json">
          Write it down
        </Button>
        <Button component="label" variant="outlined">
          Take one in
          <input
            type="file"
            accept=".json,application/json"
            hidden
            data-testid="archive-file"
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </Button>
      </Box>
      {report && (
        <Alert severity="success" sx={{ mt: 1.5 }}>
          {report}
        </Alert>
      )}
      {problem && (
        <Alert severity="error" sx={{ mt: 1.5 }}>
          {problem}
        </Alert>
      )}
    </Panel>
  );
}
