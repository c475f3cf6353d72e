import { isPot, type Program, type Step } from '@big-ladle/core/program';

/** A step as a text tells it: with what belongs to it and nobody would write down for itself. */
export interface MainStep {
  step: Step;
  /** What goes in at it, also where the program fills first. */
  lineIds: readonly string[];
  /** What it is poured from besides. */
  from: readonly string[];
  /** Where the drink is when it is done. */
  endsIn: string | undefined;
  /** What it is about was poured where it happens, and nobody says so. */
  poured: boolean;
  /** It is kept hot after the heating. */
  hold?: Extract<Step, { kind: 'steep' }>;
}

/** Fillings and pourings that a step of the recipe means without saying so. */
const isImplied = (step: Step): boolean => step.kind === 'combine' || step.kind === 'mix';
/** Pots that stand side by side are filled in parts. */
const fillsPot = (step: Step): boolean => step.kind === 'split' && isPot(step.to[0] ?? '');

/** The steps of a program as its recipe has them: loads of the pot are told once. */
export function mainSteps(program: Program): MainStep[] {
  const groups: Step[][] = [];
  for (const step of program.steps) {
    if (step.fill > 1) continue;
    const last = groups.at(-1);
    if (last && step.recipeStepId !== undefined && last[0]!.recipeStepId === step.recipeStepId)
      last.push(step);
    else groups.push([step]);
  }
  return groups.flatMap(mainsOf);
}

function mainsOf(group: Step[]): MainStep[] {
  const fills = group.filter((s) => s.kind === 'combine' && !s.lift);
  const poured = group.filter(fillsPot).flatMap((s) => s.from);
  const rest = group.filter((s) => !fillsPot(s));
  const told = rest.filter((s) => !isImplied(s) || (s.kind === 'mix' && s.lines.length > 0));
  const first = told[0] ?? rest.at(-1) ?? group[0]!;
  // What a strained drink is cooled in between two loads belongs to the loads.
  const mains =
    told.length === 0
      ? [first]
      : told.filter((s) => s === first || s.kind === first.kind || s.kind === 'sour');
  const hold = rest.find((s): s is Extract<Step, { kind: 'steep' }> => s.kind === 'steep' && s !== first);
  return mains.map((step, i) => ({
    step: fillsPot(step) ? ({ ...step, kind: 'combine', until: step.until } as Step) : step,
    lineIds:
      i === 0
        ? [...new Set([...(isImplied(step) ? [] : fills.flatMap((s) => s.lines)), ...step.lines])]
        : step.lines,
    from: [...new Set([...step.from, ...poured])],
    endsIn: group.at(-1)!.to[0],
    poured: !isImplied(step) && fills.length > 0,
    ...(hold && step.kind === 'heat' ? { hold } : {}),
  }));
}
