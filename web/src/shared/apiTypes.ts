import type {
  BottleItem,
  EventOf,
  Failing,
  IngredientRow,
  InstrumentKind,
  ItemLog,
  Kitchen,
  LeftoverItem,
  LikedPoint,
  LogEvent,
  PinnedRows,
  PlanDoc,
  PlannedProgram,
  Recipe,
  RehearsalClock,
} from '@big-ladle/core';

/** Whom a batch is meant for. */
export type Gifts = EventOf<'gifts'>['body'];

export interface FieldProblem {
  field: string;
  message: string;
}

/** Problem details as the server sends them. */
export interface Problem {
  type?: string;
  title?: string;
  detail?: string;
  fields?: FieldProblem[];
  stored?: unknown;
  problem?: unknown;
  eventId?: string;
}

export interface KitchenDoc {
  version: number;
  kitchen: Kitchen;
}

export interface Pins {
  recipe: Recipe;
  program: PlannedProgram;
  kitchen: Kitchen;
  tablesVersion: string;
  rows?: PinnedRows;
  ingredients?: IngredientRow[];
}

export interface Batch {
  id: string;
  status: 'planned' | 'on' | 'done';
  plan: PlanDoc;
  version: number;
  pins: Pins | null;
  createdMs: number;
  updatedMs: number;
  /** Only where it is practised and not made. */
  rehearsal?: RehearsalClock & { seed: number; kept: boolean };
}

/** An instrument of the kitchen; all are simulated in this version. */
export interface Instrument {
  id: string;
  kind: InstrumentKind;
  name: string;
  seed: number;
  batchId: string | null;
  lost: boolean;
  tareKg: number;
  failing: Failing | null;
}

export interface BatchDoc {
  batch: Batch;
  events: LogEvent[];
}

export interface BatchList {
  batches: {
    batch: Omit<Batch, 'pins'>;
    now: {
      startedMs: number | null;
      endedMs: number | null;
      currentStepId: string | null;
      litres: number;
      /** Where it stood on the plane when it was called about right. */
      liked?: LikedPoint;
      score?: number;
      words?: string;
      gifts?: Gifts | null;
    } | null;
  }[];
  next: number | null;
}

export interface ShelfItem {
  facts: BottleItem;
  log: ItemLog;
}

export interface ShelfLeftover {
  facts: LeftoverItem;
  log: ItemLog;
}

/** One thing of the shelf, there or gone. */
export type ShelfThing =
  | ({ kind: 'bottle'; goneMs: number | null } & ShelfItem)
  | ({ kind: 'leftover'; goneMs: number | null } & ShelfLeftover);

export interface GiftBatch {
  batchId: string;
  recipeId: string;
  atMs: number;
  gifts: Gifts;
}
