import '../../../../words/places/batch.ts';
import { glassDoseG } from '@big-ladle/core/balance';
import type { BottleStep, Liquor } from '@big-ladle/core/program';
import { GLASS_SWEETENER_ID } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { byHand } from '../../../../shared/handMeasure.ts';
import { sayItem } from '../../../../words/names.ts';
import { grams, millilitres } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/**
 * What a glass of a drink that is left plain wants, to be as sweet as the plan has it.
 * @param inGlass the recipe's own sweeteners for the glass, and how sweet; unsaid, those of the plan.
 */
export function EachGlass({
  live,
  liquor,
  inGlass,
}: {
  live: LiveBatch;
  liquor: Liquor;
  inGlass?: BottleStep['inGlass'];
}) {
  const { program, kitchen, tables } = live;
  const sweeten = program.steps.find((s) => s.kind === 'sweeten');
  const planned = sweeten?.kind === 'sweeten' ? sweeten.targetSweetnessPct : null;
  const target = inGlass?.targetSweetnessPct ?? planned;
  const ids = program.lines.flatMap((l) =>
    l.kind === 'sweetener' && (inGlass?.lineIds.includes(l.id) ?? true) ? [l.itemId] : [],
  );
  if (target === null) return null;
  return (
    <Box data-testid="each-glass">
      {say('lotStir.toSweetenItIn', {
        serving: millilitres(kitchen.servingMl),
        list: [...new Set(inGlass ? ids : [...ids, GLASS_SWEETENER_ID])]
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
