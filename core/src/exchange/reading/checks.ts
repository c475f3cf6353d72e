import type { Tables } from '../../tables/types.ts';
import { itemFacts } from '../items.ts';
import type { Check, ReadDrink } from './types.ts';

/** What a careful reader would ask of a drink: is it never heated, never strained, drawn out of nothing? */
export function checksOf(drink: Pick<ReadDrink, 'lines' | 'steps'>, tables: Tables): Check[] {
  const { lines, steps } = drink;
  if (!steps.length) return [{ kind: 'noSteps' }];
  const checks: Check[] = [];
  const has = (...kinds: string[]) => steps.some((s) => kinds.includes(s.kind));
  const solids = lines.some((l) => l.itemId && itemFacts(l.itemId, tables)?.kind === 'solid');
  if (!has('boil', 'heat')) checks.push({ kind: 'neverHeated' });
  if (solids && !has('strain', 'lift')) checks.push({ kind: 'neverStrained' });
  const poured = lines.some(
    (l) => l.itemId && itemFacts(l.itemId, tables)?.kind === 'liquid' && l.massG !== null,
  );
  if (has('boil', 'steep', 'soak') && !poured && !has('juice', 'blend')) checks.push({ kind: 'noWater' });
  return checks;
}
