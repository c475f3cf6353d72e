import '../../words/places/batch.ts';
import { GLASS_SWEETENER_ID, glassDoseG, type Liquor } from '@big-ladle/core';
import Box from '@mui/material/Box';
import { byHand } from '../../shared/handMeasure.ts';
import { sayItem } from '../../words/names.ts';
import { grams, num, say } from '../../words/say.ts';
import type { LiveBatch } from './useBatchNow.ts';

/**
 * What a glass of a drink that is left plain wants, to be as sweet as the plan has it.
 * @param lineIds the recipe's own sweeteners for the glass; unsaid, those of the plan.
 */
export function EachGlass({
  live,
  liquor,
  lineIds,
}: {
  live: LiveBatch;
  liquor: Liquor;
  lineIds?: readonly string[];
}) {
  const { program, kitchen, tables } = live;
  const sweeten = program.steps.find((s) => s.kind === 'sweeten');
  const target =
    sweeten?.kind === 'sweeten'
      ? sweeten.targetSweetnessPct
      : lineIds
        ? live.recipe.targetSweetnessPct
        : null;
  const ids = program.lines.flatMap((l) =>
    l.kind === 'sweetener' && (lineIds === undefined || lineIds.includes(l.id)) ? [l.itemId] : [],
  );
  if (target === null) return null;
  return (
    <Box data-testid="each-glass">
      {say('lotStir.toSweetenItIn', {
        serving: num(kitchen.servingMl),
        list: [...new Set(lineIds ? ids : [...ids, GLASS_SWEETENER_ID])]
          .flatMap((id) => {
            const row = tables.sweeteners.get(id);
            const dose = row ? glassDoseG(liquor, kitchen.servingMl, target, row.relativeSweetness) : null;
            if (!row || !dose) return [];
            return [
              say('lotStir.of', {
                dose: grams(dose),
                item: sayItem(id).toLowerCase(),
                byHand: byHand(row, dose, kitchen),
              }),
            ];
          })
          .join(say('common.or')),
      })}
    </Box>
  );
}
