import type * as v from 'valibot';
import type { StepId } from '../program/model/ids.ts';
import type { EffectiveProgram } from '../program/model/program.ts';
import type { StepActual } from '../program/model/simulation.ts';
import type { Taste } from '../program/model/taste.ts';
import type { Entry } from './entry.ts';
import type * as body from './events/bodies.ts';

export interface StepTimes {
  status: 'done' | 'skipped' | 'now' | 'later';
  startMs: number | null;
  endMs: number | null;
  /** The event that set the start, for "it boiled six minutes ago". */
  startedBy: string | null;
}

/** What a clock is for: the cook's own words, or a code with the things it is about. */
export interface ClockSubject {
  label: string | null;
  code: string | null;
  itemIds: readonly string[];
}

export interface SideClock {
  id: string;
  said: ClockSubject;
  startMs: number;
  endMs: number;
}

type BodyOf<Schema extends v.GenericSchema> = v.InferOutput<Schema>;
export type Added = Entry<BodyOf<typeof body.added>>;
export type Measured = Entry<BodyOf<typeof body.measured>>;
export type Removed = Entry<BodyOf<typeof body.removed>>;
export type Flame = Entry<BodyOf<typeof body.flame>>;
export type Noted = Entry<BodyOf<typeof body.noted>>;
export type SetAside = Entry<BodyOf<typeof body.setAside>>;
export type Stopped = Entry<BodyOf<typeof body.stopped>>;
export type FromPurchase = Entry<BodyOf<typeof body.fromPurchase>>;
export type Gifts = BodyOf<typeof body.gifts>;
export type Score = BodyOf<typeof body.scored>;
export type Lot = BodyOf<typeof body.split>['lots'][number];

export interface Bottled extends BodyOf<typeof body.bottled> {
  eventId: string;
  atMs: number;
}

/** What the log says of a batch, before any physics. */
export interface BatchLog {
  /** As it is really made: with what was swapped, and with what follows from straining early. */
  program: EffectiveProgram;
  startedMs: number | null;
  endedMs: number | null;
  currentStepId: StepId | null;
  steps: Readonly<Record<StepId, StepTimes>>;
  /** Minutes since the start, as the interpreter wants them. */
  actuals: Readonly<Record<StepId, StepActual>>;
  clocks: readonly SideClock[];
  tastes: readonly (Taste & { stepId: StepId; eventId: string })[];
  added: readonly Added[];
  measured: readonly Measured[];
  bottled: readonly Bottled[];
  notes: readonly Noted[];
  /** Cues the cook has seen at a step, rinses among them (`rinse`). */
  cues: readonly { stepId: StepId; cue: string; atMs: number }[];
  /** Ends of steps that had ended already, as another device had said: the earlier counts. */
  doubled: readonly string[];
  /** Lots that the batch was split into. */
  lots: readonly Lot[];
  /** What the cook thought of it, said last. */
  score: Score | null;
  /** Given up before its bottles; null: it was not. No step is on any more. */
  stopped: Stopped | null;
  /** Packets and purchases that its ingredients came from. */
  purchases: readonly FromPurchase[];
  /** Leftovers that were kept. */
  setAside: readonly SetAside[];
  /** Whom it is for, said last. */
  gifts: Gifts | null;
}
