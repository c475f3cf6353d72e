import { type Burner, EMPTY_KITCHEN, type Kitchen, type Pot } from '../../documents/kitchen.ts';
import { solvePlan } from '../../plan/solve.ts';
import { BOOK } from '../../program/book/book.ts';
import { defaultChoices } from '../../program/book/recipe.ts';
import type { PlannedProgram, ProgramLine } from '../../program/model/program.ts';
import type { Step } from '../../program/model/steps.ts';
import type { VesselSpec } from '../../program/model/vessel.ts';
import { simulateBatch } from '../../program/simulate/simulate.ts';
import { SHIPPED_TABLES } from '../../tables/index.ts';
import type { Tables } from '../../tables/types.ts';
import type { Random } from './random.ts';

/** A program as it would go by itself: what a course begins from. */
export interface Planned {
  program: PlannedProgram;
  kitchen: Kitchen;
  /** Minutes of each step by the model. */
  lengths: readonly number[];
  shipped: boolean;
}

/** Water that counts as raw and has plenty of alkali: nothing but that sets it apart from water. */
export const MILD_RAW = 'law-mild-raw';
/** An acid that is not raw, as heavy as water. */
export const PLAIN_ACID = 'law-acid';
/** The same without its acid. */
export const PLAIN = 'law-plain';

const water = SHIPPED_TABLES.liquids.get('water')!;
/** The shipped tables, with liquids that differ from water in one thing each. */
export const LAW_TABLES: Tables = {
  ...SHIPPED_TABLES,
  liquids: new Map([
    ...SHIPPED_TABLES.liquids,
    [MILD_RAW, { ...water, id: MILD_RAW, treatment: 'rawJuice', taGPerL: 0, alkaliMeqPerL: 25 }],
    [PLAIN, { ...water, id: PLAIN, treatment: 'bought' }],
    [PLAIN_ACID, { ...water, id: PLAIN_ACID, treatment: 'bought', taGPerL: 60, alkaliMeqPerL: 5 }],
  ]),
};

