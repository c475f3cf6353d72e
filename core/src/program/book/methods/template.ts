import type { Choices, Recipe, RecipeLine, RecipePart, RecipeStep } from '../../../documents/recipe.ts';
import { FIRM_SKINS, TENDER_SKINS } from '../../../tables/traits.ts';
import type { Tables } from '../../../tables/types.ts';
import { traitsOf } from '../../model/tags.ts';
import { BLENDER, BOWL, JUG, jarOf, POT, SPICE_POT } from '../../model/vessels.ts';

/** What a method's template works on: the recipe's lines, sorted by where in the work they come in. */
export interface Template {
  recipe: Recipe;
  choices: Choices;
  tables: Tables;
  /** Lines of the pot, liquids before solids, without the water. */
  pot: readonly string[];
  water: readonly string[];
  late: readonly RecipeLine[];
  offHeat: readonly RecipeLine[];
  /** Fruit that is not cooked in. */
  rawFruit: readonly string[];
  steps: RecipeStep[];
}

/** Adds a step; its id is its place in the list. */
export function add(
  t: Template,
  kind: RecipeStep['kind'],
  lineIds: readonly string[],
  says: Omit<RecipeStep, 'id' | 'kind' | 'lineIds'> = {},
): void {
  t.steps.push({ ...says, id: `s${t.steps.length + 1}`, kind, lineIds: [...lineIds] });
}

const ids = (lines: readonly RecipeLine[]): string[] => lines.map((l) => l.id);
export const fillsUp = (line: Pick<RecipeLine, 'rule'>): boolean =>
  line.rule.kind === 'toVolume' || line.rule.kind === 'cover';

/** Solids before liquids would splash: water first, then what floats and sinks in it. */
export const pourFirst = (lines: readonly RecipeLine[]): string[] => [
  ...ids(lines.filter((l) => l.kind !== 'solid')),
  ...ids(lines.filter((l) => l.kind === 'solid')),
];

export function templateOf(recipe: Recipe, choices: Choices, tables: Tables, cookFruit: boolean): Template {
  const { lines } = recipe;
  const inPot = lines.filter((l) => l.stream === 'pot' || (l.stream === 'fruit' && cookFruit));
  return {
    recipe,
    choices,
    tables,
    pot: pourFirst(inPot.filter((l) => !fillsUp(l))),
    water: ids(lines.filter(fillsUp)),
    late: lines.filter((l) => l.stream === 'late'),
    offHeat: lines.filter((l) => l.stream === 'offHeat'),
    rawFruit: cookFruit ? [] : ids(lines.filter((l) => l.stream === 'fruit')),
    steps: [],
  };
}

/** What is drawn in the end: what goes in from the start, late and off the heat. */
export const allSolids = (t: Template): string[] => [...t.pot, ...ids([...t.late, ...t.offHeat])];

/** As the recipe says, and where it says nothing, as the skin asks; of fresh juice the fruit is washed. */
function washOf(line: RecipeLine, tables: Tables): RecipeLine['wash'] {
  if (line.wash !== 'none') return line.wash;
  if (line.kind === 'liquid' && tables.liquids.get(line.itemId)?.treatment !== 'rawJuice') return 'none';
  const traits = traitsOf([line.itemId], tables);
  if (TENDER_SKINS.some((trait) => traits.has(trait))) return 'rinse';
  return FIRM_SKINS.some((trait) => traits.has(trait)) ? 'scrub' : 'none';
}

/** Picked over first; whole things are washed before any knife touches them. */
export function washAndCut(t: Template): void {
  const { recipe, tables } = t;
  const washed = (how: RecipeLine['wash']) => ids(recipe.lines.filter((l) => washOf(l, tables) === how));
  const swirled = washed('swirl');
  const soft = recipe.lines.filter(
    (l) => l.kind === 'solid' && !swirled.includes(l.id) && traitsOf([l.itemId], tables).has('soft'),
  );
  const picked = [...swirled, ...ids(soft)];
  if (picked.length) add(t, 'pick', picked, { minutes: swirled.length ? 3 : 2, minutesPerL: 0.3 });
  if (swirled.length) add(t, 'wash', swirled);
  const scrubbed = washed('scrub');
  if (scrubbed.length) add(t, 'wash', scrubbed, { rinses: 2, minutesPerRinse: 2 });
  const rinsed = washed('rinse');
  if (rinsed.length) add(t, 'wash', rinsed, { rinses: 1, minutesPerRinse: 1.5 });
  const prepared = ids(recipe.lines.filter((l) => l.prep && l.kind === 'solid'));
  if (prepared.length) add(t, 'prep', prepared);
}

