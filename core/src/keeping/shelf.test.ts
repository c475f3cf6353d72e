import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_PLACES } from '../documents/kitchen.ts';
import { EMPTY } from '../liquor/composition.ts';
import { freshItem } from '../log/foldItem.ts';
import { SIGN_ROWS, SIGNS } from '../tables/checks.ts';
import { CLAIM_ROWS } from '../tables/claims.ts';
import { CONTAINER_CAUTION_ROWS } from '../tables/containers.ts';
import { LEFTOVER_ROWS } from '../tables/leftovers.ts';
import { TABLES } from '../testKitchen.ts';
import { DAY_MS } from '../units/time.ts';
import { meaningOf, signsFor } from './check.ts';
import { claimsOf } from './claims.ts';
import { containerCautions, containerUses } from './containers.ts';
import { around, bottle, FILLED_MS, itemLog, keep, origin, raw, stays } from './fixtures.ts';
import { type LeftoverFacts, leftoverLife, portionStrength, screenOf, usesOf } from './leftovers.ts';
import {
  giftReminder,
  messagesOf,
  morningFrom,
  morningOf,
  pressureAlarm,
  type Reminded,
  remindersOf,
} from './reminders.ts';
import { leftoverKindOf, residueOf } from './residue.ts';
import { setAsideGuidance } from './setAside.ts';
import { hasSpace, makeSpace, spaceIn } from './space.ts';
import { lifeOf } from './spoilage.ts';
import { rateOfUse } from './use.ts';

const HOUR = 3_600_000;
const at = (hours: number) => FILLED_MS + hours * HOUR;

describe('looks and sniffs', () => {
  it('every sign has a meaning for every kind, and nothing asks for a taste', () => {
    expect(SIGN_ROWS.map((r) => r.sign).sort()).toEqual([...SIGNS].sort());
    for (const kind of ['still', 'raw', 'live', 'leftover'] as const)
      expect(signsFor(kind).length).toBeGreaterThan(4);
  });
  it('one bad sign is enough, whatever else was seen', () => {
    fc.assert(
      fc.property(
        fc.subarray([...SIGNS]),
        fc.constantFrom('still', 'raw', 'live', 'leftover'),
        (signs, kind) => {
          const alone = signs.some((s) => meaningOf(kind, [s]).verdict === 'throwOut');
          expect(meaningOf(kind, signs).verdict === 'throwOut').toBe(alone);
        },
      ),
    );
  });
  it('gas lets a live drink off, and throws any other out', () => {
    expect(meaningOf('live', ['gas']).verdict).toBe('vent');
    expect(meaningOf('still', ['gas']).verdict).toBe('throwOut');
    expect(meaningOf('still', ['haze']).verdict).toBe('throwOut');
    expect(meaningOf('raw', ['haze']).verdict).toBe('fine');
  });
  it('pressure in closed glass is an alarm; open, or in plastic, it is not', () => {
    const live = bottle({ keeping: keep({ origins: [origin(), raw('live')] }) });
    const of = (material: string, change = {}, facts = live) =>
      pressureAlarm({ bottle: facts, log: itemLog(change), material });
    expect(of('glass')).toBe(true);
    expect(of('plastic')).toBe(false);
    expect(of('glass', { openedMs: at(1) })).toBe(false);
    expect(of('glass', {}, bottle())).toBe(false);
    expect(of('glass', { looks: [{ atMs: at(1), signs: ['bulge'] }] }, bottle())).toBe(true);
  });
});

describe('containers', () => {
  const codes = (
    material: 'glass' | 'plastic' | 'steel',
    closure: 'metalLid' | 'swingTop',
    uses: Parameters<typeof containerCautions>[1],
  ) => containerCautions({ material, closure }, uses).map((r) => r.code);
  it('heat, frost, gas, acid and spirit each have their cautions', () => {
    expect(codes('glass', 'swingTop', ['hotFill'])).toEqual(['container.hotGlass']);
    expect(codes('plastic', 'swingTop', ['hotFill', 'spirit'])).toEqual([
      'container.hotPlastic',
      'container.spiritPlastic',
    ]);
    expect(codes('glass', 'metalLid', ['freeze', 'acid'])).toEqual([
      'container.freezeGlass',
      'container.metalLid',
    ]);
    expect(codes('steel', 'swingTop', ['gas', 'freeze', 'acid'])).toEqual([
      'container.freezeRoom',
      'container.gasTight',
    ]);
    expect(CONTAINER_CAUTION_ROWS.every((r) => r.source.length > 5)).toBe(true);
  });
  it('what a drink and its place ask of it', () => {
    const plain = { tempC: 8, frozen: false, live: false, acid: false, abvPct: 0 };
    expect(containerUses(plain)).toEqual([]);
    expect(containerUses({ tempC: 80, frozen: true, live: true, acid: true, abvPct: 30 })).toEqual([
      'hotFill',
      'freeze',
      'gas',
      'acid',
      'spirit',
    ]);
  });
});

