/** A source of chance that gives the same again for the same seed. */
export class Random {
  constructor(private state: number) {}

  /** From 0 up to 1 (mulberry32, public domain). */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }

  chance(share: number): boolean {
    return this.next() < share;
  }

  whole(from: number, to: number): number {
    return from + Math.floor(this.next() * (to - from + 1));
  }

  pick<T>(from: readonly T[]): T {
    return from[this.whole(0, from.length - 1)] as T;
  }
}
