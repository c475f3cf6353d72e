import type { StepId } from '../program/model/ids.ts';
import { type Chain, type Need, SLOT_MIN, type Stage } from '../schedule/project.ts';
import { joinId, type Piece, RESOURCE } from './pieces.ts';

/** A job of the timetable: a stage of the schedule, with the steps of the batch that it is made of. */
export interface Job {
  id: string;
  parts: readonly { stepId: StepId; fromMin: number; minutes: number }[];
  /** What several drinks can have done at once. */
  joinKey: string | null;
  /** What it is where it is no step of the batch. */
  extra: 'shop' | 'bottles' | 'thaw' | null;
}

export interface DrinkChain {
  chain: Chain;
  jobs: ReadonlyMap<string, Job>;
}

export interface ChainInput {
  drinkId: string;
  /** None where it is filled already, and only has to thaw. */
  pieces: readonly Piece[];
  /** People who may do it. */
  people: readonly string[];
  litres: number;
  /** Slots of the project's frame. */
  earliest: number;
  latest: number;
  notBefore: number;
  servedAt: number;
  /** The first piece is going on: where it began, as a slot. */
  goingOnSince: number | null;
  /** What has to be bought keeps so long before it is used, slots; null: nothing has to be bought. */
  shopKeeps: number | null;
  hotBottles: boolean;
  /** Slots that it takes to thaw, and the litres in the freezer; null: it is not frozen. */
  thaw: { slots: number; litres: number } | null;
}

/** A trip to the shop, min; bottles into the oven, and how long they have to be hot; out of the freezer. */
const SHOP_MIN = 60;
const BOTTLES_MIN = 5;
const OVEN_MIN = 20;
const OVEN_MOST_MIN = 90;
const THAW_MIN = 5;
/** What is frozen may lie as long as anybody plans. */
const FROZEN_MOST_MIN = 1e6;

const slots = (minutes: number): number => Math.ceil(minutes / SLOT_MIN - 1e-9);

/** A piece before it is laid on slots. */
interface Bare {
  id: string;
  pieces: readonly Piece[];
  minutes: number;
  attended: boolean;
  hands: boolean;
  needs: readonly Need[];
  wait: { minMin: number; maxMin: number; needs: readonly Need[] };
  joinKey: string | null;
  extra: Job['extra'];
}

/** One drink as a chain of stages on slots, from the shop to the fridge. */
export function chainOf(input: ChainInput): DrinkChain {
  const { drinkId, thaw } = input;
  const bare = bareOf(input);
  const hands = input.people.map((id) => ({ resourceId: RESOURCE.person(id), amount: 1 }));
  const stages: Stage[] = [];
  const jobs = new Map<string, Job>();
  const laid = onSlots(bare);
  for (const [i, { of, slots: long }] of laid.entries()) {
    const [first] = of;
    const wait = of.at(-1)!.wait;
    const attended = of.some((b) => b.attended);
    const id = first!.id;
    stages.push({
      id,
      slots: long,
      needs: merged([
        ...of.flatMap((b) => b.needs),
        ...(attended && !of.some((b) => b.hands) ? [{ resourceId: RESOURCE.eyes, amount: 1 }] : []),
      ]),
      oneOf: of.some((b) => b.hands) ? hands : [],
      attended,
      wait: {
        minSlots: slots(wait.minMin),
        maxSlots: Math.max(slots(wait.minMin), Math.floor(wait.maxMin / SLOT_MIN)),
        needs: wait.needs,
      },
      fixedAt: i === 0 ? input.goingOnSince : null,
    });
    let fromMin = 0;
    jobs.set(id, {
      id,
      parts: of.flatMap((b) =>
        b.pieces.map((piece) => {
          const part = { stepId: piece.stepId, fromMin, minutes: piece.minutes };
          fromMin += piece.minutes;
          return part;
        }),
      ),
      joinKey: first!.joinKey,
      extra: first!.extra,
    });
  }
  return {
    jobs,
    chain: {
      id: drinkId,
      stages,
      litres: input.litres,
      earliest: input.earliest,
      latest: input.latest - (thaw?.slots ?? 0),
      notBefore: input.notBefore,
      holds: input.litres > 0 ? [{ resourceId: RESOURCE.fridge, amount: input.litres }] : [],
      heldUntil: input.servedAt,
    },
  };
}