/** A part made aside, into a jar of its own. */
export function makePart(t: Template, part: RecipePart, heats: boolean): void {
  const own = t.recipe.lines.filter((l) => l.stream === 'part' && l.partId === part.id);
  const jar = jarOf(part.id);
  const strained = { from: [part.how === 'blend' ? BLENDER : SPICE_POT], to: jar, press: part.press };
  switch (part.how) {
    case 'juice':
      add(t, 'juice', ids(own), { to: jar });
      return;
    case 'blend':
      add(t, 'blend', pourFirst(own), { from: [BLENDER], to: BLENDER, minutes: 4, minutesPerL: 0.3 });
      add(t, 'strain', [], { ...strained, cloth: true, keepSolids: false, minutes: 5, minutesPerL: 0.3 });
      return;
    case 'boil': {
      const there = { from: [SPICE_POT], to: SPICE_POT };
      add(t, 'combine', pourFirst(own), { to: SPICE_POT, minutes: 3 });
      add(t, 'heat', [], { ...there, lid: 'on' });
      add(t, 'boil', [], {
        ...there,
        lid: 'on',
        level: 'simmer',
        minutes: part.boilMin ?? 20,
        attention: 'watched',
      });
      add(t, 'strain', [], { ...strained, cloth: false, keepSolids: false, minutes: 4 });
      // What waits to be stirred in cold is cooled like everything else.
      if (part.joins === 'after' || !heats)
        add(t, 'cool', [], { from: [jar], to: jar, place: 'iceBath', lid: 'off', attention: 'unattended' });
      return;
    }
  }
}

const jarsInto = (t: Template, where: RecipePart['joins']): string[] =>
  (t.recipe.parts ?? []).filter((p) => p.joins === where).map((p) => jarOf(p.id));
export const jarsForPot = (t: Template): string[] => jarsInto(t, 'pot');

export function fillPot(t: Template, lineIds: readonly string[], says: Partial<RecipeStep> = {}): void {
  add(t, 'combine', lineIds, { to: POT, minutes: 4, ...says });
}

/** Everything into the pot, with what was made aside for it. */
export const fillWithAll = (t: Template, says: Partial<RecipeStep> = {}): void =>
  fillPot(t, [...t.water, ...t.pot], { from: [BOWL, ...jarsForPot(t)], ...says });

export const heatUp = (t: Template): void => add(t, 'heat', []);

export function boilFor(t: Template, length: number, level: 'gentle' | 'simmer' = 'gentle'): void {
  if (length <= 0) return;
  add(t, 'boil', [], { minutes: length, minMinutes: Math.min(3, length), maxMinutes: length * 2, level });
}

/** A boil into which some lines come late: each stops it until the pot boils again. */
export function boilWithLate(t: Template, length: number, level: 'gentle' | 'simmer' = 'gentle'): void {
  const late = t.late
    .map((l) => ({ id: l.id, left: Math.min(length, l.minutes ?? 5) }))
    .sort((x, y) => y.left - x.left);
  let left = length;
  for (const at of new Set(late.map((l) => l.left))) {
    boilFor(t, left - at, level);
    fillPot(
      t,
      late.filter((l) => l.left === at).map((l) => l.id),
      { minutes: 1 },
    );
    heatUp(t);
    left = at;
  }
  boilFor(t, left, level);
}

/** Tender herbs go in when the flame is off, for a while of their own; before a long steep they come out again. */
export function herbsOffHeat(t: Template, lift: boolean): void {
  if (!t.offHeat.length) return;
  const lineIds = ids(t.offHeat);
  const stand = Math.max(...t.offHeat.map((l) => l.minutes ?? 10));
  fillPot(t, lineIds, { minutes: 1 });
  add(t, 'steep', [], {
    place: 'counter',
    minutes: stand,
    minMinutes: Math.round(stand / 2),
    maxMinutes: stand * 2,
  });
  if (lift) add(t, 'lift', lineIds, { minutes: 2 });
}

/** Hours in the pot, in the fridge or beside the stove. */
export function steepLong(t: Template): void {
  const { steepMin, steepPlace } = t.choices;
  if (steepPlace === 'fridge') add(t, 'cool', [], { place: 'iceBath' });
  add(t, 'steep', [], {
    place: steepPlace,
    minutes: steepMin,
    minMinutes: Math.round(steepMin / 3),
    maxMinutes: Math.max(steepMin * 1.5, steepMin + 30),
  });
}

export function strainOff(t: Template, keepSolids = false): void {
  const { cloth } = t.recipe;
  add(t, 'strain', [], { cloth, keepSolids, minutes: 8, minutesPerL: cloth ? 1.2 : 0.7 });
}

/** What is strained hot cools before raw juice and bottles. */
export const coolDown = (t: Template): void => add(t, 'cool', []);

/** Fruit that is not cooked in: juiced, and kept cold until the rest is cool. */
export function juiceAside(t: Template): void {
  if (t.rawFruit.length) add(t, 'juice', t.rawFruit, { to: JUG });
}

/** Cold: raw juice and made parts go in, then the sweetener by taste, then the bottles. */
export function finish(t: Template, last: string, options: { after: boolean; jug: boolean }): void {
  const { recipe } = t;
  const after = options.after ? recipe.lines.filter((l) => l.stream === 'after') : [];
  const jars = [...(options.jug && t.rawFruit.length ? [JUG] : []), ...jarsInto(t, 'after')];
  if (after.length || jars.length)
    add(t, 'mix', ids(after), {
      from: [last, ...jars],
      to: last,
      minutes: after.reduce((sum, l) => sum + (l.prep?.minutes ?? 0), 3),
    });
  const sweet = ids(recipe.lines.filter((l) => l.stream === 'sweet'));
  if (sweet.length) add(t, 'sweeten', sweet, { minutes: 15 });
  add(t, 'bottle', []);
}