const POTS: Pot[] = [
  { id: 'pot', name: 'Pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: 2900 },
  { id: 'tall', name: 'Tall', diameterCm: 34, heightCm: 32, material: 'enamel', lid: true, massG: null },
];
const BURNERS: Burner[] = [
  { id: 'gas', name: 'Gas', kind: 'gas', powerW: 3000 },
  { id: 'plate', name: 'Plate', kind: 'induction', powerW: 2000 },
];
function kitchenOf(r: Random): Kitchen {
  const roomC = r.between(15, 32);
  // The tap is as warm as the room: what is poured in differs in what it is, not in how warm it is.
  return {
    ...EMPTY_KITCHEN,
    pots: POTS,
    burners: BURNERS,
    roomC,
    tapC: roomC,
    fridgeC: r.between(3, 7),
    fridgeFreeL: 60,
  };
}

function planned(program: PlannedProgram, kitchen: Kitchen, shipped: boolean): Planned | null {
  const sim = simulateBatch(program, kitchen, LAW_TABLES);
  if (sim.problem || !sim.vessels.bottles) return null;
  return { program, kitchen, lengths: sim.trace.map((t) => t.endMin - t.startMin), shipped };
}

/** A drink of the book by one of its methods, 2 to 20 L, in one fill or two. */
function shipped(r: Random): Planned | null {
  const recipe = r.pick(BOOK);
  const methodId = r.pick(recipe.methods);
  const kitchen = kitchenOf(r);
  const choices = {
    ...defaultChoices(recipe, methodId),
    steepPlace: r.pick(['fridge', 'counter'] as const),
    soakPlace: r.pick(['fridge', 'counter'] as const),
    coolBy: r.pick(['iceBath', 'fridge', 'counter', 'bottles'] as const),
    fruit: r.pick(['cooked', 'raw'] as const),
    steepMin: r.pick([30, 90, 180, 240, 480]),
  };
  const solved = solvePlan({
    recipe,
    choices,
    kitchen,
    tables: LAW_TABLES,
    pot: POTS[1]!,
    burner: BURNERS[0]!,
    wish: { question: { kind: 'litres', litres: r.between(2, 20) }, fills: r.chance(0.25) ? 2 : 1 },
  });
  return solved.ok ? planned(solved.value.program, kitchen, true) : null;
}

const VESSELS: VesselSpec[] = [
  { id: 'pot', kind: 'pot', shape: { diameterM: 0.34, heightM: 0.32 }, massG: 2900, potId: 'tall' },
  { id: 'bowl', kind: 'bowl', shape: null, massG: 0 },
  { id: 'tub', kind: 'tub', shape: null, massG: 0 },
  { id: 'jar', kind: 'jar', shape: null, massG: 0 },
  { id: 'blender', kind: 'blender', shape: null, massG: 0 },
  { id: 'bottles', kind: 'bottles', shape: null, massG: 0 },
  { id: 'spent', kind: 'spent', shape: null, massG: 0 },
];
const SOLIDS = [
  'hibiscus-dried',
  'ginger-sliced',
  'pineapple-peel',
  'orange-peel',
  'ginger-grated',
  'turmeric-grated',
];
const LATE = [
  PLAIN_ACID,
  PLAIN_ACID,
  MILD_RAW,
  'lemon-juice',
  'cider-vinegar',
  'spirit-40',
  'pineapple-juice',
  'sugar-white',
];

/** Steps of a cook's own over pot, tub and jar: soaked, heated, heated again, drawn twice, parted and joined. */
function own(r: Random): Planned | null {
  const kitchen = kitchenOf(r);
  const litres = r.between(2, 14);
  const lines: ProgramLine[] = [];
  const steps: Step[] = [];
  const line = (kind: ProgramLine['kind'], itemId: string, massG: number): string => {
    const id = `l${lines.length}`;
    lines.push({ id, kind, itemId, rule: { kind: 'linear' }, massG });
    return id;
  };
  const add = (kind: Step['kind'], at: string, to: string, more: object = {}) =>
    steps.push({
      id: `${kind}-${steps.length}`,
      kind,
      from: [at],
      to: [to],
      lines: [],
      fill: 0,
      until: { kind: 'duration', minutes: 5 },
      attention: 'handsOn',
      ...more,
    } as unknown as Step);
  const minutes = (low: number, high: number) => ({
    until: { kind: 'duration' as const, minutes: Math.round(r.between(low, high)) },
  });
  const solids = Array.from({ length: 1 + Math.floor(r.next() * 3) }, () =>
    line('solid', r.pick(SOLIDS), r.between(10, 60) * litres * 0.3),
  );
  if (r.chance(0.5)) add('wash', 'bowl', 'bowl', { lines: solids, rinses: 2, minutesPerRinse: 2 });
  const first = [line('liquid', 'water', litres * 1000)];
  if (r.chance(0.5)) first.push(line('liquid', PLAIN_ACID, r.between(20, 160) * litres));
  add('combine', 'bowl', 'pot', { lines: [...first, ...solids] });
  const place = () => r.pick(['counter', 'counter', 'fridge'] as const);
  const heat = () => {
    add('heat', 'pot', 'pot', { burnerId: 'gas', lid: 'on', until: { kind: 'temp', targetC: null } });
    add('boil', 'pot', 'pot', {
      burnerId: 'gas',
      level: 'gentle',
      lid: r.pick(['on', 'ajar', 'off']),
      ...minutes(3, 30),
    });
  };
  if (r.chance(0.5)) add('soak', 'pot', 'pot', { place: place(), lid: 'on', ...minutes(20, 300) });
  if (r.chance(0.85)) heat();
  if (r.chance(0.5)) add('steep', 'pot', 'pot', { place: place(), lid: 'on', ...minutes(10, 300) });
  if (r.chance(0.25)) heat();
  // Warm or hot for hours on a low flame.
  if (r.chance(0.25)) {
    const targetC = Math.round(r.between(35, 92));
    add('heat', 'pot', 'pot', { burnerId: 'gas', lid: 'on', until: { kind: 'temp', targetC } });
    add('steep', 'pot', 'pot', { place: 'stove', holdC: targetC, lid: 'on', ...minutes(10, 240) });
  }
  const keep = r.chance(0.25);
  const aside = !keep && r.chance(0.3);
  add('strain', 'pot', 'tub', {
    press: 'press',
    cloth: false,
    keepSolids: keep,
    ...(aside ? { asideSolids: true } : {}),
    ...(r.chance(0.3) ? { rinseMl: 50 * litres } : {}),
    ...minutes(5, 25),
  });
  // What was put aside is blended with more water, after hours in its bowl or at once.
  if (aside) {
    add('blend', 'blender', 'blender', {
      lines: [...solids, line('liquid', 'water', litres * 200)],
      ...minutes(3, 90),
    });
    add('strain', 'blender', 'tub', { press: 'wring', cloth: true, keepSolids: false, ...minutes(5, 20) });
  }
  if (keep) {
    add('combine', 'bowl', 'pot', { lines: [line('liquid', 'water', litres * 300)] });
    if (r.chance(0.8)) heat();
    add('strain', 'pot', 'tub', { press: 'press', cloth: false, keepSolids: false, ...minutes(5, 20) });
  }
  if (r.chance(0.3)) add('split', 'tub', 'jar', { share: r.between(0.1, 0.5), ...minutes(1, 5) });
  if (r.chance(0.85))
    add('cool', 'tub', 'tub', {
      place: r.pick(['iceBath', 'iceBath', 'fridge', 'counter']),
      lid: 'off',
      ...minutes(20, 240),
    });
  const parted = steps.some((s) => s.kind === 'split');
  if (r.chance(0.6) || parted) {
    const item = r.pick(LATE);
    add('mix', 'tub', 'tub', {
      from: parted ? ['tub', 'jar'] : ['tub'],
      lines: [line(item === 'sugar-white' ? 'sweetener' : 'liquid', item, r.between(10, 150) * litres)],
      ...minutes(2, 20),
    });
  }
  add('bottle', 'tub', 'bottles', { hygiene: 'sterilised', ...minutes(5, 30) });
  return planned(
    {
      recipeId: 'own',
      recipeVersion: 1,
      methodId: 'own',
      potId: 'tall',
      burnerId: 'gas',
      fills: 1,
      vessels: VESSELS,
      lines,
      steps,
    },
    kitchen,
    false,
  );
}

/** So many programs, half of them shipped. Those that cannot be followed are made again. */
export function poolOf(r: Random, size: number): Planned[] {
  const pool: Planned[] = [];
  for (let tries = 0; pool.length < size && tries < size * 6; tries++) {
    const one = pool.length % 2 === 0 ? shipped(r) : own(r);
    if (one) pool.push(one);
  }
  return pool;
}
