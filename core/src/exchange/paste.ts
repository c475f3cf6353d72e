import type { OwnStepKind, Recipe, RecipeLine, RecipeStep } from '../documents/recipe.ts';
import { TAP_WATER_ID } from '../tables/choices.ts';
import { FAMILY_ROWS } from '../tables/families.ts';
import type { Tables } from '../tables/types.ts';
import type { MeasuringKit } from '../units/measures.ts';
import type { UnitSystem } from '../units/units.ts';
import { type Amount, amountsIn, lengthIn, plainFigures } from './amounts.ts';
import { type PastedStep, stepsIn } from './pastedSteps.ts';
import { formOf, gramsOfAmount, type ItemKind, itemFacts, type Mention, mentionsIn } from './recognise.ts';

/** Why a reading is a guess. */
export type Doubt =
  | 'noAmount'
  | 'vagueAmount'
  | 'falseFriend'
  | 'formGuessed'
  | 'unknownThing'
  | 'strangeUnit'
  | 'range';

/** One ingredient as it was read. */
export interface PastedLine {
  /** The words it was read from. */
  text: string;
  kind: ItemKind;
  /** Null: nothing of that name is known. */
  itemId: string | null;
  /** The name that was not known. */
  unknownName?: string;
  falseFriend?: string;
  massG: number | null;
  amount: { value: number; max?: number; unit: string | null } | null;
  toTaste: boolean;
  doubts: Doubt[];
  sure: boolean;
}

export interface PastedRecipe {
  title: string | null;
  /** Litres it says it makes. */
  yieldL: number | null;
  lines: PastedLine[];
  steps: PastedStep[];
  /** What could not be read as anything. */
  unread: string[];
}

const INGREDIENTS = /^(?:ingredients?|you need|you will need|what you need|what goes in)\b\s*:?$/i;
const METHOD =
  /^(?:method|directions|instructions|steps|preparation|what to do|how to make it|to make)\b\s*:?$/i;
const YIELD = /\b(?:makes?|yields?|serves?)\b/i;

/** Takes the words of a recipe apart: lines with amounts, steps with times, each guess marked. */
export function parsePasted(
  pasted: string,
  tables: Tables,
  kit: MeasuringKit & { system: UnitSystem },
): PastedRecipe {
  const rows = plainFigures(pasted)
    .replace(/\r/g, '')
    .split('\n')
    .map((r) => r.trim())
    .filter(Boolean);
  let title: string | null = null;
  let yieldL: number | null = null;
  const listed: string[] = [];
  const told: string[] = [];
  let section: 'ingredients' | 'method' | null = null;
  for (const [index, row] of rows.entries()) {
    if (INGREDIENTS.test(row)) {
      section = 'ingredients';
      continue;
    }
    if (METHOD.test(row)) {
      section = 'method';
      continue;
    }
    const short = row.split(/\s+/).length <= 10;
    if (YIELD.test(row) && short && section === null) {
      yieldL ??= litresIn(row, kit.system);
      if (index > 0 || !title) {
        if (index === 0) title = row.replace(/\(.*\)/, '').trim();
        continue;
      }
    }
    if (index === 0 && section === null && short && !/\d/.test(row)) {
      title = row.replace(/\(.*?\)/g, '').trim();
      continue;
    }
    if (section === 'ingredients') listed.push(row);
    else if (section === 'method') told.push(row);
    else if (looksListed(row, kit.system)) listed.push(row);
    else told.push(row);
  }

  const unread: string[] = [];
  const lines: PastedLine[] = [];
  for (const row of listed) lines.push(...readListed(row, tables, kit));
  const method = told.map(bare).join('\n');
  const inList = [...lines];
  for (const sentence of method.split(/\n|(?<=[^\d])\.\s|;/))
    lines.push(...readTold(sentence, lines, inList, tables, kit));
  const { steps, unread: lost } = stepsIn(method);
  unread.push(...lost);
  formsByDeed(lines, steps, tables);
  return { title, yieldL, lines, steps, unread };
}

function litresIn(text: string, system: UnitSystem): number | null {
  const amount = amountsIn(text, system).find(
    (a) => a.unit === 'L' || a.unit?.endsWith('Gallon') || a.unit === 'mL',
  );
  if (!amount) return null;
  if (amount.unit === 'L') return amount.value;
  if (amount.unit === 'mL') return amount.value / 1000;
  return amount.value * (amount.unit === 'usGallon' ? 3.785 : 4.546);
}

