import { describe, expect, it } from 'vitest';
import { measuringKit } from '../../program/model/kitchen.ts';
import { KITCHEN, TABLES } from '../../testKitchen.ts';
import { readText } from './read.ts';

const drink = (text: string) =>
  readText(text, TABLES, { ...measuringKit(KITCHEN), system: 'metric' }).drinks[0]!;
/** The kinds of steps, those that nobody wrote in brackets. */
const steps = (text: string) => drink(text).steps.map((s) => (s.implied ? `(${s.kind})` : s.kind));
/** At which kind of step each thing goes in. */
const places = (text: string) => {
  const read = drink(text);
  return Object.fromEntries(
    read.lines.map((l) => [l.itemId, l.stepIds.map((id) => read.steps.find((s) => s.id === id)!.kind)]),
  );
};

describe('what nobody wrote and the rest means', () => {
  it('a boil has its heating, and a pot that is heated was filled', () => {
    expect(steps('Boil 100 g hibiscus in 3 litres of water for 10 minutes. Strain it.')).toEqual([
      '(combine)',
      '(heat)',
      'boil',
      'strain',
    ]);
  });
  it('water that is only brought to the boil takes no time of its own', () => {
    expect(steps('Boil 2 litres of water. Add 50 g hibiscus. Steep for 20 minutes. Strain.')).toEqual([
      '(combine)',
      'heat',
      'combine',
      'steep',
      'strain',
    ]);
  });
});

describe('what is washed and sorted', () => {
  const handled = (text: string, kind: 'wash' | 'pick') => {
    const read = drink(text);
    return read.steps
      .filter((s) => s.kind === kind)
      .map((s) => s.handles.map((id) => read.lines.find((l) => l.id === id)!.itemId));
  };
  it('is what the verb names, or what was spoken of', () => {
    expect(handled('Take 60 g of dried hibiscus, rinse it 3 times. Grate 80 g of ginger.', 'wash')).toEqual([
      ['hibiscus-dried'],
    ]);
    expect(handled('You need 60 g dried hibiscus. Pick it over.', 'pick')).toEqual([['hibiscus-dried']]);
  });
  it('is everything where that is said, or where nothing was spoken of', () => {
    expect(handled('60 g dried hibiscus and 80 g ginger. Wash everything.', 'wash')).toEqual([[]]);
  });
});

describe('where each thing goes in', () => {
  it('"everything but" leaves out what it names, which goes in where it is named', () => {
    expect(
      places(
        'Red drink\n100 g hibiscus\n3 l water\n30 g ginger\n300 g sugar\nPut everything but the sugar in a pot and boil 15 minutes. Strain. Stir in the sugar.',
      ),
    ).toEqual({
      'hibiscus-dried': ['combine'],
      water: ['combine'],
      'ginger-sliced': ['combine'],
      'sugar-white': ['sweeten'],
    });
  });
  it('what nobody places goes where such things usually go', () => {
    expect(
      places(
        'Red drink\n100 g hibiscus\n3 l water\n300 g sugar\nBoil the hibiscus for 15 minutes. Strain. Bottle.',
      ),
    ).toMatchObject({ water: ['combine'], 'hibiscus-dried': ['combine'] });
  });
  it('so much of the water as is told for a cleaning bath goes into the bath, and is thrown away', () => {
    const read = drink(
      'Peel drink\n6 l water\n900 g pineapple peel\nSoak the pineapple peel in 2 l of the water for 20 minutes. Pour the water away. Put 4 l of the water and the pineapple peel into the pot. Boil for 30 minutes. Strain.',
    );
    const soak = read.steps.find((s) => s.kind === 'soak')!;
    expect(soak.thrown).toBe(true);
    const water = read.lines.find((l) => l.itemId === 'water')!;
    expect(water.shares.map((s) => s.share)).toEqual([expect.closeTo(1 / 3, 6), expect.closeTo(2 / 3, 6)]);
  });
});
