import type { RecipeStep } from '../documents/recipe.ts';
import { BLENDER, BOTTLES, BOWL, type BuildContext, JUG, minutes, POT, TUB } from './buildContext.ts';
import { juiceToolOf } from './kitchen.ts';
import type { Attention, LineId } from './types.ts';

/** Steps that only wait: the cook may go. */
const UNATTENDED: ReadonlySet<RecipeStep['kind']> = new Set(['soak', 'steep', 'cool']);
const WATCHED: ReadonlySet<RecipeStep['kind']> = new Set(['heat', 'boil']);
const attentionOf = (kind: RecipeStep['kind']): Attention =>
  UNATTENDED.has(kind) ? 'unattended' : WATCHED.has(kind) ? 'watched' : 'handsOn';

/** Where the liquor is as the steps go on: nothing yet, in the pot, in the blender, or strained. */
type Where = 'none' | typeof POT | typeof BLENDER | typeof TUB;

/** As cold as a fridge: what a cook means by cold, °C. */
const COLD_C = 5;

/**
 * The steps that a cook wrote down, with the vessels they mean: what is added goes to the pot until it is strained,
 * then to the tub; blended or juiced things wait where they can be poured from. The part between the first filling
 * of the pot and its straining is done once for each fill.
 */
export function ownSteps(m: BuildContext): void {
  const { recipe, b, choices } = m;
  const steps = recipe.steps ?? [];
  const fillsFrom = steps.findIndex((s) => s.kind === 'combine' || s.kind === 'soak');
  const lastStrain = steps.findLastIndex((s) => s.kind === 'strain');
  const looped = m.fills > 1 && fillsFrom >= 0 && lastStrain > fillsFrom;
  const second = new Set(m.waterLines.second);
  const linesOf = (step: RecipeStep): LineId[] => {
    const known = new Set(recipe.lines.map((l) => l.id));
    const ids = step.lineIds.filter((id) => known.has(id) || second.has(id));
    // Water first, then what floats and sinks in it.
    return [...ids].sort((x, y) => Number(isSolid(m, x)) - Number(isSolid(m, y)));
  };
  const run = (part: readonly RecipeStep[], fill: number, from: Where): Where => {
    let at = from;
    for (const step of part) at = ownStep(m, step, linesOf(step), fill, at);
    return at;
  };
  let at: Where = 'none';
  if (looped) {
    at = run(steps.slice(0, fillsFrom), 0, at);
    for (let fill = 1; fill <= m.fills; fill++)
      at = run(steps.slice(fillsFrom, lastStrain + 1), fill, 'none');
    at = run(steps.slice(lastStrain + 1), 0, at);
  } else at = run(steps, 0, at);
  if (b.steps.at(-1)?.kind !== 'bottle') {
    b.add('bottle', {
      from: [at === 'none' ? POT : at],
      to: [BOTTLES],
      lines: [],
      hygiene: choices.hygiene,
      until: minutes(20),
      attention: 'handsOn',
    });
  }
}

const isSolid = (m: BuildContext, lineId: LineId): boolean =>
  m.recipe.lines.find((l) => l.id === lineId)?.kind === 'solid';

function ownStep(m: BuildContext, step: RecipeStep, lines: LineId[], fill: number, at: Where): Where {
  const { b, choices, kitchen } = m;
  const liquid: string = at === 'none' ? POT : at;
  const base = {
    lines,
    fill,
    until: minutes(step.minutes, step.maxMinutes ? { min: step.minutes, max: step.maxMinutes } : undefined),
    attention: attentionOf(step.kind),
  };
  const here = { ...base, from: [liquid], to: [liquid] };
  const lid = step.lid ?? (step.kind === 'boil' ? m.onStove : m.covered);
  switch (step.kind) {
    case 'pick':
    case 'prep':
      b.add(step.kind, { ...base, from: [BOWL], to: [BOWL] });
      return at;
    case 'wash':
      b.add('wash', { ...base, from: [BOWL], to: [BOWL], rinses: 1, minutesPerRinse: step.minutes });
      return at;
    case 'combine': {
      const to = at === TUB ? TUB : POT;
      b.add('combine', { ...base, from: at === BLENDER ? [BOWL, BLENDER] : [BOWL], to: [to] });
      return to;
    }
    case 'soak':
      if (lines.length)
        b.add('combine', { ...base, from: [BOWL], to: [POT], until: minutes(2), attention: 'handsOn' });
      b.add('soak', {
        ...base,
        lines: [],
        from: [POT],
        to: [POT],
        place: step.place === 'fridge' ? 'fridge' : 'counter',
        lid,
        ...(step.thrown ? { thrown: true } : {}),
      });
      return POT;
    case 'heat':
      b.add('heat', {
        ...here,
        lines: [],
        burnerId: m.burner.id,
        lid,
        until: { kind: 'temp', targetC: null },
      });
      return at;
    case 'boil':
      b.add('boil', { ...here, lines: [], burnerId: m.burner.id, level: step.level ?? 'gentle', lid });
      return at;
    case 'steep':
      if (lines.length) b.add('combine', { ...here, until: minutes(1), attention: 'handsOn' });
      b.add('steep', { ...here, lines: [], place: step.place === 'fridge' ? 'fridge' : 'counter', lid });
      return at;
    case 'strain':
      b.add('strain', {
        ...base,
        lines: [],
        from: [liquid],
        to: [liquid === TUB ? JUG : TUB],
        press: step.press ?? choices.press,
        cloth: step.cloth ?? false,
        keepSolids: step.keepSolids ?? false,
      });
      if (liquid === TUB)
        b.add('mix', { from: [JUG], to: [TUB], lines: [], fill, until: minutes(0), attention: 'handsOn' });
      return TUB;
    case 'blend':
      b.add('blend', { ...base, from: at === POT ? [POT] : [BLENDER], to: [BLENDER] });
      return at === TUB ? TUB : BLENDER;
    case 'juice': {
      const to = at === 'none' ? TUB : at;
      b.add('juice', { ...base, from: [JUG], to: [to], tool: step.tool ?? juiceToolOf(kitchen) });
      return to;
    }
    case 'cool': {
      const place = step.place ?? (choices.coolBy === 'bottles' ? 'iceBath' : choices.coolBy);
      b.add('cool', {
        ...here,
        lines: [],
        place,
        lid: 'off',
        until:
          step.minutes > 0
            ? base.until
            : { kind: 'temp', targetC: place === 'counter' ? Math.max(25, kitchen.roomC + 1) : COLD_C },
      });
      return at;
    }
    case 'mix':
      b.add('mix', { ...here, from: at === TUB && usesBlender(m) ? [TUB, BLENDER] : [liquid] });
      return at === 'none' ? POT : at;
    case 'sweeten':
      b.add('sweeten', { ...here, targetSweetnessPct: choices.targetSweetnessPct });
      return at;
    case 'bottle':
      b.add('bottle', { ...base, lines: [], from: [liquid], to: [BOTTLES], hygiene: choices.hygiene });
      return at;
  }
}

/** Something blended apart is waiting to be poured in. */
const usesBlender = (m: BuildContext): boolean => m.b.steps.at(-1)?.kind === 'blend';
