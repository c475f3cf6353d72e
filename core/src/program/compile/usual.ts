import type { JuiceTool, RecipeLine, RecipeStep, Sieve } from '../../documents/recipe.ts';
import { estimatePh } from '../../liquor/ph.ts';
import { boilingPointC } from '../../physics/heat.ts';
import { FIRM_SKINS } from '../../tables/traits.ts';
import type { LineId } from '../model/ids.ts';
import { juiceToolOf } from '../model/kitchen.ts';
import type { Attention, Until } from '../model/steps.ts';
import { traitsOf } from '../model/tags.ts';
import { isPot, KETTLE, SPICE_POT } from '../model/vessels.ts';
import { type BuildInput, potsOf } from './context.ts';

/** What a step leaves unsaid is as usual: how long it takes, how cold it gets, which lid is on, who has to be there. */

const MINUTES_PER_RINSE = 1.5;
/** A firm skin, with a brush: so often, so long each time. */
const SCRUB = { rinses: 2, minutes: 2 };
/**
 * Cooled to this in ice before a cold steep and before bottling, °C: a drink sour enough to count as acid may finish
 * in the fridge; any other is brought all the way down, for its second stage of cooling has a limit.
 */
export const COLD_C = { sour: 8, other: 5 };
/** Sour enough, with room for what the estimate misses: of all that the lines could give. */
const SURELY_SOUR_PH = 3.1;
/** Cool enough to mix raw juice in and to fill cold glass on the counter way, °C. */
const COUNTER_COOL_C = 25;
/** Hot and not boiling, °C: it steams, nothing moves. */
const HOT_C = 80;
/** Small bubbles at the rim, °C below the boil. */
const RIM_BUBBLES_BELOW_C = 8;

export const minutes = (value: number, range?: { min: number; max: number }): Until =>
  range
    ? { kind: 'duration', minutes: value, minMinutes: range.min, maxMinutes: range.max }
    : { kind: 'duration', minutes: value };

/** Pounded in a mortar it takes so many times as long. Source: general kitchen practice. */
const BY_MORTAR = 3;
/** Through the blender, minutes. */
const USUAL_BLEND = { fixed: 5, perL: 1.5 };

/** Handling time that grows with the batch, minutes: a fixed part and so much for each litre. */
const handling = (fixed: number, perL: number, litres: number): number => Math.round(fixed + perL * litres);

/** How cold it is brought in ice, °C. */
export function coldC(c: BuildInput): number {
  let acidG = 0;
  let alkaliMeq = c.kitchen.hardnessMeqPerL * c.litres;
  for (const line of c.lines) {
    const solid = c.tables.ingredients.get(line.itemId);
    const liquid = c.tables.liquids.get(line.itemId);
    if (solid) {
      acidG += (line.massG * solid.acidPct) / 100;
      alkaliMeq += (line.massG * solid.alkaliMeqPerKg) / 1000;
    } else if (liquid && liquid.treatment !== 'water') {
      const litres = line.massG / liquid.densityGPerMl / 1000;
      acidG += liquid.taGPerL * litres;
      alkaliMeq += liquid.alkaliMeqPerL * litres;
    }
  }
  const pH = estimatePh(acidG / c.litres, alkaliMeq / c.litres);
  return pH.kind === 'estimate' && pH.pH <= SURELY_SOUR_PH ? COLD_C.sour : COLD_C.other;
}

/** Where it stands until it is cool, and how cool that is. */
export function coolTo(c: BuildInput, place: 'fridge' | 'counter' | 'iceBath'): Until {
  return {
    kind: 'temp',
    targetC: place === 'counter' ? Math.max(COUNTER_COOL_C, c.kitchen.roomC + 1) : coldC(c),
  };
}

/** How far it is heated; null: to the boil, wherever the kitchen stands. */
export function heatToC(c: BuildInput, step: RecipeStep): number | null {
  const boilC = boilingPointC(c.kitchen.altitudeM);
  // What would boil before it is so hot, boils.
  if (step.toC !== undefined) return step.toC < boilC ? step.toC : null;
  if (step.heatTo === 'firstBubbles') return boilC - RIM_BUBBLES_BELOW_C;
  return step.heatTo === 'hot' ? HOT_C : null;
}

/** Citrus by hand where there is no juicer, anything else by the best tool there is. */
export function toolFor(c: BuildInput, line: RecipeLine): JuiceTool {
  const tool = juiceToolOf(c.kitchen);
  const row = c.tables.ingredients.get(line.itemId);
  return row?.traits.includes('citrus') && tool !== 'juicer' ? 'hand' : tool;
}

export const juicingMin = (tool: JuiceTool, kg: number): number => handling(3, tool === 'juicer' ? 3 : 6, kg);

/**
 * How often and how long it is rinsed: as the step says; else what floats is swirled as often as the batch chooses, a
 * firm skin is scrubbed twice, anything else is rinsed once.
 */
export function rinsesOf(c: BuildInput, step: RecipeStep): { rinses: number; minutesPerRinse: number } {
  const lines = c.recipe.lines.filter((l) => step.lineIds.includes(l.id));
  const swirls = lines.some((l) => l.wash === 'swirl' || c.tables.ingredients.get(l.itemId)?.floats);
  const traits = traitsOf(
    lines.map((l) => l.itemId),
    c.tables,
  );
  const scrubs = FIRM_SKINS.some((trait) => traits.has(trait));
  const rinses = step.rinses ?? (swirls ? c.choices.rinses : scrubs ? SCRUB.rinses : 1);
  const usualMin = !swirls && scrubs ? SCRUB.minutes : MINUTES_PER_RINSE;
  const minutesPerRinse =
    step.minutesPerRinse ?? (step.minutes === undefined ? usualMin : step.minutes / rinses);
  return { rinses, minutesPerRinse };
}

