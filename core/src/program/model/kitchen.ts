import type { Burner, Kitchen, Pot } from '../../documents/kitchen.ts';
import type { JuiceTool } from '../../documents/recipe.ts';
import { areaM2, capacityMl, type Shape } from '../../physics/vesselShape.ts';
import { burnerEfficiency, POT_MATERIALS } from '../../tables/constants.ts';
import type { MeasuringKit } from '../../units/measures.ts';

/** The best way to juice in a kitchen. */
export const juiceToolOf = (kitchen: Pick<Kitchen, 'tools'>): JuiceTool =>
  kitchen.tools.juicer ? 'juicer' : kitchen.tools.blenderMl > 0 ? 'blender' : 'hand';

export const potShape = (pot: Pot): Shape => ({
  diameterM: pot.diameterCm / 100,
  heightM: pot.heightCm / 100,
});
export const potCapacityMl = (pot: Pot): number => capacityMl(potShape(pot));

/** Weight of an empty pot: as weighed, else wall and base by its material. */
export function potMassG(pot: Pot): number {
  if (pot.massG !== null) return pot.massG;
  const { diameterM, heightM } = potShape(pot);
  return (areaM2(diameterM) + Math.PI * diameterM * heightM) * POT_MATERIALS[pot.material].kgPerM2 * 1000;
}

/** Power of a burner that reaches a pot, W. */
export const powerIntoPotW = (burner: Burner, pot: Pick<Pot, 'diameterCm'>): number =>
  burner.powerW * burnerEfficiency(burner.kind, burner.powerW, pot.diameterCm / 100);

export function measuringKit(kitchen: Kitchen): MeasuringKit {
  return {
    system: kitchen.units,
    measures: kitchen.measures,
    cupWeights: kitchen.cupWeights,
    ...(kitchen.preferredMeasureId ? { preferredMeasureId: kitchen.preferredMeasureId } : {}),
  };
}

/** A kitchen as glasses are counted for one drink: a shot by its own small glass, everything else by the house's. */
export const withServing = (kitchen: Kitchen, recipe: { servingMl?: number | undefined }): Kitchen =>
  recipe.servingMl === undefined || recipe.servingMl === kitchen.servingMl
    ? kitchen
    : { ...kitchen, servingMl: recipe.servingMl };
