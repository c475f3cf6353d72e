import type { Need, Project } from './project.ts';

/** Rounding of litres is not a lack. */
const HAIR = 1e-6;

/** What is still free of each resource, slot by slot, and when somebody is at work already. */
export class Bookings {
  readonly #free = new Map<string, Float64Array>();
  /** How many attended stages go on in each slot. */
  readonly busy: Uint16Array;

  constructor(project: Pick<Project, 'slots' | 'resources'>) {
    this.busy = new Uint16Array(project.slots);
    for (const { id, capacity } of project.resources)
      this.#free.set(
        id,
        Float64Array.from({ length: project.slots }, (_, slot) => capacity[slot] ?? 0),
      );
  }

  /** @throws Error when the project has no such resource. */
  freeOf(resourceId: string): Float64Array {
    const free = this.#free.get(resourceId);
    if (!free) throw new Error(`no resource ${resourceId}`);
    return free;
  }

  /** Whether so much of it is free in a slot. */
  static has(free: Float64Array, slot: number, amount: number): boolean {
    return (free[slot] ?? 0) >= amount - HAIR;
  }

  /** How many slots without a break it is free around a stretch, that stretch with them; 0: it is not free there. */
  freeAround({ resourceId, amount }: Need, start: number, end: number): number {
    const free = this.freeOf(resourceId);
    for (let slot = start; slot < end; slot++) if (!Bookings.has(free, slot, amount)) return 0;
    let from = start;
    while (from > 0 && Bookings.has(free, from - 1, amount)) from--;
    let to = end;
    while (to < free.length && Bookings.has(free, to, amount)) to++;
    return to - from;
  }

  /** @param sign 1 books, -1 gives back. */
  book(needs: readonly Need[], start: number, end: number, sign: 1 | -1): void {
    for (const { resourceId, amount } of needs) {
      const free = this.freeOf(resourceId);
      for (let slot = start; slot < Math.min(end, free.length); slot++) free[slot]! -= sign * amount;
    }
  }

  work(start: number, end: number, sign: 1 | -1): void {
    for (let slot = start; slot < Math.min(end, this.busy.length); slot++) this.busy[slot]! += sign;
  }
}
