import { type Burner, type Kitchen, type Pot, potMassG, potShape } from './kitchen.ts';
import type { Choices, Recipe, RecipeLine } from './recipe.ts';
import type { Attention, Program, ProgramLine, Step, Until, VesselSpec } from './types.ts';

/** Vessels of every method: the pot that boils, a bowl for what is washed, a tub that receives, the bottles. */
export const POT = 'pot';
export const BOWL = 'bowl';
export const TUB = 'tub';
export const BOTTLES = 'bottles';
export const SPENT = 'spent';

const MINUTES_PER_RINSE = 1.5;
/** Cooled to this before a cold steep and before bottling, °C. */
const COLD_C = 8;
/** Cool enough to mix raw juice in and to fill cold glass on the counter way, °C. */
const COUNTER_COOL_C = 25;

const minutes = (value: number, range?: { min: number; max: number }): Until =>
  range
    ? { kind: 'duration', minutes: value, minMinutes: range.min, maxMinutes: range.max }
    : { kind: 'duration', minutes: value };

/** Handling time that grows with the batch, minutes: a fixed part and so much for each litre. */
const handling = (fixed: number, perL: number, litres: number): number => Math.round(fixed + perL * litres);

interface Builder {
  steps: Step[];
  add: <K extends Step['kind']>(
    kind: K,
    rest: Omit<Extract<Step, { kind: K }>, 'kind' | 'id' | 'fill'> & { fill?: number },
  ) => void;
}

function builder(): Builder {
  const steps: Step[] = [];
  return {
    steps,
    add: (kind, rest) => {
      const fill = rest.fill ?? 0;
      const id = fill > 0 ? `${kind}-${fill}` : kind;
      const taken = steps.filter((s) => s.id === id || s.id.startsWith(`${id}.`)).length;
      steps.push({ ...rest, kind, fill, id: taken ? `${id}.${taken + 1}` : id } as unknown as Step);
    },
  };
}

/**
 * The steps of a batch: the recipe's lines, the method, the pot and the number of fills. Several fills are
 * unrolled steps, each taking its equal part, all strained into one tub.
 * @param litres finished litres aimed at, for handling times only.
 */
