/** What a drink is made of, its colour and its sourness. */
export {
  againstLast,
  canBeRead,
  readSpoon,
  type SpoonProblem,
  type SpoonResult,
  THINNED,
  type Thinned,
  thinnedFor,
} from '../instruments/spoon/readSpoon.ts';
export { type Pixels, spotOf } from '../instruments/spoon/spot.ts';
export { colourOf, GLASS_PATH_CM, luminanceOf } from '../liquor/colour.ts';
export { colourName } from '../liquor/colourName.ts';
export {
  abvPct,
  brix,
  type Composition,
  EMPTY,
  heatGPerL,
  markerGPerL,
  massG,
  ofLiquid,
  plus,
  sournessGPerL,
  sweetnessPct,
  volumeMl,
} from '../liquor/composition.ts';
export { type InGlass, inGlassOf, type Looks, looksOf, NO_LOOKS } from '../liquor/looks.ts';
export { phOf } from '../liquor/ph.ts';
export { coldVolume, expansion } from '../liquor/water.ts';
export { DISSOLVES_FROM_C } from '../tables/sweetenerFacts.ts';
