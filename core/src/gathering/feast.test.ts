import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import {
  type GatheringDoc,
  type GatheringDrink,
  gatheringSchema,
  newGathering,
} from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import { openingPlan } from '../plan/openingPlan.ts';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { BOOK } from '../program/book/book.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { faultsOf } from '../schedule/check.fixtures.ts';
import { searchTries } from '../schedule/search.fixtures.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../units/time.ts';
import { type Feast, type FeastInput, planFeast, sizeFeast } from './feast.ts';
import { COOK, feastProject } from './feastProject.ts';
import { mayDrink } from './mayDrink.ts';
import { othersFor } from './others.ts';
import { joinId, piecesOf, placeMeanwhile } from './pieces.ts';
import { servingList } from './serving.ts';
import { agreedOn, attendedJobs, movedJobs, nextJobs, timetableOf } from './timetable.ts';

const WEDNESDAY = Date.UTC(2026, 10, 25, 17, 30);
const SATURDAY = Date.UTC(2026, 10, 28, 18, 0);
const kitchen: Kitchen = {
  ...KITCHEN,
  bottles: [{ id: 'litre', name: 'Litre', volumeMl: 1000, diameterCm: 8.5, material: 'glass', count: 80 }],
};
const made = (id: string, recipeId: string, more: Partial<GatheringDrink> = {}): GatheringDrink => ({
  id,
  source: {
    kind: 'plan',
    plan: openingPlan(BOOK.find((r) => r.id === recipeId)!, kitchen, BOOK, TABLES)!.plan,
    litres: null,
  },
  share: 1,
  served: 'cold',
  frozen: false,
  apart: [],
  ...more,
});
const supper = (drinks: readonly GatheringDrink[], more: Partial<GatheringDoc> = {}): GatheringDoc => ({
  ...newGathering('Lantern supper', SATURDAY, SATURDAY + 4 * HOUR_MS),
  iceShare: 0,
  groups: [
    { id: 'grown', name: 'Grown-ups', least: 16, most: 16, age: 'adult', rules: [], thirst: 'usual' },
    {
      id: 'plain',
      name: 'Without sugar',
      least: 2,
      most: 2,
      age: 'adult',
      rules: [{ kind: 'noAddedSugar' }],
      thirst: 'usual',
    },
  ],
  drinks: [...drinks],
  ...more,
});
const input = (gathering: GatheringDoc, more: Partial<FeastInput> = {}): FeastInput => ({
  gathering,
  kitchen,
  batches: [],
  bottles: new Map(),
  nowMs: WEDNESDAY,
  ...more,
});
const plan = (asked: FeastInput, tries = 25): Feast => {
  let left = tries;
  return planFeast(asked, BOOK, TABLES, { seed: 0.3, over: () => left-- <= 0 });
};
const FILLED = { recipeId: 'deep-calyx-ginger', colour: '#a01020', litres: 6, tags: [], frozenL: 0 };
const twoDrinks = [made('red', 'deep-calyx-ginger'), made('pineapple', 'calyx-pineapple')];