/** A row of a list: something with an amount, and no sentence. */
function looksListed(row: string, system: UnitSystem): boolean {
  if (
    /[.!]\s+[A-Z]/.test(row) ||
    (/:\s*[a-z]/.test(row.replace(/^[^:]*\bg(?:rams)?\b/, '')) && /^\d+\s*(?:min|h)/i.test(row))
  )
    return false;
  if (/^\d+\s*(?:min|minutes?|hours?|h)\b\s*:/i.test(row)) return false;
  const words = row.split(/\s+/).length;
  const mentions = mentionsIn(row);
  const starts =
    /^(?:bring|boil|simmer|strain|add|put|wash|rinse|take|leave|let|stir|mix|peel|blend|soak|combine)\b/i;
  if (starts.test(row.replace(/^\d+[.)]\s*/, '')) && !/^peel (?:and \w+ )?of\b/i.test(row)) return false;
  // An amount with a measure at its head, of something nobody knows, is an ingredient all the same.
  if (mentions.length === 0) {
    const [first] = amountsIn(row, system);
    return (
      words <= 8 && first !== undefined && first.unit !== null && first.start <= 2 && lengthIn(row) === null
    );
  }
  return words <= 12 && (amountsIn(row, system).length > 0 || /\bto taste\b/i.test(row) || words <= 5);
}

const bare = (row: string): string => row.replace(/^\s*(?:[-*•]|\d+[.)](?=\s))\s*/, '').trim();

/** One row of a list of ingredients. */
function readListed(
  rowText: string,
  tables: Tables,
  kit: MeasuringKit & { system: UnitSystem },
): PastedLine[] {
  const row = bare(rowText);
  const parts = partsOfFruit(row, tables, kit);
  if (parts) return parts;
  const mentions = mentionsIn(row);
  const amounts = amountsIn(row, kit.system);
  if (mentions.length === 0) return [unknownLine(row, amounts[0] ?? null)];
  // "juice of 2 limes", "2 limes (juice only)": one thing; "salt and pepper": two without amounts.
  const main = mainMention(mentions, row);
  const amount =
    amounts.find((a) => a.unit !== null) ?? amounts.find((a) => !insideMention(a, mentions)) ?? null;
  return [readThing(row, row, main, amount, tables, kit)];
}

const insideMention = (amount: Amount, mentions: readonly Mention[]): boolean =>
  mentions.some((m) => amount.start >= m.start && amount.end <= m.end);

/** Of several names in one row the one that is the thing: "lemon juice" names a lemon, "garlic cloves" no clove. */
function mainMention(mentions: readonly Mention[], row: string): Mention {
  const leading = mentions.find((m) => m.family.leads);
  if (leading) return leading;
  const coconutSugar = mentions.length > 1 && /\bcoconut sugar\b/i.test(row);
  return (coconutSugar ? mentions.find((m) => m.family.id === 'sugar') : mentions[0]) ?? mentions[0]!;
}

const PART_WORDS = 'peels?|skins?|rinds?|cores?|zest|juice|flesh';

/** "Peel and core of one pineapple": parts of whole fruit. */
function partsOfFruit(
  text: string,
  tables: Tables,
  kit: MeasuringKit & { system: UnitSystem },
): PastedLine[] | null {
  const match = new RegExp(
    String.raw`\b(${PART_WORDS})(?:\s+and\s+(?:the\s+)?(${PART_WORDS}))?\s+of\s+(.{1,30})`,
    'i',
  ).exec(text);
  if (!match) return null;
  const [, first, second, rest] = match;
  const mention = mentionsIn(rest!)[0];
  const amount = amountsIn(rest!, kit.system)[0] ?? null;
  if (!mention) return null;
  return [first, second].flatMap((part) =>
    part ? [readThing(match[0], part, { ...mention, start: 0, end: 0 }, amount, tables, kit)] : [],
  );
}

