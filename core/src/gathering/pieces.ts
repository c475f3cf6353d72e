import { lanesOf } from '../plan/lanes.ts';
import type { StepId, VesselId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation, TraceEntry } from '../program/model/simulation.ts';
import type { Attention, Step, StepKind } from '../program/model/steps.ts';
import { BLENDER, BOWL, JUG, SPICE_POT } from '../program/model/vessels.ts';
import type { Need, Project, Resource } from '../schedule/project.ts';
import type { Tables } from '../tables/types.ts';

/** Names of what a kitchen has one or more of. */
export const RESOURCE = {
  ring: (burnerId: string) => `ring:${burnerId}`,
  pot: (potId: string) => `pot:${potId}`,
  person: (id: string) => `person:${id}`,
  eyes: 'eyes',
  blender: 'blender',
  sieve: 'sieve',
  fridge: 'fridge',
  freezer: 'freezer',
  shops: 'shops',
} as const;

export type ResourceKind = keyof typeof RESOURCE;

/** Something of the kitchen, and which of its kind: a pot by its id, a person by hers. */
export interface FeastResource extends Resource {
  kind: ResourceKind;
  ofId: string | null;
}
/** A project whose resources are known by their kind. */
export interface KitchenProject extends Project {
  resources: readonly FeastResource[];
}

/** What several drinks can have done at once. */
export type JoinKind = 'wash' | 'shop' | 'bottles' | 'thaw';
/** A join by its id, which a gathering keeps: its kind, and what is washed. */
export const joinId = (kind: JoinKind, itemIds: readonly string[] = []): string =>
  [kind, ...[...new Set(itemIds)].sort()].join(':');
export function joinOf(id: string): { kind: JoinKind; itemIds: readonly string[] } {
  const [kind, ...itemIds] = id.split(':');
  return { kind: kind as JoinKind, itemIds };
}

/** A stretch of a drink's making that asks the same of the kitchen throughout. */
export interface Piece {
  stepId: StepId;
  kind: StepKind;
  minutes: number;
  attention: Attention;
  /** Beside people. */
  needs: readonly Need[];
  /** So much longer it may last, or wait before the next, min. */
  waitMin: number;
  waitNeeds: readonly Need[];
  /** On the board, in the blender, in a jug: no pot has to wait for it. */
  aside: boolean;
  vessels: readonly VesselId[];
  /** Work of the same kind on the same things, which several drinks can have done at once. */
  joinKey: string | null;
}

/** Cut, peeled and washed things may lie so long, raw juice no longer. Source: general kitchen practice, on the safe side. */
const LIES_MIN = 60;
/** What is strained and cold may wait so long in the fridge, min. */
const COLD_WAIT_MIN = 12 * 60;
/** An aside job may be done so long before its turn, min. */
const EARLY_MIN = 120;
const NOTHING_L = 0.005;

const ASIDE: ReadonlySet<VesselId> = new Set([BOWL, BLENDER, JUG, SPICE_POT]);
const ASIDE_KINDS: ReadonlySet<StepKind> = new Set(['pick', 'wash', 'prep', 'juice', 'blend']);

/** By how much a step may grow without harm, min. */
const slackOf = (step: Step): number =>
  (step.kind === 'soak' || step.kind === 'steep') && step.until.kind === 'duration'
    ? Math.max(0, (step.until.maxMinutes ?? step.until.minutes) - step.until.minutes)
    : 0;

const placeOf = (step: Step): string | null => ('place' in step ? step.place : null);

/** The rings that a step takes: one for each pot that it heats. */
function ringsOf(step: Step, program: Pick<Program, 'vessels' | 'burnerId'>): string[] {
  const heats =
    step.kind === 'heat' || step.kind === 'boil' || (step.kind === 'steep' && step.holdC !== undefined);
  if (!heats) return [];
  const pots = program.vessels.filter((v) => [...step.from, ...step.to].includes(v.id) && v.potId);
  const own = 'burnerId' in step ? step.burnerId : program.burnerId;
  return [...new Set(pots.length > 0 ? pots.map((v) => v.burnerId ?? own) : [own])];
}

/**
 * A batch in pieces, in the order of its making, with what each takes: rings, pots as long as something stands in them,
 * the blender, the sieve, litres of the fridge.
 * @param sim in full detail.
 */