describe('a batch in pieces', () => {
  it('loses and gains no minute, for every drink of the book by every way', () => {
    for (const recipe of BOOK)
      for (const methodId of recipe.methods) {
        const program = plannedDrink(recipe.id, methodId, 6);
        const sim = simulateBatch(program, KITCHEN, TABLES);
        const pieces = piecesOf(program, sim, TABLES);
        const minutes = pieces.reduce((sum, p) => sum + p.minutes, 0);
        expect(minutes, `${recipe.id} ${methodId}`).toBeCloseTo(sim.endMin, 6);
        // What is done meanwhile is taken off what it is done in, and off its own turn.
        const { pieces: placed, meanwhile } = placeMeanwhile(pieces);
        const saved = meanwhile.reduce((sum, m) => sum + m.minutes, 0);
        expect(placed.reduce((sum, p) => sum + p.minutes, 0)).toBeCloseTo(minutes - saved, 6);
        expect(placed.map((p) => p.stepId).sort()).toEqual(pieces.map((p) => p.stepId).sort());
        expect(placed.every((p) => p.minutes >= 0)).toBe(true);
      }
  });

  it('takes its ring while it is heated, and its pot as long as something stands in it', () => {
    const program = plannedDrink('deep-calyx-ginger', 'shortBoilLongSteep', 6);
    const pieces = piecesOf(program, simulateBatch(program, KITCHEN, TABLES), TABLES);
    const of = (kind: string) => pieces.find((p) => p.kind === kind)!;
    const ids = (kind: string) => of(kind).needs.map((n) => n.resourceId.split(':')[0]);
    expect(ids('heat')).toEqual(expect.arrayContaining(['ring', 'pot']));
    expect(ids('steep')).toContain('pot');
    expect(ids('steep')).not.toContain('ring');
    // It may steep longer, its pot waiting with it.
    expect(of('steep').waitMin).toBeGreaterThan(0);
    expect(of('steep').waitNeeds.map((n) => n.resourceId.split(':')[0])).toContain('pot');
    expect(ids('wash')).not.toContain('pot');
    // Sorting, washing and cutting follow one another; what is cut may lie for an hour, once.
    const aside = pieces.filter((p) => p.aside);
    expect(aside.length).toBeGreaterThan(2);
    expect(aside.map((p) => p.waitMin)).toEqual(aside.map((_, i) => (i === aside.length - 1 ? 60 : 0)));
  });
});

