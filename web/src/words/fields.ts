import type { FieldUnit } from '@big-ladle/core/units';
import { num } from './numbers.ts';
import { decimalsOf, unitOfField } from './quantities.ts';
import { say } from './say.ts';

/** A bound as a field of this unit takes it: never outside of itself. */
export function boundIn(unit: FieldUnit, bound: number, which: 'low' | 'high'): string {
  const steps = unit.shown(bound) * 10 ** unit.decimals;
  const typed = (which === 'low' ? Math.ceil(steps - 1e-6) : Math.floor(steps + 1e-6)) / 10 ** unit.decimals;
  return num(typed, decimalsOf(typed, unit.decimals));
}

/**
 * A schema's message ("between:8:80", "name") in words for a field.
 * @param unit in which the field shows its figure.
 */
export function sayField(
  message: string | undefined,
  unit: FieldUnit = unitOfField('', 1),
): string | undefined {
  if (!message) return undefined;
  const [kind, low, high] = message.split(':');
  if (kind === 'between' && low !== undefined && high !== undefined) {
    return say('field.between', {
      low: boundIn(unit, Number(low), 'low'),
      high: boundIn(unit, Number(high), 'high'),
    });
  }
  if (
    kind === 'name' ||
    kind === 'whole' ||
    kind === 'zone' ||
    kind === 'unique' ||
    kind === 'number' ||
    kind === 'litresOrShare' ||
    kind === 'unknownLot'
  )
    return say(`field.${kind}`);
  return message.startsWith('Invalid type') ? say('field.number') : say('field.other');
}
