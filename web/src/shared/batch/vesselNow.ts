import { BOWL, type Program, type Step, TUB } from '@big-ladle/core/program';

/** The vessel that holds the drink at a step: where it is measured, and where a splash goes. */
export function vesselNowId({
  step,
  program,
}: {
  step: Step | null;
  program: Pick<Program, 'steps'>;
}): string {
  if (!step) return TUB;
  const ids = step.kind === 'strain' || step.kind === 'juice' ? step.to : [...step.from, ...step.to];
  // What lies on the board is in no vessel yet: it goes where the pot will be filled.
  const filled = program.steps.find((s) => s.kind === 'combine' && !s.lift)?.to[0];
  return ids.find((id) => id !== BOWL) ?? filled ?? TUB;
}
