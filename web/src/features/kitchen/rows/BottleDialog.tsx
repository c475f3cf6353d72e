import '../../../words/places/kitchen.ts';
import { type BottleSize, bottleSchema } from '@big-ladle/core/documents';
import { CLOSURES, CONTAINER_FORMS, CONTAINER_MATERIALS } from '@big-ladle/core/shelf';
import { v7 as uuid } from 'uuid';
import { say } from '../../../words/say.ts';
import { Field, RowDialog, type RowDialogInput, withoutRow, withRow } from './RowDialog.tsx';

const newBottle = (): BottleSize => ({
  id: uuid(),
  name: '',
  volumeMl: 750,
  diameterCm: 8,
  material: 'glass',
  count: 6,
});

export function BottleDialog({ kitchen, id, save, onClose }: RowDialogInput & { id: string | null }) {
  const { bottles } = kitchen;
  const bottle = bottles.find((b) => b.id === id);
  return (
    <RowDialog
      title={bottle ? bottle.name : say('dialogs.anotherBottleSize')}
      schema={bottleSchema}
      start={{ form: 'bottle', closure: 'metalLid', ...(bottle ?? newBottle()) }}
      withRow={(row) => ({ bottles: withRow(bottles, row) })}
      without={bottle ? () => ({ bottles: withoutRow(bottles, bottle.id) }) : undefined}
      save={save}
      onClose={onClose}
    >
      {(form) => (
        <>
          <Field form={form} name="name" label={say('common.whatYouCallIt')} />
          <Field form={form} name="volumeMl" label={say('dialogs.itHolds')} unit="mL" />
          <Field
            form={form}
            name="diameterCm"
            label={say('dialogs.width')}
            unit="cm"
            helper={say('dialogs.itCoolsAndWarms')}
          />
          <Field
            form={form}
            name="material"
            label={say('common.itIsMadeOf')}
            options={CONTAINER_MATERIALS.map((value) => ({ value, text: say(`material.${value}`) }))}
          />
          <Field
            form={form}
            name="form"
            label={say('dialogs.itIsA')}
            options={CONTAINER_FORMS.map((value) => ({ value, text: say(`form.${value}`) }))}
          />
          <Field
            form={form}
            name="closure"
            label={say('dialogs.itIsClosedBy')}
            options={CLOSURES.map((value) => ({ value, text: say(`closure.${value}`) }))}
          />
          <Field form={form} name="count" label={say('dialogs.howManyYouHave')} figure />
        </>
      )}
    </RowDialog>
  );
}
