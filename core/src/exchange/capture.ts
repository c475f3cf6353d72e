import {
  type OwnStepKind,
  type Recipe,
  type RecipeLine,
  type RecipeStep,
  STEP_WORDS_MOST,
} from '../documents/recipe.ts';
import type { Tables } from '../tables/types.ts';
import { fail, ok, type Result } from '../units/result.ts';
import { type ItemKind, itemFacts } from './items.ts';
import { ownRecipe } from './ownRecipe.ts';

/** What is put down while somebody cooks who never measures. */
export type CaptureEntry =
  /** The bag or bowl before and after: what went in is the difference. */
  | { kind: 'weighed'; atMs: number; itemId: string; beforeG: number; afterG: number }
  | { kind: 'counted'; atMs: number; itemId: string; pieces: number }
  | { kind: 'poured'; atMs: number; itemId: string; ml: number }
  /** Something begins: the boil, the straining. */
  | { kind: 'deed'; atMs: number; deed: OwnStepKind }
  /** What the cook says while she does it, in her own words. */
  | { kind: 'said'; atMs: number; text: string }
  /** Litres at the end. */
  | { kind: 'made'; atMs: number; litres: number };

export type CaptureProblem =
  | { kind: 'nothingIn' }
  | { kind: 'noLitres' }
  | { kind: 'moreAfter'; index: number }
  | { kind: 'unknownItem'; index: number }
  | { kind: 'noPiece'; index: number };

/** What nobody may have seen while somebody else cooked, and the answers that there are. */
export const UNSEEN = {
  washed: ['yes', 'no'],
  strained: ['yes', 'no'],
  lid: ['on', 'ajar', 'off'],
  place: ['counter', 'fridge'],
  through: ['sieve', 'cloth'],
  pressed: ['drain', 'press', 'wring'],
} as const;
export type UnseenKind = keyof typeof UNSEEN;

/** A question at the end; `atMs` is the moment of the deed that it is about. */
export interface Unseen {
  kind: UnseenKind;
  atMs: number;
}

/** Answers by question; what is not in it was not seen, and is left unsaid. */
export type CaptureAnswers = Readonly<Record<string, string>>;
export const unseenKey = ({ kind, atMs }: Unseen): string => `${kind}:${atMs}`;

/** What is asked at the end: only what the entries do not tell, and what the recipe can say. */
export function unseenOf(entries: readonly CaptureEntry[], tables: Tables): Unseen[] {
  const inOrder = [...entries].sort((a, b) => a.atMs - b.atMs);
  const deeds = inOrder.filter((e) => e.kind === 'deed');
  const did = (deed: OwnStepKind) => deeds.filter((d) => d.deed === deed);
  const solids = inOrder.some((e) => 'itemId' in e && itemFacts(e.itemId, tables)?.kind === 'solid');
  const first = inOrder[0]?.atMs ?? 0;
  return [
    ...(solids && !did('wash').length ? [{ kind: 'washed' as const, atMs: first }] : []),
    ...did('boil').map((d) => ({ kind: 'lid' as const, atMs: d.atMs })),
    ...did('steep').map((d) => ({ kind: 'place' as const, atMs: d.atMs })),
    ...did('strain').flatMap((d) => [
      { kind: 'through' as const, atMs: d.atMs },
      { kind: 'pressed' as const, atMs: d.atMs },
    ]),
    ...(solids && !did('strain').length && deeds.length ? [{ kind: 'strained' as const, atMs: first }] : []),
  ];
}

const MINUTE_MS = 60_000;
/** What was said at a step, a line each; what is too long for it is cut. */
const inLines = (...said: readonly (string | undefined)[]): string =>
  said.filter(Boolean).join('\n').slice(0, STEP_WORDS_MOST);

/** Grams of an entry; null for a deed. */
function gramsOf(
  entry: CaptureEntry,
  index: number,
  tables: Tables,
): Result<{ itemId: string; kind: ItemKind; massG: number } | null, CaptureProblem> {
  if (entry.kind === 'deed' || entry.kind === 'made' || entry.kind === 'said') return ok(null);
  const facts = itemFacts(entry.itemId, tables);
  if (!facts) return fail({ kind: 'unknownItem', index });
  const at = (massG: number) => ok({ itemId: entry.itemId, kind: facts.kind, massG });
  switch (entry.kind) {
    case 'weighed':
      return entry.afterG > entry.beforeG
        ? fail({ kind: 'moreAfter', index })
        : at(entry.beforeG - entry.afterG);
    case 'counted':
      return facts.measurable.piece
        ? at(entry.pieces * facts.measurable.piece.massG)
        : fail({ kind: 'noPiece', index });
    case 'poured':
      return at(entry.ml * (facts.densityGPerMl ?? facts.measurable.bulkGPerMl));
  }
}

/**
 * Writes a recipe from what was seen: each thing with its grams, each deed with the minutes until the next. What went
 * in between two deeds belongs to the first filling, or, once it was strained, to the stirring in. Amounts are for the
 * litres that came out, so that they scale as ratios; water stays as it was poured. What was asked at the end is laid
 * into the steps that it is about; what was said stands with the step that was on.
 * @param answers to `unseenOf`.
 */
