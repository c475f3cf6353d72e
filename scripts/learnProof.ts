/**
 * `npm run learn:proof -- --seed N [--kitchens N]`: what is learnt in kitchens whose constants are hidden, held against what
 * they make next. Ends with 0 only if its aims are met.
 */
import { parseArgs } from 'node:util';
import { proveLearning } from '../core/src/learn/proof.fixtures.ts';

const { values } = parseArgs({
  options: { seed: { type: 'string', default: '1' }, kitchens: { type: 'string', default: '200' } },
});
const seed = Number(values.seed);
const kitchens = Number(values.kitchens);
/** Errors are so much less, ranges hold so many, blunders move so little. */
const AIMS = {
  litresLess: 0.25,
  hoursLess: 1 / 3,
  within: { least: 0.72, most: 0.88 },
  odd: 0.03,
  blunder: 0.9,
};

const say = (line: string) => process.stdout.write(`${line}\n`);
const pct = (share: number) => `${(100 * share).toFixed(1)} %`;
const failures: string[] = [];
const aim = (met: boolean, what: string) => {
  say(`${met ? 'met   ' : 'MISSED'}  ${what}`);
  if (!met) failures.push(what);
};

const f = proveLearning(seed, kitchens);
const less = ({ book, learnt }: { book: number; learnt: number }) => 1 - learnt / book;
say(`seed ${seed}, ${f.kitchens} hidden kitchens, eight batches each`);
aim(
  less(f.litres) >= AIMS.litresLess,
  `litres of known drinks: median error ${pct(f.litres.learnt)} against ${pct(f.litres.book)} by the book, ${pct(less(f.litres))} less`,
);
aim(
  less(f.hours) >= AIMS.hoursLess,
  `hours of known drinks: median error ${pct(f.hours.learnt)} against ${pct(f.hours.book)} by the book, ${pct(less(f.hours))} less`,
);
const held = ({ least, most }: { least: number; most: number }, share: number) =>
  share >= least && share <= most;
aim(
  held(AIMS.within, f.within.litres),
  `the range of eight in ten holds ${pct(f.within.litres)} of the litres`,
);
aim(held(AIMS.within, f.within.hours), `and ${pct(f.within.hours)} of the hours`);
aim(
  f.odd.litres <= AIMS.odd && f.odd.hours <= AIMS.odd,
  `${f.odd.kitchens} kitchens twice as odd: median error ${pct(f.odd.litres)} of the litres, ${pct(f.odd.hours)} of the hours`,
);
aim(f.blunder.litres >= AIMS.blunder, `${pct(f.blunder.litres)} of blunders move the litres by 2 % at most`);
aim(
  f.blunder.hours >= AIMS.blunder,
  `${pct(f.blunder.hours)} of blunders move the hours by 2 % at most, from the sixth batch on`,
);
const { half, most, all } = f.updateMs;
say(
  `an update takes ${half.toFixed(0)} ms, 99 of 100 no more than ${most.toFixed(0)}, the slowest ${all.toFixed(0)}`,
);
say(failures.length === 0 ? 'all aims met' : `${failures.length} missed`);
process.exitCode = failures.length === 0 ? 0 : 1;
