import { convertRgbToOklab, parseHex } from 'culori/fn';
import { COLOUR_NAME_ROWS } from '../tables/colourNames.ts';

/**
 * The plain name of a colour, as a code for words ("deepRed"), for readers who do not see it.
 * @param hex as `colourOf` gives it, `#rrggbb`. What is no colour at all is 'clear', one that no row holds 'grey'.
 */
export function colourName(hex: string): string {
  const rgb = parseHex(hex);
  if (!rgb) return 'clear';
  const { l, a, b } = convertRgbToOklab(rgb);
  const chroma = Math.hypot(a, b);
  const hueDeg = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  const row = COLOUR_NAME_ROWS.find(
    ({ lightness, chromaFrom, hue }) =>
      l >= lightness[0] &&
      l < lightness[1] &&
      chroma >= chromaFrom &&
      // What is nearly grey has no hue to speak of.
      (chromaFrom === 0 || (hueDeg >= hue[0] && hueDeg < hue[1])),
  );
  return row?.name ?? 'grey';
}
