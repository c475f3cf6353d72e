import '../../../words/places/batch.ts';
import { type Enough, enoughOf, inBottlesG } from '@big-ladle/core/compare';
import type { Program } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, useState } from 'react';
import { Fold } from '../../../shared/Fold.tsx';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { changeStock, useStock } from '../../../shared/stock.ts';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { grams, volume } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';

/** A usual bottle, where nobody has said how large hers are, mL. */
const USUAL_BOTTLE_ML = 500;

interface Props {
  program: Program;
  dosedG: Readonly<Record<string, number>>;
  tables: Tables;
}

/** What a batch pours from bottles and jars, against what there is of it: asked before it begins. */
export const IsThereEnough = memo(function IsThereEnough({ program, dosedG, tables }: Props) {
  const stock = useStock();
  if (!stock.data) return null;
  const rows = enoughOf(program, dosedG, stock.data.stock, tables);
  if (rows.length === 0) return null;
  const short = rows.filter((r) => r.shortG > 0);
  const names = rows.map((r) => sayItem(r.itemId).toLowerCase()).join(', ');
  return (
    <Panel testId="enough">
      {short.map((r) => (
        <Box key={r.itemId} sx={{ color: role('caution'), fontWeight: 700, mt: 1 }} data-testid="short">
          {say('enough.short', {
            item: sayItem(r.itemId),
            volume: volume(r.shortG / r.gPerMl / 1000),
            mass: grams(r.shortG),
          })}
        </Box>
      ))}
      <Fold summary={say('enough.title', { names })} testId="enough-ask">
        {rows.map((r) => (
          <Bottles key={r.itemId} row={r} />
        ))}
      </Fold>
    </Panel>
  );
});

/** Bottles that are closed, what is left in an open one: together against what is wanted. */
function Bottles({ row }: { row: Enough }) {
  const known = row.inHouseG ?? 0;
  const [bottleMl, setBottleMl] = useState(
    row.bottleG === null ? USUAL_BOTTLE_ML : Math.round(row.bottleG / row.gPerMl),
  );
  const knownMl = known / row.gPerMl;
  const [closed, setClosed] = useState(Math.floor(knownMl / bottleMl + 1e-6));
  const [openMl, setOpenMl] = useState(Math.max(0, Math.round(knownMl - closed * bottleMl)));
  const item = sayItem(row.itemId);
  const haveG = inBottlesG(closed, bottleMl, openMl, row.gPerMl);
  const restG = haveG - row.wantedG;
  const keep = () =>
    changeStock({
      itemId: row.itemId,
      inHouseG: Math.round(haveG * 10) / 10,
      packG: Math.round(bottleMl * row.gPerMl * 10) / 10,
    });
  return (
    <Box data-testid={`enough-${row.itemId}`} sx={{ display: 'grid', gap: 1, py: 1 }}>
      <Box>
        {say('enough.wanted', { item, volume: volume(row.wantedMl / 1000), mass: grams(row.wantedG) })}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <QuantityField
          label={say('enough.closed')}
          said={say('enough.closedOf', { item })}
          value={closed}
          min={0}
          max={200}
          decimals={0}
          width={140}
          onValue={setClosed}
        />
        <QuantityField
          label={say('enough.holds')}
          said={say('enough.holdsOf', { item })}
          value={bottleMl}
          min={10}
          max={20_000}
          decimals={0}
          unit="mL"
          width={130}
          onValue={setBottleMl}
        />
        <QuantityField
          label={say('enough.open')}
          said={say('enough.openOf', { item })}
          value={openMl}
          min={0}
          max={20_000}
          decimals={0}
          unit="mL"
          width={150}
          onValue={setOpenMl}
        />
        <Button variant="outlined" onClick={keep}>
          {say('enough.keep')}
        </Button>
      </Box>
      <Box role="status" sx={{ color: restG < 0 ? role('caution') : role('inkMuted') }}>
        {say(restG < 0 ? 'enough.lacks' : 'enough.left', {
          volume: volume(Math.abs(restG) / row.gPerMl / 1000),
          mass: grams(Math.abs(restG)),
        })}
      </Box>
    </Box>
  );
}
