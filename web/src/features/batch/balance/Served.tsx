import '../../../words/places/batch.ts';
import { HOT_C, servedFacts, smallServings, sweetForIce } from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import { type Composition, expansion, volumeMl } from '@big-ladle/core/liquor';
import { saysAlcohol } from '@big-ladle/core/program';
import { ICE_IN_GLASS_G, MIXER_IDS, TAP_WATER_ID, type Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import { memo, useState } from 'react';
import { Choice } from '../../../shared/Choice.tsx';
import { alcoholUnitOf } from '../../../shared/house.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { celsius, grams, millilitres, nutrientGrams } from '../../../words/quantities.ts';
import { percent, say } from '../../../words/say.ts';

/** Ice in a glass of 250 mL, g: none, some, a full glass; and what is served hot has none. */
const ICE_G = { ...ICE_IN_GLASS_G, hot: 0 } as const;
const JUG_ML = 1500;
/** A plan keeps its aim to a tenth. */
const SAME_AIM_PCT = 0.06;

export interface ServingWish {
  ice: keyof typeof ICE_G;
  mixerId: string;
  /** Share of the glass that is mixer, before the ice. */
  mixerShare: number;
}
export const PLAINLY: ServingWish = { ice: 'none', mixerId: TAP_WATER_ID, mixerShare: 0 };

/** A drink in the glass or the jug, as it is wished to be served. */
export function servedAs(drink: Composition, wish: ServingWish, glassMl: number, tables: Tables) {
  const row = tables.liquids.get(wish.mixerId);
  return servedFacts(drink, {
    drinkMl: glassMl * (1 - wish.mixerShare),
    iceG: (ICE_G[wish.ice] * glassMl) / 250,
    mixer: row && wish.mixerShare > 0 ? { row, ml: glassMl * wish.mixerShare } : null,
    ...(wish.ice === 'hot' ? { tempC: HOT_C } : {}),
  });
}

/** How a drink is served: chosen here; what it then is stands beside it, and may change with every frame. */
const Wishes = memo(function Wishes(props: {
  wish: ServingWish;
  onWish: (wish: ServingWish) => void;
  tables: Tables;
}) {
  const { wish, onWish, tables } = props;
  return (
    <>
      <Choice
        label={say('served.overIce')}
        value={wish.ice}
        options={[
          { value: 'none', text: say('served.none') },
          { value: 'some', text: say('served.some') },
          { value: 'much', text: say('served.aFullGlass') },
          { value: 'hot', text: say('served.noHot') },
        ]}
        onChange={(v) => onWish({ ...wish, ice: v as 'some' })}
      />
      <TextField
        select
        label={say('served.thinnedWith')}
        value={wish.mixerId}
        onChange={(e) => onWish({ ...wish, mixerId: e.target.value })}
      >
        {MIXER_IDS.filter((id) => tables.liquids.has(id)).map((id) => (
          <MenuItem key={id} value={id}>
            {sayItem(id)}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ px: 1.5 }}>
        <Box sx={{ color: role('inkMuted'), ml: -1.5 }}>
          {say('served.ofTheGlass', { item: sayItem(wish.mixerId), mixerShare: percent(wish.mixerShare) })}
        </Box>
        <Slider
          aria-label={say('served.shareOfTheGlass')}
          value={wish.mixerShare}
          min={0}
          max={0.8}
          step={0.05}
          onChange={(_, v) => onWish({ ...wish, mixerShare: v as number })}
        />
      </Box>
    </>
  );
});

/** By small glasses, so many a day. */
const Small = memo(function Small(props: {
  ml: number;
  aDay: number;
  onMl: (ml: number) => void;
  onADay: (aDay: number) => void;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
      <QuantityField
        label={say('served.bySmallGlassesOf')}
        value={props.ml}
        min={5}
        max={250}
        decimals={0}
        unit="mL"
        width={150}
        onValue={props.onMl}
      />
      <QuantityField
        label={say('served.aDay')}
        value={props.aDay}
        min={1}
        max={20}
        decimals={0}
        width={90}
        onValue={props.onADay}
      />
    </Box>
  );
});

/** Over ice, thinned with water, soda or juice; a glass and a jug of it; or by small glasses, and how long that lasts. */
export function Served(props: {
  drink: Composition;
  wish: ServingWish;
  onWish: (wish: ServingWish) => void;
  /** The sweetness aimed at, and another. */
  aimPct: number;
  onAim: (sweetPct: number) => void;
  kitchen: Kitchen;
  tables: Tables;
}) {
  const { drink, wish, onWish, aimPct, onAim, kitchen, tables } = props;
  const [smallMl, setSmallMl] = useState(30);
  const [aDay, setADay] = useState(1);
  const unit = alcoholUnitOf(kitchen);
  const facts = (ml: number) => servedAs(drink, wish, ml, tables);
  const glass = facts(kitchen.servingMl);
  const [taken, setTaken] = useState<{ fromPct: number; toPct: number } | null>(null);
  // Taken in already it is not taken in again: the ice counts from what was aimed at before it.
  const forIce = taken !== null && Math.abs(aimPct - taken.toPct) < SAME_AIM_PCT;
  const basePct = forIce ? taken.fromPct : aimPct;
  const iced = sweetForIce(drink, basePct, {
    drinkMl: kitchen.servingMl * (1 - wish.mixerShare),
    iceG: (ICE_G[wish.ice] * kitchen.servingMl) / 250,
  });
  const aim = (toPct: number) => {
    setTaken({ fromPct: basePct, toPct });
    onAim(toPct);
  };
  const isTakenIn = forIce && Math.abs(iced.sweetPct - aimPct) < SAME_AIM_PCT;
  const small = smallServings(volumeMl(drink), smallMl, aDay);
  const line = (name: string, ml: number) => {
    const f = facts(ml);
    return (
      <Row label={say('served.ofSize', { name, ml: millilitres(ml) })} note={`${num(f.kcal)} kcal`}>
        {say('served.sugarUnits', {
          sugar: nutrientGrams(f.sugarG),
          ethanol: num(f.ethanolG / unit.ethanolG, 1),
          isSaysAlcohol: Boolean(saysAlcohol(f.abvPct)),
        })}
      </Row>
    );
  };
  return (
    <Panel title={say('served.served')} sx={{ contain: 'layout paint style' }}>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <Wishes wish={wish} onWish={onWish} tables={tables} />
        <Box data-testid="served">
          {say('served.inTheGlassG', {
            sweetPct: num(glass.sweetPct, 1),
            sour: num(Math.max(0, glass.sourGPerL), 1),
            strengthShare: percent(glass.strengthShare),
            abvPct: num(glass.abvPct, 1),
            isSaysAlcohol: Boolean(saysAlcohol(glass.abvPct)),
            temp: celsius(HOT_C),
            expansion: percent(1 - 1 / expansion(HOT_C)),
            isHot: wish.ice === 'hot',
          })}
        </Box>
        <Box>
          {line(say('common.aGlass'), kitchen.servingMl)}
          {line(say('served.aJug'), JUG_ML)}
        </Box>
        {(iced.moreG >= 1 || forIce) && (
          <Box
            sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}
            data-testid="for-ice"
          >
            <Box sx={{ flex: '1 1 180px' }}>
              {isTakenIn
                ? say('served.sweetenedForIce', { aim: num(basePct, 1) })
                : say('served.sweeterForIce', { more: grams(Math.max(0, iced.moreG)) })}
            </Box>
            <Button variant="outlined" onClick={() => aim(isTakenIn ? basePct : iced.sweetPct)}>
              {say(isTakenIn ? 'served.notForIce' : 'served.sweetenForIce')}
            </Button>
          </Box>
        )}
        <Small ml={smallMl} aDay={aDay} onMl={setSmallMl} onADay={setADay} />
        {small && (
          <Box data-testid="small-servings">
            {say('served.smallGlassesEnoughFor', {
              servings: num(small.servings),
              days: num(small.days),
              daysCount: small.days,
            })}
          </Box>
        )}
      </Box>
    </Panel>
  );
}
