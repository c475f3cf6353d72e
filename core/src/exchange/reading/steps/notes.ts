import type { StepBuilder } from './builder.ts';
import { boilDetails } from './cooking.ts';
import type { Piece } from './piece.ts';

/** Keeping, serving and tasting say what is done later; what they name still goes in. */
export function doKeep(b: StepBuilder, c: Piece): void {
  const { words, span, things, deed, length } = c;
  if (deed === 'keep') {
    // "Keep it there for twenty minutes" is a step.
    if (
      length &&
      length.value <= 120 &&
      !b.bottled &&
      / (?:there|warm|hot|at|going|boiling|simmering) /.test(words)
    ) {
      // "Keep it going": it boils on.
      const before = b.last;
      // "Heat it to 80 °C and keep it there": hot, and not boiling.
      const keptHot = before?.kind === 'heat' && before.heatTo !== 'boil' && / there /.test(words);
      const boils = before?.kind === 'heat' && before.heatTo === 'boil' && !b.off;
      const step = b.add(boils ? 'boil' : 'steep', span, { keptHot });
      b.time(step, length);
      if (boils) boilDetails(b, step, words, null);
      return;
    }
    b.notes.push({
      kind: 'keeps',
      span,
      ...(length ? { days: (length.max ?? length.value) / 1440 } : {}),
    });
    return;
  }
  if (deed === 'serve') b.notes.push({ kind: 'serve', span });
  if (deed === 'yield' && things.some((t) => t.quantity && t.entry.kind === 'family') && !b.strained) {
    const step = b.put('combine', span, true);
    for (const thing of things) for (const line of b.named(thing)) b.place(line, step, true, thing);
  }
}

/** Nothing to do, and nothing lost. */
export function doNothing(): void {}
