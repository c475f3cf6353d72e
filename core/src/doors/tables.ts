/** The rows that everything is reckoned by, those of a batch pinned or the cook's own among them. */
export { ALCOHOL_UNIT_ROWS, type AlcoholUnitRow } from '../tables/alcoholUnits.ts';
export { ALIAS_ROWS, type AliasRow, findByName } from '../tables/aliases.ts';
export { AUDIENCES } from '../tables/audience.ts';
export {
  FIRST_LABEL_ID,
  FIRST_SOUR_ID,
  FIRST_SPIRIT_ID,
  FIRST_WEIGHED_ID,
  GLASS_SWEETENER_ID,
  MIXER_IDS,
  PARTS_AT_FIRST,
  SOURING_IDS,
  SWEET_FRUIT_IDS,
  TAP_WATER_ID,
} from '../tables/choices.ts';
export { CLAIM_ROWS } from '../tables/claims.ts';
export {
  BOIL_LEVEL_IDS,
  BOIL_LEVELS,
  type BurnerKind,
  DAILY_FREE_SUGAR_G,
  ICE_IN_GLASS_G,
  type IceInGlass,
  iceShare,
  LIDS,
  WHOLE_SPICE_EXPONENT,
} from '../tables/constants.ts';
export { CUT_ROWS, isCut } from '../tables/cuts.ts';
export { FAMILY_ROWS } from '../tables/families.ts';
export { FRUIT_ROWS } from '../tables/fruits.ts';
export { GUIDANCE_ROWS } from '../tables/guidance/rows.ts';
export { SHIPPED_TABLES } from '../tables/index.ts';
export { SUBSTITUTE_ROWS, TOOL_ROWS, USUAL_ROWS } from '../tables/kitchenFacts.ts';
export { type Label, withLabels } from '../tables/labels.ts';
export { PAIR_ROWS } from '../tables/pairs.ts';
export { joinedRows, type PinnedRows, pinnedTables, pinRows, rowsFor } from '../tables/pinned.ts';
export { RIPENESS_ROWS, UNTREATED_WATER, WATER_CUES } from '../tables/ripeness.ts';
export { ASKED_TRAITS, type AskedTrait, type Tag, type TraitAnswers } from '../tables/traits.ts';
export {
  type IngredientRow,
  type LiquidRow,
  type MarkerId,
  PRESSES,
  type SweetenerRow,
  type Tables,
} from '../tables/types.ts';
export { VIGOUR_IDS, type VigourId } from '../tables/vigours.ts';
export { type Bath, bathCue } from '../tables/washing.ts';
