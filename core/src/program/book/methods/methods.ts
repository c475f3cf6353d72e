import type { Choices, MethodId, Recipe, RecipeStep, RecipeTimes } from '../../../documents/recipe.ts';
import type { Tables } from '../../../tables/types.ts';
import { BLENDER, BOWL, JUG, TUB } from '../../model/vessels.ts';
import {
  add,
  allSolids,
  boilFor,
  boilWithLate,
  coolDown,
  fillPot,
  fillWithAll,
  finish,
  heatUp,
  herbsOffHeat,
  jarsForPot,
  juiceAside,
  makePart,
  steepLong,
  strainOff,
  type Template,
  templateOf,
  washAndCut,
} from './template.ts';

/** What a cook chooses of a method, beside what holds for every drink. */
export type MethodChoice =
  | 'boilMin'
  | 'lid'
  | 'simmerMin'
  | 'soakMin'
  | 'steepMin'
  | 'pourMin'
  | 'secondBoilMin'
  | 'matureMin';

/** A way of drawing that the book knows. */
export interface Method {
  /** The drink is boiled or heated; without it nothing but a part made aside is. */
  heats: boolean;
  /** Fruit may be cooked in. */
  cooksFruit: boolean;
  /** Says itself what is stirred in at its end: there is no place for other ways to the target. */
  endsItself: boolean;
  /** Its steps are the whole drink: washing, cutting and bottling too. */
  whole?: true;
  /** What the plants are put into. */
  into: 'cold' | 'boiling' | 'blender';
  /** How long the main boil is where the recipe says nothing else: one of its times, or so many minutes. */
  boils: keyof RecipeTimes | number;
  choices: readonly MethodChoice[];
  /** The drawing itself, in ordinary steps. */
  expand: (t: Template) => void;
}

/** Of the water of a raw blend this share rinses what stays in the cloth. */
const RINSE_SHARE = 0.15;

const keepBack = (t: Template, share: number): Pick<RecipeStep, 'shares'> => ({
  shares: t.water.map((lineId) => ({ lineId, share: 1 - share })),
});

const HOT = { heats: true, cooksFruit: true, endsItself: false, into: 'cold' } as const;

