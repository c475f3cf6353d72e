import type { Tables } from '../../../tables/types.ts';
import { compared, familyById, gramsOfRead } from '../amounts.ts';
import type { Doubt, ReadingKit, ReadLine } from '../types.ts';
import type { DraftLine } from './draftLine.ts';
import { itemOf } from './itemOf.ts';

/** Which share of a line goes in at each of its steps, where there are several. They come to one. */
function sharesOf(line: DraftLine): ReadLine['shares'] {
  const at = line.at.filter((a, i) => line.at.findIndex((b) => b.stepId === a.stepId) === i);
  if (at.length < 2) return [];
  const said = at.map(({ portion }) => {
    if (portion === undefined || portion === 'rest') return null;
    if ('share' in portion) return portion.share;
    return line.amount ? compared(portion.amount, line.amount) : null;
  });
  const known = said.reduce((sum: number, s) => sum + (s ?? 0), 0);
  const open = said.filter((s) => s === null).length;
  const left = Math.max(0, 1 - known);
  // What was said comes to more than there is, or to less: by its proportions.
  const scale = open === 0 || known > 1 ? 1 / (known || 1) : 1;
  return at.map((a, i) => ({
    stepId: a.stepId,
    share: said[i] === null ? (known > 1 ? 0 : left / open) : said[i]! * scale,
  }));
}

/** The finished line, with what is doubtful about it. */
export function finished(line: DraftLine, tables: Tables, kit: ReadingKit): ReadLine {
  const { itemId, said, missing } = itemOf(line);
  const doubts = new Set<Doubt>();
  if (line.unknown || missing) doubts.add('unknownThing');
  if (line.falseFriend && !said) doubts.add('falseFriend');
  if (line.differs) doubts.add('differs');
  if (line.optional) doubts.add('optional');
  if (line.placeGuessed) doubts.add('placeGuessed');
  const family = familyById(line.familyId);
  if (itemId && !said && family?.formMatters && family.forms.length > 1) doubts.add('formGuessed');
  let massG: ReadLine['massG'] = null;
  const amount =
    line.amount ??
    (line.toTaste ? { kind: 'taste' as const, value: 0, unit: null, words: 'to taste' } : null);
  if (!amount) doubts.add('noAmount');
  else if (amount.kind === 'said' && itemId) {
    const grams = gramsOfRead(amount, itemId, family, tables, kit);
    if (!grams) doubts.add('strangeUnit');
    else {
      massG = grams.grams;
      if (grams.vague) doubts.add('vagueAmount');
    }
  }
  const span = line.spans.reduce(
    (a, b) => (b.start < a.start ? b : a),
    line.spans[0] ?? { start: 0, end: 0 },
  );
  return {
    id: line.id,
    span,
    words: line.words,
    itemId,
    name: missing ? `${line.name} ${line.part}` : line.name,
    familyId: line.familyId,
    ...(line.falseFriend ? { falseFriend: line.falseFriend } : {}),
    amount,
    massG,
    form: [...new Set(line.forms)].filter((w) => !line.name.includes(w)).join(' ') || null,
    part: line.part,
    stepIds: [...new Set(line.at.map((a) => a.stepId))],
    shares: sharesOf(line),
    doubts: [...doubts],
  };
}
