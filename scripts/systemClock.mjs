/**
 * Preloaded into every process of `npm run test:hours`: the machine's clock, moved by LADLE_CLOCK_SHIFT_MS. A proxy, so that
 * the prototype stays the one that packages extend and copy from.
 */
const shiftMs = Number(process.env.LADLE_CLOCK_SHIFT_MS ?? 0);
const Machine = Date;
const now = () => Machine.now() + shiftMs;

if (shiftMs !== 0) {
  globalThis.Date = new Proxy(Machine, {
    construct: (machine, parts, asked) =>
      Reflect.construct(machine, parts.length === 0 ? [now()] : parts, asked),
    apply: () => new Machine(now()).toString(),
    get: (machine, name) => (name === 'now' ? now : Reflect.get(machine, name)),
  });
  Machine.prototype.constructor = globalThis.Date;
}
