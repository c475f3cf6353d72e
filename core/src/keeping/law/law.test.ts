import { describe, expect, it } from 'vitest';
import { runLaw } from './law.ts';

/** On demand: LADLE_LAW_PAIRS=200000 and, to make a run again, LADLE_LAW_SEED. */
const ASKED = Number(process.env.LADLE_LAW_PAIRS ?? 0);
/** A number and no time: what is tried does not hang on how fast the machine is. */
const PAIRS = ASKED || 1500;
const SEED = Number(process.env.LADLE_LAW_SEED ?? 20_261_128);
/** The rarest move shortens something once in some thousand pairs. */
const ENOUGH_FOR_EACH = 10_000;

describe('risk only ever shortens', () => {
  it(
    'of two courses the riskier never has the milder verdict, nor the later deadline',
    () => {
      const { pairs, nearShare, stricterShare, failure, byMove } = runLaw(SEED, { pairs: PAIRS });
      const percent = (share: number) => `${Math.round(share * 100)} %`;
      process.stdout.write(
        `seed ${SEED} (again with LADLE_LAW_SEED=${SEED}): ${pairs} pairs, ${percent(nearShare)} near a threshold, ${percent(stricterShare)} strictly stricter\n`,
      );
      expect(failure).toBeNull();
      expect(pairs).toBe(PAIRS);
      // Of few pairs a share is only known to some hundredths.
      const slack = pairs >= ENOUGH_FOR_EACH ? 0 : 0.05;
      expect(nearShare).toBeGreaterThanOrEqual(0.3 - slack);
      expect(stricterShare).toBeGreaterThanOrEqual(0.6 - slack);
      // No move is there for show: each was tried, and of enough pairs each has shortened something.
      for (const [name, { tried, stricter }] of Object.entries(byMove)) {
        expect(tried, name).toBeGreaterThan(5);
        if (pairs >= ENOUGH_FOR_EACH) expect(stricter, name).toBeGreaterThan(0);
      }
    },
    ASKED ? 3_600_000 : 150_000,
  );
});
