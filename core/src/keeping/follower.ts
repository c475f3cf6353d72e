import { WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { bottleLossWPerK } from '../physics/heat.ts';
import { levelM } from '../physics/vesselShape.ts';
import { HEAT_CAPACITY_J } from '../tables/constants.ts';
import { KEEPING } from '../tables/keeping.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
import type { Keeping } from './shelfLife.ts';
import type { StorageClimate, Surroundings } from './storageClimate.ts';
import { CELL_MS, type TemperatureSeries, trackAt } from './temperatureSeries.ts';

/** How fast life is spent at a temperature: 1 up to 5 °C, above that three times for each 10 °C over 4. */
export const lifeRate = (tempC: number): number => (tempC <= 5 ? 1 : Math.exp(PER_C * (tempC - 4)));

/** Three times for each 10 °C. */
const PER_C = Math.log(3) / 10;

/** A bottle as filled. */
export interface BottleFacts {
  filledMs: number;
  /** When the clock of the lot began: before the filling, as a rule. */
  clockStartMs: number;
  filledC: number;
  volumeMl: number;
  diameterCm: number;
  /** Bottles that were filled warm and put into the same fridge together, this one among them. */
  hotTogether?: number;
  keeping: Keeping;
  /** What the rules of today give, where it was filled under others: the earlier date counts. */
  newer?: { clockStartMs: number; filledC: number; keeping: Keeping };
}

/** How finely the temperature of a bottle is followed where no logger says more. */
export const SLICE_MS = CELL_MS;

/** Inside this a bottle counts as having the temperature of its place, °C. */
const CLOSE_C = 0.3;

/** Older than this a bottle is followed no further: whatever it was, its time is over. */
export const FOLLOWED_MS = 3 * 366 * DAY_MS;

/** What a stretch of time did to a bottle. */
export interface Spent {
  /** Of its life, ms. */
  lifeMs: number;
  /** Beyond rate 1: out of the cold, in it, and on its first way down. */
  tableMs: number;
  fridgeMs: number;
  coolingMs: number;
  /** Counted towards the hours on the table. */
  warmMs: number;
  hotMs: number;
  guessedMs: number;
  frozenMs: number;
  /** Frozen after its first opening. */
  frozenOpenMs: number;
  /** Life left when it was thawed last may be no more than three days from then. */
  thawCapMs: number;
  /** The stages of its first cooling in the bottle, min. */
  from60To21Min: number;
  from21To5Min: number;
}

/** Where a bottle is on its way: what it has spent, how warm it is. */
interface State {
  spent: Spent;
  tempC: number;
  wasCold: boolean;
  /** Taken out of the fridge once: what is warm in it after that is warm from outside. */
  wasOut: boolean;
  /** On its first way down since it was hot. */
  firstCooling: boolean;
  /** The warmest place that it has stood in on that way, °C. */
  warmestC: number;
}

/** Heat of a full bottle over what its wall lets through: the time it takes to follow its place, ms. */
function lagMs(bottle: Pick<BottleFacts, 'volumeMl' | 'diameterCm'>): number {
  const diameterM = bottle.diameterCm / 100;
  return (
    (((bottle.volumeMl / 1000) * WATER_20_G_PER_ML * HEAT_CAPACITY_J) /
      bottleLossWPerK(diameterM, levelM(bottle.volumeMl, diameterM))) *
    1000
  );
}

/** Cold enough to drink, °C. */
export const SERVE_C = 8;

/**
 * How long a full bottle takes until it is cold enough to serve, by Newton's law: t = lag · ln((T₀ − T_place) / (T − T_place)).
 * @returns ms; 0 where it is cold already, null where its place never makes it so.
 */
export function coldAfterMs(
  bottle: Pick<BottleFacts, 'volumeMl' | 'diameterCm'>,
  fromC: number,
  placeC: number,
): number | null {
  if (fromC <= SERVE_C) return 0;
  if (placeC >= SERVE_C) return null;
  return lagMs(bottle) * Math.log((fromC - placeC) / (SERVE_C - placeC));
}

/** Warm from the pot, and not cold since; rows of before 0.6.0 say no more than how warm it was filled. */
const coolsOn = ({ keeping, filledC }: BottleFacts): boolean =>
  keeping.cooling ? keeping.cooling.goesOn : filledC > KEEPING.firstStageToC;

/**
 * What the pot's part of a first cooling costs beyond rate 1, ms, where the bottle goes on with it: the whole way down
 * is one cooling, so that waiting warm in the pot is never cheaper than cooling in the bottle. Above 21 °C at the rate
 * of 21 °C or of the room, whichever is warmer; below that at most as at 21 °C.
 */
function potCoolingMs(bottle: BottleFacts, roomC: number): number {
  const { cooling } = bottle.keeping;
  if (!cooling?.goesOn) return 0;
  const warm = lifeRate(Math.max(KEEPING.firstStageToC, roomC)) - 1;
  const cool = lifeRate(KEEPING.firstStageToC) - 1;
  return (warm * cooling.from60To21Min + cool * cooling.from21To5Min) * MINUTE_MS;
}

export const startOf = (bottle: BottleFacts, { roomC }: Surroundings): State => ({
  spent: {
    lifeMs: Math.max(0, bottle.filledMs - bottle.clockStartMs) + potCoolingMs(bottle, roomC),
    tableMs: 0,
    fridgeMs: 0,
    coolingMs: potCoolingMs(bottle, roomC),
    warmMs: 0,
    hotMs: 0,
    guessedMs: 0,
    frozenMs: 0,
    frozenOpenMs: 0,
    thawCapMs: Number.POSITIVE_INFINITY,
    from60To21Min: 0,
    from21To5Min: 0,
  },
  tempC: bottle.filledC,
  wasCold: bottle.filledC <= KEEPING.warmFromC,
  wasOut: false,
  firstCooling: coolsOn(bottle),
  // The pot stood in the room.
  warmestC: (bottle.keeping.cooling?.from60To21Min ?? 0) > 0 ? roomC : Number.NEGATIVE_INFINITY,
});

/**
 * The rate on the first way down: nothing above 60 °C; down to 21 °C the bottle's own, but no faster than at 21 °C or at
 * the warmest place it has stood in since, whichever is warmer; below that its own.
 */
function firstRate(tempC: number, warmestC: number): number {
  if (tempC > KEEPING.warmC.to) return 0;
  const own = lifeRate(tempC);
  return tempC < KEEPING.firstStageToC
    ? own
    : Math.min(own, lifeRate(Math.max(KEEPING.firstStageToC, warmestC)));
}

/** As cold as this it has been cold: in a fridge that is one, from 8 °C on. */
const coldOf = (inFridge: boolean): number => (inFridge ? KEEPING.warmFridgeC : KEEPING.warmFromC);

/** Follows one bottle: T' = −(T − place)/τ, in slices, by the place it stands in and what the fridge's logger has read. */
export class Follower {
  private readonly tauMs: number;
  private readonly half: number;
  private readonly full: number;

  constructor(
    private readonly bottle: BottleFacts,
    private readonly around: Surroundings,
    readonly state: State,
    private readonly visit?: (atMs: number, spent: Spent, placeC: number) => void,
  ) {
    this.tauMs = lagMs(bottle);
    this.half = Math.exp(-SLICE_MS / 2 / this.tauMs);
    this.full = Math.exp(-SLICE_MS / this.tauMs);
  }

  /** A fridge into which much went in warm at once is no fridge until that is cold. */
  private placeOf(climate: StorageClimate, tempC: number): number {
    const crowded =
      this.state.firstCooling &&
      climate.trackedBy !== null &&
      (this.bottle.hotTogether ?? 1) > KEEPING.hotBottles.most &&
      this.state.tempC > KEEPING.hotBottles.coldC;
    return crowded ? Math.max(tempC, KEEPING.hotBottles.fridgeC) : tempC;
  }

  private slice(
    atMs: number,
    lengthMs: number,
    ownC: number,
    climate: StorageClimate,
    settled: boolean,
  ): void {
    const { state } = this;
    const { spent } = state;
    const placeC = this.placeOf(climate, ownC);
    const isWhole = lengthMs === SLICE_MS;
    const over = state.tempC - placeC;
    const middleC = settled
      ? placeC
      : placeC + over * (isWhole ? this.half : Math.exp(-lengthMs / 2 / this.tauMs));
    const endC = settled ? placeC : placeC + over * (isWhole ? this.full : Math.exp(-lengthMs / this.tauMs));
    const inFridge = climate.trackedBy !== null;
    const above = (limitC: number) => this.msAbove(limitC, state.tempC, endC, placeC, lengthMs);
    if (state.firstCooling) {
      state.warmestC = Math.max(state.warmestC, placeC);
      const hotMs = above(KEEPING.warmC.to);
      const coolingMs = lengthMs - hotMs;
      const rate = firstRate(Math.min(middleC, KEEPING.warmC.to), state.warmestC);
      spent.lifeMs += rate * coolingMs;
      // What a warm fridge costs by itself is the fridge's; the rest is the bottle's own warmth.
      const byFridge = inFridge ? Math.max(0, Math.min(rate, lifeRate(placeC)) - 1) : 0;
      spent.fridgeMs += byFridge * coolingMs;
      spent.coolingMs += Math.max(0, rate - 1 - byFridge) * coolingMs;
      const coldC = inFridge && placeC <= KEEPING.warmFridgeC ? KEEPING.coldEnoughC : KEEPING.warmC.from;
      // At 21 °C itself it is still in the first stage, as in the pot.
      const firstMs = above(KEEPING.firstStageToC - 1e-6);
      spent.from60To21Min += (firstMs - hotMs) / MINUTE_MS;
      spent.from21To5Min += (above(coldC) - firstMs) / MINUTE_MS;
      if (!inFridge) spent.warmMs += above(KEEPING.warmFromC) - hotMs;
      if (endC <= coldC) state.firstCooling = false;
    } else {
      const rate = lifeRate(middleC);
      spent.lifeMs += rate * lengthMs;
      // A warm fridge costs what it costs; a bottle that still cools in it spends its own warmth besides.
      if (inFridge)
        spent.fridgeMs += ((state.wasCold ? rate : Math.min(rate, lifeRate(placeC))) - 1) * lengthMs;
      else spent.tableMs += (rate - 1) * lengthMs;
      if (state.wasCold || state.wasOut || !inFridge || placeC > KEEPING.warmFridgeC) {
        spent.warmMs += above(inFridge ? KEEPING.warmFridgeC : KEEPING.warmFromC);
        spent.hotMs += above(KEEPING.hotC);
      }
    }
    if (!inFridge) state.wasOut = true;
    state.tempC = endC;
    if (endC <= coldOf(inFridge)) state.wasCold = true;
    this.visit?.(atMs + lengthMs, spent, placeC);
  }

  /** Of a slice, how long the bottle is above a temperature, ms: it goes from one end to the other without turning. */
  private msAbove(limitC: number, fromC: number, toC: number, placeC: number, lengthMs: number): number {
    if (fromC > limitC && toC > limitC) return lengthMs;
    if (fromC <= limitC && toC <= limitC) return 0;
    const share = (fromC - placeC) / (limitC - placeC);
    const crossMs = share > 0 ? Math.min(lengthMs, Math.max(0, this.tauMs * Math.log(share))) : lengthMs;
    return fromC > limitC ? crossMs : lengthMs - crossMs;
  }

  /** Whole cells of a logged fridge, the same sums as `slice` makes of a bottle whose first cooling is over. */
  private cells(track: TemperatureSeries, from: number, count: number, warmerC: number): void {
    const { state } = this;
    const { spent } = state;
    let { tempC, wasCold } = state;
    const { wasOut } = state;
    let lifeMs = 0;
    let fridgeMs = 0;
    let warm = 0;
    let hot = 0;
    let unread = 0;
    for (let i = from; i < from + count; i++) {
      const placeC = track.tempC[i]! + warmerC;
      const over = tempC - placeC;
      const middleC = placeC + over * this.half;
      tempC = placeC + over * this.full;
      const rate = lifeRate(middleC);
      lifeMs += rate;
      fridgeMs += (wasCold ? rate : Math.min(rate, lifeRate(placeC))) - 1;
      if (middleC > KEEPING.warmFridgeC && (wasCold || wasOut || placeC > KEEPING.warmFridgeC)) {
        warm++;
        if (middleC > KEEPING.hotC) hot++;
      }
      unread += track.guessed[i]!;
      if (tempC <= coldOf(true)) wasCold = true;
    }
    state.tempC = tempC;
    state.wasCold = wasCold;
    spent.lifeMs += lifeMs * CELL_MS;
    spent.fridgeMs += fridgeMs * CELL_MS;
    spent.warmMs += warm * CELL_MS;
    spent.hotMs += hot * CELL_MS;
    spent.guessedMs += unread * CELL_MS;
  }

  /** Stands somewhere from one moment to another. */
  stand(climate: StorageClimate, fromMs: number, untilMs: number): void {
    const { state, around } = this;
    const track = climate.trackedBy === null ? null : around.track;
    let atMs = fromMs;
    while (atMs < untilMs) {
      if (!track) {
        // Once it has settled, the rest of the stay is one slice, unless each is to be seen.
        const settled = Math.abs(state.tempC - this.placeOf(climate, climate.tempC)) < CLOSE_C;
        const lengthMs =
          settled && !this.visit ? untilMs - atMs : Math.min(SLICE_MS - (atMs % SLICE_MS), untilMs - atMs);
        this.slice(atMs, lengthMs, climate.tempC, climate, settled);
        atMs += lengthMs;
        continue;
      }
      const warmerC = climate.trackedBy ?? 0;
      const cell = Math.floor((atMs - track.fromMs) / CELL_MS);
      const onGrid = atMs % CELL_MS === 0 && untilMs - atMs >= CELL_MS;
      if (onGrid && cell >= 0 && cell < track.tempC.length && !this.visit && !state.firstCooling) {
        // Whole cells in one run: nearly all of a bottle's life is spent here.
        const whole = Math.min(track.tempC.length - cell, Math.floor((untilMs - atMs) / CELL_MS));
        this.cells(track, cell, whole, warmerC);
        atMs += whole * CELL_MS;
        continue;
      }
      const lengthMs = Math.min(CELL_MS - (atMs % CELL_MS), untilMs - atMs);
      if (cell >= 0 && track.guessed[cell] === 1) state.spent.guessedMs += lengthMs;
      this.slice(atMs, lengthMs, trackAt(track, atMs) + warmerC, climate, false);
      atMs += lengthMs;
    }
  }

  /** The clock stands; what is taken out again has three days at most. */
  freeze(climate: StorageClimate, fromMs: number, untilMs: number, openedMs: number): void {
    const { spent } = this.state;
    spent.frozenMs += untilMs - fromMs;
    if (untilMs > openedMs) spent.frozenOpenMs += untilMs - Math.max(fromMs, openedMs);
    this.state.tempC = climate.tempC;
    this.state.wasCold = true;
    this.state.firstCooling = false;
    this.visit?.(untilMs, spent, climate.tempC);
  }
}

/** How warm it is to be where a bottle stands now, °C. */
export const expectedAt = (climate: StorageClimate, around: Surroundings): number =>
  climate.trackedBy !== null && around.track ? around.track.expectedC + climate.trackedBy : climate.tempC;
