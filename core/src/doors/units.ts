/** Measures, time and results, and the physics of vessels and rooms. */

export { fruitForJuice, fruitToCome, juicePerKg } from '../physics/juice.ts';
export { roomIn } from '../physics/room.ts';
export { POT_UNITS, type PotUnit, potLitres, usualShape } from '../physics/usualPot.ts';
export { areaM2, capacityMl, levelM } from '../physics/vesselShape.ts';
export { GAS_UNITS } from '../tables/energy.ts';
export { id as idSchema } from '../units/fields.ts';
export {
  asHandMeasures,
  type CupWeight,
  cupWeightSchema,
  type Fraction,
  type HandAmount,
  type KitchenMeasure,
  measureSchema,
  usualCup,
} from '../units/measures.ts';
export { type Result, type Said, unwrap } from '../units/result.ts';
export { DAY_MS, MINUTE_MS } from '../units/time.ts';
export { typedFigure } from '../units/typed.ts';
export {
  DEGREES,
  type Degrees,
  UNIT_SYSTEMS,
  type UnitSystem,
  USUAL_DEGREES,
  unitOf,
} from '../units/units.ts';
export {
  type FieldUnit,
  fieldUnit,
  type Written,
  writtenLength,
  writtenMass,
  writtenTemp,
  writtenTempDifference,
  writtenVolume,
} from '../units/written.ts';
