import '../../../words/places/kitchen.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { placesOf } from '../../../shared/house.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { Panel, Row } from '../../../shared/ui.tsx';
import { celsius, centimetresBy, litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';

import { ChangeButton, type PartProps } from './rowsOf.tsx';

/** Where things stand, and how cold, warm and hard it is there. */
export function ColdPart({ kitchen, save, edit }: PartProps) {
  const figure = (
    key: 'fridgeC' | 'fridgeFreeL' | 'roomC' | 'tapC' | 'altitudeM' | 'hardnessMeqPerL' | 'servingMl',
    label: string,
    unit: string,
    min: number,
    max: number,
    decimals: number,
    helper?: string,
  ) => (
    <QuantityField
      label={label}
      value={kitchen[key]}
      unit={unit}
      min={min}
      max={max}
      decimals={decimals}
      width={186}
      {...(helper ? { helper } : {})}
      onCommit={(value) => {
        if (value !== kitchen[key]) void save({ [key]: value });
      }}
    />
  );
  return (
    <>
      <Panel title={say('kitchenPage.whereThingsStand')}>
        {placesOf(kitchen).map((p) => (
          <Row
            key={p.id}
            label={`${p.name}, ${say(`place.${p.kind}`)}`}
            note={<ChangeButton label={p.name} onClick={() => edit({ what: 'place', id: p.id })} />}
          >
            {litres(p.litres, 0)}, {centimetresBy(p.widthCm, p.depthCm)}
            {p.tempC !== null && `, ${celsius(p.tempC)}`}
          </Row>
        ))}
        <Button variant="outlined" sx={{ mt: 1.5 }} onClick={() => edit({ what: 'place', id: null })}>
          {say('kitchenPage.addAPlace')}
        </Button>
      </Panel>
      <Panel title={say('kitchenPage.coldHeatAndWater')}>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          {figure('fridgeC', say('kitchenPage.fridge'), '°C', -1, 15, 1)}
          {figure('fridgeFreeL', say('kitchenPage.freeInTheFridge'), 'L', 0.5, 400, 1)}
          {figure('roomC', say('common.room'), '°C', 5, 45, 0)}
          {figure('tapC', say('kitchenPage.coldTap'), '°C', 1, 35, 0)}
          {figure(
            'altitudeM',
            say('kitchenPage.heightAboveTheSea'),
            'm',
            -430,
            5000,
            0,
            say('kitchenPage.waterBoilsCLower'),
          )}
          {figure(
            'hardnessMeqPerL',
            say('kitchenPage.waterHardness'),
            'meq/L',
            0,
            15,
            1,
            say('kitchenPage.softMediumHard'),
          )}
          {figure('servingMl', say('common.aGlass'), 'mL', 20, 1000, 0)}
        </Box>
      </Panel>
    </>
  );
}
