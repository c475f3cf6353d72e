import '../../../../words/places/batch.ts';
import { glassFacts } from '@big-ladle/core/balance';
import { abvPct, massG, ofLiquid, plus, volumeMl } from '@big-ladle/core/liquor';
import { itemsOf } from '@big-ladle/core/log';
import {
  type Liquor,
  type LotName,
  lotOfVessel,
  type Step,
  saysAlcohol,
  tagsOf,
} from '@big-ladle/core/program';
import { FIRST_SOUR_ID, FIRST_SPIRIT_ID } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { Dial } from '../../../../shared/Dial.tsx';
import { alcoholUnitOf } from '../../../../shared/house.ts';
import { LotMarks } from '../../../../shared/LotMarks.tsx';
import { notify } from '../../../../shared/notices.ts';
import { PickItem } from '../../../../shared/PickItem.tsx';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { sayLot } from '../../../../words/names.ts';
import { num } from '../../../../words/numbers.ts';
import { millilitres, volume } from '../../../../words/quantities.ts';
import { say, sayCode } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { EachGlass } from '../forms/EachGlass.tsx';

/** Below this alcohol keeps nothing, % by volume. */
const KEEPS_FROM_PCT = 10;

/** Steps in which the cook pours by taste: a lot that is left open, souring, spirits. */
const byTaste = (step: Step | null, lot: LotName | null): step is Step =>
  step !== null &&
  ((step.kind === 'mix' && !step.skims && step.lines.length === 0 && lot !== null) ||
    step.kind === 'sour' ||
    step.kind === 'fortify');

/** What is stirred in by taste, with the marks of what it makes; spirits by steps, each with what the glass then holds. */
export function LotStir({ live }: { live: LiveBatch }) {
  const { step, now, program, tables, kitchen, batch } = live;
  const vesselId = step?.from[0] ?? '';
  const lot = lotOfVessel(program, vesselId);
  const spirits = lot?.kind === 'spirits' || step?.kind === 'fortify';
  const own = program.lines.find((l) => step?.lines.includes(l.id));
  const [itemId, setItemId] = useState(own?.itemId ?? (spirits ? FIRST_SPIRIT_ID : FIRST_SOUR_ID));
  const [ml, setMl] = useState<number | null>(null);
  const liquor = now.moment?.vessels[vesselId]?.liquor;
  if (!byTaste(step, lot) || !liquor || massG(liquor) <= 0) return null;
  const row = tables.liquids.get(itemId);
  const tags = tagsOf(liquor, itemsOf(now.log, liquor), tables);
  const next: Liquor = row && ml ? { ...liquor, ...plus(liquor, ofLiquid(row, ml)) } : liquor;
  const unit = alcoholUnitOf(kitchen);
  const glass = glassFacts(next, kitchen.servingMl);
  const abv = abvPct(next);
  const add = () => {
    if (!row || !ml) return;
    void live.record(
      [
        {
          kind: 'added',
          body: {
            stepId: step.id,
            vesselId,
            lineKind: 'liquid',
            itemId,
            // What its own line takes is that line's; anything else stands by itself.
            lineId: own?.itemId === itemId ? own.id : `lot-${uuid().slice(-10)}`,
            massG: Math.round(ml * row.densityGPerMl * 10) / 10,
          },
        },
      ],
      { onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })) },
    );
    setMl(null);
  };
  return (
    <Box data-testid="lot-stir" sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0,1fr)' }}>
      <Box>
        {lot ? `${sayLot(lot)}, ` : ''}
        {volume(volumeMl(liquor) / 1000)}. {lot ? say(`lot.${lot.kind}.about`) : ''}
      </Box>
      {lot && (lot.kind === 'plain' || lot.kind === 'children') && <EachGlass live={live} liquor={liquor} />}
      <PickItem
        large
        label={say('lotStir.stirIn')}
        ids={[...tables.liquids.keys()]}
        value={itemId}
        onPick={setItemId}
      />
      <QuantityField
        label={say('common.howMuch')}
        value={ml}
        min={0}
        max={20_000}
        decimals={0}
        unit="mL"
        width={170}
        onValue={setMl}
        testId="lot-ml"
      />
      <Dial
        name={say('lotStir.howMuch')}
        value={ml}
        start={spirits ? Math.round(volumeMl(liquor) / 200) * 10 : 20}
        small={10}
        large={50}
        min={0}
        max={20_000}
        decimals={0}
        onChange={setMl}
      />
      {saysAlcohol(abv) && (
        <Box data-testid="lot-alcohol" sx={{ fontWeight: 700 }}>
          {say('lotStir.trueOtherAlcoholUnits', {
            isMl: Boolean(ml),
            abv: num(abv, 1),
            ethanol: num(glass.ethanolG / unit.ethanolG, 1),
            serving: millilitres(kitchen.servingMl),
            name: sayCode(`alcoholUnit.${unit.id}`),
            keepsNothing: say('lot.keepsNothing'),
            abvLow: abv < KEEPS_FROM_PCT,
          })}
        </Box>
      )}
      <Button variant="contained" sx={thumb} disabled={!ml || !row} onClick={add}>
        {say('common.itIsIn')}
      </Button>
      <LotMarks tags={tags} />
      <Button
        component={Link}
        to={`/batches/${batch.id}/balance`}
        variant="outlined"
        color="inherit"
        sx={thumb}
      >
        {say('lotStir.thisLotOnThe')}
      </Button>
      <Box sx={{ color: role('inkMuted') }}>{say('lotStir.nothingToStirIn')}</Box>
    </Box>
  );
}
