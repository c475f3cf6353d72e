import type { OwnStepKind, Recipe, RecipeLine, RecipeStep } from '../documents/recipe.ts';
import { TAP_WATER_ID } from '../tables/choices.ts';
import type { Tables } from '../tables/types.ts';
import { fail, ok, type Result } from '../units/result.ts';
import { type ItemKind, itemFacts } from './items.ts';

/** What is put down while somebody cooks who never measures. */
export type CaptureEntry =
  /** The bag or bowl before and after: what went in is the difference. */
  | { kind: 'weighed'; atMs: number; itemId: string; beforeG: number; afterG: number }
  | { kind: 'counted'; atMs: number; itemId: string; pieces: number }
  | { kind: 'poured'; atMs: number; itemId: string; ml: number }
  /** Something begins: the boil, the straining. */
  | { kind: 'deed'; atMs: number; deed: OwnStepKind }
  /** Litres at the end. */
  | { kind: 'made'; atMs: number; litres: number };

export type CaptureProblem =
  | { kind: 'nothingIn' }
  | { kind: 'noLitres' }
  | { kind: 'moreAfter'; index: number }
  | { kind: 'unknownItem'; index: number }
  | { kind: 'noPiece'; index: number };

const MINUTE_MS = 60_000;

/** Grams of an entry; null for a deed. */
function gramsOf(
  entry: CaptureEntry,
  index: number,
  tables: Tables,
): Result<{ itemId: string; kind: ItemKind; massG: number } | null, CaptureProblem> {
  if (entry.kind === 'deed' || entry.kind === 'made') return ok(null);
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
 * litres that came out, so that they scale as ratios.
 */
export function captureToRecipe(
  entries: readonly CaptureEntry[],
  identity: { id: string; name: string },
  tables: Tables,
): Result<Recipe, CaptureProblem> {
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
    add(
      entry.deed,
      entry.deed === 'heat' ? 0 : minutes,
      mine,
      entry.deed === 'strain' ? { press: 'press' } : {},
    );
  }
  putIn();
  if (lines.length === 0) return fail({ kind: 'nothingIn' });
  // The first water makes up the litres, as in every recipe: all else keeps its ratio to what came out.
  const water = lines.findIndex((l) => l.itemId === TAP_WATER_ID);
  if (water >= 0) lines[water] = { ...lines[water]!, massG: 0, rule: { kind: 'toVolume' } };
  if (!steps.some((s) => s.kind === 'bottle')) add('bottle', 20, []);
  return ok({
    id: identity.id,
    version: 1,
    name: identity.name,
    family: 'own',
    serve: 'either',
    lines,
    steps,
    basisL: made.litres,
    methods: ['own'],
    press: 'press',
    cloth: false,
    targetSweetnessPct: Math.round((sweetG / (made.litres * 1040)) * 1000) / 10,
    times: {},
  });
}
