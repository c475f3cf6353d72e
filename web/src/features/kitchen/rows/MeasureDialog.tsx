import '../../../words/places/kitchen.ts';
import { measureSchema } from '@big-ladle/core/units';
import { v7 as uuid } from 'uuid';
import { say } from '../../../words/say.ts';
import { Field, RowDialog, type RowDialogInput, withoutRow, withRow } from './RowDialog.tsx';

export function MeasureDialog({ kitchen, id, save, onClose }: RowDialogInput & { id: string | null }) {
  const { measures, cupWeights, preferredMeasureId } = kitchen;
  const measure = measures.find((m) => m.id === id);
  return (
    <RowDialog
      title={measure ? measure.name : say('dialogs.aMeasureOfYour')}
      schema={measureSchema}
      start={measure ?? { id: uuid(), name: '', volumeMl: 300 }}
      withRow={(row) => ({ measures: withRow(measures, row) })}
      without={
        measure
          ? () => ({
              measures: withoutRow(measures, measure.id),
              cupWeights: cupWeights.filter((w) => w.measureId !== measure.id),
              preferredMeasureId: preferredMeasureId === measure.id ? null : preferredMeasureId,
            })
          : undefined
      }
      save={save}
      onClose={onClose}
    >
      {(form) => (
        <>
          <Field
            form={form}
            name="name"
            label={say('common.whatYouCallIt')}
            helper={say('dialogs.theBlueMugThe')}
          />
          <Field form={form} name="volumeMl" label={say('dialogs.itHolds')} unit="mL" />
        </>
      )}
    </RowDialog>
  );
}
