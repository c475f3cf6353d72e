import type { FamilyRow } from '../../../tables/families.ts';
import type { Tables } from '../../../tables/types.ts';
import { itemFacts } from '../../items.ts';
import { added, amountOf, compared, familyById, isMass } from '../amounts.ts';
import { formOf } from '../forms.ts';
import type { Ledger } from '../ledger.ts';
import { singular } from '../lexicon.ts';
import type { Thing } from '../things/thing.ts';
import type { Token } from '../tokens.ts';
import type { ReadAmount, ReadingKit, Span } from '../types.ts';
import { addForms, type DraftLine, type Portion } from './draftLine.ts';
import { itemOf, sameForm } from './itemOf.ts';

const MOST_LINES = 60;
const WARMTH = ['hot', 'cold', 'boiling', 'warm', 'lukewarm', 'iced', 'tepid'];
const sameWarmth = (a: readonly string[], b: readonly string[]): boolean =>
  WARMTH.some((word) => a.includes(word) && b.includes(word));

/** The lines of one drink, put together from everything that names them. */
export class Lines {
  readonly all: DraftLine[] = [];
  readonly text: string;
  readonly tokens: readonly Token[];
  readonly kit: ReadingKit;
  readonly tables: Tables;
  private readonly ledger: Ledger;
  /** Parts of the drink with lists of their own, that are not made yet. */
  private readonly partNames = new Set<string>();
  /** Fruit that was peeled: "the peel" is of all of them. */
  peeled: DraftLine[] = [];
  /** The fruit that was named last: "the peel", "the juice" are of it. */
  private lastFruit: DraftLine | null = null;

  constructor(text: string, tokens: readonly Token[], tables: Tables, kit: ReadingKit, ledger: Ledger) {
    this.ledger = ledger;
    this.tables = tables;
    this.text = text;
    this.tokens = tokens;
    this.kit = kit;
  }

  private spanOf(thing: Thing): Span {
    this.ledger.use(thing.from, thing.to);
    if (thing.quantity) this.ledger.use(thing.quantity.from, thing.quantity.to);
    return { start: this.tokens[thing.from]!.start, end: this.tokens[thing.to - 1]!.end };
  }

  private amount(thing: Thing): ReadAmount | null {
    const q = thing.quantity;
    if (!q) return thing.toTaste ? { kind: 'taste', value: 0, unit: null, words: 'to taste' } : null;
    const words = this.text.slice(this.tokens[q.from]!.start, this.tokens[q.to - 1]!.end);
    return { ...amountOf(q, words, this.kit), ...(thing.perL ? { perL: true as const } : {}) };
  }

  /** Lines that a thing may be another mention of. */
  private matching(thing: Thing): DraftLine[] {
    const { entry } = thing;
    if (entry.kind === 'group') {
      return this.all.filter(
        (l) =>
          ((l.familyId !== null && entry.families.includes(l.familyId)) ||
            (l.unknown && l.part !== null && l.part === entry.unknownPart)) &&
          (thing.part === null || l.part === thing.part || l.part === null) &&
          (entry.part === undefined || l.part === entry.part),
      );
    }
    if (entry.kind === 'unknown' || entry.kind === 'other')
      return this.all.filter((l) => l.unknown && singular(l.name) === singular(entry.name));
    const own = this.all.filter((l) => l.familyId === entry.family.id);
    if (thing.part === null) return thing.definite ? this.ofForm(own, entry.family, thing.forms) : own;
    const same = own.filter((l) => l.part === thing.part);
    if (same.length) return same;
    // "2 lemons" in the list and "the lemon juice" in the method are one.
    return own.filter((l) => l.part === null && !(thing.quantity && l.amount && !thing.definite));
  }

  /** Of several forms of one thing those that are meant: by its words, else those of the kind that it is usually. */
  private ofForm(lines: DraftLine[], family: FamilyRow, forms: readonly string[]): DraftLine[] {
    if (lines.length < 2) return lines;
    // "The orange" beside "the orange peel" is the fruit.
    const wholes = lines.filter((l) => l.part === null);
    if (wholes.length && wholes.length < lines.length) return this.ofForm(wholes, family, forms);
    const asked = formOf(family, forms.join(' '));
    const kindOf = (itemId: string | null) => itemFacts(itemId ?? '', this.tables)?.kind;
    const meant = lines.filter((l) =>
      asked.said ? itemOf(l).itemId === asked.itemId : kindOf(itemOf(l).itemId) === kindOf(asked.itemId),
    );
    return meant.length ? meant : lines;
  }

