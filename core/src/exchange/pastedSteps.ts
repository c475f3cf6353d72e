import type { OwnStepKind, RecipeStep } from '../documents/recipe.ts';
import { FAMILY_ROWS } from '../tables/families.ts';
import { type Length, lengthIn } from './amounts.ts';
import { mentionsIn } from './recognise.ts';

/** A step as it was read from a text. */
export interface PastedStep {
  kind: OwnStepKind;
  /** The words it was read from. */
  text: string;
  length: Length | null;
  details: Pick<RecipeStep, 'level' | 'lid' | 'place' | 'press' | 'cloth' | 'thrown'>;
  /** Families named in it, and those named as left out. */
  families: string[];
  except: string[];
  /** "Everything", "all the ingredients". */
  everything: boolean;
  /** Nobody wrote it, but the rest means it: filling the pot before it boils. */
  implied: boolean;
  sure: boolean;
}

const SWEET: ReadonlySet<string> = new Set(FAMILY_ROWS.filter((f) => f.sweetens).map((f) => f.id));

/** Verbs at which a sentence is cut into clauses. */
const VERBS =
  'bring|boil|simmer|steep|infuse|strain|sieve|filter|cool|chill|leave|let|add|stir|mix|pour|bottle|sweeten|blend|squeeze|soak|rinse|wash|put|place|combine|turn|take|cover|reduce|lower|serve|keep|refrigerate|peel|chop|slice|grate|bruise|crush|return';

const clausesOf = (sentence: string): string[] =>
  sentence
    .split(
      new RegExp(
        String.raw`;|,?\s+(?:and\s+)?then\s+|,\s+(?=(?:and\s+)?(?:i\s+|we\s+)?(?:${VERBS})\b)|\s+and\s+(?=(?:i\s+|we\s+)?(?:${VERBS})\b)`,
        'i',
      ),
    )
    .map((c) => c.replace(/^(?:and\s+)?(?:(?:i|we)\s+)?/i, '').trim())
    .filter(Boolean);

interface Rule {
  kind: OwnStepKind | 'none';
  when: RegExp;
}

/** Tried in this order; the first that fits a clause says what it is. `none` is something that is no step. */
const RULES: readonly Rule[] = [
  { kind: 'none', when: /^(?:serve|keep|store|drink|enjoy|makes|yield|this is|dear)\b/i },
  {
    kind: 'none',
    when: /^(?:turn off|take (?:it )?off|remove from|reduce|lower|turn down|cover|turn the heat)\b/i,
  },
  { kind: 'wash', when: /\b(?:rinse|wash|scrub)\b/i },
  { kind: 'soak', when: /\bsoak\b/i },
  { kind: 'heat', when: /\b(?:bring|comes?|coming)\b.*\bboil\b|\bheat (?:it |up )?(?:until|to)\b/i },
  { kind: 'boil', when: /\b(?:boil|simmer|cook)\b/i },
  { kind: 'strain', when: /\b(?:strain|sieve|filter)\b/i },
  { kind: 'blend', when: /\b(?:blend|blitz|whizz|liquidi[sz]e)\b/i },
  { kind: 'bottle', when: /\bbottle\b|\b(?:into|in) (?:clean |sterili[sz]ed )*(?:bottles|jars)\b/i },
  { kind: 'sweeten', when: /\bsweeten\b/i },
  { kind: 'cool', when: /\b(?:cool|cooled|chill|refrigerate)\b/i },
  { kind: 'steep', when: /\b(?:steep|infuse|stand|sit|rest|leave)\b/i },
  { kind: 'mix', when: /\b(?:add|stir|mix|pour|dissolve|squeeze)\b/i },
  { kind: 'combine', when: /\b(?:put|place|combine|tip)\b/i },
  { kind: 'prep', when: /^(?:peel|chop|slice|grate|cut|crush|bruise|dice|mince|pound)\b/i },
];

function detailsOf(kind: OwnStepKind, text: string): PastedStep['details'] {
  const details: PastedStep['details'] = {};
  if (kind === 'boil')
    details.level = /\bsimmer\b/i.test(text)
      ? 'simmer'
      : /\brolling|hard|rapid/i.test(text)
        ? 'rolling'
        : 'gentle';
  if (/\b(?:lid on|covered|cover)\b/i.test(text) && (kind === 'boil' || kind === 'steep')) details.lid = 'on';
  if (kind === 'strain') {
    if (/\b(?:cloth|muslin|cheesecloth|nut[- ]milk bag)\b/i.test(text)) details.cloth = true;
    if (/\bwring|squeez/i.test(text)) details.press = 'wring';
    else if (/\bpress/i.test(text)) details.press = 'press';
  }
  if (kind === 'steep' || kind === 'soak' || kind === 'cool')
    details.place = /\bfridge|refrigerat|\bchill/i.test(text)
      ? 'fridge'
      : /\bice\b/i.test(text)
        ? 'iceBath'
        : 'counter';
  if (kind === 'soak' && /\b(?:discard|throw|pour)\b.*\b(?:water|away|off)\b/i.test(text))
    details.thrown = true;
  return details;
}

