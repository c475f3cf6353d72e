import {
  candidateOf,
  type Instead,
  type Kitchen,
  LESS_WATER,
  type PlanDoc,
  type Program,
  type Recipe,
  type Simulation,
  type Suggestion,
  type Tables,
} from '@big-ladle/core';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { BalanceBoard } from './BalanceBoard.tsx';
import { plannedBase } from './place.ts';

/** Of the water of a plan so much may be left out. */
const WATER_TO_SPARE = 0.4;

/** The balance of a plan: where the drink will stand, and which sweetener takes it there. */
export function PlannedBalance(props: {
  plan: PlanDoc;
  recipe: Recipe;
  program: Program;
  sim: Simulation;
  kitchen: Kitchen;
  tables: Tables;
  target: number;
  instead: readonly Instead[];
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, recipe, program, sim, kitchen, tables, target, instead, onChange } = props;
  const base = useMemo(() => plannedBase(sim), [sim]);
  const sweet = recipe.lines.find((l) => l.kind === 'sweetener');
  const nowId = program.lines.find((l) => l.id === sweet?.id)?.itemId;
  const prefers = useMemo(() => (nowId ? [nowId] : []), [nowId]);
  const extra = useMemo(() => {
    const waterG = program.lines.reduce((sum, l) => sum + (l.itemId === 'water' ? l.massG : 0), 0);
    const less = candidateOf(LESS_WATER, tables, kitchen, waterG * WATER_TO_SPARE);
    return less ? [less] : [];
  }, [program, tables, kitchen]);
  if (!base) return null;
  const choose = (change: Partial<PlanDoc['choices']>) =>
    onChange({ ...plan, choices: { ...plan.choices, ...change } });
  const taking = (s: Suggestion) => {
    const [only] = s.parts;
    if (!sweet || s.parts.length !== 1 || only?.kind !== 'sweetener' || only.id === nowId) return null;
    return (
      <Button
        variant="contained"
        onClick={() =>
          choose({
            instead: [
              ...instead.filter((i) => i.lineId !== sweet.id),
              ...(only.id === sweet.itemId ? [] : [{ lineId: sweet.id, itemId: only.id, ratio: 1 }]),
            ],
          })
        }
      >
        Plan it so
      </Button>
    );
  };
  return (
    <BalanceBoard
      liquor={base}
      kitchen={kitchen}
      tables={tables}
      wish={{ sweetPct: target, sourGPerL: null }}
      onWish={(wish) => choose({ targetSweetnessPct: Math.min(40, Math.round(wish.sweetPct * 10) / 10) })}
      prefers={prefers}
      extra={extra}
      taking={taking}
    />
  );
}
