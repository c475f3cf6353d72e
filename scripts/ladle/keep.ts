import { EMPTY_KITCHEN, type Kitchen, kitchenSchema } from '@big-ladle/core/documents';
import {
  bottleOf,
  endOfTomorrow,
  fillingOf,
  isoKeepDate,
  keepDate,
  lifeOf,
  surroundingsOf,
} from '@big-ladle/core/keeping';
import { freshItem } from '@big-ladle/core/log';
import { fillingsOf } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import * as v from 'valibot';
import { argsOf, checked, jsonOf } from './input.ts';
import { recipeOf, solve } from './plan.ts';
import { InputProblem } from './problems.ts';

const moment = v.pipe(
  v.string(),
  v.check((s) => !Number.isNaN(Date.parse(s)), 'no moment: wants 2026-11-25T09:00:00Z'),
);

/** A batch as it was made: what it is, when it was begun, and its bottles. */
const batchSchema = v.strictObject({
  recipe: v.unknown(),
  bottledL: v.optional(v.pipe(v.number(), v.minValue(0.2), v.maxValue(400))),
  startedAt: moment,
  /** When it was filled; without it, when the plan ends. */
  filledAt: v.optional(moment),
  hygiene: v.optional(v.picklist(['clean', 'sterilised']), 'clean'),
  kitchen: v.optional(v.unknown()),
  /** The moment at which is asked; without it, the filling. */
  now: v.optional(moment),
  bottles: v.pipe(
    v.array(
      v.strictObject({
        name: v.string(),
        volumeMl: v.pipe(v.number(), v.minValue(10), v.maxValue(20_000)),
        diameterCm: v.optional(v.pipe(v.number(), v.minValue(1), v.maxValue(60)), 8.5),
        openedAt: v.optional(v.nullable(moment), null),
      }),
    ),
    v.minLength(1),
    v.maxLength(200),
  ),
});

/** `ladle keep`: each bottle's deadline, with the reasons. */
export function keep(args: readonly string[]): string {
  const { file } = argsOf(args, {});
  const batch = checked(batchSchema, jsonOf(file), 'the batch');
  const recipe = recipeOf(batch.recipe, 1);
  const own =
    batch.kitchen === undefined
      ? undefined
      : (checked(kitchenSchema, batch.kitchen, 'its kitchen') as Kitchen);
  const { sim } = solve(recipe, {
    ...(batch.bottledL === undefined ? {} : { bottledL: batch.bottledL }),
    ...(own ? { kitchen: own } : {}),
  });
  const kitchen = own ?? EMPTY_KITCHEN;
  const startedMs = Date.parse(batch.startedAt);
  const filledMs = batch.filledAt ? Date.parse(batch.filledAt) : startedMs + sim.endMin * MINUTE_MS;
  const [filled] = fillingsOf(sim);
  if (!filled) throw new InputProblem('nothing of it comes into bottles');
  const nowMs = batch.now ? Date.parse(batch.now) : filledMs;
  const filling = fillingOf(filled.liquor, batch.hygiene, startedMs, filledMs);
  const around = surroundingsOf(kitchen, null);
  return JSON.stringify(
    {
      format: 'big-ladle-keep',
      v: 1,
      filledAt: new Date(filledMs).toISOString(),
      bottles: batch.bottles.map((b) => {
        const log = { ...freshItem(filledMs), openedMs: b.openedAt ? Date.parse(b.openedAt) : null };
        const life = lifeOf(bottleOf(filling, b, 0), log, around, nowMs, {
          soonMs: endOfTomorrow(nowMs, kitchen.zone),
        });
        return {
          name: b.name,
          verdict: life.verdict,
          deadline: new Date(life.deadlineMs).toISOString(),
          drinkBy: isoKeepDate(keepDate(life, kitchen.zone), nowMs, kitchen.zone),
          daysLeft: life.leftDays,
          reasons: life.reasons,
        };
      }),
    },
    null,
    2,
  );
}