  /** How much of a line a mention of it means; undefined where it does not say. */
  portion(thing: Thing, line: DraftLine): Portion | undefined {
    if (thing.rest) return 'rest';
    if (thing.share !== null) return { share: thing.share };
    // "The hot water", where the list has hot and cold.
    const told =
      line.rows.length > 1 && !thing.quantity
        ? line.rows.filter((r) => sameWarmth(r.forms, thing.forms))
        : [];
    if (told.length === 1) return { amount: told[0]!.amount };
    const amount = thing.quantity?.measure || line.amount?.unit === null ? this.amount(thing) : null;
    return amount?.kind === 'said' ? { amount } : undefined;
  }

  /** Fruit by its weight: it goes through the juicer as it is. */
  weighed(thing: Thing): boolean {
    if (thing.quantity?.measure && isMass(thing.quantity.measure.id)) return true;
    const known = this.matching({ ...thing, part: null }).filter((l) => l.part !== 'juice');
    const byWeight =
      known.length > 0 && known.every((l) => l.amount?.kind === 'said' && isMass(l.amount.unit));
    if (byWeight) for (const line of known) line.juiced = true;
    return byWeight;
  }

  /** It was named before. */
  knows(thing: Thing): boolean {
    return this.matching(thing).length > 0;
  }

  /** A thing of a list: a line of its own, or more of one that is there. */
  listed(thing: Thing, part?: string): DraftLine[] {
    if (part) this.partNames.add(part);
    const found = this.listedAs(thing);
    const amount = this.amount(thing);
    if (amount?.kind === 'said')
      for (const line of found) line.rows.push({ amount, forms: thing.forms, ...(part ? { part } : {}) });
    return found;
  }

  /**
   * "Simmer the syrup ingredients", "mix the base with the syrup": what is listed for a part that is named here for the
   * first time goes in here; from then on the name is that of what was made of it.
   */
  ofPart(words: string): { line: DraftLine; portion?: Portion }[] {
    const out: { line: DraftLine; portion?: Portion }[] = [];
    for (const name of this.partNames) {
      if (!words.includes(` the ${name} `) && !words.includes(` ${name} ingredients `)) continue;
      this.partNames.delete(name);
      const placed = (l: DraftLine) => l.at.some((a) => !a.weak);
      const isMade = this.all.some((l) => l.rows.length === 1 && l.rows[0]!.part === name && placed(l));
      if (isMade) continue;
      for (const line of this.all) {
        const row = line.rows.find((r) => r.part === name);
        if (!row) continue;
        const shared = line.rows.length > 1;
        if (shared || !placed(line))
          out.push({ line, ...(shared ? { portion: { amount: row.amount } } : {}) });
      }
    }
    return out;
  }

  private listedAs(thing: Thing): DraftLine[] {
    const same = this.matching(thing).filter((l) => l.part === thing.part);
    const amount = this.amount(thing);
    const [before] = same;
    if (before && amount && before.amount) {
      const sum = added(before.amount, amount);
      if (sum && sameForm(before, thing)) {
        before.amount = sum;
        before.spans.push(this.spanOf(thing));
        return [before];
      }
    }
    if (before && !amount) {
      before.spans.push(this.spanOf(thing));
      return [before];
    }
    if (thing.entry.kind === 'group') return this.told(thing);
    return [this.made(thing, true)];
  }

  private made(thing: Thing, listed: boolean): DraftLine {
    const { entry } = thing;
    const family = entry.kind === 'family' ? entry.family : undefined;
    const span = this.spanOf(thing);
    const line: DraftLine = {
      id: `l${this.all.length + 1}`,
      familyId: family?.id ?? null,
      family,
      name: entry.kind === 'group' ? '' : entry.name,
      part: thing.part,
      forms: [...thing.forms],
      meantFor: thing.meantFor,
      ...(entry.kind === 'family' && entry.falseFriend ? { falseFriend: entry.falseFriend } : {}),
      amount: this.amount(thing),
      listed,
      rows: [],
      optional: thing.optional,
      misspelled: thing.misspelled,
      toTaste: thing.toTaste,
      unknown: entry.kind !== 'family',
      differs: false,
      placeGuessed: false,
      spans: [span],
      words: this.text.slice(span.start, span.end),
      at: [],
    };
    if (this.all.length < MOST_LINES) this.all.push(line);
    if (family?.juice) this.lastFruit = line;
    return line;
  }

