/** A colour by a plain word: the first row whose bounds hold it, in the OKLCH colour space. */
export interface ColourNameRow {
  name: string;
  /** Lightness from 0 (black) to 1 (white), exclusive above. */
  lightness: readonly [number, number];
  /** At least this chroma; greys have almost none. */
  chromaFrom: number;
  /** Hue in degrees, 0 red-pink, 30 red, 60 orange, 100 yellow, 140 green; exclusive above. */
  hue: readonly [number, number];
  source: string;
}

const BY_EYE = 'Set by eye against the colours of the shipped drinks; low confidence between neighbours';

// biome-ignore format: a table reads by rows
export const COLOUR_NAME_ROWS: readonly ColourNameRow[] = [
  { name: 'blackRed', lightness: [0, 0.27], chromaFrom: 0.03, hue: [0, 50], source: BY_EYE },
  { name: 'black', lightness: [0, 0.27], chromaFrom: 0, hue: [0, 360], source: BY_EYE },
  { name: 'clear', lightness: [0.93, 1.01], chromaFrom: 0, hue: [0, 360], source: BY_EYE },
  { name: 'pink', lightness: [0.68, 0.93], chromaFrom: 0.03, hue: [0, 45], source: BY_EYE },
  { name: 'red', lightness: [0.46, 0.68], chromaFrom: 0.12, hue: [0, 45], source: BY_EYE },
  { name: 'deepRed', lightness: [0.27, 0.46], chromaFrom: 0.09, hue: [0, 45], source: BY_EYE },
  { name: 'brownRed', lightness: [0.27, 0.68], chromaFrom: 0.03, hue: [0, 45], source: BY_EYE },
  { name: 'orange', lightness: [0.62, 0.93], chromaFrom: 0.03, hue: [45, 72], source: BY_EYE },
  { name: 'amber', lightness: [0.55, 0.8], chromaFrom: 0.03, hue: [45, 95], source: BY_EYE },
  { name: 'brown', lightness: [0.27, 0.62], chromaFrom: 0.03, hue: [45, 110], source: BY_EYE },
  { name: 'golden', lightness: [0.62, 0.86], chromaFrom: 0.03, hue: [72, 110], source: BY_EYE },
  { name: 'straw', lightness: [0.8, 0.93], chromaFrom: 0.03, hue: [72, 115], source: BY_EYE },
  { name: 'green', lightness: [0.27, 0.93], chromaFrom: 0.03, hue: [110, 180], source: BY_EYE },
  { name: 'pink', lightness: [0.62, 0.93], chromaFrom: 0.03, hue: [320, 360], source: BY_EYE },
  { name: 'deepRed', lightness: [0.27, 0.62], chromaFrom: 0.03, hue: [320, 360], source: BY_EYE },
  { name: 'grey', lightness: [0.27, 0.93], chromaFrom: 0, hue: [0, 360], source: BY_EYE },
];
