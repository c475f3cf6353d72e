import '../../../words/places/batch.ts';
import { candidateOf, LESS_WATER, type Suggestion } from '@big-ladle/core/balance';
import { METHODS } from '@big-ladle/core/book';
import type { Instead, Kitchen, PlanDoc, PlannedWay, Recipe } from '@big-ladle/core/documents';
import { type Composition, volumeMl } from '@big-ladle/core/liquor';
import { type Program, type Simulation, waterPouredG } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { Panel } from '../../../shared/ui.tsx';
import { sayItem } from '../../../words/names.ts';
import { eachMeasure, grams } from '../../../words/quantities.ts';
import { percent, say } from '../../../words/say.ts';
import { BalanceBoard } from './BalanceBoard.tsx';
import { plannedBase } from './place.ts';

/** Of the water of a plan so much may be left out. */
const WATER_TO_SPARE = 0.4;

/** Liquids of a way by the finished litre, the same one only once. */
function pouredWith(
  parts: readonly { itemId: string; massG: number }[],
  finishedL: number,
): PlannedWay['with'] {
  const massOf = new Map<string, number>();
  for (const p of parts) massOf.set(p.itemId, (massOf.get(p.itemId) ?? 0) + p.massG);
  return [...massOf].map(([itemId, grams]) => ({ itemId, gPerL: Math.round((10 * grams) / finishedL) / 10 }));
}

/** What is left of the litres where a way leaves water out, 0..1. */
function lessWaterShare(s: Suggestion, base: Composition): number {
  const outMl = s.parts.reduce((sum, p) => sum + (p.kind === 'lessWater' ? p.volumeMl : 0), 0);
  return Math.round(1000 * (1 - outMl / volumeMl(base))) / 1000;
}

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
  const each = eachMeasure();
  const { plan, recipe, program, sim, kitchen, tables, target, instead, onChange } = props;
  const base = useMemo(() => plannedBase(sim), [sim]);
  const sweet = recipe.lines.find((l) => l.kind === 'sweetener');
  const nowId = program.lines.find((l) => l.id === sweet?.id)?.itemId;
  const prefers = useMemo(() => (nowId ? [nowId] : []), [nowId]);
  const extra = useMemo(() => {
    const waterG = waterPouredG(program.lines, tables);
    const less = candidateOf(LESS_WATER, tables, kitchen, waterG * WATER_TO_SPARE);
    return less ? [less] : [];
  }, [program, tables, kitchen]);
  if (!base) return null;
  const choose = (change: Partial<PlanDoc['choices']>) =>
    onChange({ ...plan, choices: { ...plan.choices, ...change } });
  const { methodId } = plan.choices;
  const way = plan.choices.way ?? null;
  const taking = (s: Suggestion) => {
    if (METHODS[methodId].endsItself) return null;
    const finishedL = volumeMl(s.result) / 1000;
    const litresShare = lessWaterShare(s, base);
    const taken: PlannedWay = {
      sweeteners: s.parts.flatMap((p) => (p.kind === 'sweetener' ? [p.id] : [])),
      with: pouredWith(
        [
          // What an earlier way pours is in the base already.
          ...(way?.with ?? []).map((w) => ({ ...w, massG: (w.gPerL * volumeMl(base)) / 1000 })),
          ...s.parts.flatMap((p) =>
            p.kind === 'liquid' || p.kind === 'fruit'
              ? [{ itemId: candidateOf(p.id, tables, kitchen)?.juice?.itemId ?? p.id, massG: p.massG }]
              : [],
          ),
        ],
        finishedL,
      ),
      litresShare: Math.max(0.2, (way?.litresShare ?? 1) * litresShare),
    };
    return (
      <Button
        variant="contained"
        onClick={() =>
          onChange({
            ...plan,
            ...(plan.question.kind === 'litres'
              ? {
                  question: {
                    ...plan.question,
                    litres: Math.round(plan.question.litres * litresShare * 10) / 10,
                  },
                }
              : {}),
            choices: {
              ...plan.choices,
              way: taken,
              // Another sweetener that was chosen before gives way to this one.
              instead: instead.filter((i) => i.lineId !== sweet?.id),
            },
          })
        }
      >
        {say('plannedBalance.planItSo')}
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
    >
      {way && !METHODS[methodId].endsItself && (
        <Panel title={say('plannedBalance.plannedSo')} testId="planned-way">
          {[
            way.sweeteners.length === 0
              ? say('plannedBalance.noSweetener')
              : way.sweeteners.map((id) => sayItem(id).toLowerCase()).join(say('plannedBalance.and')),
            ...way.with.map((w) =>
              say('plannedBalance.forEachLitre', {
                item: sayItem(w.itemId).toLowerCase(),
                strength: grams(w.gPerL * each.litres),
                each: say(`each.${each.name}`),
              }),
            ),
            ...(way.litresShare < 1
              ? [say('plannedBalance.asMuchOfEverything', { litresShare: percent(way.litresShare) })]
              : []),
          ].join('; ')}
          .
          <Box sx={{ mt: 1 }}>
            <Button variant="outlined" onClick={() => choose({ way: null })}>
              {say('plannedBalance.asTheRecipeHas')}
            </Button>
          </Box>
        </Panel>
      )}
    </BalanceBoard>
  );
}
