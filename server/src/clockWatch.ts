/** So far the clock may drift or be set right without anybody being told, ms. */
const TOLERATED_MS = 2 * 60_000;

/**
 * Notices when the machine's clock is set forwards or back, or the machine has slept: against a clock that only ever runs
 * on. Each jump is told once.
 */
export class ClockWatch {
  private apartMs: number;

  constructor(
    private readonly wallMs: () => number = Date.now,
    private readonly steadyMs: () => number = () => performance.now(),
  ) {
    this.apartMs = this.wallMs() - this.steadyMs();
  }

  /** How far the clock has jumped since the last look, ms, negative when it was set back; null: it ran on. */
  look(): number | null {
    const apartMs = this.wallMs() - this.steadyMs();
    const jumpMs = apartMs - this.apartMs;
    this.apartMs = apartMs;
    return Math.abs(jumpMs) >= TOLERATED_MS ? Math.round(jumpMs) : null;
  }
}
