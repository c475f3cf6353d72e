import '../../words/places/shopping.ts';
import { goesWith, iceKgOf, shoppingList, stillToGoIn } from '@big-ladle/core/compare';
import { solvePlanDoc } from '@big-ladle/core/plan';
import { learntTables, simulateBatch } from '@big-ladle/core/program';
import { TZDate } from '@date-fns/tz';
import { mdiPrinterOutline, mdiShareVariantOutline, mdiTrayArrowDown } from '@mdi/js';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useBoard } from '../../shared/batch/state.ts';
import { usePlans } from '../../shared/batchQueries.ts';
import { useBook } from '../../shared/book.ts';
import { plantOf } from '../../shared/drawings/plants/plants.ts';
import { Fold } from '../../shared/Fold.tsx';
import { GoesWellWith } from '../../shared/GoesWellWith.tsx';
import { useGatherings } from '../../shared/gatherings/list.ts';
import { Icon } from '../../shared/Icon.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { saveText } from '../../shared/saveText.ts';
import { shareText } from '../../shared/share.ts';
import { changeStock, useStock, useStockChanges } from '../../shared/stock.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { ErrorPanel, Figure, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { eachMeasure, litres } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { say } from '../../words/say.ts';
import { csvOf, textOf } from './listWords.ts';
import { ShopRow } from './ShopRow.tsx';
import { useGatheringToBuy } from './useGatheringToBuy.ts';

const MINUTE = 60_000;

