import { type MessageFormatElement, TYPE } from '@formatjs/icu-messageformat-parser';
import { speakThrough } from './say.ts';

/**
 * The pseudo-language, for a developer: each letter of a catalogue's sentence becomes its twin with a mark, the
 * figures and the cook's own words in it stay. What is then still plain on a screen does not come from a catalogue.
 */
const TWINS = new Map(
  [...'abcdefghijklmnopqrstuvwxyz'].map((letter, i) => [letter, [...'áƀćđéƒğħíĵķłḿńóṗɋřšţúṽŵẋýž'][i]!]),
);
export const marked = (text: string): string =>
  [...text].map((c) => TWINS.get(c) ?? TWINS.get(c.toLowerCase())?.toLocaleUpperCase('en') ?? c).join('');

const inside = (element: MessageFormatElement): MessageFormatElement => {
  switch (element.type) {
    case TYPE.literal:
      return { ...element, value: marked(element.value) };
    case TYPE.select:
    case TYPE.plural:
      return {
        ...element,
        options: Object.fromEntries(
          Object.entries(element.options).map(([key, option]) => [
            key,
            { ...option, value: option.value.map(inside) },
          ]),
        ),
      };
    default:
      return element;
  }
};

/** From now on the screens speak the pseudo-language. */
export const speakPseudo = (): void =>
  speakThrough({ text: marked, message: (elements) => elements.map(inside) });
