import '../../../words/places/drinks.ts';
import type { OwnStepKind } from '@big-ladle/core/documents';
import type { CaptureEntry } from '@big-ladle/core/exchange';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { grams, litres, volume } from '../../../words/quantities.ts';
import { type MessageKey, say } from '../../../words/say.ts';

const DEED_WORDS: Partial<Record<OwnStepKind, MessageKey>> = {
  wash: 'capturePage.wash',
  prep: 'capturePage.prep',
  heat: 'capturePage.heat',
  boil: 'capturePage.boil',
  steep: 'capturePage.steep',
  strain: 'capturePage.strain',
  cool: 'capturePage.cool',
  bottle: 'capturePage.bottle',
};

/** What happens, as it is tapped. */
export const deedText = (deed: OwnStepKind): string => say(DEED_WORDS[deed] ?? `step.${deed}`);

/** An entry in a few words. */
export function entryText(entry: CaptureEntry): string {
  switch (entry.kind) {
    case 'weighed':
      return say('capturePage.beforeAfter', {
        item: sayItem(entry.itemId),
        before: grams(entry.beforeG - entry.afterG),
        before2: grams(entry.beforeG),
        after: grams(entry.afterG),
      });
    case 'counted':
      return say('capturePage.pieces', {
        item: sayItem(entry.itemId),
        pieces: num(entry.pieces, entry.pieces % 1 ? 1 : 0),
      });
    case 'poured':
      return `${sayItem(entry.itemId)}: ${volume(entry.ml / 1000)}`;
    case 'deed':
      return deedText(entry.deed);
    case 'said':
      return say('capturePage.quote', { text: entry.text });
    case 'made':
      return say('capturePage.cameOut', { litres: litres(entry.litres) });
  }
}
