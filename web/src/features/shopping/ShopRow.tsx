import '../../words/places/shopping.ts';
import type { ShoppingRow } from '@big-ladle/core/compare';
import type { StockRow } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { rowName } from '../../shared/cost/rowName.ts';
import { PlantDrawing } from '../../shared/drawings/PlantDrawing.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { changeStock } from '../../shared/stock.ts';
import { heading, role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { buyText } from './listWords.ts';

/** A thing to buy: ticked off, with its pack and price. */
export function ShopRow(props: {
  row: ShoppingRow;
  plant: string;
  /** What was noted of it, of each of its forms. */
  noted: readonly StockRow[];
  open: boolean;
  onOpen: () => void;
}) {
  const { row, noted, open } = props;
  const stock = noted.find((s) => s.itemId === row.id);
  const name = rowName(row);
  const { bought } = row;
  const save = (change: Partial<StockRow>) => changeStock({ itemId: row.id, ...change });
  return (
    <Box sx={{ borderBottom: `1px solid ${role('hairline')}`, py: 0.75 }} data-testid={`buy-${row.id}`}>
      <Box
        sx={{
          display: 'flex',
          gap: 1,
          alignItems: 'center',
          flexWrap: 'wrap',
          opacity: bought ? 0.62 : 1,
        }}
      >
        {row.buyG > 0 ? (
          <Checkbox
            checked={bought}
            onChange={(_, on) => save({ basketG: on ? row.buyG : 0 })}
            slotProps={{ input: { 'aria-label': say('shoppingPage.bought', { what: name }) } }}
            sx={{ '@media print': { display: 'inline-flex' } }}
          />
        ) : (
          <Box sx={{ width: 42 }} />
        )}
        <PlantDrawing plant={props.plant} />
        <Box sx={{ flex: '1 1 84px', minWidth: 0, textDecoration: bought ? 'line-through' : 'none' }}>
          {name}
        </Box>
        <Box sx={{ ...heading, whiteSpace: 'nowrap' }}>{buyText(row)}</Box>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', minWidth: 62, pl: { xs: 6.5, sm: 0 } }}>
          {row.price === null
            ? row.buyG > 0 && say('shoppingPage.noPrice')
            : say('shoppingPage.each', { price: num(row.price, 2) })}
        </Box>
        <Button
          size="small"
          aria-expanded={open}
          aria-label={say('shoppingPage.priceAndPack', { what: name })}
          onClick={props.onOpen}
          sx={{ '@media print': { display: 'none' } }}
        >
          {say('shoppingPage.price')}
        </Button>
      </Box>
      <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem', pl: 6.5 }}>
        {say('shoppingPage.needLeftOver', {
          need: grams(row.needG),
          left: grams(row.leftG),
          isLeft: Boolean(row.leftG > 1 && row.buyG > 0),
        })}
        {row.parts.length > 1 &&
          `; ${say(row.what === 'fruit' ? 'shoppingPage.forEachFruitOnce' : 'shoppingPage.forForms', {
            parts: row.parts.map((p) => `${grams(p.massG)} ${sayItem(p.itemId).toLowerCase()}`).join(', '),
          })}`}
      </Box>
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
            value={noted.reduce((sum, s) => sum + s.inHouseG, 0)}
            min={0}
            max={500_000}
            decimals={0}
            unit="g"
            onCommit={(inHouseG) => {
              save({ inHouseG });
              // What was noted of another form of it is counted in that figure.
              for (const { itemId } of noted) if (itemId !== row.id) changeStock({ itemId, inHouseG: 0 });
            }}
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
            label={row.pieces ? say('shoppingPage.oneCosts') : say('shoppingPage.aPackCosts')}
            value={stock?.price ?? null}
            min={0}
            max={100_000}
            decimals={2}
            onCommit={(price) => save({ price })}
          />
        </Box>
      )}
    </Box>
  );
}