/** Minutes for each litre through each sieve, and to set up another. Source: general kitchen practice; confidence medium. */
const PASS_MIN_PER_L: Readonly<Record<Sieve, number>> = { colander: 0.3, sieve: 0.7, fineMesh: 1, cloth: 2 };
const CHANGE_SIEVE_MIN = 2;

/** Strained through one after the other: each passing by the litre. */
function passingMin(passes: NonNullable<RecipeStep['passes']>, litres: number): number {
  const times = passes.reduce((sum, p) => sum + p.times, 0);
  const perL = passes.reduce((sum, p) => sum + p.times * PASS_MIN_PER_L[p.by], 0);
  return handling(8 + CHANGE_SIEVE_MIN * (times - 1), perL, litres);
}

/** How long a step takes by its own words, or as such work usually takes. */
export function untilOf(c: BuildInput, step: RecipeStep, litres: number): Until {
  // What a cook wrote down is so; what is reckoned by the litre is longer without the tool.
  if (
    step.kind === 'blend' &&
    c.kitchen.tools.blenderMl <= 0 &&
    (step.minutes === undefined || step.minutesPerL !== undefined)
  )
    return minutes(
      BY_MORTAR * handling(step.minutes ?? USUAL_BLEND.fixed, step.minutesPerL ?? USUAL_BLEND.perL, litres),
    );
  const said = step.minutes;
  if (said !== undefined && step.minutesPerL !== undefined)
    return minutes(handling(said, step.minutesPerL, litres));
  const { minMinutes, maxMinutes } = step;
  if (said !== undefined)
    return minutes(
      said,
      minMinutes === undefined && maxMinutes === undefined
        ? undefined
        : { min: minMinutes ?? said, max: maxMinutes ?? said },
    );
  return minutes(usualMin(c, step, litres));
}

function usualMin(c: BuildInput, step: RecipeStep, litres: number): number {
  switch (step.kind) {
    case 'prep': {
      const prepared = c.recipe.lines.filter((l) => step.lineIds.includes(l.id) && l.prep);
      const scale = Math.max(0.6, litres / c.recipe.basisL);
      return Math.round(prepared.reduce((sum, l) => sum + l.prep!.minutes, 0) * scale);
    }
    case 'wash': {
      const { rinses, minutesPerRinse } = rinsesOf(c, step);
      return rinses * minutesPerRinse;
    }
    case 'bottle':
      return handling((step.hygiene ?? c.choices.hygiene) === 'sterilised' ? 20 : 10, 1, litres);
    case 'pick':
      return handling(3, 0.3, litres);
    case 'strain':
      return step.passes ? passingMin(step.passes, litres) : handling(8, step.cloth ? 1.2 : 0.7, litres);
    case 'blend':
      return handling(USUAL_BLEND.fixed, USUAL_BLEND.perL, litres);
    case 'sweeten':
      return 15;
    case 'boil':
      return 15;
    case 'soak':
    case 'steep':
      return 60;
    case 'settle':
      return 60;
    case 'mature':
      return c.choices.matureMin;
    case 'freeze':
      return handling(8, 1, litres);
    case 'mill':
      return 5;
    case 'sour':
    case 'fortify':
      return 10;
    case 'split':
      return 2;
    case 'combine':
    case 'lift':
    case 'mix':
    case 'skim':
      return 4;
    case 'heat':
    case 'cool':
    case 'juice':
      return 0;
  }
}

/** The lid that is usual: on over what is hot or stands, as chosen over what boils, none over what cools in the open. */
export function lidOf(c: BuildInput, step: RecipeStep, vesselId: string): 'on' | 'ajar' | 'off' {
  if (step.lid) return step.lid;
  if (vesselId === SPICE_POT || vesselId === KETTLE) return 'on';
  if (!isPot(vesselId)) return step.kind === 'cool' ? 'off' : 'on';
  // Of several pots the one without a lid is the one that counts: nothing is claimed that only some have.
  const hasLid = potsOf(c).every(({ pot }) => pot.lid);
  const covered = hasLid ? 'on' : 'off';
  return step.kind === 'boil' && hasLid ? c.choices.lid : covered;
}

/** Who has to be there. */
export function attentionOf(step: RecipeStep): Attention {
  if (step.attention) return step.attention;
  switch (step.kind) {
    case 'soak':
    case 'steep':
    case 'settle':
    case 'mature':
      return 'unattended';
    case 'cool':
      return step.place === 'iceBath' ? 'watched' : 'unattended';
    case 'heat':
      return 'watched';
    case 'boil':
      return step.level === 'simmer' ? 'unattended' : 'watched';
    default:
      return 'handsOn';
  }
}

/** Water first, then what floats and sinks in it. */
export const liquidsFirst = (lineIds: readonly LineId[], isSolid: (id: LineId) => boolean): LineId[] =>
  [...lineIds].sort((x, y) => Number(isSolid(x)) - Number(isSolid(y)));
