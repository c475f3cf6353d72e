import '../../../../words/places/batch.ts';
import { completeChoices, insteadWith } from '@big-ladle/core/book';
import { insteadOf } from '@big-ladle/core/compare';
import type { Kitchen, PlanDoc, Recipe } from '@big-ladle/core/documents';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { lineAmount } from '../../../../shared/batch/lineAmount.ts';
import { Panel } from '../../../../shared/ui.tsx';
import { role } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { say, sayCode } from '../../../../words/say.ts';

/** For each thing that goes in: another form of it, or something else, with its amount and when it goes in; or nothing. */
export function FormChoices(props: {
  plan: PlanDoc;
  recipe: Recipe;
  kitchen: Kitchen;
  tables: Tables;
  /** Grams that the plan takes of each line now, by line. */
  massOf: (lineId: string) => number;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, recipe, kitchen, tables, massOf, onChange } = props;
  const { instead } = completeChoices(recipe, plan.choices);
  const solids = recipe.lines.filter((l) => l.kind === 'solid');
  const pick = (lineId: string, own: string, itemId: string) => {
    const row = insteadOf(own, tables).find((r) => r.itemId === itemId);
    onChange({
      ...plan,
      choices: {
        ...plan.choices,
        instead: insteadWith(instead, lineId, row ? { lineId, itemId, ratio: row.ratio } : null),
      },
    });
  };
  return (
    <Panel title={say('formChoices.title')} testId="form-choices">
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0,1fr)' }}>
        {solids.map((line) => {
          const rows = insteadOf(line.itemId, tables);
          const name = sayItem(line.itemId);
          if (rows.length === 0)
            return (
              <Box key={line.id} sx={{ color: role('inkMuted') }}>
                {say('formChoices.nothing', { name })}
              </Box>
            );
          const taken = instead.find((i) => i.lineId === line.id);
          const row = rows.find((r) => r.itemId === taken?.itemId);
          // What the recipe has of it, whatever goes in now.
          const ownG = massOf(line.id) / (taken?.ratio ?? 1);
          const text = (itemId: string, massG: number) =>
            say('formChoices.option', {
              item: sayItem(itemId),
              amount: lineAmount(itemId, massG, kitchen, tables).hand,
            });
          return (
            <Box key={line.id}>
              <TextField
                select
                fullWidth
                label={name}
                value={row?.itemId ?? line.itemId}
                onChange={(e) => pick(line.id, line.itemId, e.target.value)}
                slotProps={{
                  select: {
                    SelectDisplayProps: {
                      'aria-label': say('formChoices.insteadOf', { name }),
                      'aria-labelledby': undefined,
                    },
                  },
                }}
              >
                <MenuItem value={line.itemId}>{text(line.itemId, ownG)}</MenuItem>
                {rows.map((r) => (
                  <MenuItem key={r.itemId} value={r.itemId}>
                    {text(r.itemId, ownG * r.ratio)}
                  </MenuItem>
                ))}
              </TextField>
              {row && (
                <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.5 }} data-testid="form-note">
                  {say('formChoices.goesIn', { when: say(`moment.${row.moment}`) })}{' '}
                  {row.note ? sayCode(row.note) : ''}
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
    </Panel>
  );
}