describe('a feast', () => {
  const feast = plan(input(supper(twoDrinks)), 200);

  it('makes as much as is enough, shared between its drinks', () => {
    const litres = feast.drinks.reduce((sum, d) => sum + d.litres, 0);
    const served = [...feast.shareL.values()].reduce((a, b) => a + b, 0);
    expect(served).toBeLessThanOrEqual(feast.totalL + 1e-6);
    expect(litres).toBeCloseTo(served, 0);
  });

  it('everything is cold when it is served, and good until the last glass', () => {
    expect(feast.times!.missing).toEqual([]);
    for (const drink of feast.drinks) {
      const jobs = feast.times!.jobs.filter((j) => j.drinkId === drink.id);
      const doneMs = Math.max(...jobs.map((j) => j.endMs));
      expect(doneMs + drink.chillMs).toBeLessThanOrEqual(SATURDAY + 5 * MINUTE_MS);
      if (!('fromDoneMs' in drink.life)) throw new Error('it is to be made');
      expect(doneMs + drink.life.fromDoneMs).toBeGreaterThanOrEqual(SATURDAY + 4 * HOUR_MS - 5 * MINUTE_MS);
      expect(Math.min(...jobs.map((j) => j.startMs))).toBeGreaterThanOrEqual(WEDNESDAY - 5 * MINUTE_MS);
    }
    expect(feast.times!.darkMin).toBe(0);
  });

  it('holds by other code: what is booked, waited and joined', () => {
    const { drinks } = sizeFeast(input(supper(twoDrinks)), BOOK, TABLES);
    const frame = feastProject(supper(twoDrinks), drinks, kitchen, TABLES, WEDNESDAY)!;
    const schedule = searchTries(frame.project, 20, 0.7);
    expect(faultsOf(frame.project, schedule)).toEqual([]);
    expect(frame.project.joins.map((j) => j.id)).toContain('shop');
  });

  it('one goes to the shop for both; told to go twice, she does', () => {
    expect(feast.times!.joined.map((j) => j.joinId)).toContain('shop');
    expect(feast.times!.joined.find((j) => j.joinId === 'shop')!.savedMin).toBe(60);
    const apart = plan(input(supper(twoDrinks, { notJoined: ['shop'] })));
    expect(apart.times!.joined.map((j) => j.joinId)).not.toContain('shop');
    // However much is washed at once, that it is done apart can be kept.
    const washing = joinId('wash', [
      'ginger-root',
      'hibiscus-dried',
      'lime',
      'pineapple-peel',
      'turmeric-root',
      'orange',
    ]);
    expect(v.is(gatheringSchema, supper(twoDrinks, { notJoined: [washing] }))).toBe(true);
  });

  it('a job that was dragged is where it was put', () => {
    const job = feast.times!.jobs.find((j) => j.drinkId === 'red' && j.extra === 'shop')!;
    const atMs = job.startMs - HOUR_MS;
    const pinned = plan(input(supper(twoDrinks, { pins: [{ drinkId: 'red', jobId: job.jobId, atMs }] })));
    const there = pinned.times!.jobs.find((j) => j.drinkId === 'red' && j.jobId === job.jobId)!;
    expect(there).toMatchObject({ startMs: atMs, pinned: true });
  });

  it('whoever has nothing to drink has, once a part is set apart', () => {
    const { mends, without } = feast.mending;
    expect(without).toEqual([]);
    expect(mends.map((m) => m.groupIds)).toEqual([['plain']]);
    const { drinkId, beforeStepId } = mends[0]!.cut;
    const drinks = twoDrinks.map((d) =>
      d.id === drinkId ? { ...d, apart: [{ id: 'a', beforeStepId, litres: 3 }] } : d,
    );
    const mended = sizeFeast(input(supper(drinks)), BOOK, TABLES);
    expect(mended.mending.mends).toEqual([]);
    const plain = supper(drinks).groups[1]!;
    expect(mended.lots.some((lot) => mayDrink(plain, lot))).toBe(true);
    // Set apart, it is to last through the evening too: where it keeps less long than the drink, all is done later.
    const short = mended.drinks.map((d) => ({
      ...d,
      cuts: d.cuts.map((c) => ({ ...c, fromDoneMs: 30 * HOUR_MS })),
    }));
    const { project } = feastProject(supper(drinks), short, kitchen, TABLES, WEDNESDAY)!;
    const chain = project.chains.find((c) => c.id === drinkId)!;
    // Thirty hours before the last glass, which is at the end of the project.
    expect(chain.notBefore).toBe(project.slots - 30 * 12);
  });

  it('drinks of the book are named for who may have none of the settled ones, each of which they may', () => {
    const strict: GatheringDoc['groups'][number] = {
      id: 'strict',
      name: 'Strict',
      least: 2,
      most: 2,
      age: 'adult',
      rules: [{ kind: 'noAddedSugar' }, { kind: 'pregnant' }, { kind: 'noRaw' }],
      thirst: 'usual',
    };
    const gathering = supper(twoDrinks, { groups: [strict] });
    const others = (groups: typeof gathering.groups) =>
      othersFor(groups, gathering, kitchen, BOOK, TABLES, WEDNESDAY, () => false);
    for (const { plan: of, recipeId } of others([strict])) {
      const drink: GatheringDrink = {
        ...made(recipeId, recipeId),
        source: { kind: 'plan', plan: of, litres: null },
      };
      const sized = sizeFeast(input(supper([drink], { groups: [strict] })), BOOK, TABLES);
      expect(sized.mending.without, recipeId).toEqual([]);
      expect(mayDrink(strict, sized.lots[0]!), recipeId).toBe(true);
    }
    // Whoever may have anything may have any that lasts; a stricter rule never opens one.
    const anybody = others([{ ...strict, rules: [] }]).map((o) => o.recipeId);
    expect(anybody.length).toBeGreaterThan(8);
    expect(anybody).toEqual(expect.arrayContaining(others([strict]).map((o) => o.recipeId)));
    expect(others([{ ...strict, rules: [{ kind: 'noCaffeine' }] }]).length).toBeGreaterThan(0);
  });

  it('a fridge that is too small is a proof; one drink that has no time is another', () => {
    const small = plan(input(supper(twoDrinks), { kitchen: { ...kitchen, fridgeFreeL: 12 } }));
    expect(small.times!.missing.length).toBeGreaterThan(0);
    expect(small.impossible?.kind).toMatch(/supply|alone/);
    const late = plan(input(supper(twoDrinks), { nowMs: SATURDAY - 2 * HOUR_MS }));
    expect(late.impossible).toMatchObject({ kind: 'alone' });
  });

  it('a batch that is on is taken as it stands: what is done is done, and what is left begins with its step', () => {
    const program = plannedDrink('deep-calyx-ginger', 'shortBoilLongSteep', 6);
    const forecast = simulateBatch(program, kitchen, TABLES);
    const steep = forecast.trace.find((t) => t.kind === 'steep')!;
    const startedMs = WEDNESDAY - (steep.startMin + 60) * MINUTE_MS;
    const on = plan(
      input(supper([{ ...made('red', 'deep-calyx-ginger'), source: { kind: 'batch', batchId: 'b' } }]), {
        batches: [
          { batchId: 'b', state: 'begun', program, forecast, startedMs, currentStepId: steep.stepId },
        ],
      }),
    );
    const jobs = on.times!.jobs.filter((j) => j.drinkId === 'red');
    expect(jobs.some((j) => j.extra === 'shop')).toBe(false);
    expect(jobs.flatMap((j) => j.parts.map((p) => p.stepId))).not.toContain(forecast.trace[0]!.stepId);
    const [first] = [...jobs].sort((a, b) => a.startMs - b.startMs);
    expect(first!.parts[0]!.stepId).toBe(steep.stepId);
    // It steeps to its end before it is strained.
    const strain = jobs.find((j) => j.parts.some((p) => p.stepId.startsWith('strain')))!;
    expect(strain.startMs).toBeGreaterThanOrEqual(startedMs + steep.endMin * MINUTE_MS - 5 * MINUTE_MS);
  });

  it('goes on as it was agreed; where a batch is late, only what has to gives way, and that is told', () => {
    const program = plannedDrink('deep-calyx-ginger', 'shortBoilLongSteep', 6);
    const forecast = simulateBatch(program, kitchen, TABLES);
    const heat = forecast.trace.find((t) => t.kind === 'heat')!;
    const red: GatheringDrink = {
      ...made('red', 'deep-calyx-ginger'),
      source: { kind: 'batch', batchId: 'b' },
    };
    const gathering = supper([red, twoDrinks[1]!]);
    const on = (lateMin: number): FeastInput =>
      input(gathering, {
        batches: [
          {
            batchId: 'b',
            state: 'begun',
            program,
            forecast,
            startedMs: WEDNESDAY - (heat.startMin - lateMin) * MINUTE_MS,
            currentStepId: heat.stepId,
          },
        ],
      });
    const first = plan(on(0));
    const agreed = timetableOf(first.times!, 'x', null);
    const never = { seed: 0.3, over: () => true };
    const again = planFeast({ ...on(0), stood: agreed }, BOOK, TABLES, never);
    expect(again.times!.jobs).toEqual(first.times!.jobs);
    expect(timetableOf(again.times!, 'x', agreed)).toEqual(agreed);
    expect(movedJobs(agreed.agreed, again.times!, WEDNESDAY)).toEqual([]);
    // Twenty minutes later on the boil: its steep goes on longer, and the other drink stays where it is.
    const late = planFeast({ ...on(20), stood: agreed }, BOOK, TABLES, never);
    expect(late.times!.missing).toEqual([]);
    const starts = (f: Feast) =>
      f.times!.jobs.filter((j) => j.drinkId === 'pineapple').map((j) => [j.jobId, j.startMs]);
    expect(starts(late)).toEqual(starts(first));
    const kept = timetableOf(late.times!, 'x', agreed);
    expect(kept.agreed).toEqual(agreed.agreed);
    expect(agreedOn(kept).agreed).toEqual(kept.places);
    // Six hours late its later jobs cannot stay.
    const much = planFeast({ ...on(360), stood: agreed }, BOOK, TABLES, never);
    const moved = movedJobs(agreed.agreed, much.times!, WEDNESDAY);
    expect(moved.length).toBeGreaterThan(0);
    expect(moved.every((m) => m.job.drinkId === 'red' && m.job.attended)).toBe(true);
    // Of another gathering nothing was agreed yet.
    expect(timetableOf(much.times!, 'y', kept).agreed).toEqual(timetableOf(much.times!, 'y', null).places);
  });

  it('where not all find hours, what is on already is not what is left out', () => {
    const program = plannedDrink('deep-calyx-ginger', 'shortBoilLongSteep', 6);
    const forecast = simulateBatch(program, kitchen, TABLES);
    const last = forecast.trace.at(-1)!;
    const red: GatheringDrink = {
      ...made('red', 'deep-calyx-ginger'),
      source: { kind: 'batch', batchId: 'b' },
    };
    // Half past eleven at night: without it nothing would be done in the night.
    const nowMs = WEDNESDAY + 6 * HOUR_MS;
    const served = WEDNESDAY + 36 * HOUR_MS;
    const full = plan(
      input(supper([twoDrinks[1]!, red], { servesAtMs: served, untilMs: served + 4 * HOUR_MS }), {
        nowMs,
        kitchen: { ...kitchen, fridgeFreeL: 14 },
        batches: [
          {
            batchId: 'b',
            state: 'begun',
            program,
            forecast,
            startedMs: nowMs - (last.startMin + 1) * MINUTE_MS,
            currentStepId: last.stepId,
          },
        ],
      }),
    );
    expect(full.times!.missing).toEqual(['pineapple']);
  });

  it('a step that is over and was not ended: what comes after it is to be done now', () => {
    const program = plannedDrink('deep-calyx-ginger', 'shortBoilLongSteep', 6);
    const forecast = simulateBatch(program, kitchen, TABLES);
    const steep = forecast.trace.find((t) => t.kind === 'steep')!;
    const red: GatheringDrink = {
      ...made('red', 'deep-calyx-ginger'),
      source: { kind: 'batch', batchId: 'b' },
    };
    const over = plan(
      input(supper([red, twoDrinks[1]!]), {
        batches: [
          {
            batchId: 'b',
            state: 'begun',
            program,
            forecast,
            startedMs: WEDNESDAY - (steep.endMin + 600) * MINUTE_MS,
            currentStepId: steep.stepId,
          },
        ],
      }),
    );
    expect(over.times!.missing).toEqual([]);
    const strain = over.times!.jobs.find((j) => j.drinkId === 'red' && /^strain/.test(j.jobId))!;
    expect(strain.startMs - WEDNESDAY).toBeLessThanOrEqual(65 * MINUTE_MS);
  });

  it('a batch that will be past its date by then is made, and is not served; frozen it is', () => {
    const program = plannedDrink('deep-calyx-ginger', 'shortBoilLongSteep', 6);
    const forecast = simulateBatch(program, kitchen, TABLES);
    const last = forecast.trace.at(-1)!;
    const on = (more: Partial<GatheringDrink>, inDays: number) =>
      input(
        supper([{ ...made('red', 'deep-calyx-ginger', more), source: { kind: 'batch', batchId: 'b' } }], {
          servesAtMs: WEDNESDAY + inDays * DAY_MS,
          untilMs: WEDNESDAY + inDays * DAY_MS + 4 * HOUR_MS,
        }),
        {
          kitchen: { ...kitchen, fridgeFreeL: 40 },
          batches: [
            {
              batchId: 'b',
              state: 'begun',
              program,
              forecast,
              startedMs: WEDNESDAY - last.startMin * MINUTE_MS,
              currentStepId: last.stepId,
            },
          ],
        },
      );
    // It keeps for days, not for ten.
    expect(plan(on({}, 1)).lots[0]!.lasts).toBe(true);
    const late = plan(on({}, 10));
    expect(late.lots[0]!.lasts).toBe(false);
    expect(late.times!.missing).toEqual([]);
    expect(late.times!.jobs.length).toBeGreaterThan(0);
    const frozen = plan(on({ frozen: true }, 10));
    expect(frozen.lots[0]!.lasts).toBe(true);
    expect(frozen.times!.jobs.map((j) => j.extra)).toContain('thaw');
  });

  it('what the cook has said is done is not asked for again', () => {
    const shops = (done: GatheringDoc['done']) =>
      plan(input(supper(twoDrinks, { done })))
        .times!.jobs.filter((j) => j.extra === 'shop')
        .map((j) => j.drinkId);
    expect(shops([]).sort()).toEqual(['pineapple', 'red']);
    expect(shops([{ drinkId: 'red', jobId: 'shop' }])).toEqual(['pineapple']);
  });

  it('tells what somebody is wanted for next, and what is done for several drinks once', () => {
    const { times } = feast;
    const jobs = nextJobs(times!, WEDNESDAY, null, 3);
    expect(jobs).toHaveLength(3);
    expect(jobs[0]!.extra).toBe('shop');
    expect(jobs[0]!.together).toHaveLength(2);
    expect(jobs[1]!.extra).not.toBe('shop');
    const last = attendedJobs(times!.jobs).at(-1)!;
    expect(nextJobs(times!, last.startMs, null, 3)).toContainEqual(last);
    expect(nextJobs(times!, WEDNESDAY, 'nobody', 3)).toEqual([]);
    // A pot that only wants an eye is the cook's: nothing that somebody is wanted for is on no list.
    const watched = attendedJobs(times!.jobs).filter((j) => j.by === null);
    expect(watched.length).toBeGreaterThan(0);
    expect(nextJobs(times!, WEDNESDAY, COOK, 100)).toEqual(attendedJobs(times!.jobs));
  });

  it('is put on the table in rounds of two hours, with ice, garnish and whom it is for', () => {
    const bottles = { ...FILLED, madeOf: ['mint-leaf'], sugarGPerL: 60, itemIds: ['x'] };
    const drink: GatheringDrink = {
      ...twoDrinks[0]!,
      served: 'iced',
      source: { kind: 'bottles', itemIds: ['x'] },
    };
    const gathering = supper([drink], { iceShare: 0.25 });
    const there = new Map([['red', { ...bottles, deadlineMs: SATURDAY + 9 * HOUR_MS }]]);
    const list = servingList(gathering, sizeFeast(input(gathering, { bottles: there }), BOOK, TABLES));
    const [served] = list.drinks;
    // Four hours: two rounds. Of five glasses three are drunk in the first two hours: 6 L × 3/5, 6 L × 2/5.
    expect(served!.rounds.map((r) => Math.round(r.litres * 10) / 10)).toEqual([3.6, 2.4]);
    expect(served!.rounds[1]!.atMs).toBe(SATURDAY + 2 * HOUR_MS);
    // 6 L in glasses of 150 mL beside 50 mL of ice: 40 glasses, 2 L of ice, 1.834 kg, a quarter more bought.
    expect(served!.pieces).toBe(40);
    expect(list.iceKg).toBeCloseTo(2 * 0.917 * 1.25, 3);
    expect(served!.garnish.map((g) => g.familyId)).toEqual(['mint']);
    expect(served!.forGroups).toEqual(['grown', 'plain']);
    // 18 guests and a quarter more.
    expect(list.glasses).toBe(23);
  });

  it('what is given away is made beside it, and is not put on the table', () => {
    const gift = { id: 'g', to: 'The neighbours', drinkId: 'red', bottles: 4, bottleMl: 500, given: false };
    const without = sizeFeast(input(supper(twoDrinks)), BOOK, TABLES);
    const withGift = supper(twoDrinks, { gifts: [gift] });
    const sized = sizeFeast(input(withGift), BOOK, TABLES);
    expect(sized.giftL).toEqual(new Map([['red', 2]]));
    const litresOf = (s: typeof sized) => s.drinks.find((d) => d.id === 'red')!.litres;
    expect(litresOf(sized) - litresOf(without)).toBeCloseTo(2, 1);
    const served = (g: GatheringDoc, s: typeof sized) =>
      servingList(g, s).drinks.find((d) => d.lotId === 'red')!.litres;
    expect(served(withGift, sized)).toBeCloseTo(served(supper(twoDrinks), without), 1);
  });

  it('what is filled and frozen is thawed in time, until that is said to be done', () => {
    const bottles = { ...FILLED, madeOf: ['clove'], sugarGPerL: 60, itemIds: ['x'] };
    const frozen: GatheringDrink = {
      ...twoDrinks[0]!,
      source: { kind: 'bottles', itemIds: ['x'] },
      frozen: true,
    };
    const there = new Map([['red', { ...bottles, deadlineMs: SATURDAY + 90 * DAY_MS }]]);
    const jobs = (done: GatheringDoc['done']) =>
      plan(input(supper([frozen], { done }), { bottles: there })).times!.jobs;
    const [thaw] = jobs([]);
    expect(thaw).toMatchObject({ drinkId: 'red', extra: 'thaw', attended: true });
    // A day in the fridge before it is served, and no sooner than it keeps thawed.
    expect(thaw!.startMs).toBeLessThanOrEqual(SATURDAY - DAY_MS);
    expect(thaw!.endMs).toBeGreaterThanOrEqual(SATURDAY + 4 * HOUR_MS - 3 * DAY_MS);
    expect(jobs([{ drinkId: 'red', jobId: 'thaw' }])).toEqual([]);
  });

  it('bottles that lie in the freezer are thawed in time, whatever was settled of them', () => {
    const bottles = { ...FILLED, madeOf: ['clove'], sugarGPerL: 60, itemIds: ['x'], frozenL: 3 };
    const drink: GatheringDrink = { ...twoDrinks[0]!, source: { kind: 'bottles', itemIds: ['x'] } };
    const there = new Map([['red', { ...bottles, deadlineMs: SATURDAY + 90 * DAY_MS }]]);
    const { times } = plan(input(supper([drink]), { bottles: there }));
    expect(times!.jobs).toMatchObject([{ drinkId: 'red', extra: 'thaw' }]);
    // Once they stand elsewhere there is nothing to do.
    const thawed = new Map([['red', { ...there.get('red')!, frozenL: 0 }]]);
    expect(plan(input(supper([drink]), { bottles: thawed })).times!.jobs).toEqual([]);
  });

  it('bottles that stand there are poured, as long as they are good', () => {
    const bottles = { ...FILLED, madeOf: ['clove'], sugarGPerL: 60, itemIds: ['x'] };
    const drink: GatheringDrink = { ...twoDrinks[0]!, source: { kind: 'bottles', itemIds: ['x'] } };
    const good = sizeFeast(
      input(supper([drink]), {
        bottles: new Map([['red', { ...bottles, deadlineMs: SATURDAY + 9 * HOUR_MS }]]),
      }),
      BOOK,
      TABLES,
    );
    expect(good.lots[0]).toMatchObject({ sugarGPerGlass: 12, lasts: true });
    const old = sizeFeast(
      input(supper([drink]), { bottles: new Map([['red', { ...bottles, deadlineMs: SATURDAY + HOUR_MS }]]) }),
      BOOK,
      TABLES,
    );
    expect(old.lots[0]!.lasts).toBe(false);
    expect(old.drinks[0]).toMatchObject({ recipeId: 'deep-calyx-ginger', colour: '#a01020' });
    expect(servingList(supper([drink]), old).drinks).toEqual([]);
  });
});