describe('what is commonly said', () => {
  const of = (change: Partial<Parameters<typeof claimsOf>[0]> = {}) =>
    claimsOf({ keeping: keep({}), tags: ['strongSpice', 'sweetened'], brix: 10, ...change });
  it('spreads over days, and is never shorter than what is said of all', () => {
    const claims = of()!;
    expect(claims.fromDays).toBe(Math.min(...claims.rows.map((r) => r.fromDays)));
    expect(claims.toDays).toBe(Math.max(...claims.rows.map((r) => r.toDays)));
    expect(claims.rows.map((r) => r.code)).toContain('claim.rice');
  });
  it('a splash, a plain drink, vinegar bring in their own sayings', () => {
    const codes = (c: Parameters<typeof of>[0]) => of(c)!.rows.map((r) => r.code);
    expect(codes({ tags: ['littleAlcohol'] })).toContain('claim.splash');
    expect(codes({ tags: ['noAddedSugar'] })).toContain('claim.plain');
    expect(codes({ tags: ['vinegar'] })).toContain('claim.vinegarYears');
    expect(codes({ keeping: keep({ origins: [raw('solid')] }) })).toContain('claim.fewDays');
    expect(codes({ tags: [] })).not.toContain('claim.clove');
    for (const row of CLAIM_ROWS) expect(row.toDays).toBeGreaterThan(row.fromDays);
  });
});

describe('places and what fits', () => {
  const shelf = { ...USUAL_PLACES[0]!, litres: 5, widthCm: 24, depthCm: 16 };
  const tall = { sizeMl: 750, diameterCm: 8 };
  it('counts litres, and squares of floor: 24 × 16 cm take six bottles of 8 cm', () => {
    // 6 · 64 = 384 = 24 · 16; 6 · 0.75 = 4.5 of 5 L.
    const six = Array.from({ length: 6 }, () => tall);
    expect(spaceIn(shelf, six)).toMatchObject({ litres: 4.5, litresShare: 0.9, floorShare: 1 });
    expect(hasSpace(spaceIn(shelf, six))).toBe(true);
    expect(hasSpace(spaceIn(shelf, [...six, tall]))).toBe(false);
  });
  it('says what must go first: the first to be drunk, and no more than is needed', () => {
    const there = [3, 1, 2, 4, 5].map((day) => ({ ...tall, itemId: `b${day}`, deadlineMs: day * DAY_MS }));
    expect(makeSpace(shelf, there, [tall]).first).toEqual([]);
    const { first } = makeSpace(shelf, there, [tall, tall, tall]);
    expect(first!.map((s) => s.itemId)).toEqual(['b1', 'b2']);
    expect(
      makeSpace(
        shelf,
        there,
        Array.from({ length: 8 }, () => tall),
      ).first,
    ).toBeNull();
  });
});

describe('how fast it goes', () => {
  it('poured 3 L in 10 days: 0.3 L a day, 1.5 L last five days', () => {
    const rate = rateOfUse(3000, 10 * DAY_MS, [{ leftMl: 1500, deadlineMs: at(24 * 30) }], FILLED_MS);
    expect(rate.mlPerDay).toBeCloseTo(300, 9);
    expect((rate.lastGlassMs! - FILLED_MS) / DAY_MS).toBeCloseTo(5, 9);
    expect((rate.makeMs! - FILLED_MS) / DAY_MS).toBeCloseTo(4, 9);
    expect(rate.leftOverMl).toBeCloseTo(0, 9);
  });
  it('what outlives its date is said: two bottles of 0.9 L, two days each at 0.3 L a day', () => {
    const two = [1, 2].map(() => ({ leftMl: 900, deadlineMs: FILLED_MS + 2 * DAY_MS }));
    // In two days 0.6 L of the 1.8 L are drunk.
    expect(rateOfUse(300, DAY_MS, two, FILLED_MS).leftOverMl).toBeCloseTo(1200, 6);
    expect(rateOfUse(0, DAY_MS, two, FILLED_MS).lastGlassMs).toBeNull();
  });
});

