import '../../words/places/shopping.ts';
import { goesWith, type ShoppingRow, shoppingList } from '@big-ladle/core/compare';
import type { StockRow } from '@big-ladle/core/documents';
import { solvePlanDoc } from '@big-ladle/core/plan';
import { simulateBatch } from '@big-ladle/core/program';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { usePlans } from '../../shared/batchQueries.ts';
import { useBook, useKeepStock, useStock } from '../../shared/book.ts';
import { Fold } from '../../shared/Fold.tsx';
import { GoesWellWith } from '../../shared/GoesWellWith.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { saveText } from '../../shared/saveText.ts';
import { sayError } from '../../shared/send.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { ErrorPanel, Figure, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { sayRich } from '../../words/rich.ts';
import { grams, litres, num, say } from '../../words/say.ts';
import { buyText, csvOf, rowName } from './listWords.ts';

const MINUTE = 60_000;

/** What to buy for the plans that are chosen. */
export function ShoppingPage() {
  const kitchen = useKitchen();
  const batches = usePlans();
  const stock = useStock();
  const { book, tables } = useBook();
  const nowMs = useCoarseNow(MINUTE);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [open, setOpen] = useState<string | null>(null);
  const planned = useMemo(() => {
    if (!kitchen.data || !batches.data) return [];
    const k = kitchen.data.kitchen;
    return batches.data.map(({ batch }) => {
      const solved = solvePlanDoc(batch.plan, book, k, tables);
      if (!solved.ok) return { batch, made: null };
      const sim = simulateBatch(solved.value.program, k, tables);
      return {
        batch,
        made: { program: solved.value.program, dosedG: sim.dosedG, litres: solved.value.litres },
      };
    });
  }, [kitchen.data, batches.data, book, tables]);
  if (kitchen.isPending || batches.isPending || stock.isPending) return <Loading />;
  const error = kitchen.error ?? batches.error ?? stock.error;
  if (error || !stock.data || !kitchen.data) return <ErrorPanel error={error} />;
  const chosen = planned.filter((p) => p.made && !left.has(p.batch.id));
  const month = new Date(nowMs).getMonth() + 1;
  const list = shoppingList(
    chosen.map((p) => p.made!),
    stock.data.stock,
    tables,
    month,
  );
  const shops = [...new Set(list.rows.map((r) => r.shop))];
  const { servingMl } = kitchen.data.kitchen;
  // Fruit above all, of which parts are asked for: each by what the pairs know of it.
  const wanted = [
    ...new Set(list.rows.flatMap((r) => (r.parts.length ? r.parts.map((p) => p.itemId) : [r.id]))),
  ].filter((id) => goesWith(id, tables) !== null);
  return (
    <>
      <PageHead
        title={say('shoppingPage.shopping')}
        beside={
          chosen.length > 0
            ? say('shoppingPage.forOfOneOther', {
                litres: litres(list.litres),
                plans: num(chosen.length),
                lengthCount: chosen.length,
              })
            : ''
        }
      >
        <Button variant="outlined" disabled={list.rows.length === 0} onClick={() => window.print()}>
          {say('common.print')}
        </Button>
        <Button
          variant="outlined"
          disabled={list.rows.length === 0}
          onClick={() => saveText('shopping.csv', csvOf(list), 'text/csv')}
        >
          {say('shoppingPage.saveAsCsv')}
        </Button>
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,2fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Panel title={say('shoppingPage.forThesePlans')}>
          {planned.length === 0 && (
            <Box>
              {sayRich('shoppingPage.noPlansYetChoose', {
                link: <Link to="/drinks">{say('shoppingPage.drink')}</Link>,
              })}
            </Box>
          )}
          {planned.map(({ batch, made }) => (
            <FormControlLabel
              key={batch.id}
              disabled={!made}
              control={
                <Checkbox
                  checked={made !== null && !left.has(batch.id)}
                  onChange={(e) => {
                    const next = new Set(left);
                    if (e.target.checked) next.delete(batch.id);
                    else next.add(batch.id);
                    setLeft(next);
                  }}
                />
              }
              label={`${sayDrink(batch.plan.recipeId)}${made ? `, ${litres(made.litres)}` : say('shoppingPage.wantsALook')}`}
              sx={{ display: 'flex', minHeight: 44 }}
            />
          ))}
          {wanted.length > 0 && (
            <Fold summary={say('goesWith.title')} testId="pairings">
              <GoesWellWith itemIds={wanted} tables={tables} />
              <Box sx={{ color: role('inkMuted'), mt: 0.5 }}>{say('goesWith.try')}</Box>
            </Fold>
          )}
          {list.rows.length > 0 && (
            <Box sx={{ mt: 2 }}>
              {list.cost > 0 ? (
                <Figure
                  value={num(list.cost, 2)}
                  unit={
                    list.unpriced > 0
                      ? say('shoppingPage.andWithoutAPrice', { unpriced: num(list.unpriced) })
                      : say('common.inAll')
                  }
                />
              ) : (
                <Box sx={{ ...heading }}>{say('shoppingPage.noPricesYet')}</Box>
              )}
              {list.cost > 0 && list.litres > 0 && (
                <Box sx={{ color: role('inkMuted') }}>
                  {say('shoppingPage.aLitreAGlass', {
                    cost: num(list.cost / list.litres, 2),
                    cost2: num((list.cost / list.litres) * (servingMl / 1000), 2),
                  })}
                </Box>
              )}
              <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                {say('shoppingPage.inYourOwnMoney')}
              </Box>
            </Box>
          )}
        </Panel>
        <Box sx={{ display: 'grid', gap: 1.75 }}>
          {shops.map((shop) => (
            <Panel key={shop} title={say(`shop.${shop}`)}>
              {list.rows
                .filter((r) => r.shop === shop)
                .map((row) => (
                  <ShopRow
                    key={row.id}
                    row={row}
                    stock={stock.data.stock.find((s) => s.itemId === row.id)}
                    open={open === row.id}
                    onOpen={() => setOpen(open === row.id ? null : row.id)}
                  />
                ))}
            </Panel>
          ))}
        </Box>
      </Box>
    </>
  );
}

