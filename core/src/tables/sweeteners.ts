import type { SweetenerRow } from './types.ts';

const SOURCE = {
  sweetener:
    'Food-composition tables for sugars and syrups, rounded; sweetness against sucrose at drink strength, cold, from general sensory literature',
};

/** Sweeteners, with how sweet a gram is and where it goes in easily. */
// biome-ignore format: a table reads by rows
export const SWEETENER_ROWS: readonly SweetenerRow[] = [
  {
    id: 'sugar-white', name: 'White sugar', sugarPct: 100, waterPct: 0, densityGPerMl: 1.587, bulkGPerMl: 0.845,
    relativeSweetness: 1, kcalPer100g: 400, dissolves: 'warm', freeSugars: true,
    traits: [],
    alkaliMeqPerKg: 0, taGPerKg: 0, note: 'cleanest; settles in a cold jug', confidence: 'h', source: SOURCE.sweetener,
  },
  {
    id: 'sugar-brown', name: 'Brown sugar', sugarPct: 97, waterPct: 1.5, densityGPerMl: 1.587, bulkGPerMl: 0.6, packedGPerMl: 0.93,
    relativeSweetness: 0.97, kcalPer100g: 380, dissolves: 'warm', freeSugars: true,
    tint: ['brown', 0.03], traits: [],
    alkaliMeqPerKg: 30, taGPerKg: 0, note: 'slow to dissolve; a packed cup weighs half as much again', confidence: 'h', source: SOURCE.sweetener,
  },
  {
    id: 'sugar-cane-raw', name: 'Raw cane sugar', sugarPct: 99, waterPct: 0.5, densityGPerMl: 1.587, bulkGPerMl: 0.85,
    relativeSweetness: 0.98, kcalPer100g: 395, dissolves: 'warm', freeSugars: true,
    tint: ['brown', 0.008], traits: [],
    alkaliMeqPerKg: 10, taGPerKg: 0, note: 'coarse crystals dissolve slowly', confidence: 'h', source: SOURCE.sweetener,
  },
  {
    id: 'jaggery', name: 'Jaggery or panela (chopped)', sugarPct: 93, waterPct: 4, densityGPerMl: 1.55, bulkGPerMl: 0.7,
    relativeSweetness: 0.93, kcalPer100g: 380, dissolves: 'hot', freeSugars: true,
    tint: ['brown', 0.06], traits: [],
    alkaliMeqPerKg: 150, taGPerKg: 0.5, note: 'may carry grit: strain after it melts', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'coconut-sugar', name: 'Coconut sugar', sugarPct: 92, waterPct: 3, densityGPerMl: 1.55, bulkGPerMl: 0.7,
    relativeSweetness: 0.9, kcalPer100g: 380, dissolves: 'warm', freeSugars: true,
    tint: ['brown', 0.12], traits: [],
    alkaliMeqPerKg: 150, taGPerKg: 0.5, note: '', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'honey', name: 'Honey', sugarPct: 82, waterPct: 17, densityGPerMl: 1.42, bulkGPerMl: 1.42,
    relativeSweetness: 0.85, kcalPer100g: 320, dissolves: 'cool', freeSugars: true,
    tint: ['brown', 0.02], traits: ['honey'],
    alkaliMeqPerKg: 13, taGPerKg: 1.6, note: 'never for a child under one year; stir in below 60 C to keep its aroma', confidence: 'h', source: SOURCE.sweetener,
  },
  {
    id: 'maple-syrup', name: 'Maple syrup', sugarPct: 67, waterPct: 32, densityGPerMl: 1.33, bulkGPerMl: 1.33,
    relativeSweetness: 0.66, kcalPer100g: 260, dissolves: 'any', freeSugars: true,
    tint: ['brown', 0.05], traits: [],
    alkaliMeqPerKg: 50, taGPerKg: 0.5, note: '', confidence: 'h', source: SOURCE.sweetener,
  },
  {
    id: 'agave-syrup', name: 'Agave syrup', sugarPct: 76, waterPct: 22, densityGPerMl: 1.38, bulkGPerMl: 1.38,
    relativeSweetness: 0.95, kcalPer100g: 310, dissolves: 'any', freeSugars: true,
    tint: ['brown', 0.02], traits: [],
    alkaliMeqPerKg: 2, taGPerKg: 0.3, note: 'mostly fructose: sweeter cold than warm; tartness masks it', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'date-syrup', name: 'Date syrup', sugarPct: 70, waterPct: 25, densityGPerMl: 1.36, bulkGPerMl: 1.36,
    relativeSweetness: 0.7, kcalPer100g: 290, dissolves: 'any', freeSugars: true,
    tint: ['brown', 0.3], traits: ['kidney'],
    alkaliMeqPerKg: 150, taGPerKg: 5, note: 'browns a red drink', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'date-paste', name: 'Blended dates', sugarPct: 50, waterPct: 40, densityGPerMl: 1.2, bulkGPerMl: 1.2,
    relativeSweetness: 0.5, kcalPer100g: 215, dissolves: 'any', freeSugars: true,
    tint: ['brown', 0.2], traits: ['kidney', 'lowAcid'],
    alkaliMeqPerKg: 110, taGPerKg: 2, note: 'adds fibre and body; strain', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'golden-syrup', name: 'Golden syrup', sugarPct: 81, waterPct: 17, densityGPerMl: 1.43, bulkGPerMl: 1.43,
    relativeSweetness: 0.85, kcalPer100g: 325, dissolves: 'warm', freeSugars: true,
    tint: ['brown', 0.03], traits: [],
    alkaliMeqPerKg: 15, taGPerKg: 0.5, note: '', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'molasses', name: 'Molasses', sugarPct: 73, waterPct: 22, densityGPerMl: 1.42, bulkGPerMl: 1.42,
    relativeSweetness: 0.65, kcalPer100g: 290, dissolves: 'warm', freeSugars: true,
    tint: ['brown', 1], traits: [],
    alkaliMeqPerKg: 350, taGPerKg: 5, note: 'strong taste: cap at 10 g/L', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'erythritol', name: 'Erythritol', sugarPct: 0, waterPct: 0, densityGPerMl: 1.45, bulkGPerMl: 0.85,
    relativeSweetness: 0.65, kcalPer100g: 20, dissolves: 'warm', freeSugars: false,
    traits: ['noSugarSweetener', 'gut'],
    alkaliMeqPerKg: 0, taGPerKg: 0, note: 'may recrystallise in the fridge above 90 g/L', confidence: 'm', source: SOURCE.sweetener,
  },
  {
    id: 'stevia-pure', name: 'Stevia extract (pure)', sugarPct: 0, waterPct: 5, densityGPerMl: 1.4, bulkGPerMl: 0.5,
    relativeSweetness: 250, kcalPer100g: 0, dissolves: 'any', freeSugars: false,
    traits: ['noSugarSweetener'],
    alkaliMeqPerKg: 0, taGPerKg: 0, note: 'bitter when it carries more than a third of the sweetness', confidence: 'l', source: SOURCE.sweetener,
  },
];