/** What to buy for the plans that are chosen. */
export function ShoppingPage() {
  const each = eachMeasure();
  const kitchen = useKitchen();
  const batches = usePlans();
  const stock = useStock();
  const { book, tables } = useBook();
  const board = useBoard();
  const unreachable = useStockChanges((s) => s.unreachable);
  const nowMs = useCoarseNow(MINUTE);
  const [search] = useSearchParams();
  const forGathering = search.get('gathering');
  const gatherings = useGatherings();
  const gathering = useGatheringToBuy(forGathering);
  // What the cook has tapped; of the rest all is bought, for a gathering what is made for it.
  const [tapped, setTapped] = useState<ReadonlyMap<string, boolean>>(new Map());
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
        made: {
          program: solved.value.program,
          dosedG: sim.dosedG,
          litres: solved.value.litres,
          iceKg: iceKgOf(sim),
        },
      };
    });
  }, [kitchen.data, batches.data, book, tables]);
  if (
    kitchen.isPending ||
    batches.isPending ||
    stock.isPending ||
    gatherings.isPending ||
    (board.isPending && board.on.length === 0)
  )
    return <Loading />;
  const error = kitchen.error ?? batches.error ?? stock.error;
  const things = stock.data?.stock;
  if (error || !things || !kitchen.data) return <ErrorPanel error={error} />;
  const monthOf = (ms: number) => new TZDate(ms, kitchen.data.kitchen.zone).getMonth() + 1;
  const running = board.on.flatMap((state) => {
    const { steps } = state.now.log;
    const program = stillToGoIn(state.program, (id) => steps[id]?.startMs != null);
    // What is bought for it is a part of what it costs: its litres stay out of the price of a litre.
    const made = { program, dosedG: state.now.forecast.dosedG, litres: 0, month: monthOf(nowMs) };
    return program.lines.length > 0 ? [{ batch: state.batch, made, isOn: true }] : [];
  });
  const offered = [
    ...(gathering?.drinks ?? []).map(({ id, recipeId, made }) => ({
      batch: { id, plan: { recipeId } },
      isOn: false,
      made: { ...made, month: monthOf(Math.max(nowMs, gathering?.servesAtMs ?? nowMs)) },
    })),
    ...running,
    ...planned.map(({ batch, made }) => ({
      batch,
      isOn: false,
      made: made && { ...made, month: monthOf(Math.max(nowMs, batch.plan.readyAtMs ?? nowMs)) },
    })),
  ];
  const isWanted = (id: string) =>
    tapped.get(id) ??
    (!forGathering ||
      (gathering?.batchIds.has(id) ?? false) ||
      gathering?.drinks.some((d) => d.id === id) === true);
  const chosen = offered.filter((p) => p.made && isWanted(p.batch.id));
  // Ice for the glasses, whatever is in them.
  const glasses = gathering
    ? [{ program: { lines: [] }, dosedG: {}, litres: 0, month: 1, iceKg: gathering.iceKg }]
    : [];
  const list = shoppingList(
    [...chosen.map((p) => p.made!), ...glasses],
    things,
    learntTables(tables, kitchen.data.kitchen),
  );
  const plans = chosen.filter((p) => !p.isOn).length;
  const toBuy = list.rows.filter((row) => row.buyG > 0);
  const inBasket = list.rows.filter((row) => row.basketG > 0);
  const putAway = () => {
    for (const row of inBasket) {
      const inHouseG = things.find((s) => s.itemId === row.id)?.inHouseG ?? 0;
      changeStock({ itemId: row.id, inHouseG: inHouseG + row.basketG, basketG: 0 });
    }
  };
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
          plans > 0
            ? say('shoppingPage.forOfOneOther', {
                litres: litres(list.litres),
                plans: num(plans),
                lengthCount: plans,
              })
            : ''
        }
      >
        <Button
          variant="outlined"
          startIcon={<Icon path={mdiShareVariantOutline} />}
          disabled={list.rows.length === 0}
          onClick={() =>
            void shareText(say('shoppingPage.shopping'), textOf(list), say('shoppingPage.copied'))
          }
        >
          {say('shoppingPage.share')}
        </Button>
        <Button
          variant="outlined"
          startIcon={<Icon path={mdiPrinterOutline} />}
          disabled={list.rows.length === 0}
          onClick={() => window.print()}
        >
          {say('common.print')}
        </Button>
        <Button
          variant="outlined"
          startIcon={<Icon path={mdiTrayArrowDown} />}
          disabled={list.rows.length === 0}
          onClick={() => saveText('shopping.csv', csvOf(list), 'text/csv')}
        >
          {say('shoppingPage.saveAsCsv')}
        </Button>
      </PageHead>
      {unreachable && (
        <Box role="status" sx={{ color: role('caution'), mb: 1 }} data-testid="stock-waits">
          {say('shoppingPage.waits')}
        </Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,2fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Panel title={say('shoppingPage.forThesePlans')}>
          {forGathering
            ? gathering && (
                <Box sx={{ mb: 1 }} data-testid="for-gathering">
                  <Link to={`/gatherings/${forGathering}`}>{gathering.name}</Link>
                  {gathering.iceKg > 0 && <Box>{say('shoppingPage.ice')}</Box>}
                </Box>
              )
            : (gatherings.data?.gatherings ?? [])
                .filter((g) => g.gathering.untilMs > nowMs && g.gathering.drinks.length > 0)
                .map((g) => (
                  <Box key={g.id} sx={{ mb: 1 }}>
                    <Link to={`/shopping?gathering=${g.id}`}>
                      {say('shoppingPage.forGathering', { gathering: g.gathering.name })}
                    </Link>
                  </Box>
                ))}
          {offered.length === 0 && (
            <Box>
              {sayRich('shoppingPage.noPlansYetChoose', {
                link: <Link to="/drinks">{say('shoppingPage.drink')}</Link>,
              })}
            </Box>
          )}
          {offered.map(({ batch, made, isOn }) => (
            <FormControlLabel
              key={batch.id}
              disabled={!made}
              control={
                <Checkbox
                  checked={made !== null && isWanted(batch.id)}
                  onChange={(e) => setTapped(new Map([...tapped, [batch.id, e.target.checked]]))}
                />
              }
              label={
                isOn
                  ? say('shoppingPage.onTheStove', { drink: sayDrink(batch.plan.recipeId) })
                  : `${sayDrink(batch.plan.recipeId)}${made ? `, ${litres(made.litres)}` : say('shoppingPage.wantsALook')}`
              }
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
                    cost: num((list.cost / list.litres) * each.litres, 2),
                    each: say(`each.${each.name}`),
                    cost2: num((list.cost / list.litres) * (servingMl / 1000), 2),
                  })}
                </Box>
              )}
              {list.cost > 0 && gathering && gathering.guests > 0 && (
                <Box sx={{ color: role('inkMuted') }}>
                  {say('shoppingPage.aGuest', { cost: num(list.cost / gathering.guests, 2) })}
                </Box>
              )}
              <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                {say('shoppingPage.inYourOwnMoney')}
              </Box>
            </Box>
          )}
        </Panel>
        <Box sx={{ display: 'grid', gap: 1.75 }}>
          {toBuy.length > 0 && (
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', minHeight: 44 }}>
              <Box sx={{ ...heading }} data-testid="bought">
                {say('shoppingPage.boughtOf', {
                  done: num(toBuy.filter((row) => row.bought).length),
                  all: num(toBuy.length),
                })}
              </Box>
              {inBasket.length > 0 && (
                <Button variant="contained" onClick={putAway}>
                  {say('shoppingPage.putAway')}
                </Button>
              )}
            </Box>
          )}
          {shops.map((shop) => (
            <Panel key={shop} title={say(`shop.${shop}`)}>
              {list.rows
                .filter((r) => r.shop === shop)
                .map((row) => (
                  <ShopRow
                    key={row.id}
                    row={row}
                    plant={row.what === 'ice' ? row.what : plantOf(row.parts[0]?.itemId ?? row.id, tables)}
                    noted={things.filter(
                      (s) =>
                        s.itemId === row.id ||
                        (row.what === 'item' && row.parts.some((p) => p.itemId === s.itemId)),
                    )}
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
