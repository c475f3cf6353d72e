import '../../words/places/drinks.ts';
import type { Recipe } from '@big-ladle/core/documents';
import { PAIR_ROWS } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useMade } from '../../shared/batchQueries.ts';
import { useKitchen } from '../../shared/queries.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { fullDay, say } from '../../words/say.ts';

/** How often a drink and its variants were made, what they scored, and what goes with it to try next. */
export function Notebook({ recipe, book }: { recipe: Recipe; book: readonly Recipe[] }) {
  const zone = useKitchen().data?.kitchen.zone ?? 'UTC';
  const family = new Set([
    recipe.id,
    ...(recipe.base ? [recipe.base.id] : []),
    ...book
      .filter((r) => r.base && (r.base.id === recipe.id || r.base.id === recipe.base?.id))
      .map((r) => r.id),
  ]);
  const { batches, more, isFetchingMore } = useMade([...family].sort());
  const made = batches
    .filter((b) => b.now?.endedMs != null && !b.now.stopped)
    .sort(
      (a, b) => (b.now?.score ?? 0) - (a.now?.score ?? 0) || (b.now?.endedMs ?? 0) - (a.now?.endedMs ?? 0),
    );
  const has = new Set(recipe.lines.map((l) => l.itemId));
  const pairs = recipe.lines
    .flatMap((l) =>
      (PAIR_ROWS.find((p) => p.itemId === l.itemId)?.with ?? [])
        .filter((id) => !has.has(id))
        .map((id) => ({ id, to: l.itemId })),
    )
    .filter((p, i, all) => all.findIndex((o) => o.id === p.id) === i)
    .slice(0, 6);
  return (
    <Panel title={say('notebook.notebook')} testId="notebook">
      {made.length === 0 && <Box sx={{ color: role('inkMuted') }}>{say('notebook.notMadeYetWhat')}</Box>}
      {made.map(({ batch, now }) => (
        <Row
          key={batch.id}
          label={
            <Link to={`/batches/${batch.id}`}>
              {sayDrink(batch.plan.recipeId)}
              {now?.endedMs != null && `, ${fullDay(now.endedMs, zone)}`}
            </Link>
          }
          note={
            now?.score === undefined ? say('notebook.noScore') : say('common.of', { score: num(now.score) })
          }
        >
          {[
            now?.liked &&
              say('notebook.likedAtSweetSour', {
                sweetPct: num(now.liked.sweetPct, 1),
                sour: num(now.liked.sourGPerL, 1),
              }),
            now?.words,
          ]
            .filter(Boolean)
            .join('; ')}
        </Row>
      ))}
      {more && (
        <Button size="small" disabled={isFetchingMore} onClick={more}>
          {say('notebook.earlier')}
        </Button>
      )}
      {pairs.length > 0 && (
        <Box sx={{ mt: 1 }}>
          {say('notebook.toTryOnA', {
            pairs: pairs
              .map((p) =>
                say('notebook.with', {
                  item: sayItem(p.id).toLowerCase(),
                  item2: sayItem(p.to).toLowerCase(),
                }),
              )
              .join('; '),
          })}
        </Box>
      )}
    </Panel>
  );
}
