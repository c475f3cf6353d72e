import { CAPTIONS } from './caption.ts';
import { CARDS } from './card.ts';
import { DIALOGUES } from './dialogue.ts';
import { IMPERIAL } from './imperial.ts';
import { LETTERS } from './letter.ts';
import { LISTS } from './list.ts';
import { MESSAGES } from './message.ts';
import { NOTEBOOKS } from './notebook.ts';
import { SPOKEN } from './spoken.ts';
import { TRANSLATED } from './translated.ts';
import type { CorpusText } from './types.ts';

/** Sixty texts in ten manners. */
export const CORPUS: readonly CorpusText[] = [
  ...LISTS,
  ...CARDS,
  ...IMPERIAL,
  ...NOTEBOOKS,
  ...MESSAGES,
  ...SPOKEN,
  ...LETTERS,
  ...CAPTIONS,
  ...DIALOGUES,
  ...TRANSLATED,
];
