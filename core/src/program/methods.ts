import type { Choices, JuiceTool, RecipeLine, RecipePart } from '../documents/recipe.ts';
import { scaled, WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { estimatePh } from '../liquor/ph.ts';
import { coverWaterMl } from '../physics/room.ts';
import { areaM2 } from '../physics/vesselShape.ts';
import { FIRM_SKINS, TENDER_SKINS } from '../tables/traits.ts';
import type { Tables } from '../tables/types.ts';
import {
  BLENDER,
  BOTTLES,
  BOWL,
  type BuildContext,
  type BuildInput,
  JUG,
  jarOf,
  minutes,
  POT,
  SPENT,
  SPICE_POT,
  TUB,
} from './buildContext.ts';
import { juiceToolOf, potCapacityMl, potMassG, potShape } from './kitchen.ts';
import { ownSteps } from './ownSteps.ts';
import { COLD_METHODS } from './recipe.ts';
import { simulateBatch } from './simulate.ts';
import { stepBuilder } from './stepBuilder.ts';
import { itemsIn, traitsOf } from './tags.ts';
import type { LineId, PlannedProgram, ProgramLine, VesselSpec } from './types.ts';

const MINUTES_PER_RINSE = 1.5;
/**
 * Cooled to this in ice before a cold steep and before bottling, °C: a drink sour enough to count as acid may finish
 * in the fridge; any other is brought all the way down, for its second stage of cooling has a limit.
 */
const COLD_C = { sour: 8, other: 5 };
/** Sour enough, with room for what the estimate misses: of all that the lines could give. */
const SURELY_SOUR_PH = 3.1;
/** Cool enough to mix raw juice in and to fill cold glass on the counter way, °C. */
const COUNTER_COOL_C = 25;
/** Small bubbles at the rim, °C below the boil. */
const RIM_BUBBLES_BELOW_C = 8;
/** Putting a tub into the fridge, minutes. */
const PUT_AWAY_MIN = 2;
/** Of the water of a raw blend this share rinses what stays in the cloth. */
const RINSE_SHARE = 0.15;

/** Handling time that grows with the batch, minutes: a fixed part and so much for each litre. */
const handling = (fixed: number, perL: number, litres: number): number => Math.round(fixed + perL * litres);

/** Solids before liquids would splash: water first, then what floats and sinks in it. */
const pourFirst = (lines: readonly RecipeLine[]): LineId[] => [
  ...lines.filter((l) => l.kind !== 'solid').map((l) => l.id),
  ...lines.filter((l) => l.kind === 'solid').map((l) => l.id),
];

const isWater = (line: RecipeLine): boolean => line.rule.kind === 'toVolume' || line.rule.kind === 'cover';

/** How a method uses the water of a recipe: all at once, or a share of it kept for later. */
function laterShare(choices: Choices): { share: number; name: 'second' | 'rinse' } | null {
  if (choices.methodId === 'doubleDraw') return { share: choices.secondShare, name: 'second' };
  if (choices.methodId === 'rawBlend') return { share: RINSE_SHARE, name: 'rinse' };
  return null;
}

function coldC(m: BuildContext): number {
  let acidG = 0;
  let alkaliMeq = m.kitchen.hardnessMeqPerL * m.litres;
  for (const line of m.lines) {
    const solid = m.tables.ingredients.get(line.itemId);
    const liquid = m.tables.liquids.get(line.itemId);
    if (solid) {
      acidG += (line.massG * solid.acidPct) / 100;
      alkaliMeq += (line.massG * solid.alkaliMeqPerKg) / 1000;
    } else if (liquid && liquid.treatment !== 'water') {
      const litres = line.massG / liquid.densityGPerMl / 1000;
      acidG += liquid.taGPerL * litres;
      alkaliMeq += liquid.alkaliMeqPerL * litres;
    }
  }
  const pH = estimatePh(acidG / m.litres, alkaliMeq / m.litres);
  return pH.kind === 'estimate' && pH.pH <= SURELY_SOUR_PH ? COLD_C.sour : COLD_C.other;
}

/** The lines of the program: water "to cover" is worked out, and split where a method pours it twice. */
function programLines(input: BuildInput): { lines: ProgramLine[]; second: Map<LineId, LineId> } {
  const { recipe, choices, pot, fills, tables } = input;
  const later = laterShare(choices);
  const second = new Map<LineId, LineId>();
  const lines = input.lines.flatMap((line): ProgramLine[] => {
    let { massG } = line;
    if (line.rule.kind === 'cover') {
      const solids = recipe.lines.flatMap((l) => {
        const row = l.kind === 'solid' && l.stream === 'pot' ? tables.ingredients.get(l.itemId) : undefined;
        const grams = input.lines.find((p) => p.id === l.id)?.massG ?? 0;
        return row ? [{ row, massG: grams / fills }] : [];
      });
      massG =
        coverWaterMl(areaM2(pot.diameterCm / 100), line.rule.plusCm, solids) * fills * WATER_20_G_PER_ML;
    }
    const water = line.rule.kind === 'toVolume' || line.rule.kind === 'cover';
    if (!water || !later) return [{ ...line, massG }];
    const id = `${line.id}-${later.name}`;
    second.set(line.id, id);
    return [
      { ...line, massG: massG * (1 - later.share), share: 'first' },
      { ...line, id, massG: massG * later.share, share: later.name },
    ];
  });
  return { lines, second };
}

/**
 * The steps of a batch: the recipe's lines, the method, the pot and the number of fills. Several fills are
 * unrolled steps, each taking its equal part, all strained into one tub.
 * @param input `litres` finished litres aimed at, for handling times only.
 */
export function buildProgram(whole: BuildInput): PlannedProgram {
  const { input, taken } = withoutShelfParts(whole);
  const { recipe, choices } = input;
  const { lines, second } = programLines(input);
  const m = makingOf(input, second);
  if (choices.methodId === 'own') ownSteps(m);
  else {
    wash(m);
    cut(m);
    for (const part of recipe.parts ?? []) if (!taken.has(part.id)) makePart(m, part);
    draw(m);
    juiceFruit(m);
    finish(m);
  }
  return { ...shellOf(input), lines, steps: m.b.steps, vessels: vesselsOf(m, taken) };
}

/** Lines as a method takes them, before any step is written. */
function makingOf(input: BuildInput, second: ReadonlyMap<LineId, LineId>): BuildContext {
  const { recipe, choices, pot, fills } = input;
  const cookFruit =
    choices.fruit === 'cooked' && !COLD_METHODS.has(choices.methodId) && choices.methodId !== 'pourOver';
  const inPot = recipe.lines.filter((l) => l.stream === 'pot' || (l.stream === 'fruit' && cookFruit));
  return {
    ...input,
    b: stepBuilder(),
    perFillL: input.litres / fills,
    hands: 'handsOn',
    onStove: pot.lid ? choices.lid : 'off',
    covered: pot.lid ? 'on' : 'off',
    potLines: pourFirst(inPot.filter((l) => !isWater(l))),
    late: recipe.lines.filter((l) => l.stream === 'late'),
    offHeat: recipe.lines.filter((l) => l.stream === 'offHeat'),
    rawFruit: cookFruit ? [] : recipe.lines.filter((l) => l.stream === 'fruit'),
    waterLines: {
      first: recipe.lines.filter(isWater).map((l) => l.id),
      second: [...second.values()],
    },
  };
}

/** A part from the shelf: what is in it. */
type ShelfPart = Required<Pick<VesselSpec, 'holds' | 'itemIds'>>;

/**
 * Parts that stand ready on the shelf: what the recipe would have made of their lines, in a jar; their lines and steps
 * fall away. A part that could not be made stays in the program, which then says what is wrong with it.
 */
function withoutShelfParts(input: BuildInput): { input: BuildInput; taken: Map<string, ShelfPart> } {
  const taken = new Map<string, ShelfPart>();
  for (const part of input.recipe.parts ?? []) {
    if (!input.choices.shelfParts.includes(part.id)) continue;
    const m = makingOf(input, new Map());
    makePart(m, part);
    const program = {
      ...shellOf(input),
      lines: input.lines,
      steps: m.b.steps,
      vessels: vesselsOf(m, new Map()),
    };
    const sim = simulateBatch(program, input.kitchen, input.tables, { detail: 'lean' });
    const jar = sim.vessels[jarOf(part.id)];
    if (!sim.problem && jar)
      taken.set(part.id, { holds: scaled(jar.liquor, 1), itemIds: [...itemsIn(program, jar.liquor)] });
  }
  if (taken.size === 0) return { input, taken };
  const stays = input.recipe.lines.filter((l) => !(l.stream === 'part' && taken.has(l.partId ?? '')));
  const ids = new Set(stays.map((l) => l.id));
  return {
    input: {
      ...input,
      recipe: { ...input.recipe, lines: stays },
      lines: input.lines.filter((l) => ids.has(l.id)),
    },
    taken,
  };
}

/** What a program says of where it comes from. */
const shellOf = ({ recipe, choices, pot, burner, fills }: BuildInput) => ({
  recipeId: recipe.id,
  recipeVersion: recipe.version,
  methodId: choices.methodId,
  potId: pot.id,
  burnerId: burner.id,
  fills,
});

function vesselsOf(m: BuildContext, taken: ReadonlyMap<string, ShelfPart>): VesselSpec[] {
  const { pot, kitchen, recipe, choices } = m;
  // The smallest other pot of the kitchen serves for spices and syrups; without one, a small pan as every kitchen has.
  const small = kitchen.pots
    .filter((p) => potCapacityMl(p) < potCapacityMl(pot))
    .sort((a, b) => potCapacityMl(a) - potCapacityMl(b))[0];
  const used = new Set(m.b.steps.flatMap((s) => [...s.from, ...s.to]));
  const bare = (id: string, kind: VesselSpec['kind']): VesselSpec => ({ id, kind, shape: null, massG: 0 });
  const aside: VesselSpec[] = [
    {
      id: SPICE_POT,
      kind: 'spicePot',
      shape: small ? potShape(small) : null,
      massG: small ? potMassG(small) : 0,
      ...(small ? { potId: small.id } : {}),
    },
    bare(BLENDER, 'blender'),
    bare(JUG, 'jar'),
    ...(recipe.parts ?? []).map((p): VesselSpec => {
      const part = taken.get(p.id);
      return part ? { ...bare(jarOf(p.id), 'jar'), ...part } : bare(jarOf(p.id), 'jar');
    }),
  ];
  // Where nothing is heated the pot serves as the mixing bowl: it is what must hold it all.
  const cold = COLD_METHODS.has(choices.methodId);
  return [
    { id: POT, kind: 'pot', shape: potShape(pot), massG: potMassG(pot), potId: pot.id },
    bare(BOWL, 'bowl'),
    { ...bare(TUB, 'tub'), shape: cold ? potShape(pot) : null },
    bare(BOTTLES, 'bottles'),
    bare(SPENT, 'spent'),
    ...aside.filter((v) => used.has(v.id)),
  ];
}

/** As the recipe says, and where it says nothing, as the skin asks; of fresh juice the fruit is washed. */
function washOf(line: RecipeLine, tables: Tables): RecipeLine['wash'] {
  if (line.wash !== 'none') return line.wash;
  if (line.kind === 'liquid' && tables.liquids.get(line.itemId)?.treatment !== 'rawJuice') return 'none';
  const traits = traitsOf([line.itemId], tables);
  if (TENDER_SKINS.some((trait) => traits.has(trait))) return 'rinse';
  return FIRM_SKINS.some((trait) => traits.has(trait)) ? 'scrub' : 'none';
}

/** Picked over first; whole things are washed before any knife touches them. */
function wash({ b, recipe, choices, litres, hands, tables }: BuildContext): void {
  const washed = (how: RecipeLine['wash']) =>
    recipe.lines.filter((l) => washOf(l, tables) === how).map((l) => l.id);
  const at = { from: [BOWL], to: [BOWL], attention: hands };
  const swirled = washed('swirl');
  const soft = recipe.lines.filter(
    (l) => l.kind === 'solid' && !swirled.includes(l.id) && traitsOf([l.itemId], tables).has('soft'),
  );
  const picked = [...swirled, ...soft.map((l) => l.id)];
  if (picked.length)
    b.add('pick', { ...at, lines: picked, until: minutes(handling(swirled.length ? 3 : 2, 0.3, litres)) });
  if (swirled.length) {
    b.add('wash', {
      ...at,
      lines: swirled,
      rinses: choices.rinses,
      minutesPerRinse: MINUTES_PER_RINSE,
      until: minutes(choices.rinses * MINUTES_PER_RINSE),
    });
  }
  for (const [how, rinses, perRinse] of [
    ['scrub', 2, 2],
    ['rinse', 1, 1.5],
  ] as const) {
    const lines = washed(how);
    if (lines.length)
      b.add('wash', { ...at, lines, rinses, minutesPerRinse: perRinse, until: minutes(rinses * perRinse) });
  }
}

function cut({ b, recipe, litres, hands }: BuildContext): void {
  const prepared = recipe.lines.filter((l) => l.prep && l.kind === 'solid');
  if (!prepared.length) return;
  const scale = Math.max(0.6, litres / recipe.basisL);
  b.add('prep', {
    from: [BOWL],
    to: [BOWL],
    lines: prepared.map((l) => l.id),
    until: minutes(Math.round(prepared.reduce((sum, l) => sum + l.prep!.minutes, 0) * scale)),
    attention: hands,
  });
}

/** A part made aside, into a jar of its own. */
function makePart(m: BuildContext, part: RecipePart): void {
  const { b, recipe, hands, litres, burner, kitchen } = m;
  const own = recipe.lines.filter((l) => l.stream === 'part' && l.partId === part.id);
  const lines = pourFirst(own);
  const jar = jarOf(part.id);
  const other = kitchen.burners.find((r) => r.id !== burner.id) ?? burner;
  switch (part.how) {
    case 'juice':
      juiceInto(m, own, jar);
      return;
    case 'blend':
      b.add('blend', {
        from: [BLENDER],
        to: [BLENDER],
        lines,
        until: minutes(handling(4, 0.3, litres)),
        attention: hands,
      });
      b.add('strain', {
        from: [BLENDER],
        to: [jar],
        lines: [],
        press: part.press,
        cloth: true,
        keepSolids: false,
        until: minutes(handling(5, 0.3, litres)),
        attention: hands,
      });
      return;
    case 'boil':
      b.add('combine', { from: [BOWL], to: [SPICE_POT], lines, until: minutes(3), attention: hands });
      b.add('heat', {
        from: [SPICE_POT],
        to: [SPICE_POT],
        lines: [],
        burnerId: other.id,
        lid: 'on',
        until: { kind: 'temp', targetC: null },
        attention: 'watched',
      });
      b.add('boil', {
        from: [SPICE_POT],
        to: [SPICE_POT],
        lines: [],
        burnerId: other.id,
        level: 'simmer',
        lid: 'on',
        until: minutes(part.boilMin ?? 20),
        attention: 'watched',
      });
      b.add('strain', {
        from: [SPICE_POT],
        to: [jar],
        lines: [],
        press: part.press,
        cloth: false,
        keepSolids: false,
        until: minutes(4),
        attention: hands,
      });
      // What waits to be stirred in cold is cooled like everything else.
      if (part.joins === 'after' || COLD_METHODS.has(m.choices.methodId))
        b.add('cool', {
          from: [jar],
          to: [jar],
          lines: [],
          place: 'iceBath',
          lid: 'off',
          until: { kind: 'temp', targetC: coldC(m) },
          attention: 'unattended',
        });
      return;
  }
}

/** Citrus by hand where there is no juicer, anything else by the best tool there is: a step for each way. */
function juiceInto(m: BuildContext, lines: readonly RecipeLine[], to: string): void {
  const tool = juiceToolOf(m.kitchen);
  const toolFor = (line: RecipeLine): JuiceTool => {
    const row = m.tables.ingredients.get(line.itemId);
    return row?.traits.includes('citrus') && tool !== 'juicer' ? 'hand' : tool;
  };
  for (const way of ['hand', 'blender', 'juicer'] as const) {
    const own = lines.filter((l) => l.kind === 'solid' && toolFor(l) === way);
    if (!own.length) continue;
    const kg = own.reduce((sum, l) => sum + (m.lines.find((p) => p.id === l.id)?.massG ?? 0), 0) / 1000;
    m.b.add('juice', {
      from: [BLENDER],
      to: [to],
      lines: own.map((l) => l.id),
      tool: way,
      until: minutes(handling(3, way === 'juicer' ? 3 : 6, kg)),
      attention: m.hands,
    });
  }
}

/** Fruit that is not cooked in: juiced, and kept cold until the rest is cool. */
function juiceFruit(m: BuildContext): void {
  if (m.rawFruit.length && !COLD_METHODS.has(m.choices.methodId)) juiceInto(m, m.rawFruit, JUG);
}

function heatUp(m: BuildContext, fill: number, targetC: number | null = null): void {
  // Up to the boil the lid may stay on: it saves a quarter of the gas and is set ajar when it boils.
  m.b.add('heat', {
    from: [POT],
    to: [POT],
    lines: [],
    fill,
    burnerId: m.burner.id,
    lid: m.covered,
    until: { kind: 'temp', targetC },
    attention: 'watched',
  });
}

function boilFor(m: BuildContext, fill: number, length: number, level: 'gentle' | 'simmer' = 'gentle'): void {
  if (length <= 0) return;
  m.b.add('boil', {
    from: [POT],
    to: [POT],
    lines: [],
    fill,
    burnerId: m.burner.id,
    level,
    lid: m.onStove,
    until: minutes(length, { min: Math.min(3, length), max: length * 2 }),
    attention: level === 'simmer' ? 'unattended' : 'watched',
  });
}

/** A boil into which some lines come late: each stops it until the pot boils again. */
function boilWithLate(
  m: BuildContext,
  fill: number,
  length: number,
  level: 'gentle' | 'simmer' = 'gentle',
): void {
  const late = m.late
    .map((l) => ({ id: l.id, left: Math.min(length, l.minutes ?? 5) }))
    .sort((x, y) => y.left - x.left);
  let left = length;
  for (const at of new Set(late.map((l) => l.left))) {
    boilFor(m, fill, left - at, level);
    m.b.add('combine', {
      from: [BOWL],
      to: [POT],
      lines: late.filter((l) => l.left === at).map((l) => l.id),
      fill,
      until: minutes(1),
      attention: m.hands,
    });
    heatUp(m, fill);
    left = at;
  }
  boilFor(m, fill, left, level);
}

/** Tender herbs go in when the flame is off, for a while of their own; before a long steep they come out again. */
function herbsOffHeat(m: BuildContext, fill: number, lift: boolean): void {
  if (!m.offHeat.length) return;
  const lines = m.offHeat.map((l) => l.id);
  const stand = Math.max(...m.offHeat.map((l) => l.minutes ?? 10));
  m.b.add('combine', { from: [BOWL], to: [POT], lines, fill, until: minutes(1), attention: m.hands });
  m.b.add('steep', {
    from: [POT],
    to: [POT],
    lines: [],
    fill,
    place: 'counter',
    lid: m.covered,
    until: minutes(stand, { min: Math.round(stand / 2), max: stand * 2 }),
    attention: 'unattended',
  });
  if (lift)
    m.b.add('combine', {
      from: [POT],
      to: [BOWL],
      lines,
      fill,
      lift: true,
      until: minutes(2),
      attention: m.hands,
    });
}

function fillPot(
  m: BuildContext,
  fill: number,
  lines: readonly LineId[],
  from: readonly string[] = [],
): void {
  m.b.add('combine', {
    from: [BOWL, ...from],
    to: [POT],
    lines,
    fill,
    until: minutes(4),
    attention: m.hands,
  });
}

const jarsInto = (m: BuildContext, where: RecipePart['joins']): string[] =>
  (m.recipe.parts ?? []).filter((p) => p.joins === where).map((p) => jarOf(p.id));

function soakCold(m: BuildContext, fill: number): void {
  const { choices } = m;
  m.b.add('soak', {
    from: [POT],
    to: [POT],
    lines: [],
    fill,
    place: choices.soakPlace,
    lid: m.covered,
    until: minutes(choices.soakMin, { min: Math.round(choices.soakMin / 3), max: choices.soakMin * 1.5 }),
    attention: 'unattended',
  });
}

function steepLong(m: BuildContext, fill: number): void {
  const { choices } = m;
  if (choices.steepPlace === 'fridge') {
    m.b.add('cool', {
      from: [POT],
      to: [POT],
      lines: [],
      fill,
      place: 'iceBath',
      lid: m.covered,
      until: { kind: 'temp', targetC: coldC(m) },
      attention: 'watched',
    });
  }
  m.b.add('steep', {
    from: [POT],
    to: [POT],
    lines: [],
    fill,
    place: choices.steepPlace,
    lid: m.covered,
    until: minutes(choices.steepMin, {
      min: Math.round(choices.steepMin / 3),
      max: Math.max(choices.steepMin * 1.5, choices.steepMin + 30),
    }),
    attention: 'unattended',
  });
}

function strainOff(m: BuildContext, fill: number, keepSolids = false): void {
  const { cloth } = m.recipe;
  m.b.add('strain', {
    from: [POT],
    to: [TUB],
    lines: [],
    fill,
    press: m.choices.press,
    cloth,
    keepSolids,
    until: minutes(handling(8, cloth ? 1.2 : 0.7, m.perFillL)),
    attention: m.hands,
  });
}

/** Filled hot into warmed glass, where all of it comes out of one pot. */
const fillsHot = (m: BuildContext): boolean => m.choices.coolBy === 'bottles' && m.fills === 1;

/** What is strained hot cools before raw juice and bottles. */
function coolTub(m: BuildContext, fill: number): void {
  const { choices, kitchen } = m;
  if (fillsHot(m)) return;
  // Several fills poured together would not stay hot: each is cooled in ice.
  const place = choices.coolBy === 'bottles' ? 'iceBath' : choices.coolBy;
  m.b.add('cool', {
    from: [TUB],
    to: [TUB],
    lines: [],
    fill,
    place,
    lid: 'off',
    until: {
      kind: 'temp',
      targetC: place === 'counter' ? Math.max(COUNTER_COOL_C, kitchen.roomC + 1) : coldC(m),
    },
    attention: place === 'iceBath' ? 'watched' : 'unattended',
  });
}

/** What is cold waits in the fridge while the next fill takes its hours. */
function putInFridge(m: BuildContext, fill: number): void {
  m.b.add('cool', {
    from: [TUB],
    to: [TUB],
    lines: [],
    fill,
    place: 'fridge',
    lid: 'on',
    until: minutes(PUT_AWAY_MIN),
    attention: m.hands,
  });
}

/** The drawing itself, in as many fills as there are. */
function draw(m: BuildContext): void {
  const { choices } = m;
  switch (choices.methodId) {
    case 'rawBlend':
      blendRaw(m);
      return;
    case 'cordial':
      steepInVinegar(m);
      return;
    default:
      for (let fill = 1; fill <= m.fills; fill++) drawFill(m, fill);
  }
}

function drawFill(m: BuildContext, fill: number): void {
  const { choices } = m;
  const all = [...m.waterLines.first, ...m.potLines];
  const jars = jarsInto(m, 'pot');
  switch (choices.methodId) {
    case 'straightBoil':
      fillPot(m, fill, all, jars);
      heatUp(m, fill);
      boilWithLate(m, fill, choices.boilMin);
      herbsOffHeat(m, fill, false);
      strainOff(m, fill);
      break;
    case 'overnightSoak':
      fillPot(m, fill, all, jars);
      soakCold(m, fill);
      heatUp(m, fill);
      boilWithLate(m, fill, choices.boilMin);
      herbsOffHeat(m, fill, false);
      strainOff(m, fill);
      break;
    case 'longSimmer':
      fillPot(m, fill, all, jars);
      heatUp(m, fill);
      boilFor(m, fill, choices.boilMin);
      boilWithLate(m, fill, choices.simmerMin, 'simmer');
      herbsOffHeat(m, fill, false);
      strainOff(m, fill);
      break;
    case 'doubleDraw':
      fillPot(m, fill, all, jars);
      heatUp(m, fill);
      boilWithLate(m, fill, choices.boilMin);
      strainOff(m, fill, true);
      // With more fills to come the first draw would stand warm for hours: what is not surely sour is cooled meanwhile.
      if (m.fills > 1 && coldC(m) === COLD_C.other) coolTub(m, fill);
      fillPot(m, fill, m.waterLines.second);
      heatUp(m, fill);
      boilFor(m, fill, choices.secondBoilMin);
      herbsOffHeat(m, fill, false);
      strainOff(m, fill);
      break;
    case 'pourOver':
      fillPot(m, fill, m.waterLines.first, jars);
      heatUp(m, fill);
      fillPot(m, fill, [...m.potLines, ...m.late.map((l) => l.id), ...m.offHeat.map((l) => l.id)]);
      m.b.add('steep', {
        from: [POT],
        to: [POT],
        lines: [],
        fill,
        place: 'counter',
        lid: m.covered,
        until: minutes(choices.pourMin, { min: Math.round(choices.pourMin / 2), max: choices.pourMin * 2 }),
        attention: 'unattended',
      });
      strainOff(m, fill);
      break;
    case 'firstBubbles':
      fillPot(m, fill, [...all, ...m.late.map((l) => l.id)], jars);
      heatUp(m, fill, 100 - m.kitchen.altitudeM / 300 - RIM_BUBBLES_BELOW_C);
      herbsOffHeat(m, fill, true);
      steepLong(m, fill);
      strainOff(m, fill);
      break;
    case 'shortBoilLongSteep':
      fillPot(m, fill, all, jars);
      heatUp(m, fill);
      boilWithLate(m, fill, choices.boilMin);
      herbsOffHeat(m, fill, true);
      steepLong(m, fill);
      strainOff(m, fill);
      break;
    case 'rawBlend':
    case 'cordial':
    case 'own':
      return;
  }
  // What stood in the fridge is cold already.
  const cold =
    (choices.methodId === 'shortBoilLongSteep' || choices.methodId === 'firstBubbles') &&
    choices.steepPlace === 'fridge';
  if (!cold) coolTub(m, fill);
  else if (fill < m.fills) putInFridge(m, fill);
}

/** Blended with most of the water, strained; the cloth rinsed with the rest. */
function blendRaw(m: BuildContext): void {
  const { b, hands, litres, recipe } = m;
  const solids = [...m.potLines, ...m.late.map((l) => l.id), ...m.offHeat.map((l) => l.id)];
  const strain = (keepSolids: boolean) =>
    b.add('strain', {
      from: [BLENDER],
      to: [TUB],
      lines: [],
      press: 'wring',
      cloth: recipe.cloth,
      keepSolids,
      until: minutes(handling(6, 1.5, litres)),
      attention: hands,
    });
  b.add('blend', {
    from: [BLENDER, ...jarsInto(m, 'pot')],
    to: [BLENDER],
    lines: [...m.waterLines.first, ...solids],
    until: minutes(handling(5, 1.5, litres)),
    attention: hands,
  });
  strain(true);
  b.add('combine', {
    from: [BOWL],
    to: [BLENDER],
    lines: m.waterLines.second,
    until: minutes(2),
    attention: hands,
  });
  strain(false);
  juiceInto(m, m.rawFruit, TUB);
}

/** Juice, sweetener and vinegar in equal parts, with what draws in them, shaken for some days. */
function steepInVinegar(m: BuildContext): void {
  const { b, hands, recipe, choices } = m;
  juiceInto(m, m.rawFruit, TUB);
  const after = recipe.lines.filter((l) => l.stream === 'after').map((l) => l.id);
  b.add('mix', { from: [TUB], to: [TUB], lines: after, until: minutes(6), attention: hands });
  const solids = [
    ...m.potLines,
    ...m.waterLines.first,
    ...m.late.map((l) => l.id),
    ...m.offHeat.map((l) => l.id),
  ];
  if (solids.length)
    b.add('combine', { from: [BOWL], to: [TUB], lines: solids, until: minutes(3), attention: hands });
  b.add('steep', {
    from: [TUB],
    to: [TUB],
    lines: [],
    place: 'fridge',
    lid: 'on',
    until: minutes(choices.matureMin, {
      min: Math.round(choices.matureMin * 0.5),
      max: choices.matureMin * 3,
    }),
    attention: 'unattended',
  });
  if (solids.length)
    b.add('strain', {
      from: [TUB],
      to: [JUG],
      lines: [],
      press: choices.press,
      cloth: recipe.cloth,
      keepSolids: false,
      until: minutes(6),
      attention: hands,
    });
}

/** Cold: raw juice and made parts go in, then the sweetener by taste, then the bottles. */
function finish(m: BuildContext): void {
  const { b, recipe, choices, hands, litres } = m;
  const cordial = choices.methodId === 'cordial';
  const jugIsLast = cordial && m.b.steps.at(-1)?.to[0] === JUG;
  const last = jugIsLast ? JUG : TUB;
  const after = cordial ? [] : recipe.lines.filter((l) => l.stream === 'after');
  const jars = [
    ...(m.rawFruit.length && !COLD_METHODS.has(choices.methodId) ? [JUG] : []),
    ...jarsInto(m, 'after'),
  ];
  if (after.length || jars.length) {
    b.add('mix', {
      from: [last, ...jars],
      to: [last],
      lines: after.map((l) => l.id),
      until: minutes(after.reduce((sum, l) => sum + (l.prep?.minutes ?? 0), 3)),
      attention: hands,
    });
  }
  const sweet = recipe.lines.filter((l) => l.stream === 'sweet').map((l) => l.id);
  if (sweet.length && choices.targetSweetnessPct > 0) {
    b.add('sweeten', {
      from: [last],
      to: [last],
      lines: sweet,
      targetSweetnessPct: choices.targetSweetnessPct,
      until: minutes(15),
      attention: hands,
    });
  }
  b.add('bottle', {
    from: [last],
    to: [BOTTLES],
    lines: [],
    hygiene: choices.hygiene,
    ...(fillsHot(m) ? { hot: true as const } : {}),
    until: minutes(handling(choices.hygiene === 'sterilised' ? 20 : 10, 1, litres)),
    attention: hands,
  });
}
