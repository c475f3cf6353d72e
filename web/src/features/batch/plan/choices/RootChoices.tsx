import '../../../../words/places/batch.ts';
import { completeChoices, varyingLines } from '@big-ladle/core/book';
import type { PlanDoc, Recipe, RootChoice } from '@big-ladle/core/documents';
import { type Tables, VIGOUR_IDS, type VigourId } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { Choice } from '../../../../shared/Choice.tsx';
import { Panel } from '../../../../shared/ui.tsx';
import { role } from '../../../../theme/theme.ts';
import { sayPlain } from '../../../../words/plainNames.ts';
import { say } from '../../../../words/say.ts';

/** A root may be weak or strong: of a weak one more goes in. Where it is from stays with the batch. */
export function RootChoices(props: {
  plan: PlanDoc;
  recipe: Recipe;
  tables: Tables;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, recipe, tables, onChange } = props;
  const { roots, instead } = completeChoices(recipe, plan.choices);
  // Powder in its place is as strong as its table says.
  const lines = varyingLines(recipe, tables).filter((l) => !instead.some((i) => i.lineId === l.id));
  if (lines.length === 0) return null;
  const put = (root: RootChoice) => {
    const others = roots.filter((r) => r.lineId !== root.lineId);
    const says = root.vigour !== 'usual' || root.from !== undefined;
    onChange({ ...plan, choices: { ...plan.choices, roots: says ? [...others, root] : others } });
  };
  return (
    <Panel title={say('rootChoices.title')} testId="root-choices">
      <Box sx={{ color: role('inkMuted'), mb: 1 }}>{say('rootChoices.about')}</Box>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        {lines.map((line) => {
          const root = roots.find((r) => r.lineId === line.id) ?? { lineId: line.id, vigour: 'usual' };
          const name = sayPlain(line.itemId);
          return (
            <Box key={line.id} sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-end' }}>
              <Choice
                label={name}
                value={root.vigour}
                options={VIGOUR_IDS.map((id) => ({ value: id, text: say(`vigour.${id}`) }))}
                onChange={(vigour) => put({ ...root, vigour: vigour as VigourId })}
              />
              <TextField
                key={root.from ?? ''}
                size="small"
                label={say('rootChoices.from')}
                defaultValue={root.from ?? ''}
                slotProps={{
                  htmlInput: { maxLength: 60, 'aria-label': say('rootChoices.fromOf', { name }) },
                }}
                onBlur={(e) => {
                  const from = e.target.value.trim();
                  if (from === (root.from ?? '')) return;
                  const { from: _, ...rest } = root;
                  put(from ? { ...rest, from } : rest);
                }}
              />
            </Box>
          );
        })}
      </Box>
    </Panel>
  );
}