describe('leftovers', () => {
  const facts = (change: Partial<LeftoverFacts> = {}): LeftoverFacts => ({
    kind: 'calyx',
    ingredientIds: ['hibiscus-dried'],
    massG: 900,
    portions: 3,
    madeMs: FILLED_MS,
    heldMl: 600,
    boiled: true,
    strengthShare: 0.3,
    sugarPct: 0,
    alcohol: false,
    ...change,
  });
  const life = (f: LeftoverFacts, places: ReturnType<typeof stays>, hours: number) =>
    leftoverLife(f, { ...freshItem(FILLED_MS), places }, around(), at(hours));
  it('boiled calyx: three days in the fridge, one raw; ninety in the freezer', () => {
    const fridge = stays(['fridge', 0]);
    expect((life(facts(), fridge, 0).deadlineMs - FILLED_MS) / DAY_MS).toBeCloseTo(3, 9);
    expect((life(facts({ boiled: false }), fridge, 0).deadlineMs - FILLED_MS) / DAY_MS).toBeCloseTo(1, 9);
    expect(life(facts(), fridge, 50).verdict).toBe('useToday');
    expect(life(facts(), fridge, 73).verdict).toBe('past');
    const frozen = life(facts(), stays(['freezer', 0]), 240);
    expect((frozen.deadlineMs - at(240)) / DAY_MS).toBeCloseTo(80, 6);
    // A day of three in the fridge, then frozen: two thirds of ninety days.
    const late = life(facts(), stays(['fridge', 0], ['freezer', 24]), 24);
    expect((late.deadlineMs - at(24)) / DAY_MS).toBeCloseTo(60, 6);
  });
  it('two hours on the table are the most', () => {
    expect(life(facts(), stays(['fridge', 0], ['counter', 1], ['fridge', 2.9]), 3).verdict).toBe('good');
    expect(life(facts(), stays(['fridge', 0], ['counter', 1], ['fridge', 3.2]), 4).verdict).toBe('throwOut');
  });
  it('what was used is gone from it', () => {
    const log = { ...freshItem(FILLED_MS), used: [{ atMs: at(1), massG: 300, use: 'jam' as const }] };
    expect(leftoverLife(facts(), log, around(), at(2)).leftG).toBe(600);
  });
  it('animals only where nothing speaks against it', () => {
    const peel = facts({ kind: 'peel', ingredientIds: ['pineapple-peel'] });
    expect(screenOf(peel, TABLES)).toEqual([]);
    expect(usesOf(peel, TABLES)).toContain('animals');
    // By all that was in the pot, not by the kind alone.
    const boiledWith = {
      ...peel,
      companionIds: ['pineapple-peel', 'ginger-sliced', 'clove-whole', 'spirit-40'],
    };
    expect(screenOf(boiledWith, TABLES)).toEqual(['spice', 'alcohol']);
    expect(usesOf(boiledWith, TABLES)).not.toContain('animals');
    // Dates have stones, apples seeds.
    expect(screenOf(facts({ kind: 'pulp', ingredientIds: ['date-pitted'] }), TABLES)).toContain('stones');
    const spiced = facts({ kind: 'pulp', ingredientIds: ['pineapple-flesh', 'ginger-grated'] });
    expect(screenOf(spiced, TABLES)).toEqual(['spice']);
    expect(usesOf(spiced, TABLES)).not.toContain('animals');
    expect(screenOf(facts({ kind: 'pulp', ingredientIds: [], sugarPct: 8, alcohol: true }), TABLES)).toEqual([
      'sugar',
      'alcohol',
    ]);
  });
  it('no second brew of what is spent, nothing with garlic under oil, hard spices out first', () => {
    const root = facts({ kind: 'root', ingredientIds: ['ginger-grated'], strengthShare: 0.4 });
    expect(usesOf(root, TABLES)).toEqual(expect.arrayContaining(['secondBrew', 'spicePaste']));
    expect(usesOf({ ...root, strengthShare: 0 }, TABLES)).not.toContain('secondBrew');
    const garlic = { ...root, ingredientIds: ['ginger-grated', 'garlic-clove'] };
    expect(usesOf(garlic, TABLES)).not.toContain('spicePaste');
    expect(setAsideGuidance(garlic, TABLES)[0]).toMatchObject({
      code: 'aside.garlicOil',
      severity: 'danger',
    });
    const jam = facts({ kind: 'calyx', ingredientIds: ['hibiscus-dried'], companionIds: ['clove-whole'] });
    expect(setAsideGuidance(jam, TABLES).map((g) => g.code)).toEqual(
      expect.arrayContaining(['aside.chill', 'aside.hardSpice']),
    );
  });
  it('a portion is as strong as what is left in it', () => {
    const root = (strengthShare: number) =>
      portionStrength({ ingredientIds: ['ginger-grated'], massG: 60, portions: 1, strengthShare }, TABLES);
    expect([0.05, 0.3, 0.8].map(root)).toEqual(['mild', 'medium', 'strong']);
    expect(
      portionStrength(
        { ingredientIds: ['hibiscus-dried'], massG: 60, portions: 1, strengthShare: 0.9 },
        TABLES,
      ),
    ).toBe('mild');
  });
  it('what lies in the cloth: by hand, 100 g of calyx with half of what it can give still in it', () => {
    const row = TABLES.ingredients.get('hibiscus-dried')!;
    const held = { ...EMPTY, waterG: 300 };
    const vessels = {
      spent: {
        id: 'spent',
        liquor: EMPTY,
        lid: 'off' as const,
        place: 'counter' as const,
        solids: [{ lineId: 'c', ingredientId: row.id, massG: 100, held, extracted: 0.5, wet: true }],
      },
    };
    const [residue] = residueOf(vessels as never, new Set(['c']), TABLES);
    const dry = 100 * (1 - row.waterPct / 100 - (row.solublePct / 100) * 0.5);
    expect(residue!.massG).toBeCloseTo(dry + 300, 6);
    expect(residue!.strengthShare).toBeCloseTo(0.5, 9);
    expect(residue!.boiled).toBe(true);
    expect(residueOf(vessels as never, new Set(), TABLES)[0]!.boiled).toBe(false);
    expect(residueOf({}, new Set(), TABLES)).toEqual([]);
  });
  it('every ingredient that is strained out has a kind, and every kind its row', () => {
    const kinds = new Set(LEFTOVER_ROWS.map((r) => r.kind));
    for (const row of TABLES.ingredients.values()) {
      const kind = leftoverKindOf(row);
      if (kind) expect(kinds.has(kind)).toBe(true);
    }
  });
});

