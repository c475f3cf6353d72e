import type { Recipe } from '@big-ladle/core/documents';
import { type InGlass, NO_LOOKS } from '@big-ladle/core/liquor';
import type { Tables } from '@big-ladle/core/tables';
import { GlassLines } from './GlassDrawing.tsx';
import { type GlassKind, glassFor } from './glasses.ts';
import { PlantLines } from './PlantDrawing.tsx';
import { plantsOf } from './plants/plants.ts';

/** Where the plants stand beside and behind the glass, in a box of 200 by 150, the first one largest. */
const PLACES = [
  { x: 6, y: 78, scale: 1.1 },
  { x: 128, y: 84, scale: 1.02 },
  { x: 132, y: 30, scale: 0.8 },
  { x: 14, y: 26, scale: 0.75 },
] as const;

/** Glasses with room for ice. */
const ICED: ReadonlySet<GlassKind> = new Set(['tall', 'tumbler']);

/**
 * A drink drawn as itself: its colours in a glass that suits it, and what it is made of.
 * @param inGlass null: not worked out, or it does not work out; the glass is empty.
 */
export function DrinkDrawing(props: {
  recipe: Pick<Recipe, 'lines' | 'serve'>;
  inGlass: InGlass | null;
  tables: Tables;
  height: number;
}) {
  const { recipe, inGlass, tables, height } = props;
  const hot = recipe.serve === 'hot';
  const kind = inGlass ? glassFor(inGlass, hot) : 'tall';
  const plants = plantsOf(recipe.lines, tables);
  return (
    <svg
      viewBox="0 0 200 150"
      height={height}
      width={(height * 200) / 150}
      aria-hidden="true"
      style={{ display: 'block', maxWidth: '100%' }}
    >
      {plants.slice(0, PLACES.length).map((plant, i) => {
        const place = PLACES[i]!;
        return (
          <g key={plant} transform={`translate(${place.x} ${place.y}) scale(${place.scale})`}>
            <PlantLines plant={plant} />
          </g>
        );
      })}
      <g transform="translate(50 11)">
        <GlassLines
          looks={inGlass?.looks ?? NO_LOOKS}
          kind={kind}
          ice={inGlass !== null && ICED.has(kind)}
          steam={hot}
        />
      </g>
    </svg>
  );
}