export function captureToRecipe(
  entries: readonly CaptureEntry[],
  identity: { id: string; name: string },
  tables: Tables,
  answers: CaptureAnswers = {},
): Result<Recipe, CaptureProblem> {
  const answer = (kind: UnseenKind, atMs: number): string | undefined => answers[unseenKey({ kind, atMs })];
  const inOrder = [...entries].sort((a, b) => a.atMs - b.atMs);
  const made = inOrder.findLast((e) => e.kind === 'made');
  if (made?.kind !== 'made' || !(made.litres > 0)) return fail({ kind: 'noLitres' });
  const lines: RecipeLine[] = [];
  const steps: RecipeStep[] = [];
  let strained = false;
  let sweetG = 0;
  let pending: string[] = [];
  const add = (kind: OwnStepKind, minutes: number, lineIds: string[], extra: Partial<RecipeStep> = {}) =>
    steps.push({ id: `s${steps.length + 1}`, kind, lineIds, minutes, ...extra });
  const putIn = () => {
    if (!pending.length) return;
    const sweet = pending.filter((id) => lines.find((l) => l.id === id)?.kind === 'sweetener');
    const others = pending.filter((id) => !sweet.includes(id));
    if (others.length) add(strained ? 'mix' : 'combine', 4, others);
    if (sweet.length) add('sweeten', 10, sweet);
    pending = [];
  };
  /** Words that were said before anything was done: they stand with what comes first. */
  const early: string[] = [];
  const write = (text: string) => {
    const on = steps.at(-1);
    if (on) on.text = inLines(on.text, text);
    else early.push(text);
  };
  const deeds = inOrder.filter((e) => e.kind === 'deed' || e.kind === 'made');
  for (const [index, entry] of inOrder.entries()) {
    const grams = gramsOf(entry, entries.indexOf(entry), tables);
    if (!grams.ok) return grams;
    if (grams.value) {
      const { itemId, kind, massG } = grams.value;
      const before = lines.find((l) => l.itemId === itemId && pending.includes(l.id));
      if (kind === 'sweetener') sweetG += massG;
      if (before) before.massG += massG;
      else {
        const line: RecipeLine = {
          id: `l${index + 1}`,
          kind,
          itemId,
          massG,
          rule: { kind: 'linear' },
          stream: kind === 'sweetener' ? 'sweet' : strained ? 'after' : 'pot',
          wash: 'none',
          prep: null,
        };
        lines.push(line);
        pending.push(line.id);
      }
      continue;
    }
    if (entry.kind === 'said') {
      write(entry.text);
      continue;
    }
    if (entry.kind === 'made') {
      putIn();
      continue;
    }
    if (entry.kind !== 'deed') continue;
    const next = deeds[deeds.indexOf(entry) + 1];
    const minutes = next ? Math.round((next.atMs - entry.atMs) / MINUTE_MS) : 0;
    if (entry.deed !== 'wash' && entry.deed !== 'prep' && entry.deed !== 'pick') putIn();
    if (entry.deed === 'strain') strained = true;
    const mine = ['wash', 'prep', 'pick'].includes(entry.deed) ? [...pending] : [];
    add(entry.deed, entry.deed === 'heat' ? 0 : minutes, mine, {
      ...(entry.deed === 'boil' ? lidOf(answer('lid', entry.atMs)) : {}),
      ...(entry.deed === 'steep' ? placeOf(answer('place', entry.atMs)) : {}),
      ...(entry.deed === 'strain'
        ? { ...throughOf(answer('through', entry.atMs)), press: pressOf(answer('pressed', entry.atMs)) }
        : {}),
    });
  }
  putIn();
  if (lines.length === 0) return fail({ kind: 'nothingIn' });
  const firstMs = inOrder[0]!.atMs;
  const solids = lines.filter((l) => l.kind === 'solid').map((l) => l.id);
  if (answer('washed', firstMs) === 'yes') steps.unshift({ id: 'washed', kind: 'wash', lineIds: solids });
  if (answer('strained', firstMs) === 'yes') {
    const end = steps.findIndex((s) => s.kind === 'sweeten' || s.kind === 'mix' || s.kind === 'bottle');
    steps.splice(end < 0 ? steps.length : end, 0, {
      id: 'strained',
      kind: 'strain',
      lineIds: [],
      press: 'press',
    });
  }
  if (!steps.some((s) => s.kind === 'bottle')) add('bottle', 20, []);
  const [first] = steps;
  if (first && early.length > 0) first.text = inLines(...early, first.text);
  return ok(
    ownRecipe({
      ...identity,
      lines,
      steps,
      basisL: made.litres,
      targetSweetnessPct: Math.round((sweetG / (made.litres * 1040)) * 1000) / 10,
    }),
  );
}

const lidOf = (said: string | undefined): Pick<RecipeStep, 'lid'> =>
  said === 'on' || said === 'ajar' || said === 'off' ? { lid: said } : {};
const placeOf = (said: string | undefined): Pick<RecipeStep, 'place'> =>
  said === 'counter' || said === 'fridge' ? { place: said } : {};
const throughOf = (said: string | undefined): Pick<RecipeStep, 'passes'> =>
  said === 'sieve' || said === 'cloth' ? { passes: [{ by: said, times: 1 }] } : {};
const pressOf = (said: string | undefined): NonNullable<RecipeStep['press']> =>
  said === 'drain' || said === 'wring' ? said : 'press';