  /**
   * The lines that a thing told in a sentence stands for: those it names again, or a new one. Amounts that are told again
   * are the same thing; more of it is added; a larger one that nobody explains is asked about.
   */
  told(thing: Thing): DraftLine[] {
    const span = this.spanOf(thing);
    if (thing.entry.kind === 'group') {
      const found = thing.entry.families.length ? this.matching(thing) : this.partsOf(thing.part ?? '');
      for (const line of found) line.spans.push(span);
      // "400 g of the dried flowers": of the one family they can be.
      const only = thing.entry.families.length === 1 ? familyById(thing.entry.families[0]!) : undefined;
      if (!found.length && only && thing.quantity)
        return [
          this.made(
            { ...thing, entry: { kind: 'family', family: only, name: only.id, foreign: false } },
            false,
          ),
        ];
      return found;
    }
    const same = this.matching(thing);
    const amount = this.amount(thing);
    // What went through the juicer is its juice from then on, and in the drink already.
    if (
      thing.part === 'juice' &&
      !thing.quantity &&
      same.length === 1 &&
      same[0]!.part === null &&
      same[0]!.juiced
    ) {
      same[0]!.spans.push(span);
      return [];
    }
    if (!same.length) {
      const line = this.made(thing, false);
      return [line];
    }
    for (const line of same) {
      line.spans.push(span);
      if (line.familyId && line.family?.juice) this.lastFruit = line;
      if (thing.part && line.part === null) line.part = thing.part;
      if (!line.listed || thing.forms.length) addForms(line, thing.forms);
      if (thing.toTaste) line.toTaste = true;
    }
    const [line] = same;
    if (amount?.kind !== 'said' || same.length > 1) return same;
    if (line!.amount?.kind !== 'said') {
      if (!thing.definite || !line!.listed) {
        line!.amount = amount;
        line!.words = this.text.slice(span.start, span.end);
      }
      return same;
    }
    this.compare(line!, thing, amount);
    return same;
  }

  private compare(line: DraftLine, thing: Thing, amount: ReadAmount): void {
    const ratio = compared(amount, line.amount!);
    const isArticle = thing.quantity?.article && thing.quantity.measure === null;
    if (isArticle) return;
    const water = line.family?.plainWater === true;
    if (line.listed) {
      // A part of what the list has, or all of it, as the list has it.
      if (thing.more && !water) {
        const sum = added(line.amount!, amount);
        if (sum) line.amount = sum;
        return;
      }
      if (ratio === null || ratio > 1.1) line.differs = !water || ratio !== null;
      return;
    }
    if (thing.definite && !thing.more) return;
    if (thing.more || (water && ratio !== 1)) {
      const sum = added(line.amount!, amount);
      if (sum) line.amount = sum;
      else line.differs = true;
      return;
    }
    if (ratio !== null && ratio <= 1.02) return;
    line.differs = true;
  }

  /** "Make that half a cup of molasses." */
  correctedBy(thing: Thing): void {
    const [line] = this.matching(thing);
    const amount = this.amount(thing);
    if (!line || !amount) return;
    line.spans.push(this.spanOf(thing));
    line.amount = amount;
  }

  /** "No, make it two": the amount that was said last is put right. */
  corrected(line: DraftLine, amount: ReadAmount): void {
    line.amount = { ...amount, unit: amount.unit ?? line.amount?.unit ?? null };
  }

  /**
   * "Squeeze ten of the lemons": so many of a line's pieces go another way from here on. The rest stays what it was.
   * @returns the new line, or null where all of it is meant.
   */
  split(line: DraftLine, things: readonly Thing[]): DraftLine | null {
    const thing = things.find(
      (t) =>
        t.definite &&
        t.quantity &&
        !t.quantity.measure &&
        t.entry.kind === 'family' &&
        t.entry.family.id === line.familyId,
    );
    const had = line.amount;
    if (!thing?.quantity || had?.kind !== 'said' || had.unit !== null || thing.quantity.value >= had.value)
      return null;
    const taken = thing.quantity.value;
    line.amount = { ...had, value: had.value - taken };
    const part = line.part;
    line.part = null;
    const copy: DraftLine = {
      ...line,
      id: `l${this.all.length + 1}`,
      part,
      forms: [],
      at: [],
      spans: [this.spanOf(thing)],
      amount: { ...had, value: taken },
    };
    this.all.push(copy);
    return copy;
  }

  /** "The peel", "the juice" of what was named before. */
  partsOf(part: string): DraftLine[] {
    const own = this.all.filter((l) => l.part === part);
    if (own.length) return own;
    const fruits =
      part === 'peel' && this.peeled.length ? this.peeled : this.lastFruit ? [this.lastFruit] : [];
    return fruits.map((fruit) => {
      const copy: DraftLine = {
        ...fruit,
        copyOf: fruit.id,
        id: `l${this.all.length + 1}`,
        part,
        forms: [],
        at: [],
        spans: [...fruit.spans],
      };
      this.all.push(copy);
      return copy;
    });
  }
}
