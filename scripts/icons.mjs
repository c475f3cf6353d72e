/** `npm run icons`: the icons that a phone or a desktop installs the application with, drawn from web/public/ladle.svg. */
import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { CHROMIUM_FLAGS, ensureChromium, ensureInstalled, ROOT, say } from './lib.mjs';

const GROUND = '#21409a';
/** Of a maskable icon the middle eight tenths are always seen: the drawing stays within them. */
const MASKED_SHARE = 0.8;
const ICONS = [
  { name: 'icon-192', px: 192 },
  { name: 'icon-512', px: 512 },
  { name: 'maskable-512', px: 512, filled: true },
  // Some phones round the corners by themselves and show what is see-through as black.
  { name: 'apple-180', px: 180, filled: true },
];

await ensureInstalled();
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({ executablePath: await ensureChromium(), args: CHROMIUM_FLAGS });
const svg = readFileSync(path.join(ROOT, 'web/public/ladle.svg'), 'utf8');
const out = path.join(ROOT, 'web/public/icons');
mkdirSync(out, { recursive: true });
for (const { name, px, filled } of ICONS) {
  const page = await browser.newPage({ viewport: { width: px, height: px } });
  const size = filled ? px * MASKED_SHARE : px;
  await page.setContent(
    `<style>*{margin:0}body{background:${filled ? GROUND : 'transparent'};display:grid;place-items:center;width:${px}px;height:${px}px}svg{width:${size}px;height:${size}px}</style>${svg}`,
  );
  await page.screenshot({ path: path.join(out, `${name}.png`), omitBackground: !filled });
  await page.close();
  say(`web/public/icons/${name}.png`);
}
await browser.close();
