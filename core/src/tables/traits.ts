/**
 * What an ingredient, a liquid or a sweetener is, as far as a rule asks. Every row of the tables states its traits;
 * cautions, guidance, keeping, leftovers and labels read these and no ids. A product takes those of the row that it is
 * like; of an ingredient of the cook's own some are asked for.
 */
export const TRAITS = [
  // Who must be told.
  /** Never for a child under one year. */
  'honey',
  /** Acts together with many medicines. */
  'grapefruit',
  'coconut',
  'nut',
  /** Something else that people are allergic to. */
  'allergen',
  'caffeine',
  /** Nobody has looked into it, or it is said to act together with medicines. */
  'medicines',
  'bloodPressure',
  'notInPregnancy',
  'bloodThinner',
  'gallstones',
  'bloodSugar',
  /** In quantity it hinders the taking up of iron. */
  'iron',
  /** Potassium or oxalate. */
  'kidney',
  'liver',
  'stomach',
  /** Upsets the gut in quantity. */
  'gut',
  /** Is taken for a plant that is not food; the culinary kind only, and never for infants. */
  'lookAlike',
  'noSugarSweetener',
  // How long a drink with it keeps.
  /** Perishable as milk is. */
  'milk',
  'garlic',
  'live',
  'lowAcid',
  /** Said to make a drink keep, which nothing shows. */
  'folkPreservative',
  // In the hands, under the knife, in the pot and in the cloth.
  /** On skin and in eyes, as chilli does. */
  'burns',
  /** Hot on the tongue: what "mild" and "hot" are about. */
  'pungent',
  'strongSpice',
  'stains',
  /** Fibrous, hard or slippery under the knife. */
  'tough',
  /** Broken with a blow. */
  'smashed',
  'stoned',
  /** Its core and seeds come out before it is blended. */
  'cored',
  'bitterPips',
  'pith',
  'zest',
  'shell',
  /** Goes mouldy or soft piece by piece, and is picked over. */
  'soft',
  'berries',
  /** Whole or in pieces that are too hard to bite on. */
  'hardSpice',
  /** Settles in the bottle. */
  'powder',
  /** Carries dust, sand and other pieces of a field. */
  'dusty',
  'insects',
  'tenderHerb',
  /** As strong or as weak as the piece: asked for by young or old. */
  'varies',
  /** Also sold as something that is not food. */
  'asFood',
  /** What is in it stands on its label only. */
  'labelled',
  // Skins, each with its way of washing.
  'skinRough',
  'skinWaxed',
  'skinSmooth',
  'skinSoft',
  'skinRoot',
  'skinLeaf',
  // What kind of thing it is.
  'leaf',
  'root',
  'spice',
  'peel',
  'citrus',
  'fruit',
  'juice',
  'vinegar',
  'spirit',
  'water',
  'fizzy',
  'sour',
  'calyx',
  'cranberry',
  'cassia',
] as const;
export type Trait = (typeof TRAITS)[number];

/** Skins that are brushed or rubbed, and those that are only rinsed. */
export const FIRM_SKINS = [
  'skinRough',
  'skinWaxed',
  'skinSmooth',
  'skinRoot',
] as const satisfies readonly Trait[];
export const TENDER_SKINS = ['skinSoft', 'skinLeaf'] as const satisfies readonly Trait[];

/**
 * What is asked of an ingredient of the cook's own: how long its drinks keep, and whom they could harm. A question that
 * nobody answered counts as yes.
 */
export const ASKED_TRAITS = [
  'milk',
  'garlic',
  'live',
  'lowAcid',
  'honey',
  'nut',
  'allergen',
  'burns',
  'caffeine',
  'medicines',
] as const satisfies readonly Trait[];
export type AskedTrait = (typeof ASKED_TRAITS)[number];
export type TraitAnswers = Readonly<Partial<Record<AskedTrait, boolean>>>;

/** What a drink has become, beside the traits of what is in it. */
export const DRINK_STATES = [
  'alcohol',
  /** So little that nobody would taste it: said all the same. */
  'littleAlcohol',
  /** Something in it was never heated through. */
  'raw',
  /** Most people call it hot. */
  'hot',
  /** A common glass of it would be half of a moderate day of a strong herb, or more. */
  'concentrated',
  /** Sour enough for teeth and stomachs to notice. */
  'acid',
  'sweetened',
  'noAddedSugar',
] as const;
export type DrinkState = (typeof DRINK_STATES)[number];
/** What brings in a row of cautions or of guidance. */
export type Tag = Trait | DrinkState;
