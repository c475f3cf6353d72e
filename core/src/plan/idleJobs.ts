import type { StepId, VesselId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Step } from '../program/model/steps.ts';
import { BLENDER, BOWL, JUG, SPICE_POT } from '../program/model/vessels.ts';
import type { Tables } from '../tables/types.ts';

/** What later steps of the recipe itself do away from the pot: it may be done meanwhile. */
type OwnJob = 'wash' | 'prep' | 'juice' | 'blend' | 'spicePot';

/** Something the hands can do while a pot looks after itself. */
export interface IdleJob {
  code: 'bottlesHot' | 'bottlesClean' | 'squeeze' | 'ice' | OwnJob;
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
  jobs.push(...ownJobs(program, later));
  return jobs.sort((a, b) => b.minutes - a.minutes);
}

/** Away from the pot: on the board, in the blender, in a jug or a small pan beside it. */
const ASIDE: ReadonlySet<VesselId> = new Set([BOWL, BLENDER, JUG, SPICE_POT]);
/** A small pan comes to the boil in so many minutes. */
const SMALL_PAN_MIN = 8;

/** Stoning, zesting, juicing, blending, a spice liquor: what later steps ask for and no pot has to wait for. */
function ownJobs(program: Pick<Program, 'lines'>, later: readonly Step[]): IdleJob[] {
  const jobs = new Map<OwnJob, { itemIds: string[]; minutes: number }>();
  for (const step of later) {
    if (![...step.from, ...step.to].every((id) => ASIDE.has(id))) continue;
    const code: OwnJob | null =
      step.kind === 'wash' || step.kind === 'prep' || step.kind === 'juice' || step.kind === 'blend'
        ? step.kind
        : step.kind === 'boil' && step.to[0] === SPICE_POT
          ? 'spicePot'
          : null;
    const minutes = step.until.kind === 'duration' ? step.until.minutes : 0;
    if (code === null || minutes <= 0) continue;
    const job = jobs.get(code) ?? { itemIds: [], minutes: 0 };
    const itemIds = program.lines.filter((l) => step.lines.includes(l.id)).map((l) => l.itemId);
    jobs.set(code, {
      itemIds: [...new Set([...job.itemIds, ...itemIds])],
      minutes: job.minutes + minutes + (code === 'spicePot' ? SMALL_PAN_MIN : 0),
    });
  }
  return [...jobs].map(([code, job]) => ({ code, ...job }));
}

/** A pot that looks after itself until a moment, with what its batch wants done by then. */
export interface Wait {
  id: string;
  endMs: number;
  jobs: readonly IdleJob[];
}

export interface JobOfWait extends PlacedJob {
  waitId: string;
  /** There is not time for it before its pot is done. */
  late: boolean;
}

/**
 * The side jobs of every pot for one pair of hands: as late as its own pot allows, never two at once, none while hands are
 * wanted elsewhere, what is due first first. Where there is not time for all of it, they follow each other from now on
 * and what ends after its pot is marked.
 * @param busy stretches in which the cook stands at a pot.
 */
export function placeJobs(
  waits: readonly Wait[],
  nowMs: number,
  busy: readonly { fromMs: number; toMs: number }[] = [],
): JobOfWait[] {
  const all = waits
    .flatMap((w) => w.jobs.map((job) => ({ job, waitId: w.id, dueMs: w.endMs })))
    .sort((a, b) => a.dueMs - b.dueMs);
  const inTheWay = (fromMs: number, toMs: number) => busy.find((b) => fromMs < b.toMs && toMs > b.fromMs);
  // The latest that each may begin so that all that follow are still in time.
  const latest = new Array<number>(all.length);
  let endMs = Number.POSITIVE_INFINITY;
  for (let i = all.length - 1; i >= 0; i--) {
    const { job, dueMs } = all[i]!;
    const lengthMs = job.minutes * 60_000;
    endMs = Math.min(endMs, dueMs);
    for (let b = inTheWay(endMs - lengthMs, endMs); b; b = inTheWay(endMs - lengthMs, endMs))
      endMs = b.fromMs;
    endMs -= lengthMs;
    latest[i] = endMs;
  }
  let freeMs = nowMs;
  return all.map(({ job, waitId, dueMs }, i) => {
    const lengthMs = job.minutes * 60_000;
    let beginMs = Math.max(freeMs, latest[i]!);
    for (let b = inTheWay(beginMs, beginMs + lengthMs); b; b = inTheWay(beginMs, beginMs + lengthMs))
      beginMs = b.toMs;
    freeMs = beginMs + lengthMs;
    return { ...job, waitId, beginMs, endMs: freeMs, late: freeMs > dueMs };
  });
}