function unknownLine(text: string, amount: Amount | null): PastedLine {
  const name = text
    .slice(0, amount?.start ?? text.length)
    .concat(' ', text.slice(amount?.end ?? text.length))
    .replace(/\bof\b|[,()]/gi, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return {
    text,
    kind: 'solid',
    itemId: null,
    unknownName: name.slice(0, 60) || text.slice(0, 60),
    massG: amount?.unit === 'g' ? amount.value : amount?.unit === 'kg' ? amount.value * 1000 : null,
    amount: amount ? said(amount) : null,
    toTaste: false,
    doubts: ['unknownThing'],
    sure: false,
  };
}

const said = (amount: Amount): PastedLine['amount'] => ({
  value: amount.value,
  unit: amount.unit,
  ...(amount.max === undefined ? {} : { max: amount.max }),
});

/** A thing with the words around it and its amount, as a line. */
function readThing(
  text: string,
  around: string,
  mention: Mention,
  amount: Amount | null,
  tables: Tables,
  kit: MeasuringKit & { system: UnitSystem },
): PastedLine {
  const form = formOf(mention.family, around, mention.alias.text);
  const facts = itemFacts(form.itemId, tables);
  const toTaste = /\bto taste\b/i.test(text);
  const grams = amount ? gramsOfAmount(amount, form.itemId, mention.family, tables, kit) : null;
  const doubts: Doubt[] = [];
  if (mention.alias.falseFriend) doubts.push('falseFriend');
  if (!amount && !toTaste) doubts.push('noAmount');
  if (amount && grams === null) doubts.push('strangeUnit');
  if (grams && !grams.sure) doubts.push('vagueAmount');
  if (amount?.max !== undefined) doubts.push('range');
  if (!form.said && mention.family.forms.length > 1 && mention.family.formMatters) doubts.push('formGuessed');
  return {
    text: text.trim(),
    kind: facts?.kind ?? 'solid',
    itemId: form.itemId,
    ...(mention.alias.falseFriend ? { falseFriend: mention.alias.falseFriend } : {}),
    massG: grams?.massG ?? null,
    amount: amount ? said(amount) : null,
    toTaste,
    doubts,
    sure: doubts.length === 0 || (doubts.length === 1 && doubts[0] === 'range'),
  };
}

/** A line that was told to be another thing than was read: its amount is weighed anew as that thing. */
export function readAs(line: PastedLine, itemId: string, tables: Tables, kit: MeasuringKit): PastedLine {
  const facts = itemFacts(itemId, tables);
  const family = FAMILY_ROWS.find((f) => f.forms.some((form) => form.itemId === itemId));
  const grams = line.amount ? gramsOfAmount(line.amount, itemId, family, tables, kit) : null;
  return { ...line, itemId, kind: facts?.kind ?? 'solid', massG: grams?.massG ?? line.massG };
}

/** Told again in another measure an amount may come out a little larger. */
const TOLD_AGAIN = 1.1;

/** Amounts told inside a sentence: "two litres of water, 50 g of sliced ginger and four cloves". */
function readTold(
  sentence: string,
  known: readonly PastedLine[],
  listed: readonly PastedLine[],
  tables: Tables,
  kit: MeasuringKit & { system: UnitSystem },
): PastedLine[] {
  const parts = partsOfFruit(sentence, tables, kit);
  const out: PastedLine[] = parts ? [...parts] : [];
  const covered = parts
    ? sentence.search(new RegExp(String.raw`\b(?:${PART_WORDS})\b[^.]*?\bof\b`, 'i'))
    : -1;
  const fruit = parts ? parts[0]?.itemId?.split('-')[0] : null;
  const amounts = amountsIn(sentence, kit.system);
  const mentions = mentionsIn(sentence);
  for (const [index, mention] of mentions.entries()) {
    if (fruit && covered >= 0 && mention.family.id === fruit) continue;
    const from = index > 0 ? mentions[index - 1]!.end : 0;
    const before = amounts.filter((a) => a.start >= from && a.end <= mention.start).at(-1) ?? null;
    const between = before ? sentence.slice(before.end, mention.start) : '';
    const near =
      before && between.split(/\s+/).filter(Boolean).length <= 3 && !/[,;:]/.test(between) ? before : null;
    const familiar = known.some((l) => l.itemId && mention.family.forms.some((f) => f.itemId === l.itemId));
    const inList = out.some((l) => l.itemId && mention.family.forms.some((f) => f.itemId === l.itemId));
    if (!near) {
      // Named again, or something that never got an amount anywhere.
      if (familiar || inList) continue;
      if (/\b(?:cold|hot|warm|boiling|the) water\b/i.test(sentence) && mention.family.plainWater) continue;
    }
    if (
      near &&
      near.unit === null &&
      /^(?:a|an)$/i.test(sentence.slice(near.start, near.end).trim()) &&
      familiar
    )
      continue;
    const start = near ? near.start : mention.start;
    const tail = /^[^,.;]{0,18}/.exec(sentence.slice(mention.end))?.[0] ?? '';
    const squeezed = /\b(?:squeeze|juice of)\b/i.test(sentence) && mention.family.juice !== undefined;
    const around = `${sentence.slice(start, mention.end)} ${tail.split(/\band\b/)[0]} ${squeezed ? 'juice' : ''}`;
    const line = readThing(sentence.slice(start, mention.end), around, mention, near, tables, kit);
    if (!isToldAgain(line, mention, listed, sentence.slice(0, mention.end))) out.push(line);
  }
  return out;
}

/** A part of what the list has, or all of it, told again where it goes in: the same thing, and no more of it. */
const isToldAgain = (
  line: PastedLine,
  mention: Mention,
  listed: readonly PastedLine[],
  before: string,
): boolean =>
  line.massG !== null &&
  !/\b(?:another|more|extra|additional|further)\b/i.test(before) &&
  listed.some(
    (l) =>
      l.massG !== null &&
      line.massG! <= l.massG * TOLD_AGAIN &&
      mention.family.forms.some((f) => f.itemId === l.itemId),
  );

/** "Blend it", "grate the ginger": a deed says the form where the line did not. */
function formsByDeed(lines: PastedLine[], steps: readonly PastedStep[], tables: Tables): void {
  const DEEDS: readonly [RegExp, string][] = [
    [/\bblend|blitz/i, 'blended'],
    [/\bgrate/i, 'grated'],
    [/\bbruise|smash/i, 'bruised'],
    [/\bslice/i, 'sliced'],
  ];
  let last: string[] = [];
  for (const step of steps) {
    const named = step.families.length ? step.families : [];
    const meant = /\b(?:it|them|everything)\b/i.test(step.text) ? [...last, ...named] : named;
    for (const [pattern, word] of DEEDS) {
      if (!pattern.test(step.text)) continue;
      for (const line of lines) {
        if (!line.itemId || !line.doubts.includes('formGuessed')) continue;
        const family = mentionsIn(line.text)[0]?.family;
        if (!family || !meant.includes(family.id)) continue;
        const form = formOf(family, word, '');
        if (!form.said) continue;
        line.itemId = form.itemId;
        line.kind = itemFacts(form.itemId, tables)?.kind ?? line.kind;
        line.doubts = line.doubts.filter((d) => d !== 'formGuessed');
        line.sure = line.doubts.length === 0;
      }
    }
    if (named.length) last = named;
  }
}

/** A plan for what was read: lines that were not known are left out until the cook has said what they are. */
export function recipeFromPasted(
  pasted: PastedRecipe,
  identity: { id: string; name: string; customIds?: Readonly<Record<number, string>> },
): Recipe {
  const merged = new Map<string, RecipeLine>();
  for (const [index, line] of pasted.lines.entries()) {
    const itemId = line.itemId ?? identity.customIds?.[index];
    if (!itemId) continue;
    const before = merged.get(itemId);
    if (before) {
      merged.set(itemId, { ...before, massG: before.massG + (line.massG ?? 0) });
      continue;
    }
    merged.set(itemId, {
      id: `l${index + 1}`,
      kind: line.kind,
      itemId,
      massG: line.massG ?? 0,
      rule:
        line.kind === 'sweetener'
          ? { kind: 'toTarget' }
          : itemId === TAP_WATER_ID
            ? { kind: 'toVolume' }
            : { kind: 'linear' },
      stream:
        line.kind === 'sweetener'
          ? 'sweet'
          : line.kind === 'liquid' && itemId !== TAP_WATER_ID
            ? 'after'
            : 'pot',
      wash: 'none',
      prep: null,
    });
  }
  const lines = [...merged.values()];
  const steps = recipeSteps(pasted.steps, lines, pasted.lines);
  const waterL = (lines.find((l) => l.itemId === TAP_WATER_ID)?.massG ?? 0) / 998.2;
  const sweetG = pasted.lines
    .filter((l) => l.kind === 'sweetener')
    .reduce((sum, l) => sum + (l.massG ?? 0), 0);
  const basisL = pasted.yieldL ?? Math.max(0.5, Math.round(waterL * 0.9 * 10) / 10);
  return {
    id: identity.id,
    version: 1,
    name: identity.name,
    family: 'own',
    serve: 'either',
    lines: lines.map((l) =>
      l.rule.kind === 'toVolume' ? { ...l, massG: 0 } : l.kind === 'sweetener' ? { ...l, massG: 0 } : l,
    ),
    steps,
    basisL,
    methods: ['own', 'straightBoil', 'shortBoilLongSteep'],
    press: 'press',
    cloth: steps.some((s) => s.cloth),
    targetSweetnessPct:
      sweetG > 0
        ? Math.round(Math.min(16, (sweetG / (basisL * 1030)) * 100) * 2) / 2
        : pasted.lines.some((l) => l.kind === 'sweetener')
          ? BY_TASTE_PCT
          : 0,
    times: {},
  };
}

/** Which lines each step takes: those it names, or everything that is left. */
function recipeSteps(
  pasted: readonly PastedStep[],
  lines: readonly RecipeLine[],
  read: readonly PastedLine[],
): RecipeStep[] {
  const familyOf = (itemId: string): string | undefined => {
    for (const line of read) {
      if (line.itemId !== itemId) continue;
      const mention = mentionsIn(line.text).find((m) => m.family.forms.some((f) => f.itemId === itemId));
      if (mention) return mention.family.id;
    }
    return undefined;
  };
  const used = new Set<string>();
  const takes: ReadonlySet<OwnStepKind> = new Set(['combine', 'soak', 'blend', 'mix', 'sweeten', 'steep']);
  const steps: RecipeStep[] = [];
  // What a later step names is kept for it, also where the first filling says "everything".
  const first = pasted.findIndex((s) => takes.has(s.kind));
  const later = new Set(
    pasted.flatMap((s, i) => (i > first && takes.has(s.kind) && !s.implied ? s.families : [])),
  );
  for (const [index, step] of pasted.entries()) {
    const named = lines.filter((l) => {
      const family = familyOf(l.itemId);
      return family !== undefined && step.families.includes(family);
    });
    let own: RecipeLine[] = [];
    if (takes.has(step.kind)) {
      own = named.filter((l) => !used.has(l.id));
      if (step.kind === 'combine' && (step.everything || step.implied))
        own = lines.filter((l) => {
          const family = familyOf(l.itemId) ?? '';
          const named = step.families.includes(family);
          return (
            !used.has(l.id) &&
            l.kind !== 'sweetener' &&
            !step.except.includes(family) &&
            (named || !later.has(family))
          );
        });
      if (step.kind === 'sweeten') own = own.filter((l) => l.kind === 'sweetener');
      if (step.kind === 'sweeten' && own.length === 0)
        own = lines.filter((l) => l.kind === 'sweetener' && !used.has(l.id));
      if (step.kind === 'mix' || step.kind === 'combine') own = own.filter((l) => l.kind !== 'sweetener');
      for (const l of own) used.add(l.id);
    } else if (step.kind === 'wash' || step.kind === 'prep') own = named.filter((l) => l.kind === 'solid');
    steps.push({
      id: `s${index + 1}`,
      kind: step.kind,
      lineIds: own.map((l) => l.id),
      minutes: step.length?.minutes ?? USUAL_MIN[step.kind],
      ...(step.length?.max === undefined ? {} : { maxMinutes: step.length.max }),
      ...step.details,
      text: step.text,
    });
  }
  // What no step has named goes into the pot at its first filling, or is stirred in at the end.
  const left = lines.filter((l) => !used.has(l.id));
  for (const line of left) {
    const home =
      line.kind === 'sweetener'
        ? steps.find((s) => s.kind === 'sweeten')
        : line.stream === 'after'
          ? (steps.find((s) => s.kind === 'mix') ?? steps.find((s) => s.kind === 'combine'))
          : steps.find((s) => s.kind === 'combine' || s.kind === 'soak' || s.kind === 'blend');
    if (home) steps[steps.indexOf(home)] = { ...home, lineIds: [...home.lineIds, line.id] };
    else if (line.kind === 'sweetener') {
      const at = steps.findIndex((s) => s.kind === 'bottle');
      steps.splice(at < 0 ? steps.length : at, 0, {
        id: `s${steps.length + 1}`,
        kind: 'sweeten',
        lineIds: [line.id],
        minutes: USUAL_MIN.sweeten,
      });
    }
  }
  return steps;
}

/** Where a recipe says "to taste", medium sweet: the taste at the pot decides. */
const BY_TASTE_PCT = 8;

/** How long a step takes where nobody says. */
const USUAL_MIN: Readonly<Record<OwnStepKind, number>> = {
  pick: 5,
  wash: 5,
  prep: 10,
  combine: 4,
  lift: 2,
  soak: 480,
  heat: 0,
  boil: 15,
  steep: 480,
  strain: 15,
  blend: 10,
  juice: 15,
  cool: 0,
  mix: 5,
  sweeten: 15,
  sour: 10,
  fortify: 10,
  mill: 5,
  skim: 4,
  settle: 60,
  split: 2,
  mature: 5760,
  bottle: 20,
  freeze: 20,
};
