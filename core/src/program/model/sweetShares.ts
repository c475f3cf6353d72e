import type { LineId } from './ids.ts';
import type { SweetShares } from './steps.ts';

/**
 * Which part of the sweetness each of several lines brings, adding up to one: as it is said, and of the others each as
 * much of what is left; equal parts where nothing is said.
 */
export function sweetWeights(lineIds: readonly LineId[], shares: SweetShares | undefined): number[] {
  const said = lineIds.map((id) => shares?.[id]);
  const saidSum = said.reduce<number>((sum, share) => sum + (share ?? 0), 0);
  const unsaid = said.filter((share) => share === undefined).length;
  const left = unsaid > 0 ? Math.max(0, 1 - saidSum) / unsaid : 0;
  const weights = said.map((share) => share ?? left);
  const all = weights.reduce((sum, w) => sum + w, 0);
  return weights.map((w) => (all > 0 ? w / all : 1 / lineIds.length));
}
