import '../../../words/places/kitchen.ts';
import { type Pot, potSchema } from '@big-ladle/core/documents';
import { potCapacityMl } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { Controller } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { role } from '../../../theme/theme.ts';
import { litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { Field, RowDialog, type RowDialogInput, withoutRow, withRow } from './RowDialog.tsx';

const MATERIALS = (['stainless', 'enamel', 'aluminium', 'castIron', 'copper', 'glass'] as const).map(
  (value) => ({ value, text: say(`material.${value}`) }),
);

const newPot = (): Pot => ({
  id: uuid(),
  name: '',
  diameterCm: 26,
  heightCm: 20,
  material: 'stainless',
  lid: true,
  massG: null,
});

/** A pot whose width or height was entered is guessed no longer. */
function asMeasured(row: Pot, before: Pot | undefined): Pot {
  const { shapeGuessed, ...measured } = row;
  const same = before?.diameterCm === row.diameterCm && before.heightCm === row.heightCm;
  return shapeGuessed && same ? row : measured;
}

/** How much a pot holds, of what stands in its fields so far. */
function brimL(pot: Pot): number {
  const [diameterCm, heightCm] = [Number(pot.diameterCm), Number(pot.heightCm)];
  return potCapacityMl({ ...pot, diameterCm, heightCm }) / 1000;
}

export function PotDialog({ kitchen, id, save, onClose }: RowDialogInput & { id: string | null }) {
  const { pots } = kitchen;
  const pot = pots.find((p) => p.id === id);
  return (
    <RowDialog
      title={pot ? pot.name : say('dialogs.anotherPot')}
      schema={potSchema}
      start={pot ?? newPot()}
      withRow={(row) => ({ pots: withRow(pots, asMeasured(row, pot)) })}
      without={pot && pots.length > 1 ? () => ({ pots: withoutRow(pots, pot.id) }) : undefined}
      save={save}
      onClose={onClose}
    >
      {(form) => {
        const capacityL = brimL(form.watch());
        return (
          <>
            <Field form={form} name="name" label={say('common.whatYouCallIt')} />
            {pot?.shapeGuessed && <Box sx={{ color: role('caution') }}>{say('dialogs.shapeGuessed')}</Box>}
            <Field form={form} name="diameterCm" label={say('common.widthInside')} unit="cm" />
            <Field
              form={form}
              name="heightCm"
              label={say('common.heightInside')}
              unit="cm"
              helper={capacityL > 0 ? say('dialogs.toTheBrim', { capacity: litres(capacityL) }) : ''}
            />
            <Field form={form} name="material" label={say('common.itIsMadeOf')} options={MATERIALS} />
            <Controller
              name="lid"
              control={form.control}
              render={({ field }) => (
                <FormControlLabel
                  control={<Switch checked={field.value} onChange={field.onChange} />}
                  label={say('common.itHasALid')}
                />
              )}
            />
            <Field form={form} name="massG" label={say('dialogs.emptyWeight')} unit="g" mayBeEmpty />
          </>
        );
      }}
    </RowDialog>
  );
}
