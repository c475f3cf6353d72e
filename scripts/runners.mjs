/** The test runners, and what they have found, counted together. */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ROOT, run, say } from './lib.mjs';

export const bin = (name) => path.join(ROOT, 'node_modules', '.bin', name);
const cache = path.join(ROOT, '.cache');

export class Tally {
  passed = 0;
  failed = 0;

  /** A check that is one test of its own. */
  async check(name, command, args) {
    say(`\n— ${name}`);
    const code = await run(command, args);
    if (code === 0) this.passed++;
    else this.failed++;
    say(`${name}: ${code === 0 ? 'good' : 'FAILED'}`);
  }

  /**
   * Runs a test runner and counts what it wrote down; one that wrote nothing, or that ended badly without a test that
   * failed (a file that could not be loaded), counts as one failure.
   */
  async runner(name, command, args, env, { report, count }) {
    say(`\n— ${name}`);
    mkdirSync(cache, { recursive: true });
    rmSync(report, { force: true });
    const code = await run(command, args, { env });
    let failed = 1;
    try {
      const counts = count(JSON.parse(readFileSync(report, 'utf8')));
      this.passed += counts.passed;
      failed = counts.failed;
    } catch {
      // Nothing readable was written: the one failure stands.
    }
    this.failed += code !== 0 ? Math.max(1, failed) : failed;
  }
}

/** Unit, component and server tests. */
export function unitTests(tally, env = process.env) {
  const report = path.join(cache, 'unit.json');
  return tally.runner(
    'unit tests',
    bin('vitest'),
    ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`],
    env,
    { report, count: (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests }) },
  );
}

/** Browser tests over the built application. */
export function browserTests(tally, env, chromium, args = []) {
  const report = path.join(cache, 'e2e.json');
  return tally.runner(
    'browser tests',
    bin('playwright'),
    ['test', '-c', 'e2e', ...args],
    { ...env, LADLE_CHROMIUM: chromium, LADLE_E2E_REPORT: report },
    {
      report,
      count: (r) => ({
        passed: r.stats.expected + r.stats.flaky,
        failed: r.stats.unexpected + r.errors.length,
      }),
    },
  );
}
