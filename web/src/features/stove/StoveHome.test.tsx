import { act, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { begunDoc, EVENING_MS, kitchenServer, plannedDoc, planOf } from '../../testing/kitchen.ts';
import { show } from '../../testing/render.tsx';

const counted = vi.hoisted(() => ({ folds: 0, solves: 0, panels: 0 }));
vi.mock('@big-ladle/core/log', async (original) => {
  const log = await original<typeof import('@big-ladle/core/log')>();
  return {
    ...log,
    readBatch: (...args: Parameters<typeof log.readBatch>) => {
      counted.folds++;
      return log.readBatch(...args);
    },
  };
});
vi.mock('@big-ladle/core/plan', async (original) => {
  const plan = await original<typeof import('@big-ladle/core/plan')>();
  return {
    ...plan,
    solvePlanDoc: (...args: Parameters<typeof plan.solvePlanDoc>) => {
      counted.solves++;
      return plan.solvePlanDoc(...args);
    },
    runJob: (...args: Parameters<typeof plan.runJob>) => {
      counted.solves++;
      return plan.runJob(...args);
    },
  };
});
vi.mock('../../shared/ui.tsx', async (original) => {
  const ui = await original<typeof import('../../shared/ui.tsx')>();
  return {
    ...ui,
    Panel: (props: Parameters<typeof ui.Panel>[0]) => {
      counted.panels++;
      return <ui.Panel {...props} />;
    },
  };
});

const { StoveHome } = await import('./StoveHome.tsx');

/** Five plans for tomorrow evening, and three pots that are on. */
const FULL_HOUSE = () => [
  ...Array.from({ length: 5 }, (_, i) =>
    plannedDoc(`plan-${i}`, { ...planOf(6 + i), readyAtMs: EVENING_MS + (24 + i) * 3_600_000 }),
  ),
  begunDoc('boiling', 'boil'),
  begunDoc('heating', 'heat'),
  begunDoc('cooling', 'cool'),
];

describe('a minute at the stove', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: EVENING_MS + 30_000, toFake: ['Date', 'setInterval', 'clearInterval'] });
  });

  it('ticks each second, and works out next to nothing', async () => {
    kitchenServer(FULL_HOUSE());
    show(<StoveHome />);
    await vi.waitFor(() => expect(screen.getAllByTestId('home-clock')).toHaveLength(3), 10_000);
    await vi.waitFor(() => expect(screen.getAllByText(/^start by/)).toHaveLength(5), 10_000);
    await vi.waitFor(() => expect(screen.getByTestId('wants-a-look')).toBeTruthy(), 10_000);
    Object.assign(counted, { folds: 0, solves: 0, panels: 0 });
    const faces = new Set<string>();
    for (let second = 0; second < 60; second++) {
      await act(() => vi.advanceTimersByTimeAsync(1000));
      faces.add(screen.getAllByTestId('home-clock').at(-1)!.textContent!);
    }
    // The clocks have ticked: at least the one that counts seconds.
    expect(faces.size).toBeGreaterThan(1);
    // The physics of three pots is looked at every five seconds, once for each of them.
    expect(counted.folds).toBeLessThanOrEqual(3 * 13);
    expect(counted.folds).toBeGreaterThanOrEqual(3 * 11);
    expect(counted.solves).toBe(0);
    // Twelve looks at some six panels; sixty if each second drew them anew.
    expect(counted.panels).toBeLessThanOrEqual(13 * 8);
  });
});
