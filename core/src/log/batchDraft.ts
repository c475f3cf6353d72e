import type { StepId } from '../program/model/ids.ts';
import type { EffectiveProgram } from '../program/model/program.ts';
import type { Taste } from '../program/model/taste.ts';
import type {
  Added,
  Bottled,
  Flame,
  FromPurchase,
  Gifts,
  Lot,
  Measured,
  Noted,
  Removed,
  Score,
  SetAside,
  SideClock,
  Stopped,
} from './batchLog.ts';

/** When a step began or ended, and the event that says so. */
export interface Mark {
  atMs: number;
  by: string;
}

/** A batch's log while it is folded: what each event adds to. */
export interface BatchDraft {
  readonly program: EffectiveProgram;
  readonly known: ReadonlySet<StepId>;
  readonly started: Map<StepId, Mark>;
  readonly ended: Map<StepId, Mark & { rinses: number | undefined }>;
  /** Ends whose moment nobody has read from a clock, by their entries. */
  readonly untimed: Set<string>;
  readonly skipped: Map<StepId, Mark>;
  readonly clocks: Map<string, SideClock>;
  readonly tastes: (Taste & { stepId: StepId; eventId: string })[];
  readonly added: Added[];
  readonly measured: Measured[];
  readonly removed: Removed[];
  readonly flames: Flame[];
  readonly bottled: Bottled[];
  readonly notes: Noted[];
  readonly cues: { stepId: StepId; cue: string; atMs: number }[];
  readonly doubled: string[];
  readonly lots: Lot[];
  readonly purchases: FromPurchase[];
  readonly setAside: SetAside[];
  score: Score | null;
  /** The first word that it was given up. */
  stopped: Stopped | null;
  gifts: Gifts | null;
}

export const draftOf = (program: EffectiveProgram): BatchDraft => ({
  program,
  known: new Set(program.steps.map((s) => s.id)),
  started: new Map(),
  ended: new Map(),
  untimed: new Set(),
  skipped: new Map(),
  clocks: new Map(),
  tastes: [],
  added: [],
  measured: [],
  purchases: [],
  removed: [],
  flames: [],
  bottled: [],
  notes: [],
  cues: [],
  doubled: [],
  lots: [],
  setAside: [],
  score: null,
  stopped: null,
  gifts: null,
});
