import * as v from 'valibot';
import { between, id, name } from '../units/fields.ts';
import type { LiquidRow, SweetenerRow, Tables } from './types.ts';

/**
 * A liquid or sweetener as its packet or a refractometer has it: a correction of a row of the tables, or one more beside
 * them. What the label does not say is taken from the row that it is like.
 */
export const labelSchema = v.strictObject({
  /** That of the row it corrects, or its own. */
  id,
  name: name(60),
  like: id,
  /** Sugar: g in 100 mL of a liquid, g in 100 g of a sweetener. */
  sugarPer100: v.nullable(between(0, 100)),
  /** All that is dissolved, as a refractometer reads it; liquids only. */
  brix: v.nullable(between(0, 85)),
  /** Titratable acidity as citric, g/L; liquids only. */
  taGPerL: v.nullable(between(-1, 150)),
  abvPct: v.nullable(between(0, 96)),
  /** Sugar was added to it before it was sold. */
  sweetened: v.boolean(),
});
export type Label = v.InferOutput<typeof labelSchema>;

const SOURCE =
  'From its label or a refractometer, as the cook entered it; the rest as in the row that it is like';
/** g/mL of water, and by how much each g of dissolved solids in 100 g raises it near drink strength. Source: sugar tables. */
const WATER_G_PER_ML = 0.9982;
const PER_BRIX = 0.0041;

function labelledLiquid(base: LiquidRow, label: Label): LiquidRow {
  // Density follows what is dissolved; what else the liquid holds (alcohol, pulp) keeps its part.
  const rest = base.densityGPerMl - WATER_G_PER_ML - PER_BRIX * base.brix;
  let brix = label.brix ?? base.brix;
  let sugar = base.sugarGPer100g;
  for (let round = 0; round < 4; round++) {
    const density = WATER_G_PER_ML + PER_BRIX * brix + rest;
    if (label.sugarPer100 !== null) sugar = label.sugarPer100 / density;
    else if (label.brix !== null) sugar = Math.max(0, base.sugarGPer100g + label.brix - base.brix);
    brix = label.brix ?? base.brix - base.sugarGPer100g + sugar;
  }
  return {
    ...base,
    id: label.id,
    name: label.name,
    densityGPerMl: WATER_G_PER_ML + PER_BRIX * brix + rest,
    brix,
    sugarGPer100g: Math.min(sugar, brix),
    taGPerL: label.taGPerL ?? base.taGPerL,
    abvPct: label.abvPct ?? base.abvPct,
    // What comes with a label is bought; plain water has no more to say.
    treatment: base.treatment === 'water' ? 'bought' : base.treatment,
    ...(label.sweetened ? { sweetened: true as const } : {}),
    confidence: 'h',
    source: SOURCE,
  };
}

function labelledSweetener(base: SweetenerRow, label: Label): SweetenerRow {
  if (label.sugarPer100 === null) return { ...base, id: label.id, name: label.name, source: SOURCE };
  const share = base.sugarPct > 0 ? label.sugarPer100 / base.sugarPct : 1;
  return {
    ...base,
    id: label.id,
    name: label.name,
    sugarPct: label.sugarPer100,
    // What is not sugar any more is water.
    waterPct: Math.max(
      0,
      Math.min(100 - label.sugarPer100, base.waterPct + base.sugarPct - label.sugarPer100),
    ),
    relativeSweetness: base.relativeSweetness * share,
    kcalPer100g: base.kcalPer100g * share,
    source: SOURCE,
  };
}

/** The tables with a kitchen's labels: rows corrected, rows beside them. A label like nothing known is passed over. */
export function withLabels(tables: Tables, labels: readonly Label[] | undefined): Tables {
  if (!labels || labels.length === 0) return tables;
  const liquids = new Map(tables.liquids);
  const sweeteners = new Map(tables.sweeteners);
  for (const label of labels) {
    const liquid = tables.liquids.get(label.like);
    const sweetener = tables.sweeteners.get(label.like);
    if (liquid) liquids.set(label.id, labelledLiquid(liquid, label));
    else if (sweetener) sweeteners.set(label.id, labelledSweetener(sweetener, label));
  }
  return { ...tables, liquids, sweeteners };
}