export function buildProgram(input: {
  recipe: Recipe;
  choices: Choices;
  kitchen: Kitchen;
  pot: Pot;
  burner: Burner;
  lines: readonly ProgramLine[];
  fills: number;
  litres: number;
}): Program {
  const { recipe, choices, kitchen, pot, burner, fills } = input;
  const b = builder();
  const perFillL = input.litres / fills;
  const linesOf = (test: (line: RecipeLine) => boolean): string[] =>
    recipe.lines.filter(test).map((l) => l.id);
  const hands: Attention = 'handsOn';

  const picked = linesOf((l) => l.wash === 'swirl');
  if (picked.length) {
    b.add('pick', {
      from: [BOWL],
      to: [BOWL],
      lines: picked,
      until: minutes(handling(3, 0.3, input.litres)),
      attention: hands,
    });
    b.add('wash', {
      from: [BOWL],
      to: [BOWL],
      lines: picked,
      rinses: choices.rinses,
      minutesPerRinse: MINUTES_PER_RINSE,
      until: minutes(choices.rinses * MINUTES_PER_RINSE),
      attention: hands,
    });
  }
  const scrubbed = linesOf((l) => l.wash === 'scrub');
  if (scrubbed.length) {
    b.add('wash', {
      from: [BOWL],
      to: [BOWL],
      lines: scrubbed,
      rinses: 2,
      minutesPerRinse: 2,
      until: minutes(4),
      attention: hands,
    });
  }
  const prepared = recipe.lines.filter((l) => l.prep && l.stream === 'pot');
  if (prepared.length) {
    const scale = Math.max(0.6, input.litres / recipe.basisL);
    b.add('prep', {
      from: [BOWL],
      to: [BOWL],
      lines: prepared.map((l) => l.id),
      until: minutes(Math.round(prepared.reduce((sum, l) => sum + l.prep!.minutes, 0) * scale)),
      attention: hands,
    });
  }

  const inPot = [
    ...linesOf((l) => l.stream === 'pot' && l.kind === 'liquid'),
    ...linesOf((l) => l.stream === 'pot' && l.kind === 'solid'),
  ];
  const onStove = pot.lid ? choices.lid : 'off';
  const steeping = choices.methodId === 'shortBoilLongSteep';
  for (let fill = 1; fill <= fills; fill++) {
    b.add('combine', { from: [BOWL], to: [POT], lines: inPot, fill, until: minutes(4), attention: hands });
    // Up to the boil the lid may stay on: it saves a quarter of the gas and is set ajar when it boils.
    b.add('heat', {
      from: [POT],
      to: [POT],
      lines: [],
      fill,
      burnerId: burner.id,
      lid: pot.lid ? 'on' : 'off',
      until: { kind: 'temp', targetC: null },
      attention: 'watched',
    });
    b.add('boil', {
      from: [POT],
      to: [POT],
      lines: [],
      fill,
      burnerId: burner.id,
      level: 'gentle',
      lid: onStove,
      until: minutes(choices.boilMin, { min: Math.min(3, choices.boilMin), max: choices.boilMin * 2 }),
      attention: 'watched',
    });
    if (steeping) {
      if (choices.steepPlace === 'fridge') {
        b.add('cool', {
          from: [POT],
          to: [POT],
          lines: [],
          fill,
          place: 'iceBath',
          lid: pot.lid ? 'on' : 'off',
          until: { kind: 'temp', targetC: COLD_C },
          attention: 'watched',
        });
      }
      b.add('steep', {
        from: [POT],
        to: [POT],
        lines: [],
        fill,
        place: choices.steepPlace,
        lid: pot.lid ? 'on' : 'off',
        until: minutes(choices.steepMin, {
          min: Math.round(choices.steepMin / 3),
          max: Math.max(choices.steepMin * 1.5, choices.steepMin + 30),
        }),
        attention: 'unattended',
      });
    }
    b.add('strain', {
      from: [POT],
      to: [TUB],
      lines: [],
      fill,
      press: choices.press,
      cloth: recipe.cloth,
      keepSolids: false,
      until: minutes(handling(8, recipe.cloth ? 1.2 : 0.7, perFillL)),
      attention: hands,
    });
    const stillHot = !(steeping && choices.steepPlace === 'fridge');
    // What stood in the fridge is cold already; anything else cools before raw juice and bottles.
    if (stillHot) {
      b.add('cool', {
        from: [TUB],
        to: [TUB],
        lines: [],
        fill,
        place: choices.coolBy,
        lid: 'off',
        until: {
          kind: 'temp',
          targetC: choices.coolBy === 'counter' ? Math.max(COUNTER_COOL_C, kitchen.roomC + 1) : COLD_C,
        },
        attention: choices.coolBy === 'iceBath' ? 'watched' : 'unattended',
      });
    }
  }
  const after = linesOf((l) => l.stream === 'after');
  if (after.length) {
    const squeeze = recipe.lines
      .filter((l) => l.stream === 'after')
      .reduce((sum, l) => sum + (l.prep?.minutes ?? 0), 3);
    b.add('mix', { from: [TUB], to: [TUB], lines: after, until: minutes(squeeze), attention: hands });
  }
  const sweet = linesOf((l) => l.stream === 'sweet');
  if (sweet.length && choices.targetSweetnessPct > 0) {
    b.add('sweeten', {
      from: [TUB],
      to: [TUB],
      lines: sweet,
      targetSweetnessPct: choices.targetSweetnessPct,
      until: minutes(15),
      attention: hands,
    });
  }
  b.add('bottle', {
    from: [TUB],
    to: [BOTTLES],
    lines: [],
    hygiene: choices.hygiene,
    until: minutes(handling(choices.hygiene === 'sterilised' ? 20 : 10, 1, input.litres)),
    attention: hands,
  });

  const vessels: VesselSpec[] = [
    { id: POT, kind: 'pot', shape: potShape(pot), massG: potMassG(pot) },
    { id: BOWL, kind: 'bowl', shape: null, massG: 0 },
    { id: TUB, kind: 'tub', shape: null, massG: 0 },
    { id: BOTTLES, kind: 'bottles', shape: null, massG: 0 },
    { id: SPENT, kind: 'spent', shape: null, massG: 0 },
  ];
  return {
    recipeId: recipe.id,
    recipeVersion: recipe.version,
    methodId: choices.methodId,
    lines: input.lines,
    steps: b.steps,
    vessels,
    potId: pot.id,
    burnerId: burner.id,
    fills,
  };
}
