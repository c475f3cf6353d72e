import { num, say } from './say.ts';

/** A schema's message ("between:8:80", "name") in words for a field. */
export function sayField(message: string | undefined): string | undefined {
  if (!message) return undefined;
  const [kind, low, high] = message.split(':');
  if (kind === 'between' && low !== undefined && high !== undefined) {
    const decimals = (text: string) => (text.includes('.') ? 1 : 0);
    return say('field.between', {
      low: num(Number(low), decimals(low)),
      high: num(Number(high), decimals(high)),
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
