import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = path.resolve(import.meta.dirname, '../..');

/** The command as another program calls it. */
function ladle(args: readonly string[], input: string) {
  const run = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/ladle/main.ts', ...args], {
    cwd: ROOT,
    input,
    encoding: 'utf8',
  });
  return { ...run, json: () => JSON.parse(run.stdout) };
}

const TEXT = `Lantern red
Makes 4 litres
160 g dried hibiscus
5 l water
a handful of mint
300 g sugar

Boil the hibiscus in the water for 10 to 12 minutes, lid on. Add the mint and wait 1 hour.
Strain through a cloth. Stir in the sugar. Add the green bottle. Bottle.`;

describe('the command line', () => {
  // One text all the way: read, planned, kept. Each call is a process of its own.
  it('reads a text to facts with their words, plans it, and dates its bottles', { timeout: 120_000 }, () => {
    const read = ladle(['read', '-'], TEXT);
    expect(read.stderr).toBe('');
    expect(read.status).toBe(0);
    const { format, drinks, notUnderstood } = read.json();
    expect(format).toBe('big-ladle-read');
    const [drink] = drinks;
    expect(drink.title.words).toBe('Lantern red');
    expect(drink.yield).toMatchObject({ value: 4, unit: 'L', litres: 4 });
    const calyx = drink.lines[0];
    expect(calyx).toMatchObject({ item: 'hibiscus-dried', amount: { value: 160, unit: 'g' } });
    expect(TEXT.slice(calyx.span.start, calyx.span.end)).toBe('160 g dried hibiscus');
    expect(drink.lines.find((l: { item: string }) => l.item === 'mint-leaf').doubts).toContain('vagueAmount');
    const boil = drink.steps.find((s: { kind: string }) => s.kind === 'boil');
    expect(boil).toMatchObject({ minutes: { value: 10, max: 12 }, lid: 'on' });
    expect(notUnderstood.map((n: { words: string }) => n.words)).toEqual(['Add the green bottle']);

    const plan = ladle(['plan', '-', '--bottled', '9', '--pot', '36x30'], read.stdout);
    expect(plan.status).toBe(0);
    expect(plan.json().litres).toBeCloseTo(9, 1);
    expect(plan.json().steps.at(-1).kind).toBe('bottle');

    const batch = {
      recipe: drink.recipe,
      startedAt: '2026-11-25T09:00:00Z',
      bottles: [{ name: 'A', volumeMl: 750 }],
    };
    const keep = ladle(['keep', '-'], JSON.stringify(batch));
    expect(keep.status).toBe(0);
    const [bottle] = keep.json().bottles;
    expect(bottle.drinkBy).toMatch(/^2026-1[12]-\d\d$/);
    expect(bottle.reasons.length).toBeGreaterThan(0);
  });

  it('says what is wrong, on standard error, and ends on 1 or 2', { timeout: 120_000 }, () => {
    const noJson = ladle(['plan', '-'], '{"half": ');
    expect(noJson).toMatchObject({ status: 1, stdout: '' });
    expect(noJson.stderr).toContain('is no JSON');
    const noCommand = ladle(['stir'], '');
    expect(noCommand).toMatchObject({ status: 2, stdout: '' });
    expect(noCommand.stderr).toContain('read, plan, trace, keep');
    const help = ladle(['--help'], '');
    expect(help.status).toBe(0);
    expect(help.stdout).toContain('ladle read');
  });
});
