/** The work was asked to stop. */
export class Stopped extends Error {}

/** So long one piece of long work may hold the server, ms: whoever else asks is answered in between. */
const PIECE_MS = 12;

/** Lets others go first, now and then, in work that takes long; ends it when it is asked to stop. */
export class Pace {
  private began = performance.now();

  constructor(private readonly signal: AbortSignal) {}

  /** Before something that cannot be called off any more. @throws Stopped */
  check(): void {
    if (this.signal.aborted) throw new Stopped();
  }

  /** To be awaited between two pieces. @throws Stopped */
  async breathe(): Promise<void> {
    this.check();
    if (performance.now() - this.began < PIECE_MS) return;
    await new Promise((resolve) => setImmediate(resolve));
    this.check();
    this.began = performance.now();
  }
}