/** Every way of drawing: what it is, what it lets choose, the steps that it stands for. */
export const METHODS: Readonly<Record<MethodId, Method>> = {
  straightBoil: {
    ...HOT,
    boils: 'straightBoilMin',
    choices: ['boilMin', 'lid'],
    expand: (t) => {
      fillWithAll(t);
      heatUp(t);
      boilWithLate(t, t.choices.boilMin);
      herbsOffHeat(t, false);
      strainOff(t);
      coolDown(t);
    },
  },
  overnightSoak: {
    ...HOT,
    boils: 'straightBoilMin',
    choices: ['soakMin', 'boilMin', 'lid'],
    expand: (t) => {
      const { soakMin, soakPlace } = t.choices;
      fillWithAll(t);
      add(t, 'soak', [], {
        place: soakPlace,
        minutes: soakMin,
        minMinutes: Math.round(soakMin / 3),
        maxMinutes: soakMin * 1.5,
      });
      heatUp(t);
      boilWithLate(t, t.choices.boilMin);
      herbsOffHeat(t, false);
      strainOff(t);
      coolDown(t);
    },
  },
  longSimmer: {
    ...HOT,
    boils: 10,
    choices: ['boilMin', 'lid', 'simmerMin'],
    expand: (t) => {
      fillWithAll(t);
      heatUp(t);
      boilFor(t, t.choices.boilMin);
      boilWithLate(t, t.choices.simmerMin, 'simmer');
      herbsOffHeat(t, false);
      strainOff(t);
      coolDown(t);
    },
  },
  doubleDraw: {
    ...HOT,
    boils: 'straightBoilMin',
    choices: ['boilMin', 'lid', 'secondBoilMin'],
    expand: (t) => {
      fillWithAll(t, keepBack(t, t.choices.secondShare));
      heatUp(t);
      boilWithLate(t, t.choices.boilMin);
      strainOff(t, true);
      fillPot(t, t.water);
      heatUp(t);
      boilFor(t, t.choices.secondBoilMin);
      herbsOffHeat(t, false);
      strainOff(t);
      coolDown(t);
    },
  },
  pourOver: {
    ...HOT,
    cooksFruit: false,
    into: 'boiling',
    boils: 'boilMin',
    choices: ['pourMin'],
    expand: (t) => {
      const { pourMin } = t.choices;
      fillPot(t, t.water, { from: [BOWL, ...jarsForPot(t)] });
      heatUp(t);
      fillPot(t, allSolids(t));
      add(t, 'steep', [], {
        place: 'counter',
        minutes: pourMin,
        minMinutes: Math.round(pourMin / 2),
        maxMinutes: pourMin * 2,
      });
      strainOff(t);
      coolDown(t);
    },
  },
  firstBubbles: {
    ...HOT,
    boils: 'boilMin',
    choices: ['steepMin'],
    expand: (t) => {
      fillPot(t, [...t.water, ...t.pot, ...t.late.map((l) => l.id)], { from: [BOWL, ...jarsForPot(t)] });
      add(t, 'heat', [], { heatTo: 'firstBubbles' });
      herbsOffHeat(t, true);
      steepLong(t);
      strainOff(t);
      if (t.choices.steepPlace !== 'fridge') coolDown(t);
    },
  },
  shortBoilLongSteep: {
    ...HOT,
    boils: 'boilMin',
    choices: ['boilMin', 'lid', 'steepMin'],
    expand: (t) => {
      fillWithAll(t);
      heatUp(t);
      boilWithLate(t, t.choices.boilMin);
      herbsOffHeat(t, true);
      steepLong(t);
      strainOff(t);
      // What stood in the fridge is cold already.
      if (t.choices.steepPlace !== 'fridge') coolDown(t);
    },
  },
  /** Blended with most of the water, strained; the cloth rinsed with the rest. */
  rawBlend: {
    heats: false,
    cooksFruit: false,
    endsItself: false,
    into: 'blender',
    boils: 'boilMin',
    choices: [],
    expand: (t) => {
      const strain = (keepSolids: boolean) =>
        add(t, 'strain', [], {
          from: [BLENDER],
          to: TUB,
          press: 'wring',
          cloth: t.recipe.cloth,
          keepSolids,
          minutes: 6,
          minutesPerL: 1.5,
        });
      add(t, 'blend', [...t.water, ...allSolids(t)], {
        from: [BLENDER, ...jarsForPot(t)],
        to: BLENDER,
        minutes: 5,
        minutesPerL: 1.5,
        ...keepBack(t, RINSE_SHARE),
      });
      strain(true);
      add(t, 'combine', t.water, { to: BLENDER, minutes: 2 });
      strain(false);
      if (t.rawFruit.length) add(t, 'juice', t.rawFruit, { to: TUB });
    },
  },
  /** Juice, sweetener and vinegar in equal parts, with what draws in them, shaken for some days. */
  cordial: {
    heats: false,
    cooksFruit: false,
    endsItself: true,
    into: 'cold',
    boils: 'boilMin',
    choices: ['matureMin'],
    expand: (t) => {
      const { matureMin } = t.choices;
      const there = { from: [TUB], to: TUB };
      if (t.rawFruit.length) add(t, 'juice', t.rawFruit, { to: TUB });
      const after = t.recipe.lines.filter((l) => l.stream === 'after').map((l) => l.id);
      add(t, 'mix', after, { ...there, minutes: 6 });
      const solids = [...t.pot, ...t.water, ...t.late.map((l) => l.id), ...t.offHeat.map((l) => l.id)];
      if (solids.length) add(t, 'combine', solids, { to: TUB, minutes: 3 });
      add(t, 'steep', [], {
        ...there,
        place: 'fridge',
        minutes: matureMin,
        minMinutes: Math.round(matureMin * 0.5),
        maxMinutes: matureMin * 3,
      });
      if (solids.length)
        add(t, 'strain', [], {
          from: [TUB],
          to: JUG,
          cloth: t.recipe.cloth,
          keepSolids: false,
          minutes: 6,
        });
    },
  },
  /** The cook's own steps, as they are written. */
  own: {
    heats: true,
    cooksFruit: true,
    endsItself: true,
    whole: true,
    into: 'cold',
    boils: 'boilMin',
    choices: [],
    expand: (t) => {
      t.steps.push(...(t.recipe.steps ?? []));
    },
  },
};

/** Whether fruit is cooked in, or juiced raw. */
const cooksFruit = (choices: Choices): boolean =>
  choices.fruit === 'cooked' && METHODS[choices.methodId].cooksFruit;

/** The steps that make one part of a recipe. */
export function partSteps(recipe: Recipe, choices: Choices, tables: Tables, partId: string): RecipeStep[] {
  const t = templateOf(recipe, choices, tables, cooksFruit(choices));
  const part = recipe.parts?.find((p) => p.id === partId);
  if (part) makePart(t, part, METHODS[choices.methodId].heats);
  return t.steps;
}

/**
 * A recipe by one of its methods, as ordinary steps that could have been written by hand.
 * @param taken parts that stand ready on the shelf and are not made.
 */
export function expand(
  recipe: Recipe,
  choices: Choices,
  tables: Tables,
  taken: ReadonlySet<string> = new Set(),
): RecipeStep[] {
  const method = METHODS[choices.methodId];
  const t = templateOf(recipe, choices, tables, cooksFruit(choices));
  if (method.whole) {
    method.expand(t);
    return t.steps;
  }
  washAndCut(t);
  for (const part of recipe.parts ?? []) if (!taken.has(part.id)) makePart(t, part, method.heats);
  method.expand(t);
  if (method.heats) juiceAside(t);
  // A cordial that was strained stands in its jug.
  const last = t.steps.at(-1)?.to === JUG && !method.heats ? JUG : TUB;
  finish(t, last, { after: !method.endsItself, jug: method.heats });
  return t.steps;
}