describe('reminders', () => {
  const zone = 'Europe/London';
  const reminded = (change: Partial<Reminded> = {}, log = itemLog(), facts = bottle()): Reminded => ({
    itemId: 'a',
    batchId: 'batch',
    recipeId: 'drink',
    bottle: facts,
    log,
    life: lifeOf(facts, log, around(), at(10)),
    ...change,
  });
  it("are told at nine by the kitchen's clock, also across a change of it", () => {
    // 25 October 2026: the clocks of London go back at 02:00.
    const before = Date.UTC(2026, 9, 24, 12);
    expect(new Date(morningFrom(before, zone)).toISOString()).toBe('2026-10-25T09:00:00.000Z');
    expect(new Date(morningOf(before, zone)).toISOString()).toBe('2026-10-24T08:00:00.000Z');
  });
  it("a lot's bottles are told together: due on the morning of their last whole day, and a look before", () => {
    const list = remindersOf([reminded(), reminded({ itemId: 'b' })], zone, at(10));
    const due = list.find((r) => r.kind === 'due')!;
    expect(due.itemIds).toEqual(['a', 'b']);
    // 6.5 days from the filling, a day before, that morning.
    expect(due.atMs).toBe(morningOf(FILLED_MS + 5.5 * DAY_MS, zone));
    expect(list.filter((r) => r.kind === 'look')).toHaveLength(1);
    expect(list.some((r) => r.kind === 'vent')).toBe(false);
  });
  it('live ones are let off every day, and not again once they were', () => {
    const live = bottle({ keeping: keep({ origins: [origin(), raw('live')] }) });
    const vent = (ventedMs: number | null) =>
      remindersOf([reminded({}, itemLog({ ventedMs }), live)], zone, at(10)).find((r) => r.kind === 'vent')!
        .atMs;
    expect(vent(at(40))).toBeGreaterThan(vent(null));
  });
  it('frozen ones some days before their time, past ones at once', () => {
    const log = itemLog({ places: stays(['freezer', 0]) });
    const list = remindersOf([reminded({}, log)], zone, at(10));
    expect(list.map((r) => r.kind)).toEqual(['defrost']);
    expect(list[0]!.atMs).toBe(morningOf(FILLED_MS + 87 * DAY_MS, zone));
    const past = reminded({ life: lifeOf(bottle(), itemLog(), around(), at(300)) });
    // A bottle in date and one past it, of the same batch, are not told in one breath.
    expect(remindersOf([past], zone, at(300)).map((r) => [r.kind, r.over])).toEqual([['due', true]]);
    expect(remindersOf([reminded()], zone, at(10)).some((r) => r.over)).toBe(false);
  });
  it('a feast is thought of three weeks before a year is over', () => {
    const made = Date.UTC(2026, 10, 28, 17);
    const r = giftReminder({ batchId: 'b', recipeId: 'drink', occasion: 'Lantern supper', atMs: made }, zone);
    expect(new Date(r.atMs).toISOString()).toBe('2027-11-07T09:00:00.000Z');
  });
  it('goes to who asked for its kind, and to nobody else', () => {
    const list = remindersOf([reminded()], zone, at(10));
    const people = [
      { id: 'p', name: 'No. 9', kinds: ['due'] as const },
      { id: 'q', name: 'No. 11', kinds: [] },
    ];
    const messages = messagesOf(list, people);
    expect(messages.map((m) => [m.to, m.reminder.kind])).toEqual([['No. 9', 'due']]);
  });
});
