import { unitOf } from '../../units/units.ts';
import { unitOfMeasure } from './amounts.ts';
import { type Quantity, quantityAt } from './quantities/quantities.ts';
import type { Token } from './tokens.ts';
import type { ReadingKit, ReadYield } from './types.ts';

const CONTAINERS: Readonly<Record<string, string>> = {
  bottle: 'bottle',
  bottles: 'bottle',
  jar: 'jar',
  jars: 'jar',
  glass: 'glass',
  glasses: 'glass',
  shots: 'glass',
  mugs: 'glass',
  people: 'serving',
  persons: 'serving',
  servings: 'serving',
  portions: 'serving',
  drinkers: 'serving',
  guests: 'serving',
  serving: 'serving',
  portion: 'serving',
  ones: 'bottle',
};
const SIZES = new Set([
  'small',
  'big',
  'large',
  'little',
  'full',
  'thirsty',
  'good',
  'clean',
  'tall',
  'more',
]);

const HOLDS = /^(?:one|pot|stockpot|pan|saucepan|bucket|tub|jug|pitcher|bowl|container|vessel)$/;
/** "The 10 litre one", "into 60 ml bottles": how large a vessel is, and nothing that goes in. */
export const isVesselSize = (tokens: readonly Token[], { measure, to }: Quantity): boolean => {
  const after = tokens[to]?.t ?? '';
  return measure !== null && (HOLDS.test(after) || CONTAINERS[after] !== undefined);
};

/** "Into 60 ml bottles, it makes about 25": how large each of them is. */
function sizeOfEach(tokens: readonly Token[], from: number, to: number, kit: ReadingKit): number | null {
  for (let i = from; i < to; i++) {
    const q = quantityAt(tokens, i);
    if (!q?.measure || q.measured !== 'amount' || !CONTAINERS[tokens[q.to]?.t ?? '']) continue;
    const unit = unitOfMeasure(q.measure, kit);
    if (unit === 'mL' || unit === 'cL' || unit === 'L') return (q.value * unitOf(unit).factor) / 1000;
  }
  return null;
}

/**
 * An amount of the finished drink in a stretch of the text: litres, cups, bottles, glasses, or people.
 * @param bare a figure alone counts people: "Serves 8".
 */
export function yieldIn(
  tokens: readonly Token[],
  text: string,
  from: number,
  to: number,
  kit: ReadingKit,
  bare = false,
  bareUnit = 'serving',
): ReadYield | null {
  let best: ReadYield | null = null;
  const each = sizeOfEach(tokens, from, to, kit);
  for (let i = from; i < to; i++) {
    const q = quantityAt(tokens, i);
    // One bottle is not what it makes.
    if (each !== null && q?.measure && CONTAINERS[tokens[q.to]?.t ?? '']) {
      i = q.to;
      continue;
    }
    const counted =
      each !== null && q !== null && !q.measure && !q.article && q.measured === 'amount' && q.to >= to;
    const found = yieldAt(tokens, text, i, to, kit, bare ? bareUnit : counted ? 'bottle' : null);
    if (!found) continue;
    if (each !== null && found.value.litres === null) found.value.litres = found.value.value * each;
    // Litres say more than bottles.
    if (!best || (best.litres === null && found.value.litres !== null)) best = found.value;
    i = Math.max(i, found.to - 1);
  }
  return best;
}

function yieldAt(
  tokens: readonly Token[],
  text: string,
  i: number,
  to: number,
  kit: ReadingKit,
  bare: string | null,
) {
  const made = (end: number, value: number, max: number | undefined, unit: string, litres: number | null) => {
    const span = { start: tokens[i]!.start, end: tokens[end - 1]!.end };
    return {
      to: end,
      value: {
        span,
        words: text.slice(span.start, span.end),
        value,
        ...(max === undefined ? {} : { max }),
        unit,
        litres,
      } satisfies ReadYield,
    };
  };
  const q = quantityAt(tokens, i);
  if (!q || q.to > to || q.measured !== 'amount') return null;
  // "My big pot, the 10 litre one": what a vessel holds.
  if (HOLDS.test(tokens[q.to]?.t ?? '')) return null;
  const mean = (q.value + (q.max ?? q.value)) / 2;
  if (q.measure && !['bottleful', 'glassful'].includes(q.measure.id)) {
    const unit = unitOfMeasure(q.measure, kit);
    try {
      const row = unitOf(unit);
      if (row.dimension !== 'volume' || /poon/.test(unit)) return null;
      return made(q.to, q.value, q.max, unit, (mean * row.factor) / 1000);
    } catch {
      return null;
    }
  }
  let at = q.to;
  if (q.measure) at--;
  else {
    while (at < to && SIZES.has(tokens[at]!.t)) at++;
    // "ten 750 ml bottles"
    const sized = q.article ? null : quantityAt(tokens, at);
    if (sized?.measure && sized.to < to && CONTAINERS[tokens[sized.to]!.t] && at === q.to) {
      const unit = unitOfMeasure(sized.measure, kit);
      if (unit === 'mL' || unit === 'L' || unit === 'cL')
        return made(
          sized.to + 1,
          q.value,
          q.max,
          CONTAINERS[tokens[sized.to]!.t]!,
          (mean * sized.value * unitOf(unit).factor) / 1000,
        );
    }
    // "14 x 50 ml"
    if (tokens[at]?.t === 'x' || tokens[at]?.t === '×') {
      const each = quantityAt(tokens, at + 1);
      if (each?.measure && each.to <= to) {
        const unit = unitOfMeasure(each.measure, kit);
        if (unit === 'mL' || unit === 'L')
          return made(
            each.to,
            q.value * each.value,
            undefined,
            unit,
            (q.value * each.value * (unit === 'L' ? 1000 : 1)) / 1000,
          );
      }
    }
  }
  const container = at < to ? CONTAINERS[tokens[at]!.t] : undefined;
  if (!container) {
    const after = tokens[q.to]?.t ?? '';
    if (bare && !q.article && (q.to >= to || /^(?:to|-|\)|\.|,|:)$/.test(after)))
      return made(q.to, q.value, q.max, bare, null);
    return null;
  }
  // "four big ones, of three quarters of a litre", "12 small bottles of 60 ml", "6 bottles 250 ml"
  let of = at + 1;
  while (of < to && /^(?:of|,|à|at|each|\()$/.test(tokens[of]!.t)) of++;
  const each = of < to ? quantityAt(tokens, of) : null;
  let litres: number | null = null;
  let end = at + 1;
  if (each?.measure && each.measured === 'amount' && each.to <= to) {
    try {
      const row = unitOf(unitOfMeasure(each.measure, kit));
      if (row.dimension === 'volume') {
        litres = (mean * each.value * row.factor) / 1000;
        end = each.to;
      }
    } catch {
      // No unit of volume: only the bottles count.
    }
  }
  return made(end, q.value, q.max, container, litres);
}

/** The container or glass that a question asks for. */
export const containerIn = (words: string): string | undefined =>
  words
    .split(' ')
    .map((w) => CONTAINERS[w])
    .find((c) => c !== undefined);
