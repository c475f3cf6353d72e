import { PART_WORDS } from '../../../tables/reading/formWords.ts';
import { formOf } from '../forms.ts';
import type { Thing } from '../things/thing.ts';
import type { DraftLine } from './draftLine.ts';

export const sameForm = (line: DraftLine, thing: Thing): boolean =>
  !line.family ||
  formOf(line.family, line.forms.join(' ')).itemId === formOf(line.family, thing.forms.join(' ')).itemId;

/** Words that ask for a part which only some things have as a form of their own. */
const PART_FORM: Readonly<Record<string, readonly string[]>> = {
  peel: ['peel', 'rind', 'skin'],
  core: ['core'],
  juice: ['juice'],
  flesh: ['flesh'],
  leaf: ['leaf'],
  milk: ['milk'],
};

/** The item that a line means: by its part, then by the words for its form. Null: the tables have no such form. */
export function itemOf(line: DraftLine): { itemId: string | null; said: boolean; missing: boolean } {
  const { family } = line;
  if (!family) return { itemId: null, said: false, missing: false };
  if (line.meantFor) {
    const asked = formOf(family, line.meantFor);
    if (asked.said) return { ...asked, missing: false };
  }
  if (line.part) {
    const words = PART_FORM[line.part] ?? [];
    const forms = family.forms.filter((f) => f.words.some((w) => words.includes(w)));
    // "Lemon juice, bottled": of two juices the one that its other words ask for.
    const form =
      forms.find((f) => f.words.some((w) => !words.includes(w) && line.forms.includes(w))) ?? forms[0];
    if (form) return { itemId: form.itemId, said: true, missing: false };
    if (line.part === 'peel' || line.part === 'juice' || line.part === 'core')
      // Skin and all: roots are used with it.
      return family.juice || line.part !== 'peel'
        ? { itemId: null, said: true, missing: true }
        : { ...formOf(family, line.forms.join(' ')), missing: false };
  }
  const parts = line.forms.map((w) => (w === 'squeezed' ? 'juice' : (PART_WORDS[w] ?? w)));
  return { ...formOf(family, [...line.forms, ...parts].join(' ')), missing: false };
}
