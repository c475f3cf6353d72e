import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { ClockField } from './ClockField.tsx';
import { MomentField } from './MomentField.tsx';

/** The clocks go back on the night to 25 October 2026: 01:00 UTC is 02:00 there for the second time. */
const ZONE = 'Europe/Rome';
const NOW = Date.UTC(2026, 9, 20, 12);

function Moment({ order, heard }: { order: 'dayFirst' | 'monthFirst'; heard: (ms: number | null) => void }) {
  const [ms, setMs] = useState<number | null>(null);
  return (
    <MomentField
      label="Ready by"
      ms={ms}
      nowMs={NOW}
      kitchen={{ zone: ZONE, dateOrder: order }}
      onChange={(next) => {
        setMs(next);
        heard(next);
      }}
    />
  );
}
const part = (group: string, name: string) =>
  within(screen.getByRole('group', { name: group })).getByRole('spinbutton', { name });

describe('a day and a time', () => {
  it('is typed in the zone of the kitchen, whichever this machine is in', async () => {
    const heard = vi.fn();
    render(<Moment order="dayFirst" heard={heard} />);
    await userEvent.click(part('Ready by', 'Day'));
    await userEvent.keyboard('251020261200');
    // Noon of the day on which the clocks went back is an hour later than noon of the day before plus a day.
    expect(heard).toHaveBeenLastCalledWith(Date.UTC(2026, 9, 25, 11));
    await userEvent.click(part('Ready by', 'Day'));
    await userEvent.keyboard('24');
    expect(heard).toHaveBeenLastCalledWith(Date.UTC(2026, 9, 24, 10));
  });
  it('has its month first where the kitchen writes it so', async () => {
    const heard = vi.fn();
    render(<Moment order="monthFirst" heard={heard} />);
    await userEvent.click(part('Ready by', 'Month'));
    await userEvent.keyboard('111220261830');
    expect(heard).toHaveBeenLastCalledWith(Date.UTC(2026, 10, 12, 17, 30));
  });
  it('is told only when it is whole, and when it is emptied', async () => {
    const heard = vi.fn();
    render(<Moment order="dayFirst" heard={heard} />);
    await userEvent.click(part('Ready by', 'Day'));
    await userEvent.keyboard('25102026');
    expect(heard).not.toHaveBeenCalled();
    await userEvent.keyboard('1200');
    expect(heard).toHaveBeenLastCalledWith(Date.UTC(2026, 9, 25, 11));
    for (const name of ['Minutes', 'Hours', 'Year', 'Month', 'Day']) {
      await userEvent.click(part('Ready by', name));
      await userEvent.keyboard('{Backspace}');
    }
    expect(heard).toHaveBeenLastCalledWith(null);
  });
});

describe('a time of the day', () => {
  it('is told once, when the field is left, and not where nothing changed', async () => {
    const heard = vi.fn();
    render(
      <>
        <ClockField label="Asleep from" minutes={22 * 60} onCommit={heard} />
        <button type="button">Next</button>
      </>,
    );
    await userEvent.click(part('Asleep from', 'Hours'));
    await userEvent.keyboard('2315');
    expect(heard).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Next' }));
    expect(heard.mock.calls).toEqual([[23 * 60 + 15]]);
    await userEvent.click(part('Asleep from', 'Hours'));
    await userEvent.click(screen.getByRole('button', { name: 'Next' }));
    expect(heard).toHaveBeenCalledTimes(1);
  });
});
