import '../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import { planAt, type Sized } from '@big-ladle/core/gathering';
import type { JobResult } from '@big-ladle/core/plan';
import Box from '@mui/material/Box';
import { memo, useMemo, useState } from 'react';
import { lineAmount } from '../../shared/batch/lineAmount.ts';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Fold } from '../../shared/Fold.tsx';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { sayPlanProblem } from '../../shared/planProblem.ts';
import { lineGrams } from '../../shared/recipeText/goesIn.ts';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { litres } from '../../words/quantities.ts';
import { duration, percent, say } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';

type Solved = Extract<JobResult, { kind: 'solveEach' }>['results'][number];
type SolvedJob = Extract<Solved, { ok: true }>['value'];

/** A drink at the size of the household beside its size for the guests: what grows with it, and where the kitchen binds. */
export const SizesPanel = memo(function SizesPanel(props: {
  gathering: GatheringDoc;
  sized: Sized;
  kitchen: Kitchen;
}) {
  const { gathering, sized, kitchen } = props;
  const planned = gathering.drinks.flatMap((d) => (d.source.kind === 'plan' ? [d.id] : []));
  const [chosen, setChosen] = useState<string | null>(null);
  const id = planned.includes(chosen ?? '') ? chosen! : planned[0];
  if (!id) return null;
  return (
    <Panel testId="sizes">
      <Fold summary={say('sizes.title')} lazily>
        {planned.length > 1 && (
          <Choice
            label={say('sizes.which')}
            value={id}
            options={planned.map((d) => ({
              value: d,
              text: sayFeastDrink(sized.drinks.find((x) => x.id === d)),
            }))}
            onChange={setChosen}
          />
        )}
        <Sizes key={id} drinkId={id} {...{ gathering, sized, kitchen }} />
      </Fold>
    </Panel>
  );
});

function Sizes(props: { drinkId: string; gathering: GatheringDoc; sized: Sized; kitchen: Kitchen }) {
  const { drinkId, gathering, sized, kitchen } = props;
  const { book, own, custom, tables } = useBook();
  const source = gathering.drinks.find((d) => d.id === drinkId)?.source;
  const plan = source?.kind === 'plan' ? source.plan : null;
  const manyL = sized.drinks.find((d) => d.id === drinkId)?.litres ?? 0;
  const homeL = Math.min(book.find((r) => r.id === plan?.recipeId)?.basisL ?? 3, kitchen.fridgeFreeL);
  const job = useMemo(
    () =>
      plan && manyL > 0
        ? { kind: 'solveEach' as const, plans: [planAt(plan, homeL), planAt(plan, manyL)], kitchen }
        : null,
    [plan, homeL, manyL, kitchen],
  );
  const { result } = useJob(job, own, custom);
  const [home, many] = result?.results ?? [];
  if (!plan || !home || !many) return <Box sx={{ color: role('inkMuted') }}>{say('common.oneMoment')}</Box>;
  const at = (solved: Solved): SolvedJob | null => (solved.ok ? solved.value : null);
  const both = [at(home), at(many)] as const;
  const row = (label: string, of: (s: SolvedJob) => string) => (
    <tr key={label}>
      <Box component="th" scope="row" sx={{ textAlign: 'left', fontWeight: 400, py: 0.4, pr: 2 }}>
        {label}
      </Box>
      {both.map((solved, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the two sizes
        <Box component="td" key={i} sx={{ ...heading, textAlign: 'right', pl: 2, whiteSpace: 'nowrap' }}>
          {solved ? of(solved) : ''}
        </Box>
      ))}
    </tr>
  );
  const items = [...new Set(both.flatMap((s) => s?.solution.program.lines.map((l) => l.itemId) ?? []))];
  const massOf = ({ solution, simulation }: SolvedJob, itemId: string): number =>
    solution.program.lines
      .filter((l) => l.itemId === itemId)
      .reduce((sum, l) => sum + lineGrams({ program: solution.program, sim: simulation }, l.id), 0);
  const attended = ({ solution, simulation }: SolvedJob): number => {
    const byHand = new Set(
      solution.program.steps.filter((step) => step.attention === 'handsOn').map((step) => step.id),
    );
    return simulation.trace.reduce((sum, t) => (byHand.has(t.stepId) ? sum + t.endMin - t.startMin : sum), 0);
  };
  const problems = [home, many].flatMap((s) => (s.ok ? [] : [sayPlanProblem(plan, s.problem, kitchen)]));
  return (
    <Box sx={{ overflowX: 'auto', mt: 1 }}>
      <Box
        component="table"
        sx={{ borderCollapse: 'collapse', '& tr': { borderBottom: `1px solid ${role('hairline')}` } }}
      >
        <thead>
          <tr>
            <td />
            {(['home', 'many'] as const).map((size) => (
              <Box component="th" scope="col" key={size} sx={{ textAlign: 'right', pl: 2, fontWeight: 400 }}>
                {say(`sizes.${size}`)}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {row(say('sizes.litres'), (s) => litres(s.solution.litres))}
          {items.map((itemId) =>
            row(sayItem(itemId), (s) => lineAmount(itemId, massOf(s, itemId), kitchen, tables).hand),
          )}
          {row(say('sizes.pot'), (s) =>
            say('sizes.potShare', { share: percent(s.solution.potShare), fills: s.solution.fills }),
          )}
          {row(say('sizes.fridge'), (s) => percent(s.solution.litres / Math.max(0.1, kitchen.fridgeFreeL)))}
          {row(say('sizes.time'), (s) => duration(s.simulation.endMin))}
          {row(say('sizes.hands'), (s) => duration(attended(s)))}
          {row(say('sizes.perLitre'), (s) => num(attended(s) / s.solution.litres))}
        </tbody>
      </Box>
      {problems.map((text) => (
        <Box key={text} sx={{ color: role('danger'), mt: 1 }}>
          {text}
        </Box>
      ))}
    </Box>
  );
}