/** Steps of a method, in the order in which they are told. */
export function stepsIn(method: string): { steps: PastedStep[]; unread: string[] } {
  const steps: PastedStep[] = [];
  const unread: string[] = [];
  const sentences = method
    .split(/\n|(?<=[^\d.])\.(?=\s|$)|(?<=\d)\.(?=\s+[A-Z]|$)|!/)
    .map((s) => s.replace(/^\s*(?:[-*•]|\d+[.)]|[a-z]\))\s*/, '').trim())
    .filter((s) => s.length > 1);
  for (const sentence of sentences) {
    // "10 min: boil all but the sugar": the length stands in front of what it is for.
    const led = /^([^:]{1,20}):\s*(.+)$/.exec(sentence);
    const ledLength = led ? lengthIn(led[1]!) : null;
    const body = led && ledLength ? led[2]! : sentence;
    const clauses = clausesOf(body);
    for (const clause of clauses) {
      const length = lengthIn(clause) ?? (clauses.length === 1 ? ledLength : null);
      readClause(clause, length, steps, unread);
    }
  }
  return { steps: withImplied(steps), unread };
}

function readClause(clause: string, length: Length | null, steps: PastedStep[], unread: string[]): void {
  const rule = RULES.find((r) => r.when.test(clause));
  if (!rule) {
    if (clause.split(/\s+/).length > 2) unread.push(clause);
    return;
  }
  if (rule.kind === 'none') return;
  const last = steps.at(-1);
  const done = steps.some((s) => s.kind === 'strain');
  const bottled = last?.kind === 'bottle';
  // Into the fridge once it is bottled is where it stands, not something to do.
  if (rule.kind === 'cool' && bottled) return;
  const [kept, left] = splitExcept(clause);
  const families = [...new Set(mentionsIn(kept).map((m) => m.family.id))];
  const except = mentionsIn(left).map((m) => m.family.id);
  const everything = /\b(?:everything|all (?:the |of the )?(?:ingredients|rest)|all but|the rest)\b/i.test(
    clause,
  );
  const step = (kind: OwnStepKind, own: string[], sure = true): void => {
    const before = steps.at(-1);
    if (before && before.kind === kind && (kind === 'mix' || kind === 'sweeten')) {
      before.families.push(...own);
      before.text += `, ${clause}`;
      return;
    }
    steps.push({
      kind,
      text: clause,
      length,
      details: detailsOf(kind, clause),
      families: own,
      except,
      everything,
      implied: false,
      sure: sure && !(length?.vague ?? false),
    });
  };
  switch (rule.kind) {
    case 'mix':
    case 'combine': {
      const sweet = families.filter((f) => SWEET.has(f));
      const others = families.filter((f) => !SWEET.has(f));
      const started = steps.some((s) =>
        ['boil', 'heat', 'steep', 'blend', 'soak', 'combine'].includes(s.kind),
      );
      if (!done) {
        step('combine', families, families.length > 0 || everything);
        return;
      }
      if (others.length) step('mix', others);
      if (sweet.length) step('sweeten', sweet);
      if (!families.length && !/\buntil\b|\bwell\b/i.test(clause) && started) step('mix', [], false);
      return;
    }
    case 'steep':
      // "Let it stand" needs a time or a night; "leave to cool" was taken before.
      if (!length) {
        unread.push(clause);
        return;
      }
      step('steep', families);
      return;
    case 'boil':
      if (/\bboiling\b/i.test(clause) && !/\b(?:boil|simmer|cook)\b/i.test(clause)) return;
      step('boil', families, length !== null);
      return;
    default:
      step(rule.kind, families);
  }
}

/** "Everything but the sugar": what is taken, and what is left out. */
function splitExcept(clause: string): [kept: string, left: string] {
  const match = /\b(?:but|except(?: for)?|apart from|without)\b(.*?)(?=\b(?:in|into|with)\b|$)/i.exec(clause);
  if (!match) return [clause, ''];
  return [clause.slice(0, match.index) + clause.slice(match.index + match[0].length), match[1] ?? ''];
}

/** Herbs put in when the flame is off, or a pot that boils without having been filled: the filling is implied. */
function withImplied(steps: PastedStep[]): PastedStep[] {
  const out: PastedStep[] = [];
  let filled = false;
  let hot = false;
  for (const step of steps) {
    const fills = step.kind === 'combine' || step.kind === 'soak' || step.kind === 'blend';
    if (!filled && (step.kind === 'boil' || step.kind === 'heat')) {
      out.push({
        ...step,
        kind: 'combine',
        details: {},
        length: null,
        implied: step.kind === 'boil' || step.families.length === 0,
      });
      filled = true;
    }
    if (step.kind === 'boil' && !hot) {
      out.push({ ...step, kind: 'heat', details: {}, length: null, families: [], implied: true });
      hot = true;
    }
    if (step.kind === 'heat') hot = true;
    if (fills) filled = true;
    if (step.kind === 'strain') {
      hot = false;
    }
    out.push(step);
  }
  return out;
}
