import type { OwnStepKind, RecipeStep } from '../../documents/recipe.ts';

/** Washing, cutting and lifting out only handle a thing: it goes in elsewhere. */
const HANDLES: ReadonlySet<OwnStepKind> = new Set(['pick', 'wash', 'prep', 'mill', 'lift']);
export const handlesOnly = (kind: OwnStepKind): boolean => HANDLES.has(kind);

/** In these a line is used: it goes in, or is worked up. */
const TAKES: ReadonlySet<OwnStepKind> = new Set([
  'combine',
  'soak',
  'steep',
  'mature',
  'blend',
  'juice',
  'mix',
  'sweeten',
  'sour',
  'fortify',
]);
export const takesLines = (kind: OwnStepKind): boolean => TAKES.has(kind);

/** Between two steps a thing comes back to hand: out of a cleaning soak, lifted out, or strained off and put aside. */
const comesBack = (steps: readonly RecipeStep[], lineId: string, a: number, b: number): boolean =>
  (steps[Math.min(a, b)]?.kind === 'soak' && steps[Math.min(a, b)]?.thrown === true) ||
  steps
    .slice(Math.min(a, b) + 1, Math.max(a, b))
    .some(
      (s) =>
        (s.kind === 'lift' && s.lineIds.includes(lineId)) || (s.kind === 'strain' && s.asideSolids === true),
    );

const without = (step: RecipeStep, lineId: string): RecipeStep => ({
  ...step,
  lineIds: step.lineIds.filter((id) => id !== lineId),
  ...(step.shares ? { shares: step.shares.filter((s) => s.lineId !== lineId) } : {}),
});

/**
 * Puts a line into a step. It leaves the step it went in with before, and stays in those that only handle it, and where
 * it comes back to hand between the two.
 */
export function putLine(steps: readonly RecipeStep[], lineId: string, stepId: string): RecipeStep[] {
  const at = steps.findIndex((s) => s.id === stepId);
  const target = steps[at];
  if (!target) return [...steps];
  return steps.map((step, i) => {
    if (step === target)
      return step.lineIds.includes(lineId) ? step : { ...step, lineIds: [...step.lineIds, lineId] };
    const stays = handlesOnly(step.kind) || handlesOnly(target.kind) || comesBack(steps, lineId, i, at);
    return stays || !step.lineIds.includes(lineId) ? step : without(step, lineId);
  });
}

/** Takes a line out of one step. */
export const takeLineOut = (steps: readonly RecipeStep[], lineId: string, stepId: string): RecipeStep[] =>
  steps.map((step) => (step.id === stepId ? without(step, lineId) : step));