export function piecesOf(
  program: Program,
  sim: Pick<Simulation, 'trace' | 'flows'>,
  tables: Tables,
): Piece[] {
  const lanes = lanesOf(program, sim, tables);
  const steps = new Map(program.steps.map((s) => [s.id, s]));
  const potOf = new Map(program.vessels.flatMap((v) => (v.potId ? [[v.id, v.potId] as const] : [])));
  const standsIn = (stepId: StepId, when: 'from' | 'to') =>
    lanes.lanes.flatMap(({ vesselId, spans }) => {
      const state = spans.find((s) => s.stepId === stepId)?.[when];
      const litres = state ? state.litres + state.solidsL : 0;
      return litres > NOTHING_L ? [{ vesselId, litres }] : [];
    });
  const pots = (stepId: StepId, when: readonly ('from' | 'to')[]): string[] => [
    ...new Set(when.flatMap((w) => standsIn(stepId, w).flatMap(({ vesselId }) => potOf.get(vesselId) ?? []))),
  ];
  const seen = new Map<StepId, TraceEntry[]>();
  for (const entry of sim.trace) seen.set(entry.stepId, [...(seen.get(entry.stepId) ?? []), entry]);
  const pieces = [...seen].flatMap(([stepId, entries]): Piece[] => {
    const step = steps.get(stepId);
    if (!step) return [];
    const startMin = Math.min(...entries.map((e) => e.startMin));
    const endMin = Math.max(...entries.map((e) => e.endMin));
    const vessels = [...new Set([...step.from, ...step.to])];
    const aside = ASIDE_KINDS.has(step.kind) && vessels.every((id) => ASIDE.has(id));
    const inFridge = placeOf(step) === 'fridge';
    const litres = standsIn(stepId, 'to').reduce((sum, s) => sum + s.litres, 0);
    const fridge = inFridge ? [{ resourceId: RESOURCE.fridge, amount: litres }] : [];
    const during = pots(stepId, ['from', 'to']);
    const after = pots(stepId, ['to']);
    const cold =
      step.kind === 'cool' &&
      inFridge &&
      entries.every((e) => e.after.solids.length === 0) &&
      entries.every((e) => e.after.liquor.tempC <= COLD_AND_SAFE_C);
    const waitMin = slackOf(step) + (cold ? COLD_WAIT_MIN : 0);
    return [
      {
        stepId,
        kind: step.kind,
        minutes: endMin - startMin,
        attention: step.attention,
        needs: [
          ...ringsOf(step, program).map((id) => ({ resourceId: RESOURCE.ring(id), amount: 1 })),
          ...during.map((id) => ({ resourceId: RESOURCE.pot(id), amount: 1 })),
          ...(step.kind === 'blend' ? [{ resourceId: RESOURCE.blender, amount: 1 }] : []),
          ...(step.kind === 'strain' ? [{ resourceId: RESOURCE.sieve, amount: 1 }] : []),
          ...fridge,
        ],
        waitMin,
        waitNeeds: [...after.map((id) => ({ resourceId: RESOURCE.pot(id), amount: 1 })), ...fridge],
        aside,
        vessels,
        joinKey: step.kind === 'wash' ? washKey(step, program) : null,
      },
    ];
  });
  return withLying(pieces);
}

/**
 * What is cut lies at most once, when the last of a row of such jobs is done: nobody washes now and peels in an hour. Not where
 * something stands in a pot meanwhile.
 */
const withLying = (pieces: readonly Piece[]): Piece[] =>
  pieces.map((piece, i) =>
    piece.aside && !pieces[i + 1]?.aside && piece.waitNeeds.length === 0
      ? { ...piece, waitMin: piece.waitMin + LIES_MIN }
      : piece,
  );

/** Strained and this cold it may wait overnight, °C. */
const COLD_AND_SAFE_C = 8;

/** Two washings are alike where the same things are washed. */
function washKey(step: Step, program: Pick<Program, 'lines'>): string | null {
  const items = program.lines.filter((l) => step.lines.includes(l.id)).map((l) => l.itemId);
  return items.length > 0 ? joinId('wash', items) : null;
}

/** What was put into a stretch that looks after itself. */
export interface Meanwhile {
  stepId: StepId;
  during: StepId;
  minutes: number;
}

/**
 * Stoning, zesting and blending done while a pot looks after itself: a job aside goes into the end of the last such stretch
 * before it, where there is time for it, where it lies no longer than two hours, and where nothing between has to do
 * with its vessels.
 */
export function placeMeanwhile(pieces: readonly Piece[]): { pieces: Piece[]; meanwhile: Meanwhile[] } {
  const meanwhile: Meanwhile[] = [];
  /** What goes into the end of each piece. */
  const into = new Map<number, Piece[]>();
  const moved = new Set<number>();
  for (const [index, job] of pieces.entries()) {
    if (!job.aside || job.attention !== 'handsOn' || job.minutes <= 0) continue;
    let betweenMin = 0;
    for (let before = index - 1; before >= 0; before--) {
      const at = pieces[before]!;
      if (at.attention === 'unattended') {
        const taken = (into.get(before) ?? []).reduce((sum, p) => sum + p.minutes, 0);
        if (at.minutes - taken >= job.minutes) {
          into.set(before, [...(into.get(before) ?? []), job]);
          moved.add(index);
          meanwhile.push({ stepId: job.stepId, during: at.stepId, minutes: job.minutes });
          break;
        }
      }
      if (moved.has(before)) continue;
      const touches = at.vessels.some((id) => job.vessels.includes(id));
      betweenMin += at.minutes;
      if (touches || betweenMin > EARLY_MIN) break;
    }
  }
  const out = pieces.flatMap((piece, index): Piece[] => {
    if (moved.has(index)) return [];
    const jobs = into.get(index);
    if (!jobs) return [piece];
    const taken = jobs.reduce((sum, p) => sum + p.minutes, 0);
    const last = jobs.length - 1;
    return [
      { ...piece, minutes: piece.minutes - taken, waitMin: 0, waitNeeds: [] },
      ...jobs.map((job, i) => ({
        ...job,
        needs: [...piece.needs, ...job.needs],
        waitMin: i === last ? piece.waitMin : 0,
        waitNeeds: i === last ? piece.waitNeeds : [],
      })),
    ];
  });
  return { pieces: out, meanwhile };
}
