import '../../../words/places/kitchen.ts';
import { type Burner, burnerSchema } from '@big-ladle/core/documents';
import { v7 as uuid } from 'uuid';
import { say } from '../../../words/say.ts';
import { Field, RowDialog, type RowDialogInput, withoutRow, withRow } from './RowDialog.tsx';

const newBurner = (): Burner => ({ id: uuid(), name: '', kind: 'gas', powerW: 2500 });

export function BurnerDialog({ kitchen, id, save, onClose }: RowDialogInput & { id: string | null }) {
  const { burners } = kitchen;
  const burner = burners.find((b) => b.id === id);
  return (
    <RowDialog
      title={burner ? burner.name : say('dialogs.anotherRing')}
      schema={burnerSchema}
      start={burner ?? newBurner()}
      withRow={(row) => ({ burners: withRow(burners, row) })}
      without={burner && burners.length > 1 ? () => ({ burners: withoutRow(burners, burner.id) }) : undefined}
      save={save}
      onClose={onClose}
    >
      {(form) => (
        <>
          <Field form={form} name="name" label={say('common.whatYouCallIt')} />
          <Field
            form={form}
            name="kind"
            label={say('instrumentsPanel.kind')}
            options={(['gas', 'electric', 'induction'] as const).map((value) => ({
              value,
              text: say(`burner.${value}`),
            }))}
          />
          <Field
            form={form}
            name="powerW"
            label={say('dialogs.power')}
            unit="W"
            helper={say('dialogs.onItsPlateOr')}
          />
        </>
      )}
    </RowDialog>
  );
}
