import type { MeasureWord } from '../../../tables/reading/measureWords.ts';
import { measureAt } from '../quantities/measures.ts';
import { type Quantity, quantityAt } from '../quantities/quantities.ts';
import type { Token } from '../tokens.ts';
import { startsThing } from './before.ts';
import { JOINS, word } from './thing.ts';

const LOOSE_MEASURES = new Set(
  'thumb pinch handful bunch knob stick slice dash pack inch finger sprig stalk hand strip mug glassful head bottleful metricCup metricTablespoon metricTeaspoon L piece'.split(
    ' ',
  ),
);

export const PACKS = new Set(['pack', 'piece', 'bottleful', 'knob', 'stick', 'hand', 'head']);

export const MASS_OR_VOLUME = new Set('g kg mL cL dL L ounce pound usFluidOunce'.split(' '));

/** A quantity before a thing, with packs multiplied and sums added up. */
export function leading(tokens: readonly Token[], at: number, end: number): Quantity | null {
  let q = quantityAt(tokens, at);
  if (!q || q.to > end) {
    // "pinch of salt", "thumb of ginger": one of it.
    const loose = measureAt(tokens, at, false);
    if (!loose || !LOOSE_MEASURES.has(loose.row.id)) return null;
    return one(loose.row, at, at + loose.length);
  }
  if (q.measured !== 'amount') return null;
  // "2 x 300 g", "two 300 g bags", "1 (2-inch) piece", "1 big bag (500 g)"
  const sign = word(tokens, q.to, end);
  const bracket = sign === '(' ? 1 : 0;
  const times = sign === 'x' || sign === '×' || sign === '*' ? 1 : 0;
  const each =
    q.measure === null || PACKS.has(q.measure.id) ? quantityAt(tokens, q.to + bracket + times) : null;
  if (each && each.measured === 'amount' && !each.article && !each.vague && each.measure && each.to <= end) {
    const fits = q.measure === null ? true : bracket === 1 && MASS_OR_VOLUME.has(each.measure.id);
    const closes = bracket
      ? word(tokens, each.to, end) === ')' || word(tokens, each.to, end) === 'each'
      : true;
    if (fits && closes && (bracket || times || each.from === q.to)) {
      let to = each.to;
      while (to < end && (word(tokens, to, end) === ')' || word(tokens, to, end) === 'each')) to++;
      const pack = measureAt(tokens, to, false);
      if (pack && PACKS.has(pack.row.id)) to += pack.length;
      q = {
        ...each,
        value: q.value * each.value,
        ...(each.max === undefined ? {} : { max: q.value * each.max }),
        from: q.from,
        to,
      };
    }
  }
  // "A 2-inch knob": the inches say how large.
  if (q.measure && (q.measure.id === 'inch' || q.measure.id === 'cm')) {
    const piece = measureAt(tokens, q.to, false);
    if (piece && PACKS.has(piece.row.id)) q = { ...q, to: q.to + piece.length };
  }
  // "3 quarts plus 2 cups": the same thing, added up.
  if (q.measure && JOINS.has(word(tokens, q.to, end))) {
    const more = quantityAt(tokens, q.to + 1);
    const share = more?.measure ? ratio(more.measure, q.measure) : null;
    if (more && share !== null && more.measured === 'amount' && more.to <= end && !more.article) {
      const of = word(tokens, more.to, end) === 'of' ? 1 : 0;
      if (startsThing(tokens, more.to + of, end))
        q = { ...q, value: q.value + more.value * share, to: more.to };
    }
  }
  return q;
}

export const one = (row: MeasureWord, from: number, to: number): Quantity => ({
  measured: 'amount',
  value: 1,
  measure: row,
  vague: false,
  article: true,
  more: false,
  from,
  to,
});

/** By weight or by volume, and not by pieces. */
export const isMeasured = (row: MeasureWord): boolean => ML[row.id] !== undefined || G[row.id] !== undefined;

const ML: Readonly<Record<string, number>> = {
  mL: 1,
  cL: 10,
  dL: 100,
  L: 1000,
  metricCup: 240,
  metricTablespoon: 15,
  metricTeaspoon: 5,
  imperialPint: 480,
  imperialQuart: 960,
  imperialGallon: 3840,
  usFluidOunce: 30,
};

const G: Readonly<Record<string, number>> = { g: 1, kg: 1000, ounce: 28.35, pound: 453.6 };

/** How many of one measure go into another, as kitchens count: four cups to a quart, sixteen spoons to a cup. */
const ratio = (from: MeasureWord, to: MeasureWord): number | null => {
  if (ML[from.id] && ML[to.id]) return ML[from.id]! / ML[to.id]!;
  if (G[from.id] && G[to.id]) return G[from.id]! / G[to.id]!;
  return null;
};
