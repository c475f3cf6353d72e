/** Preloaded into every process of `npm run test:hours`: the machine's clock, moved by LADLE_CLOCK_SHIFT_MS. */
const shiftMs = Number(process.env.LADLE_CLOCK_SHIFT_MS ?? 0);
const Machine = Date;

class Shifted extends Machine {
  constructor(...parts) {
    if (parts.length === 0) super(Machine.now() + shiftMs);
    else super(...parts);
  }
  static now() {
    return Machine.now() + shiftMs;
  }
}
if (shiftMs !== 0) globalThis.Date = Shifted;
