/**
 * How far what a cook reads may be off, one standard deviation. Confidence: medium for all.
 * Sources: marks of kitchen jugs and how a surface is read in them; a rule held into a pot against a stick with a mark to
 * the millimetre; kitchen scales; hand refractometers; how finely sweetness is told apart; how soon after the moment a screen is tapped.
 */
export const READING_SPREADS = {
  /**
   * Of litres, whatever they are read with: what the model leaves out of them, and what straight lines from each factor to
   * the litres leave out. Source: kitchens whose constants are hidden, what is read of them against what is foretold.
   */
  modelShare: 0.01,
  /** A volume by jug, as a share. */
  jugShare: 0.015,
  /** What was filled into bottles of a known size, as a share. */
  filledShare: 0.012,
  /** A height by a marked stick, cm. */
  levelCm: 0.1,
  scaleShare: 0.006,
  brix: 0.15,
  /** How warm a pot is, °C: not the same everywhere in it, and read a little after the minute that is written down. */
  warmthC: 2,
  /** How strong a drink is by the colour of a photographed spoonful, as a share: light and camera differ each time. */
  pictureShare: 0.2,
  /** A sweetness that was found about right: the next mouthful is not judged just so, as a share. */
  tasteShare: 0.05,
  /** How late a tap comes, min. */
  tapMin: 1,
  /** Of minutes that the model foretells, beside that: as a share. */
  minutesShare: 0.03,
  /** Of handwork: nobody washes twice in the same time. */
  handworkShare: 0.12,
} as const;