/** The batch's own pieces, with what stands before and after them. */
function bareOf(input: ChainInput): Bare[] {
  const bare: Bare[] = [];
  const none = { minMin: 0, maxMin: 0, needs: [] };
  if (input.shopKeeps !== null && input.goingOnSince === null)
    bare.push({
      id: 'shop',
      pieces: [],
      minutes: SHOP_MIN,
      attended: true,
      hands: true,
      needs: [{ resourceId: RESOURCE.shops, amount: 1 }],
      wait: { minMin: 0, maxMin: input.shopKeeps * SLOT_MIN, needs: [] },
      joinKey: joinId('shop'),
      extra: 'shop',
    });
  for (const piece of input.pieces) {
    const last = bare.at(-1);
    // Where the filling itself is going on they are hot already.
    if (piece.kind === 'bottle' && input.hotBottles && last && bare.every((b) => b.extra !== 'bottles')) {
      // What stood waiting for them goes on standing there.
      const before = last.wait.needs;
      bare.push({
        id: 'bottles',
        pieces: [],
        minutes: BOTTLES_MIN,
        attended: true,
        hands: true,
        needs: before,
        wait: { minMin: OVEN_MIN, maxMin: OVEN_MOST_MIN, needs: before },
        joinKey: joinId('bottles'),
        extra: 'bottles',
      });
    }
    bare.push({
      id: piece.stepId,
      pieces: [piece],
      minutes: piece.minutes,
      attended: piece.attention !== 'unattended',
      hands: piece.attention === 'handsOn',
      needs: piece.needs,
      wait: { minMin: 0, maxMin: piece.waitMin, needs: piece.waitNeeds },
      joinKey: piece.joinKey,
      extra: null,
    });
  }
  if (input.thaw) {
    const last = bare.at(-1);
    if (last)
      last.wait = {
        minMin: 0,
        maxMin: FROZEN_MOST_MIN,
        needs: [{ resourceId: RESOURCE.freezer, amount: input.thaw.litres }],
      };
    bare.push({
      id: 'thaw',
      pieces: [],
      minutes: THAW_MIN,
      attended: true,
      hands: true,
      needs: [],
      wait: none,
      joinKey: joinId('thaw'),
      extra: 'thaw',
    });
  }
  return bare;
}

/** Pieces that ask for the same and follow directly are one stage; a run of them is rounded up once, not piece by piece. */
function onSlots(bare: readonly Bare[]): { of: Bare[]; slots: number }[] {
  const laid: { of: Bare[]; slots: number }[] = [];
  let minutes = 0;
  let at = 0;
  let before: { of: Bare[]; slots: number } | null = null;
  for (const [i, b] of bare.entries()) {
    minutes += b.minutes;
    const endsRun =
      b.wait.maxMin > 0 || b.joinKey !== null || i === bare.length - 1 || bare[i + 1]?.joinKey !== null;
    const end = endsRun ? slots(minutes) : Math.round(minutes / SLOT_MIN);
    const long = end - at;
    at = end;
    if (before && (long === 0 || before.slots === 0 || alike(before.of.at(-1)!, b))) {
      before.of.push(b);
      before.slots += long;
    } else {
      before = { of: [b], slots: long };
      laid.push(before);
    }
    if (endsRun) {
      before.slots = Math.max(1, before.slots);
      before = null;
      minutes = 0;
      at = 0;
    }
  }
  return laid;
}

const alike = (a: Bare, b: Bare): boolean =>
  a.attended === b.attended && a.hands === b.hands && JSON.stringify(a.needs) === JSON.stringify(b.needs);

/** The most of each that is needed at once by pieces of one stage. */
function merged(needs: readonly Need[]): Need[] {
  const most = new Map<string, number>();
  for (const { resourceId, amount } of needs)
    most.set(resourceId, Math.max(most.get(resourceId) ?? 0, amount));
  return [...most].map(([resourceId, amount]) => ({ resourceId, amount }));
}