function ShopRow(props: {
  row: ShoppingRow;
  stock: StockRow | undefined;
  open: boolean;
  onOpen: () => void;
}) {
  const { row, stock, open } = props;
  const keep = useKeepStock();
  const problem = sayError(keep.error, say('shoppingPage.theKitchenServerDoes'));
  const save = (change: Partial<StockRow>) => keep.mutate({ itemId: row.id, ...change });
  return (
    <Box sx={{ borderBottom: `1px solid ${role('hairline')}`, py: 0.75 }} data-testid={`buy-${row.id}`}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Box
          component="button"
          type="button"
          aria-expanded={open}
          onClick={props.onOpen}
          sx={{
            all: 'unset',
            cursor: 'pointer',
            flex: '1 1 150px',
            minHeight: 28,
            '&:hover': { textDecoration: 'underline' },
            '&:focus-visible': { outline: `3px solid ${role('rim')}` },
          }}
        >
          {rowName(row)}
        </Box>
        <Box sx={{ ...heading }}>{buyText(row)}</Box>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', minWidth: 130, textAlign: 'right' }}>
          {say('shoppingPage.needLeftOver', {
            need: grams(row.needG),
            left: grams(row.leftG),
            isLeft: Boolean(row.leftG > 1 && row.buyG > 0),
          })}
        </Box>
      </Box>
      {row.parts.length > 1 && (
        <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem' }}>
          {say('shoppingPage.forEachFruitOnce', {
            parts: row.parts.map((p) => `${grams(p.massG)} ${sayItem(p.itemId).toLowerCase()}`).join(', '),
          })}
        </Box>
      )}
      {row.offSeason && (
        <Box sx={{ color: role('caution'), fontSize: '0.9rem' }}>
          {say('shoppingPage.outOfSeasonNow', {
            item: row.offSeason.dried === null ? '' : sayItem(row.offSeason.dried).toLowerCase(),
            isDried: row.offSeason.dried !== null,
          })}
        </Box>
      )}
      {open && (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', py: 1 }}>
          <QuantityField
            label={say('shoppingPage.inTheHouse')}
            value={stock?.inHouseG ?? 0}
            min={0}
            max={500_000}
            decimals={0}
            unit="g"
            onCommit={(inHouseG) => save({ inHouseG })}
          />
          {row.what === 'item' && (
            <QuantityField
              label={say('shoppingPage.aPackHolds')}
              value={stock?.packG ?? row.packs?.sizeG ?? null}
              min={0.1}
              max={500_000}
              unit="g"
              onCommit={(packG) => save({ packG })}
            />
          )}
          <QuantityField
            label={row.what === 'fruit' ? say('shoppingPage.oneCosts') : say('shoppingPage.aPackCosts')}
            value={stock?.price ?? null}
            min={0}
            max={100_000}
            decimals={2}
            onCommit={(price) => save({ price })}
          />
          {problem && <Alert severity="error">{problem}</Alert>}
        </Box>
      )}
    </Box>
  );
}
