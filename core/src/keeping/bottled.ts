import type { Kitchen } from '../documents/kitchen.ts';
import { volumeMl } from '../liquor/composition.ts';
import { freshItem } from '../log/foldItem.ts';
import { bottlesFor, fillMl } from '../plan/bottles.ts';
import type { Liquor } from '../program/model/liquor.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { fillingsOf } from '../program/simulate/finished.ts';
import { KEEPING } from '../tables/keeping.ts';
import { placeKindRow } from '../tables/places.ts';
import { MINUTE_MS } from '../units/time.ts';
import { endOfTomorrow } from './date.ts';
import type { BottleFacts } from './follower.ts';
import { type Keeping, keepingOf } from './shelfLife.ts';
import { type BottleLife, lifeOf } from './spoilage.ts';
import { surroundingsOf } from './storageClimate.ts';

/** What a filling gives to all of its bottles. */
export interface Filling {
  filledMs: number;
  clockStartMs: number;
  filledC: number;
  keeping: Keeping;
}

/** A liquor put into bottles at a moment. */
export function fillingOf(
  liquor: Liquor,
  hygiene: 'clean' | 'sterilised',
  startedMs: number,
  filledMs: number,
): Filling {
  const keeping = keepingOf({ liquor, hygiene });
  return {
    filledMs,
    clockStartMs:
      keeping.clockStartMin === null
        ? filledMs
        : Math.min(filledMs, startedMs + keeping.clockStartMin * MINUTE_MS),
    filledC: liquor.tempC,
    keeping,
  };
}

/** Warm enough to warm a fridge. */
const isWarm = (tempC: number): boolean => tempC > KEEPING.hotBottles.coldC;

/**
 * How many bottles of a filling warm the same fridge together.
 * @param placeIds where each bottle goes.
 */
export function hotTogether(filledC: number, placeIds: readonly string[], places: Kitchen['places']): number {
  if (!isWarm(filledC)) return 0;
  const inFridge = (id: string) => {
    const kind = places.find((p) => p.id === id)?.kind;
    return kind === undefined || placeKindRow(kind).follows === 'fridge';
  };
  return placeIds.filter(inFridge).length;
}

/** A bottle that a filling went into. */
export const bottleOf = (
  filling: Filling,
  bottle: { volumeMl: number; diameterCm: number },
  together: number,
): BottleFacts => ({
  filledMs: filling.filledMs,
  clockStartMs: filling.clockStartMs,
  filledC: filling.filledC,
  volumeMl: bottle.volumeMl,
  diameterCm: bottle.diameterCm,
  ...(together > 0 ? { hotTogether: together } : {}),
  keeping: filling.keeping,
});

/** Filled where no bottle is known: a litre in a bottle as wide as most. */
const USUAL_BOTTLE = { volumeMl: 970, diameterCm: 8.5 };

/**
 * The life that bottles are about to have: filled at a moment, put into the fridge at once. Of several sizes the one
 * that keeps least. The same reckoning as on the shelf, so that a plan promises what the bottle will say.
 */
export function expectedLife(
  liquor: Liquor,
  hygiene: 'clean' | 'sterilised',
  kitchen: Pick<Kitchen, 'fridgeC' | 'roomC' | 'places' | 'zone'>,
  times: { startedMs: number; filledMs: number; nowMs: number },
  bottles: readonly { volumeMl: number; diameterCm: number; count: number }[],
  ownDays: number | null = null,
): BottleLife {
  const filling = fillingOf(liquor, hygiene, times.startedMs, times.filledMs);
  const around = surroundingsOf(kitchen, null);
  const sizes = bottles.filter((b) => b.count > 0);
  const count = sizes.reduce((sum, b) => sum + b.count, 0);
  const together = isWarm(filling.filledC) ? count : 0;
  const soonMs = endOfTomorrow(Math.max(times.nowMs, times.filledMs), kitchen.zone);
  const fridge = kitchen.places.find((p) => p.kind === 'fridge')?.id;
  return (sizes.length ? sizes : [{ ...USUAL_BOTTLE, count: 1 }])
    .map((size) =>
      lifeOf(bottleOf(filling, size, together), freshItem(times.filledMs, fridge), around, times.filledMs, {
        soonMs,
        ownDays,
      }),
    )
    .reduce((least, life) => (life.deadlineMs < least.deadlineMs ? life : least));
}

/**
 * The life that the bottles of a plan, or of a batch that is on, will have when they are filled as expected.
 * @returns null while nothing comes into bottles.
 */
export function plannedLife(
  program: Pick<Program, 'steps' | 'recipeId'>,
  sim: Pick<Simulation, 'vessels' | 'endMin' | 'problem'>,
  kitchen: Kitchen,
  times: { startMs: number; nowMs: number },
  hygiene?: 'clean' | 'sterilised',
): BottleLife | null {
  if (sim.problem) return null;
  const fillings = fillingsOf(sim);
  const { plans } = bottlesFor(
    fillings.map(({ liquor }) => volumeMl(liquor)),
    kitchen.bottles,
  );
  const lives = fillings.flatMap(({ id, liquor }, i) => {
    const bottle = program.steps.find((s) => s.kind === 'bottle' && s.to[0] === id);
    if (bottle?.kind !== 'bottle') return [];
    const sizes = (plans[i]?.counts ?? []).flatMap(({ sizeId, count }) => {
      const size = kitchen.bottles.find((b) => b.id === sizeId);
      return size ? [{ volumeMl: fillMl(size.volumeMl), diameterCm: size.diameterCm, count }] : [];
    });
    return [
      expectedLife(
        liquor,
        hygiene ?? bottle.hygiene,
        kitchen,
        { startedMs: times.startMs, filledMs: times.startMs + sim.endMin * MINUTE_MS, nowMs: times.nowMs },
        sizes,
        kitchen.ownRules.find((rule) => rule.recipeId === program.recipeId)?.sealedDays ?? null,
      ),
    ];
  });
  // Of several lots the one that is due first stands for all.
  return lives.length === 0
    ? null
    : lives.reduce((least, life) => (life.deadlineMs < least.deadlineMs ? life : least));
}
