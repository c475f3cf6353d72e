import '../../../words/places/kitchen.ts';
import {
  DEGREES,
  type Degrees,
  UNIT_SYSTEMS,
  type UnitSystem,
  USUAL_DEGREES,
  unitOf,
  usualCup,
} from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Panel, Row } from '../../../shared/ui.tsx';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { grams, millilitres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { LabelsPanel } from '../LabelsPanel.tsx';
import { measureName } from '../names.ts';

import { ChangeButton, type PartProps } from './rowsOf.tsx';
import { SelectField } from './SelectField.tsx';

/** Measures, weighed cups and labels. */
export function MeasuresPart({ kitchen, save, edit }: PartProps) {
  return (
    <>
      <Panel title={say('kitchenPage.measuresAndCupWeights')}>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
          <SelectField
            label={say('kitchenPage.units')}
            value={kitchen.units}
            options={UNIT_SYSTEMS.map((value) => ({ value, text: say(`kitchenPage.units.${value}`) }))}
            onChange={(value) => {
              const units = value as UnitSystem;
              void save({ units, degrees: USUAL_DEGREES[units] });
            }}
          />
          <SelectField
            label={say('kitchenPage.heat')}
            value={kitchen.degrees}
            options={DEGREES.map((value) => ({ value, text: say(`kitchenPage.heat.${value}`) }))}
            onChange={(value) => void save({ degrees: value as Degrees })}
          />
          <SelectField
            label={say('kitchenPage.iReachFor')}
            value={kitchen.preferredMeasureId ?? ''}
            options={[
              { value: '', text: say('kitchenPage.aCup') },
              ...kitchen.measures.map((m) => ({ value: m.id, text: m.name })),
            ]}
            onChange={(value) => void save({ preferredMeasureId: value || null })}
          />
        </Box>
        {kitchen.measures.map((m) => (
          <Row
            key={m.id}
            label={m.name}
            note={<ChangeButton label={m.name} onClick={() => edit({ what: 'measure', id: m.id })} />}
          >
            {millilitres(m.volumeMl)}
          </Row>
        ))}
        <Row label={say('kitchenPage.aCupHere')}>{num(unitOf(usualCup(kitchen.units)).factor, 1)} mL</Row>
        {kitchen.cupWeights.map((w) => (
          <Row
            key={`${w.ingredientId}${w.measureId}`}
            label={say('kitchenPage.of', {
              measureName: measureName(w.measureId, kitchen),
              item: sayItem(w.ingredientId).toLowerCase(),
            })}
            note={
              <ChangeButton
                label={say('kitchenPage.theWeightOf', { item: sayItem(w.ingredientId) })}
                onClick={() => edit({ what: 'cupWeight', ingredientId: w.ingredientId })}
              />
            }
          >
            {grams(w.massG)}
          </Row>
        ))}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5 }}>
          <Button variant="outlined" onClick={() => edit({ what: 'measure', id: null })}>
            {say('kitchenPage.addAMeasure')}
          </Button>
          <Button variant="outlined" onClick={() => edit({ what: 'cupWeight', ingredientId: null })}>
            {say('kitchenPage.thisCupWeighs')}
          </Button>
        </Box>
      </Panel>
      <LabelsPanel kitchen={kitchen} save={save} />
    </>
  );
}
