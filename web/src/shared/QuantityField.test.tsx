import { act, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { show } from '../testing/render.tsx';
import { speakUnits } from '../words/quantities.ts';
import { QuantityField } from './QuantityField.tsx';

const field = () => screen.getByLabelText<HTMLInputElement>('Litres');

interface Told {
  told: number[];
  kept: number[];
  setFigure: (value: number | null) => void;
}

/** A screen with one figure. */
function Screen({ heard }: { heard: Told }) {
  const [value, setValue] = useState<number | null>(9);
  heard.setFigure = (next) => act(() => setValue(next));
  return (
    <QuantityField
      label="Litres"
      value={value}
      min={1}
      max={20}
      onValue={(v) => {
        heard.told.push(v);
        setValue(v);
      }}
      onCommit={(v) => heard.kept.push(v)}
    />
  );
}

/** What a screen was told while it was typed, and what it was to keep. */
function figures(): Told {
  const heard: Told = { told: [], kept: [], setFigure: () => undefined };
  show(<Screen heard={heard} />);
  return heard;
}

/** A screen that keeps what is settled on, and only that. */
function keptOnly() {
  const kept: number[] = [];
  show(<QuantityField label="Litres" value={9} min={1} max={20} onCommit={(v) => kept.push(v)} />);
  return kept;
}

describe('a figure in the units of a kitchen', () => {
  afterEach(() => speakUnits({}));
  it('is shown and typed in quarts, bounds too, and told in litres; any unit may be typed behind it', async () => {
    speakUnits({ units: 'us', degrees: 'fahrenheit' });
    const kept: number[] = [];
    show(<QuantityField label="Litres" unit="L" value={9} min={1} max={20} onCommit={(v) => kept.push(v)} />);
    // A quart is 0.9464 L.
    expect(field().value).toBe('9.5');
    expect(screen.getByText('qt')).toBeTruthy();
    await userEvent.click(field());
    await userEvent.tab();
    expect(kept).toEqual([]);
    await userEvent.clear(field());
    await userEvent.type(field(), '2 gal{Enter}');
    expect(kept).toEqual([expect.closeTo(7.571, 3)]);
    await userEvent.clear(field());
    await userEvent.type(field(), '40');
    expect(screen.getByText('Between 1.1 and 21.1.')).toBeTruthy();
  });
});

describe('a figure that is typed', () => {
  it('is told each time it makes sense, with a comma or a point', async () => {
    const { told } = figures();
    await userEvent.clear(field());
    await userEvent.type(field(), '12,5');
    // "12," is still twelve.
    expect(told).toEqual([1, 12, 12, 12.5]);
  });
  it('is kept once, when the field is left or Enter pressed, and not where nothing changed', async () => {
    const kept = keptOnly();
    await userEvent.clear(field());
    await userEvent.type(field(), '12');
    expect(kept).toEqual([]);
    await userEvent.tab();
    expect(kept).toEqual([12]);
    await userEvent.clear(field());
    await userEvent.type(field(), '9{Enter}');
    await userEvent.tab();
    expect(kept).toEqual([12]);
  });
  it('stays as it was typed where it makes no sense, with what is wrong', async () => {
    const { told, kept } = figures();
    await userEvent.clear(field());
    await userEvent.type(field(), '90');
    await userEvent.tab();
    expect(field().value).toBe('90');
    expect(told).toEqual([9]);
    expect(kept).toEqual([]);
    expect(screen.getByText('Between 1 and 20.')).toBeTruthy();
    await userEvent.clear(field());
    await userEvent.type(field(), 'much');
    await userEvent.tab();
    expect(field().value).toBe('much');
  });
  it('gives way to the figure of the screen once that becomes another, and not while one types', async () => {
    const { setFigure } = figures();
    await userEvent.clear(field());
    await userEvent.type(field(), '1');
    setFigure(15);
    expect(field().value).toBe('1');
    await userEvent.tab();
    setFigure(16);
    expect(field().value).toBe('16');
  });
  it('that the screen empties for the next one is not missing yet', async () => {
    const { setFigure } = figures();
    await userEvent.clear(field());
    await userEvent.type(field(), '12');
    await userEvent.tab();
    setFigure(null);
    expect(field().value).toBe('');
    expect(field().getAttribute('aria-invalid')).toBe('false');
  });
});
