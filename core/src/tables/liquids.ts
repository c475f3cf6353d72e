import type { LiquidRow } from './types.ts';

const SOURCE = {
  water:
    'An average tap of 2 meq/L hardness: its bicarbonate as alkali and as negative acidity, 0.064 g citric per meq; set per kitchen',
  juice: 'Food-composition tables for fresh juices, rounded; alkali from their potassium',
  bottled: 'Bottled juice from concentrate, pasteurised: about a seventh weaker than fresh; check the label',
  soda: 'Water with carbonic acid, which goes with its bubbles and is not counted',
  vinegar: 'Label strength of common vinegars; alkali from their potassium',
  starter: 'A sweet, sour root starter or strained whey; they differ: read the drink itself',
  spirit: 'Density of ethanol and water mixtures at 20 °C; label strength',
};

/** Liquids mixed in by volume. */
// biome-ignore format: a table reads by rows
export const LIQUID_ROWS: readonly LiquidRow[] = [
  {
    id: 'water', name: 'Water', densityGPerMl: 0.9982, brix: 0, sugarGPer100g: 0,
    taGPerL: -0.128, alkaliMeqPerL: 2, abvPct: 0, aceticPct: 0,
    traits: ['water'],
    treatment: 'water', confidence: 'h', source: SOURCE.water,
  },
  {
    id: 'lemon-juice', name: 'Lemon juice', densityGPerMl: 1.03, brix: 8, sugarGPer100g: 2.5,
    taGPerL: 55, alkaliMeqPerL: 28, abvPct: 0, aceticPct: 0,
    tint: ['pulp', 0.6], traits: ['juice', 'citrus', 'sour', 'stomach', 'skinWaxed'],
    treatment: 'rawJuice', confidence: 'h', source: SOURCE.juice,
  },
  {
    id: 'lime-juice', name: 'Lime juice', densityGPerMl: 1.03, brix: 8.2, sugarGPer100g: 1.7,
    taGPerL: 58, alkaliMeqPerL: 26, abvPct: 0, aceticPct: 0,
    tint: ['pulp', 0.6], traits: ['juice', 'citrus', 'sour', 'stomach', 'skinWaxed'],
    treatment: 'rawJuice', confidence: 'h', source: SOURCE.juice,
  },
  {
    id: 'lemon-juice-bottled', name: 'Lemon juice, bottled', densityGPerMl: 1.03, brix: 7.5, sugarGPer100g: 2.3,
    taGPerL: 48, alkaliMeqPerL: 24, abvPct: 0, aceticPct: 0,
    tint: ['pulp', 0.3], traits: ['juice', 'citrus', 'sour', 'stomach', 'labelled'],
    treatment: 'bought', confidence: 'm', source: SOURCE.bottled,
  },
  {
    id: 'lime-juice-bottled', name: 'Lime juice, bottled', densityGPerMl: 1.03, brix: 7.5, sugarGPer100g: 1.5,
    taGPerL: 50, alkaliMeqPerL: 22, abvPct: 0, aceticPct: 0,
    tint: ['pulp', 0.3], traits: ['juice', 'citrus', 'sour', 'stomach', 'labelled'],
    treatment: 'bought', confidence: 'm', source: SOURCE.bottled,
  },
  {
    id: 'orange-juice', name: 'Orange juice', densityGPerMl: 1.045, brix: 11.5, sugarGPer100g: 9,
    taGPerL: 9, alkaliMeqPerL: 57, abvPct: 0, aceticPct: 0,
    tint: ['yellowPulp', 1], traits: ['juice', 'citrus', 'skinWaxed'],
    treatment: 'rawJuice', confidence: 'h', source: SOURCE.juice,
  },
  {
    id: 'grapefruit-juice', name: 'Grapefruit juice', densityGPerMl: 1.04, brix: 10, sugarGPer100g: 8,
    taGPerL: 15, alkaliMeqPerL: 53, abvPct: 0, aceticPct: 0,
    tint: ['pinkPulp', 0.25], traits: ['juice', 'citrus', 'grapefruit', 'stomach', 'skinWaxed'],
    treatment: 'rawJuice', confidence: 'h', source: SOURCE.juice,
  },
  {
    id: 'pineapple-juice', name: 'Pineapple juice', densityGPerMl: 1.05, brix: 12.8, sugarGPer100g: 11,
    taGPerL: 7, alkaliMeqPerL: 36, abvPct: 0, aceticPct: 0,
    tint: ['yellowPulp', 1], traits: ['juice', 'bloodThinner', 'skinRough'],
    treatment: 'rawJuice', confidence: 'h', source: SOURCE.juice,
  },
  {
    id: 'watermelon-juice', name: 'Watermelon juice', densityGPerMl: 1.03, brix: 8, sugarGPer100g: 6.4,
    taGPerL: 1, alkaliMeqPerL: 27, abvPct: 0, aceticPct: 0,
    tint: ['pinkPulp', 1], traits: ['juice', 'lowAcid', 'kidney', 'skinSmooth'],
    treatment: 'rawJuice', confidence: 'm', source: SOURCE.juice,
  },
  {
    id: 'apple-juice', name: 'Apple juice', densityGPerMl: 1.047, brix: 12, sugarGPer100g: 10.3,
    taGPerL: 5, alkaliMeqPerL: 28, abvPct: 0, aceticPct: 0,
    tint: ['brown', 0.03], traits: ['juice', 'skinWaxed'],
    treatment: 'rawJuice', confidence: 'h', source: SOURCE.juice,
  },
  {
    id: 'cranberry-juice', name: 'Cranberry juice (unsweetened)', densityGPerMl: 1.03, brix: 7.5, sugarGPer100g: 4,
    taGPerL: 22, alkaliMeqPerL: 20, abvPct: 0, aceticPct: 0,
    tint: ['berry', 1], traits: ['juice', 'sour', 'cranberry', 'stomach', 'labelled'],
    treatment: 'rawJuice', confidence: 'm', source: SOURCE.juice,
  },
  {
    id: 'cider-vinegar', name: 'Cider vinegar', densityGPerMl: 1.01, brix: 1, sugarGPer100g: 0.4,
    taGPerL: 0, alkaliMeqPerL: 18, abvPct: 0, aceticPct: 5,
    tint: ['brown', 0.02], traits: ['vinegar', 'sour', 'stomach'],
    treatment: 'vinegar', confidence: 'h', source: SOURCE.vinegar,
  },
  {
    id: 'rice-vinegar', name: 'Rice vinegar', densityGPerMl: 1.01, brix: 1, sugarGPer100g: 0.3,
    taGPerL: 0, alkaliMeqPerL: 8, abvPct: 0, aceticPct: 4.3,
    traits: ['vinegar', 'sour', 'stomach'],
    treatment: 'vinegar', confidence: 'm', source: SOURCE.vinegar,
  },
  {
    id: 'coconut-milk-fresh', name: 'Coconut milk (fresh pressed)', densityGPerMl: 1, brix: 3.5, sugarGPer100g: 3,
    taGPerL: 0.8, alkaliMeqPerL: 55, abvPct: 0, fatPct: 21, aceticPct: 0,
    tint: ['milk', 1], traits: ['coconut', 'milk', 'lowAcid'],
    treatment: 'rawMilk', confidence: 'l', source: SOURCE.juice,
  },
  {
    id: 'port-style-wine', name: 'Fortified sweet wine', densityGPerMl: 1.02, brix: 10, sugarGPer100g: 10,
    taGPerL: 5, alkaliMeqPerL: 28, abvPct: 19, aceticPct: 0,
    tint: ['berry', 1.2], traits: ['spirit', 'labelled'],
    treatment: 'bought', confidence: 'm', source: SOURCE.spirit,
  },
  {
    id: 'spirit-40', name: 'Spirit 40 %', densityGPerMl: 0.949, brix: 0, sugarGPer100g: 0,
    taGPerL: 0, alkaliMeqPerL: 0, abvPct: 40, aceticPct: 0,
    traits: ['spirit'],
    treatment: 'spirit', confidence: 'h', source: SOURCE.spirit,
  },
  {
    id: 'spirit-63', name: 'Overproof spirit 63 %', densityGPerMl: 0.902, brix: 0, sugarGPer100g: 0,
    taGPerL: 0, alkaliMeqPerL: 0, abvPct: 63, aceticPct: 0,
    traits: ['spirit'],
    treatment: 'spirit', confidence: 'm', source: SOURCE.spirit,
  },
  {
    id: 'ginger-beer', name: 'Ginger beer (bottled)', densityGPerMl: 1.04, brix: 10, sugarGPer100g: 9.8,
    taGPerL: 1.5, alkaliMeqPerL: 2, abvPct: 0, aceticPct: 0,
    tint: ['pulp', 0.2], traits: ['fizzy', 'labelled'],
    treatment: 'bought', sweetened: true, confidence: 'm', source: SOURCE.juice,
  },
  {
    id: 'soda-water', name: 'Soda water', densityGPerMl: 0.9982, brix: 0, sugarGPer100g: 0,
    taGPerL: 0, alkaliMeqPerL: 2, abvPct: 0, aceticPct: 0,
    traits: ['fizzy'],
    treatment: 'bought', confidence: 'h', source: SOURCE.soda,
  },
  {
    id: 'live-starter', name: 'Live starter', densityGPerMl: 1.01, brix: 4, sugarGPer100g: 3.5,
    taGPerL: 4, alkaliMeqPerL: 8, abvPct: 0, aceticPct: 0.1,
    tint: ['pulp', 0.2], traits: ['live'],
    treatment: 'live', confidence: 'l', source: SOURCE.starter,
  },
];
