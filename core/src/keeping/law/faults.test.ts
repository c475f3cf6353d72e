import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import type * as Cases from './cases.ts';
import type * as Law from './law.ts';

const CORE = path.resolve(import.meta.dirname, '../..');
const PLACE = path.resolve(CORE, '../../.cache/law-faults');

/** Faults planted in a copy of the core, each as it might slip in: the cases or the law must find every one. */
const FAULTS: { name: string; file: string; from: string; to: string }[] = [
  {
    name: 'a skipped step takes no time',
    file: 'program/simulate/simulate.ts',
    from: 'standBy(sim, step, run);',
    to: 'sim.nowMin = actual.endMin ?? sim.nowMin;',
  },
  {
    name: 'between two steps nothing stands',
    file: 'program/simulate/steps/stepTime.ts',
    from: 'advanceOthers(sim, stepId, new Set(), gapMin);',
    to: '',
  },
  {
    name: 'a second heating takes back whatever was missed',
    file: 'program/simulate/exposure.ts',
    from: 'if (missed && (t.boiledAgain || t.from21To5Min > STAGE_MIN.second || !soon)) return;',
    to: '',
  },
  {
    name: 'warm minutes count for nothing',
    file: 'keeping/shelfLife.ts',
    from: 'if (unsafeMin > KEEPING.warmSteepH * 60)',
    to: 'if (unsafeMin > 1e9)',
  },
  {
    name: 'a reading outlives what is drawn after it',
    file: 'program/simulate/evolve.ts',
    from: 'const read = before.read && readHolds ? before.read : null;',
    to: 'const read = before.read;',
  },
  {
    name: 'a reading outlives what is poured in after it',
    file: 'program/simulate/state.ts',
    from: '    worseCooling(a.cooling, b.cooling),\n    null,',
    to: '    worseCooling(a.cooling, b.cooling),\n    a.read,',
  },
  {
    name: 'a reading that is no evidence makes the estimate sourer',
    file: 'program/simulate/exposure.ts',
    from: 'alkaliMeq: c.alkaliMeq + c.unprovedMeq,',
    to: 'alkaliMeq: c.alkaliMeq,',
  },
  {
    name: 'alcohol never boils off',
    file: 'program/simulate/evolve.ts',
    from: 'const ethanolG = ethanolLeftG(c.ethanolG, c.waterG, steamG);',
    to: 'const ethanolG = c.ethanolG;',
  },
  {
    name: 'what nobody knows shows acid',
    file: 'program/simulate/exposure.ts',
    from: 'origins.every((o) => !o.unknown) &&',
    to: '',
  },
  {
    name: 'nothing is spent on the first way down',
    file: 'keeping/follower.ts',
    from: 'spent.lifeMs += rate * coolingMs;',
    to: 'spent.lifeMs += coolingMs;',
  },
  {
    name: 'hours on the table cost nothing',
    file: 'keeping/follower.ts',
    from: 'const rate = lifeRate(middleC);\n      spent.lifeMs += rate * lengthMs;',
    to: 'const rate = inFridge ? lifeRate(middleC) : 0.5;\n      spent.lifeMs += rate * lengthMs;',
  },
  {
    name: 'clean bottles keep as long as sterilised ones, and a day more',
    file: 'keeping/shelfLife.ts',
    from: "limit({ sealed: KEEPING.cleanOnlyDays, open: days.open }, 'keep.cap.clean');",
    to: 'days = { sealed: days.sealed + 1, open: days.open };',
  },
];

/** For those that weaken one side of a pair; those that weaken both are for the cases worked by hand. */
const PAIRS = 1200;
const SEED = 7;

function copied(to: string): void {
  rmSync(to, { recursive: true, force: true });
  mkdirSync(to, { recursive: true });
  for (const name of readdirSync(CORE))
    if (statSync(path.join(CORE, name)).isDirectory() || name === 'testKitchen.ts')
      cpSync(path.join(CORE, name), path.join(to, name), {
        recursive: true,
        filter: (file) => !file.endsWith('.test.ts'),
      });
}

afterAll(() => rmSync(PLACE, { recursive: true, force: true }));

describe('faults planted on purpose', () => {
  it.each(FAULTS)('is caught: $name', async ({ name, file, from, to }) => {
    const place = path.join(PLACE, name.replaceAll(/\W+/g, '-'));
    copied(place);
    const target = path.join(place, file);
    const source = readFileSync(target, 'utf8');
    // Exactly once: a fault that misses its place would prove nothing.
    expect(source.split(from)).toHaveLength(2);
    writeFileSync(target, source.replace(from, to));
    const inCopy = (file: string) => pathToFileURL(path.join(place, 'keeping/law', file)).href;
    const { CASES, missOf } = (await import(inCopy('cases.ts'))) as typeof Cases;
    const missed = CASES.filter((one) => missOf(one) !== null);
    if (missed.length > 0) return;
    const { runLaw } = (await import(inCopy('law.ts'))) as typeof Law;
    expect(runLaw(SEED, { pairs: PAIRS, poolSize: 80 }).failure).not.toBeNull();
  });
});
