/** Items that a screen or a rule begins with, or sets side by side, until the cook chooses others. */

/** What runs from the tap: what a splash of water is, and what thins a drink. */
export const TAP_WATER_ID = 'water';
/** What sours a drink or a cup until another is chosen. */
export const FIRST_SOUR_ID = 'lime-juice';
/** What goes into a lot with spirits until another is chosen. */
export const FIRST_SPIRIT_ID = 'spirit-40';
/** What is poured to a drink in the glass; fizzy ones belong there and nowhere else. */
export const MIXER_IDS: readonly string[] = [
  'water',
  'soda-water',
  'ginger-beer',
  'pineapple-juice',
  'orange-juice',
  'apple-juice',
];
/** Fruit that may sweeten in the place of sugar. */
export const SWEET_FRUIT_IDS: readonly string[] = [
  'date-paste',
  'pineapple-juice',
  'apple-juice',
  'orange-juice',
];
/** What sours, each told beside the others: by acid, not by the count of fruit. */
export const SOURING_IDS: readonly string[] = [
  'lemon-juice',
  'lime-juice',
  'lemon-juice-bottled',
  'tamarind-pulp',
  'cider-vinegar',
];
/** Sweetens a single glass beside what the recipe names. */
export const GLASS_SWEETENER_ID = 'honey';
/** What a new kitchen lets the balance put in. */
export const ALLOWED_AT_FIRST: readonly string[] = [
  'sugar-white',
  'honey',
  'lime',
  'lemon-juice',
  'pineapple-juice',
  'water',
];
/** Parts that are poured together first of all: a juice, a sweetener, a vinegar. */
export const PARTS_AT_FIRST: readonly { id: string; amount: number | null; unit: 'mL' | 'g' }[] = [
  { id: 'pineapple-juice', amount: 400, unit: 'mL' },
  { id: 'honey', amount: null, unit: 'g' },
  { id: 'cider-vinegar', amount: null, unit: 'mL' },
];
/** What a label is entered for until another is chosen. */
export const FIRST_LABEL_ID = 'apple-juice';
/** What a cup is weighed of until another is chosen. */
export const FIRST_WEIGHED_ID = 'hibiscus-dried';
