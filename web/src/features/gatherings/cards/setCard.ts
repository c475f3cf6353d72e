import '../../../words/places/gatherings.ts';
import '../../../words/places/steps.ts';
import type { TableCard } from '@big-ladle/core/gathering';
import type { Tables } from '@big-ladle/core/tables';
import { containsOf, drawn } from '../../../shared/labels/contents.ts';
import {
  type LabelPart,
  LEAST_FULL_MM,
  LEAST_MM,
  type Line,
  type Measure,
  PAD,
  setLines,
  sizes,
} from '../../../shared/labels/setLines.ts';
import { nutrientGrams } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';

/** What stands on a table card, in words. */
export interface CardText {
  name: string;
  under: string;
  contains: string;
  notFor: string;
  cautions: string;
  sugar: string;
  plants: readonly string[];
}

/** A card in words. @param groups names of the groups of this gathering that leave it. */
export function cardText(
  card: TableCard,
  name: string,
  groups: readonly string[],
  isPart: boolean,
  tables: Tables,
): CardText {
  return {
    name,
    under: [say(`settle.served.${card.served}`), isPart && say('cards.apart')].filter(Boolean).join(', '),
    contains: say('cards.contains', { list: containsOf(card.itemIds, tables) }),
    notFor: groups.length > 0 ? say('cards.notFor', { groups: groups.join(', ') }) : '',
    cautions: card.cautions.length
      ? say('cards.cautions', { list: card.cautions.map((a) => say(`audience.${a}`)).join(', ') })
      : '',
    sugar: say('cards.sugar', { sugar: nutrientGrams(card.sugarGPerGlass) }),
    plants: drawn(card.itemIds, tables),
  };
}

/** A drawing larger than this is not needed, mm. */
const MOST_PLANT_MM = 22;
const MOST_PLANTS = 2;
/** The largest print of a card: read from a step away, mm. */
const MOST_MM = 6;

/** Sets a card in millimetres: who leaves it and its cautions are printed smaller rather than cut. */
export function setCard(card: CardText, widthMm: number, heightMm: number, measure: Measure): LabelPart[] {
  const plants = card.plants.slice(0, MOST_PLANTS);
  const plantMm = Math.min(MOST_PLANT_MM, (heightMm - 2 * PAD) / MOST_PLANTS);
  const textW = widthMm - 2 * PAD - (plants.length > 0 ? plantMm + PAD : 0);
  const line = (text: string, bold: boolean, scale = 1): Line => ({ text, bold, must: true, scale });
  const lines = [
    line(card.under, false),
    line(card.contains, false),
    line(card.notFor, true),
    line(card.cautions, true, 0.9),
    line(card.sugar, false, 0.9),
  ].filter((l) => l.text !== '');
  let parts: LabelPart[] = [];
  for (const sizeMm of [...sizes(MOST_MM, LEAST_FULL_MM), ...sizes(LEAST_FULL_MM, LEAST_MM)]) {
    const set = setLines(card.name, lines, lines, sizeMm, textW, heightMm, measure);
    parts = set.parts;
    if (set.fits) break;
  }
  return [
    ...parts,
    ...plants.map(
      (plant, i): LabelPart => ({
        kind: 'plant',
        x: widthMm - PAD - plantMm,
        y: PAD + i * plantMm,
        sizeMm: plantMm,
        plant,
      }),
    ),
  ];
}
