import type { Kitchen } from '../documents/kitchen.ts';
import { plannedLife } from '../keeping/bottled.ts';
import type { BottleLife } from '../keeping/spoilage.ts';
import { markerGPerL } from '../liquor/composition.ts';
import type { StepId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import { draws } from '../program/model/stepFacts.ts';
import { finishedL, finishedLiquor } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import { mainMarker } from './methods.ts';

/** What a drink would be if a step of it took so long. */
export interface StandingRow {
  minutes: number;
  /** As it is planned, the least and the most that the recipe says, or a time between and beyond. */
  which: 'least' | 'planned' | 'most' | 'between' | 'beyond';
  litres: number;
  /** Strength of what the drink is made for, g/L in the bottles, and against the planned time, 1 being the same. */
  gPerL: number;
  strength: number;
  /** Days that it keeps from being filled; 0: it is not to be kept at all. */
  keepsDays: number;
  verdict: BottleLife['verdict'];
}

/** Where nothing is said of the most, twice as long is looked at. */
const BEYOND = 2;
const DAY_MS = 86_400_000;
const TOO_SHORT_MIN = 20;

/** The times that are looked at for a step, rising. */
function timesOf(
  minutes: number,
  least: number | undefined,
  most: number | undefined,
): Pick<StandingRow, 'minutes' | 'which'>[] {
  const last = most !== undefined && most > minutes ? most : minutes * BEYOND;
  return [
    ...(least !== undefined && least < minutes && least > 0
      ? [{ minutes: least, which: 'least' as const }]
      : []),
    { minutes, which: 'planned' as const },
    { minutes: Math.round((minutes + last) / 2), which: 'between' as const },
    { minutes: last, which: last === most ? ('most' as const) : ('beyond' as const) },
  ];
}

/** The steps of which it may be asked what more hours would do. */
export const standingSteps = (program: Program): StepId[] =>
  program.steps.flatMap((s) =>
    draws(s) && s.kind !== 'boil' && s.until.kind === 'duration' && s.until.minutes >= TOO_SHORT_MIN
      ? [s.id]
      : [],
  );

/**
 * What each further hour of a soak or a steep adds and what it costs: strength, litres and days, by working the whole
 * batch out for each of these times.
 * @returns none where the step is not one that draws for a time, or the batch cannot be made.
 */
export function furtherHours(
  program: Program,
  stepId: StepId,
  kitchen: Kitchen,
  tables: Tables,
  times: { startMs: number; nowMs: number },
): StandingRow[] {
  const step = program.steps.find((s) => s.id === stepId);
  if (step?.until.kind !== 'duration' || !standingSteps(program).includes(stepId)) return [];
  const { minutes, minMinutes, maxMinutes } = step.until;
  const marker = mainMarker(program, tables);
  const rows = timesOf(minutes, minMinutes, maxMinutes).flatMap((time): StandingRow[] => {
    const changed: Program = {
      ...program,
      steps: program.steps.map((s) =>
        s.id === stepId ? { ...s, until: { kind: 'duration' as const, minutes: time.minutes } } : s,
      ),
    };
    const sim = simulateBatch(changed, kitchen, tables, { detail: 'lean' });
    const end = finishedLiquor(sim);
    const life = plannedLife(changed, sim, kitchen, times);
    if (sim.problem || !end || !life) return [];
    const filledMs = times.startMs + sim.endMin * 60_000;
    return [
      {
        ...time,
        litres: finishedL(sim),
        gPerL: markerGPerL(end, marker),
        strength: 1,
        keepsDays: Math.max(0, Math.floor((life.deadlineMs - filledMs) / DAY_MS)),
        verdict: life.verdict,
      },
    ];
  });
  const planned = rows.find((r) => r.which === 'planned')?.gPerL ?? 0;
  return planned > 0 ? rows.map((r) => ({ ...r, strength: r.gPerL / planned })) : rows;
}
