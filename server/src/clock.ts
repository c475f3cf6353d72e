/** The server's only source of time. */
export interface Clock {
  nowMs(): number;
}

/** Runs with the machine's clock, shifted or stopped by tests. */
export class AdjustableClock implements Clock {
  private offsetMs = 0;
  private stoppedAtMs: number | null = null;
  constructor(private readonly machine: () => number = Date.now) {}
  nowMs(): number {
    return this.stoppedAtMs ?? this.machine() + this.offsetMs;
  }
  /** From now on it is `nowMs`, running on or standing still. */
  set(nowMs: number, stopped: boolean): void {
    this.offsetMs = nowMs - this.machine();
    this.stoppedAtMs = stopped ? nowMs : null;
  }
}
