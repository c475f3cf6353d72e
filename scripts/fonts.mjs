/**
 * The letters nearly every screen is written in, cut out of the whole fonts: the first page needs no others. A letter
 * that is not among them is fetched with the whole font (`web/src/theme/fonts/fonts.css` says from which signs on).
 * Run after a font package has a new version: `npm run fonts`.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import subsetFont from 'subset-font';

const FONTS = [
  { family: 'Atkinson Hyperlegible Next', pkg: 'atkinson-hyperlegible-next', weight: 400 },
  { family: 'Atkinson Hyperlegible Next', pkg: 'atkinson-hyperlegible-next', weight: 700 },
  { family: 'Bricolage Grotesque', pkg: 'bricolage-grotesque', weight: 600 },
];
/** First and last of each run of signs: those of a keyboard, and the printer's signs that the screens use. */
const RUNS = [
  [0x20, 0x7e],
  [0xa0, 0xa0],
  [0xb0, 0xb0],
  [0xb7, 0xb7],
  [0xbc, 0xbe],
  [0xd7, 0xd7],
  [0x2013, 0x2014],
  [0x2018, 0x2019],
  [0x201c, 0x201d],
  [0x2026, 0x2026],
];
/** What a browser applies by itself, and the figures of one width that the theme asks for. */
const FEATURES = ['kern', 'liga', 'clig', 'calt', 'ccmp', 'locl', 'mark', 'mkmk', 'tnum', 'lnum'];
/** What the whole fonts hold beside them. */
const REST =
  'U+00A1-00AF, U+00B1-00B6, U+00B8-00BB, U+00BF-00D6, U+00D8-00FF, U+0131, U+0152-0153, U+02BB-02BC, U+02C6, U+02DA, U+02DC, U+2010-2012, U+2015, U+201A-201B, U+201E-2025, U+2027-206F, U+20AC, U+2122, U+2190-2193, U+2212, U+2215';

const out = path.join(import.meta.dirname, '../web/src/theme/fonts');
const require = createRequire(path.join(import.meta.dirname, '../web/package.json'));
const letters = RUNS.flatMap(([first, last]) =>
  Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)),
).join('');
const hex = (code) => `U+${code.toString(16).toUpperCase().padStart(4, '0')}`;
const usual = RUNS.map(([first, last]) =>
  first === last ? hex(first) : `${hex(first)}-${hex(last).slice(2)}`,
);

const face = ({ family, weight }, url, range) => `@font-face {
  font-family: "${family}";
  font-style: normal;
  font-weight: ${weight};
  font-display: swap;
  src: url("${url}") format("woff2");
  unicode-range: ${range};
}
`;

let css =
  '/* Written by scripts/fonts.mjs. The fonts are under the SIL Open Font License 1.1, see OFL.txt. */\n';
for (const font of FONTS) {
  const whole = `@fontsource/${font.pkg}/files/${font.pkg}-latin-${font.weight}-normal.woff2`;
  const small = `${font.pkg}-${font.weight}.woff2`;
  const made = await subsetFont(readFileSync(require.resolve(whole)), letters, {
    targetFormat: 'woff2',
    keepFeatures: FEATURES,
  });
  writeFileSync(path.join(out, small), made);
  css += `\n${face(font, `./${small}`, usual.join(', '))}${face(font, whole, REST)}`;
  console.log(`${small} ${(made.length / 1000).toFixed(1)} kB`);
}
writeFileSync(path.join(out, 'fonts.css'), css);
