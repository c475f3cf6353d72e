/** Which parts a whole fruit has, and its weight. Grams of a part come from the piece of its own row. */
export interface FruitRow {
  id: string;
  /** One whole fruit, g. */
  wholeG: number;
  /** Items that are a part of it; `whole` is the fruit as such, whose juice leaves the peel free. */
  parts: readonly { itemId: string; share: 'peel' | 'core' | 'flesh' | 'whole' | 'juice' }[];
  /** What is bitter, and how long it may be cooked before it is, minutes. */
  bitter: { part: string; afterMin: number }[];
  source: string;
}

export const FRUIT_ROWS: readonly FruitRow[] = [
  {
    id: 'pineapple',
    wholeG: 1290,
    parts: [
      { itemId: 'pineapple-peel', share: 'peel' },
      { itemId: 'pineapple-core', share: 'core' },
      { itemId: 'pineapple-flesh', share: 'flesh' },
      { itemId: 'pineapple-juice', share: 'juice' },
    ],
    bitter: [],
    source: 'Pieces of the ingredient table: peel 350, core 90, flesh 850 g of a fruit',
  },
  {
    id: 'orange',
    wholeG: 180,
    parts: [
      { itemId: 'orange-peel', share: 'peel' },
      { itemId: 'orange-whole', share: 'whole' },
      { itemId: 'orange-juice', share: 'juice' },
    ],
    bitter: [
      { part: 'pith', afterMin: 15 },
      { part: 'seeds', afterMin: 5 },
    ],
    source: 'Pieces of the ingredient table',
  },
  {
    id: 'lemon',
    wholeG: 110,
    parts: [
      { itemId: 'lemon-whole', share: 'whole' },
      { itemId: 'lemon-juice', share: 'juice' },
    ],
    bitter: [
      { part: 'pith', afterMin: 12 },
      { part: 'seeds', afterMin: 5 },
    ],
    source: 'Pieces of the ingredient table',
  },
  {
    id: 'lime',
    wholeG: 67,
    parts: [
      { itemId: 'lime-whole', share: 'whole' },
      { itemId: 'lime-juice', share: 'juice' },
    ],
    bitter: [{ part: 'pith', afterMin: 10 }],
    source: 'Pieces of the ingredient table',
  },
  {
    id: 'watermelon',
    wholeG: 5000,
    parts: [
      { itemId: 'watermelon-flesh', share: 'flesh' },
      { itemId: 'watermelon-rind', share: 'peel' },
      { itemId: 'watermelon-juice', share: 'juice' },
    ],
    bitter: [],
    source: 'A middling fruit: two thirds flesh, a third rind',
  },
  {
    id: 'apple',
    wholeG: 180,
    parts: [
      { itemId: 'apple-whole', share: 'whole' },
      { itemId: 'apple-juice', share: 'juice' },
    ],
    bitter: [],
    source: 'Pieces of the ingredient table',
  },
];
