import '../../../words/places/batch.ts';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import { besideWays, type Job, type PlanProblem, withBeside } from '@big-ladle/core/plan';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { useBook } from '../../../shared/book.ts';
import { sayPlanProblem } from '../../../shared/planProblem.ts';
import { num } from '../../../words/numbers.ts';
import { litres } from '../../../words/quantities.ts';
import { duration, say } from '../../../words/say.ts';
import { useJob } from '../../../workers/useJob.ts';

/** More pot loads than this nobody stands at the stove for. */
const MOST_LOADS = 6;

/** What does not work out, by how much, and what would. */
export function ProblemPanel(props: {
  plan: PlanDoc;
  problem: PlanProblem;
  kitchen: Kitchen;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, problem, kitchen, onChange } = props;
  return (
    <Alert severity="warning" sx={{ mb: 1.5 }} data-testid="plan-problem">
      <Box>{sayPlanProblem(plan, problem, kitchen)}</Box>
      {problem.kind === 'potTooSmall' && (
        <Offers
          plan={plan}
          fitsL={problem.fitsL}
          fillsNeeded={problem.fillsNeeded}
          kitchen={kitchen}
          onChange={onChange}
        />
      )}
      {problem.kind === 'fridgeTooSmall' && (
        <Box sx={{ mt: 1 }}>
          <Button
            variant="outlined"
            onClick={() =>
              onChange({ ...plan, question: { kind: 'litres', litres: Math.floor(problem.freeL * 10) / 10 } })
            }
          >
            {say('planProblem.make', { free: litres(problem.freeL) })}
          </Button>
        </Box>
      )}
    </Alert>
  );
}

/**
 * Another pot beside it, more loads, another pot, or less: each one tap. What each costs in time is worked out beside
 * the screen.
 */
function Offers(props: {
  plan: PlanDoc;
  fitsL: number;
  fillsNeeded: number;
  kitchen: Kitchen;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, fitsL, fillsNeeded, kitchen, onChange } = props;
  const { own, custom } = useBook();
  const ways = useMemo(() => {
    const alone = withBeside(plan, []);
    return {
      beside: besideWays(plan, kitchen),
      inLoads: fillsNeeded <= MOST_LOADS ? { ...alone, fills: fillsNeeded } : null,
      inOthers: kitchen.pots
        .filter((p) => p.id !== plan.potId)
        .map((pot) => ({ pot, plan: { ...alone, potId: pot.id, fills: 1 } })),
    };
  }, [plan, kitchen, fillsNeeded]);
  const job = useMemo((): Extract<Job, { kind: 'solveEach' }> => {
    const plans = [
      ...ways.beside,
      ...(ways.inLoads ? [ways.inLoads] : []),
      ...ways.inOthers.map((o) => o.plan),
    ];
    return { kind: 'solveEach', plans, kitchen };
  }, [ways, kitchen]);
  const { result, current } = useJob(job, own, custom);
  /** How long each of them takes, min; those that do not work out are not among them. */
  const hours = useMemo(
    () =>
      new Map(
        (current && result ? result.results : []).flatMap((r, i) =>
          r.ok ? [[job.plans[i]!, r.value.simulation.endMin] as const] : [],
        ),
      ),
    [current, result, job],
  );
  const { inLoads } = ways;
  // Of pots beside it those that do; the one that is enough and the smallest is the least to carry.
  const besideIt = ways.beside.filter((p) => hours.has(p)).at(-1);
  const others = ways.inOthers.filter((o) => hours.has(o.plan));
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
      {besideIt && (
        <Button variant="outlined" onClick={() => onChange(besideIt)} data-testid="offer-beside">
          {say('planProblem.useBeside', {
            name: kitchen.pots.find((p) => p.id === besideIt.beside?.at(-1)?.potId)?.name ?? '',
            hours: duration(hours.get(besideIt) ?? 0),
          })}
        </Button>
      )}
      {inLoads && (
        <Button variant="outlined" onClick={() => onChange(inLoads)}>
          {say('planProblem.makeItInFills', {
            fillsNeeded: num(fillsNeeded),
            hours: duration(hours.get(inLoads) ?? 0),
            hoursIs: hours.has(inLoads),
          })}
        </Button>
      )}
      {others.map(({ pot, plan: inIt }) => (
        <Button key={pot.id} variant="outlined" onClick={() => onChange(inIt)}>
          {say('planProblem.useThe', { name: pot.name })}
        </Button>
      ))}
      <Button
        variant="outlined"
        onClick={() =>
          onChange({ ...plan, question: { kind: 'litres', litres: Math.floor(fitsL * 10) / 10 } })
        }
      >
        {say('planProblem.make2', { floor: litres(Math.floor(fitsL * 10) / 10) })}
      </Button>
    </Box>
  );
}
