import type { OwnStepKind, RecipeStep } from '../../documents/recipe.ts';
import type { VesselId } from '../../program/model/ids.ts';
import { BLENDER, BOWL, JUG, KETTLE, POT, SPICE_POT, TUB } from '../../program/model/vessels.ts';
import type { ReadDrink, ReadStep } from './types.ts';

/** The vessels of a recipe by the words for them. */
const VESSEL_IDS: Readonly<Record<string, VesselId>> = {
  pot: POT,
  smallPot: SPICE_POT,
  kettle: KETTLE,
  blender: BLENDER,
  jug: JUG,
  jar: JUG,
  bowl: TUB,
  tub: TUB,
};
const HEATED: ReadonlySet<string> = new Set(['pot', 'smallPot', 'kettle']);

/**
 * Two liquors that are made apart and poured together: something is poured out of a vessel by its name, or two are filled
 * to be heated. In any other text the names of bowls and pans tell nothing that the order of the steps does not.
 */
export function madeApart(drink: ReadDrink): boolean {
  const filled = new Set(
    drink.steps.flatMap((s) => (s.kind === 'combine' && s.vessel && HEATED.has(s.vessel) ? [s.vessel] : [])),
  );
  return filled.size > 1 || drink.steps.some((s) => s.fromVessels.some((v) => VESSEL_IDS[v] !== undefined));
}

/** Where a step happens, as far as the text says. */
export function vesselsOf(read: ReadStep, kind: OwnStepKind): Pick<RecipeStep, 'from' | 'to'> {
  const ids = (words: readonly (string | null)[]) =>
    words.flatMap((word) => (word && VESSEL_IDS[word] ? [VESSEL_IDS[word]] : []));
  const sources = ids(read.fromVessels);
  const [inside] = ids([read.vessel]);
  const [into] = ids([read.intoVessel]);
  const [first] = sources;
  switch (kind) {
    case 'blend':
      return sources.length ? { from: [BLENDER, ...sources], to: BLENDER } : {};
    case 'combine':
      return {
        ...(sources.length ? { from: [BOWL, ...sources] } : {}),
        ...(inside ? { to: inside } : {}),
      };
    case 'mix': {
      if (!sources.length) return {};
      const to = inside ?? TUB;
      return { from: [to, ...sources.filter((id) => id !== to)], to };
    }
    case 'strain':
    case 'lift':
      return { ...(first ? { from: [first] } : {}), ...(into && kind === 'strain' ? { to: into } : {}) };
    case 'juice':
      return into ? { to: into } : {};
    case 'heat':
    case 'boil':
    case 'steep':
    case 'cool':
    case 'skim':
    case 'settle':
    case 'split':
    case 'mature':
    case 'sweeten':
      return first ? { from: [first], ...(kind === 'split' ? {} : { to: first }) } : {};
    default:
      return {};
  }
}
