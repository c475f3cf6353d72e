/** Flavours that go with a thing, to try one at a time on a cup. */
export interface PairRow {
  itemId: string;
  with: readonly string[];
  source: string;
}

const SOURCE = 'Usual kitchen pairings, to be tried on a cup';

// biome-ignore format: a table reads by rows
export const PAIR_ROWS: readonly PairRow[] = [
  { itemId: 'hibiscus-dried', with: ['ginger-bruised', 'orange-peel', 'clove-whole', 'cinnamon-stick', 'mint-leaf'], source: SOURCE },
  { itemId: 'pineapple-peel', with: ['ginger-bruised', 'cinnamon-stick', 'mint-leaf', 'lime-juice'], source: SOURCE },
  { itemId: 'pineapple-juice', with: ['ginger-grated', 'mint-leaf', 'cider-vinegar', 'coconut-milk-fresh'], source: SOURCE },
  { itemId: 'ginger-bruised', with: ['lemon-juice', 'honey', 'lemongrass', 'turmeric-grated'], source: SOURCE },
  { itemId: 'ginger-grated', with: ['lemon-juice', 'honey', 'lemongrass', 'turmeric-grated'], source: SOURCE },
  { itemId: 'lemongrass', with: ['ginger-bruised', 'mint-leaf', 'lime-juice', 'honey'], source: SOURCE },
  { itemId: 'tamarind-pulp', with: ['ginger-bruised', 'jaggery', 'chilli-dried', 'lime-juice'], source: SOURCE },
  { itemId: 'turmeric-grated', with: ['orange-juice', 'peppercorn-whole', 'honey', 'tamarind-pulp'], source: SOURCE },
  { itemId: 'apple-juice', with: ['cinnamon-stick', 'clove-whole', 'ginger-bruised', 'lemon-juice'], source: SOURCE },
  { itemId: 'orange-juice', with: ['ginger-grated', 'clove-whole', 'cinnamon-stick', 'turmeric-grated'], source: SOURCE },
  { itemId: 'orange-whole', with: ['rice-vinegar', 'honey', 'clove-whole'], source: SOURCE },
  { itemId: 'lemon-whole', with: ['honey', 'sugar-cane-raw', 'thyme-fresh'], source: SOURCE },
  { itemId: 'lemon-juice', with: ['honey', 'sugar-cane-raw', 'ginger-grated'], source: SOURCE },
  { itemId: 'lime-juice', with: ['sugar-cane-raw', 'jaggery', 'mint-leaf'], source: SOURCE },
  { itemId: 'grapefruit-whole', with: ['rice-vinegar', 'honey', 'thyme-fresh'], source: SOURCE },
  { itemId: 'cranberry-fresh', with: ['cider-vinegar', 'maple-syrup', 'orange-peel'], source: SOURCE },
  { itemId: 'apple-whole', with: ['cider-vinegar', 'maple-syrup', 'cinnamon-stick'], source: SOURCE },
  { itemId: 'watermelon-juice', with: ['rice-vinegar', 'agave-syrup', 'mint-leaf', 'lime-juice'], source: SOURCE },
  { itemId: 'watermelon-flesh', with: ['rice-vinegar', 'agave-syrup', 'mint-leaf', 'lime-juice'], source: SOURCE },
  { itemId: 'pineapple-flesh', with: ['cider-vinegar', 'sugar-cane-raw', 'ginger-bruised', 'mint-leaf'], source: SOURCE },
];
