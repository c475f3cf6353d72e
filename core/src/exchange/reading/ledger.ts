import type { Token } from './tokens.ts';
import type { Span } from './types.ts';

/** Keeps which tokens of the text became part of a fact, so that no figure is lost without being seen. */
export class Ledger {
  private readonly used: Uint8Array;
  private readonly tokens: readonly Token[];

  constructor(tokens: readonly Token[]) {
    this.tokens = tokens;
    this.used = new Uint8Array(tokens.length);
  }

  use(from: number, to: number): void {
    this.used.fill(1, from, to);
  }

  /** The tokens of a piece of the text. */
  useSpan(span: Span): void {
    for (let i = this.firstAt(span.start); i < this.tokens.length && this.tokens[i]!.start < span.end; i++)
      this.used[i] = 1;
  }

  isUsed(at: number): boolean {
    return this.used[at] === 1;
  }

  /** The first token that begins at a place of the text or after it: by halves. */
  firstAt(place: number): number {
    let low = 0;
    let high = this.tokens.length;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (this.tokens[mid]!.start < place) low = mid + 1;
      else high = mid;
    }
    return low;
  }
}
