import { median, p95 } from './figures.mjs';

/** How long each frame took while something moved for three seconds: the 95th percentile, median of three times. */
export async function frameMs(page, move) {
  const rounds = [];
  for (let round = 0; round < 3; round++) rounds.push(p95(await page.evaluate(move)));
  return { middleMs: median(rounds), firstMs: rounds[0] };
}

/** Scrolls down and up again. Runs in the page. */
export async function scrollFrames() {
  const lengths = [];
  const began = performance.now();
  let last = began;
  let by = 24;
  while (performance.now() - began < 3000) {
    window.scrollBy(0, by);
    if (window.scrollY + window.innerHeight >= document.documentElement.scrollHeight - 2) by = -24;
    if (window.scrollY <= 0) by = 24;
    await new Promise((done) => requestAnimationFrame(done));
    const now = performance.now();
    lengths.push(now - last);
    last = now;
  }
  return lengths;
}

/** Drags what `window.dragged` is up and down. Runs in the page. */
export async function dragFrames() {
  const handle = window.dragged;
  const box = handle.getBoundingClientRect();
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  const send = (type, dy) =>
    handle.dispatchEvent(
      new PointerEvent(type, { bubbles: true, pointerId: 1, clientX: x, clientY: y - dy, isPrimary: true }),
    );
  handle.setPointerCapture = () => undefined;
  send('pointerdown', 0);
  const lengths = [];
  const began = performance.now();
  let last = began;
  while (performance.now() - began < 3000) {
    send('pointermove', 110 * (1 - Math.cos((performance.now() - began) / 300)));
    await new Promise((done) => requestAnimationFrame(done));
    const now = performance.now();
    lengths.push(now - last);
    last = now;
  }
  send('pointerup', 0);
  return lengths;
}
