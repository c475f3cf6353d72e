import type { Check, ReadDrink, ReadingKit } from './types.ts';

/** What a careful reader would ask of a drink. */
export function checksOf(drink: ReadDrink, _kit: ReadingKit): Check[] {
  const checks: Check[] = [];
  const has = (...kinds: string[]) => drink.steps.some((s) => kinds.includes(s.kind));
  if (!drink.steps.length) checks.push({ kind: 'noSteps' });
  if (!drink.steps.some((s) => s.kind === 'boil' || s.kind === 'heat')) checks.push({ kind: 'neverHeated' });
  if (!has('strain')) checks.push({ kind: 'neverStrained' });
  if (!has('bottle', 'freeze')) checks.push({ kind: 'neverBottled' });
  return checks;
}
