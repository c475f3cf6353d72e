/** What bounds a sweetener in a drink, and what it does besides sweetening. */
export interface SweetenerFacts {
  id: string;
  /** As much as it takes before it turns bitter or crystallises: g in a litre, or its share of the whole sweetness. */
  cap: { kind: 'gPerL'; value: number } | { kind: 'sweetShare'; value: number } | null;
  /** Above this it loses its aroma, °C; null: none to lose. */
  mostC: number | null;
  /** What it does to the look of a red or a pale drink, as a word code; null: nothing to speak of. */
  colour: 'browns' | 'clouds' | 'goldens' | null;
  source: string;
}

const TASTE = 'General sensory literature on sweeteners, rounded to the careful side';

// biome-ignore format: a table reads by rows
export const SWEETENER_FACTS: readonly SweetenerFacts[] = [
  { id: 'sugar-brown', cap: null, mostC: null, colour: 'goldens', source: 'Its own molasses colours a pale drink' },
  { id: 'sugar-cane-raw', cap: null, mostC: null, colour: 'goldens', source: 'Its own molasses colours a pale drink' },
  { id: 'jaggery', cap: null, mostC: null, colour: 'browns', source: 'Unrefined: colours a drink brown' },
  { id: 'coconut-sugar', cap: null, mostC: null, colour: 'browns', source: 'Unrefined: colours a drink brown' },
  { id: 'honey', cap: null, mostC: 60, colour: 'clouds', source: 'Aroma goes above 60 °C; wax and pollen cloud' },
  { id: 'date-syrup', cap: null, mostC: null, colour: 'browns', source: 'Dark syrup browns a red drink' },
  { id: 'date-paste', cap: { kind: 'gPerL', value: 120 }, mostC: null, colour: 'clouds', source: 'Fibre thickens a drink above about 120 g/L' },
  { id: 'golden-syrup', cap: null, mostC: null, colour: 'goldens', source: 'Caramelised part colours a pale drink' },
  { id: 'molasses', cap: { kind: 'gPerL', value: 10 }, mostC: null, colour: 'browns', source: TASTE },
  { id: 'erythritol', cap: { kind: 'gPerL', value: 90 }, mostC: null, colour: null, source: 'Solubility in the cold, with a margin: above about 90 g/L it may crystallise in the fridge' },
  { id: 'stevia-pure', cap: { kind: 'sweetShare', value: 1 / 3 }, mostC: null, colour: null, source: TASTE },
];

export const factsOfSweetener = (id: string): SweetenerFacts | undefined =>
  SWEETENER_FACTS.find((f) => f.id === id);

/** Temperatures at which a sweetener goes in easily, °C. */
export const DISSOLVES_FROM_C = { any: 0, cool: 12, warm: 35, hot: 60 } as const;
