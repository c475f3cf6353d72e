import type { Program, StepId } from '../program/types.ts';
import type { Tables } from '../tables/types.ts';

/** Something the hands can do while a pot looks after itself. */
export interface IdleJob {
  code: 'bottlesHot' | 'bottlesClean' | 'squeeze' | 'ice';
  /** What it is done to, as item ids. */
  itemIds: readonly string[];
  minutes: number;
}

export interface PlacedJob extends IdleJob {
  beginMs: number;
  endMs: number;
}

/** Hot bottles come last out of the oven; ice is fetched when it is wanted: the longest job first. */
const BOTTLES_MIN = { sterilised: 20, clean: 10 };
const ICE_MIN = 5;
/** A citrus is squeezed in so many seconds for each 10 mL. */
const SQUEEZE_MIN_PER_ML = 1 / 40;
const SQUEEZE_LEAST_MIN = 3;

/** Side jobs that later steps of a batch will want done, the longest first. */
export function idleJobs(program: Program, stepId: StepId, tables: Tables): IdleJob[] {
  const at = program.steps.findIndex((s) => s.id === stepId);
  const later = program.steps.slice(at + 1);
  const jobs: IdleJob[] = [];
  const bottle = later.find((s) => s.kind === 'bottle');
  if (bottle?.kind === 'bottle')
    jobs.push({
      code: bottle.hygiene === 'sterilised' ? 'bottlesHot' : 'bottlesClean',
      itemIds: [],
      minutes: BOTTLES_MIN[bottle.hygiene],
    });
  const citrus = later
    .flatMap((s) => s.lines)
    .flatMap((id) => program.lines.filter((l) => l.id === id))
    .filter(
      (l) => l.kind === 'liquid' && tables.liquids.get(l.itemId)?.treatment === 'rawJuice' && l.massG > 0,
    );
  if (citrus.length)
    jobs.push({
      code: 'squeeze',
      itemIds: [...new Set(citrus.map((l) => l.itemId))],
      minutes: Math.max(
        SQUEEZE_LEAST_MIN,
        Math.round(citrus.reduce((sum, l) => sum + l.massG, 0) * SQUEEZE_MIN_PER_ML),
      ),
    });
  if (later.some((s) => s.kind === 'cool' && s.place === 'iceBath'))
    jobs.push({ code: 'ice', itemIds: [], minutes: ICE_MIN });
  return jobs.sort((a, b) => b.minutes - a.minutes);
}

/** One after the other, so that the last is done when the pot is; not before now. */
export function placeJobs(jobs: readonly IdleJob[], nowMs: number, endMs: number): PlacedJob[] {
  const total = jobs.reduce((sum, j) => sum + j.minutes, 0) * 60_000;
  let atMs = Math.max(nowMs, endMs - total);
  return jobs.map((job) => {
    const beginMs = atMs;
    atMs += job.minutes * 60_000;
    return { ...job, beginMs, endMs: atMs };
  });
}
