import '../../../words/places/kitchen.ts';
import { placeSchema, type ShelfPlace, usualPlace } from '@big-ladle/core/documents';
import { PLACE_KINDS, placeKindRow } from '@big-ladle/core/shelf';
import { v7 as uuid } from 'uuid';
import { placesOf } from '../../../shared/house.ts';
import { say } from '../../../words/say.ts';
import { Field, RowDialog, type RowDialogInput, withoutRow, withRow } from './RowDialog.tsx';

/** How cold it is stands in the row only where the place is as cold as it says itself. */
const withItsCold = (row: ShelfPlace): ShelfPlace => {
  const { follows, usualC } = placeKindRow(row.kind);
  return { ...row, tempC: follows === 'own' ? (row.tempC ?? usualC) : null };
};

export function PlaceDialog({ kitchen, id, save, onClose }: RowDialogInput & { id: string | null }) {
  const places = [...placesOf(kitchen)];
  const place = places.find((p) => p.id === id);
  // A kitchen is never without a fridge and a table.
  const needed =
    (place?.kind === 'fridge' || place?.kind === 'counter') &&
    places.filter((p) => p.kind === place.kind).length === 1;
  return (
    <RowDialog
      title={place ? place.name : say('dialogs.anotherPlace')}
      schema={placeSchema}
      start={place ?? usualPlace('cellar', uuid(), '')}
      withRow={(row) => ({ places: withRow(places, withItsCold(row)) })}
      without={place && !needed ? () => ({ places: withoutRow(places, place.id) }) : undefined}
      save={save}
      onClose={onClose}
    >
      {(form) => {
        const { follows } = placeKindRow(form.watch('kind'));
        return (
          <>
            <Field form={form} name="name" label={say('common.whatYouCallIt')} />
            <Field
              form={form}
              name="kind"
              label={say('dialogs.itIsA')}
              options={PLACE_KINDS.map((value) => ({ value, text: say(`place.${value}`) }))}
              onChoose={(kind) => {
                const chosen = PLACE_KINDS.find((k) => k === kind);
                if (!place && chosen) form.setValue('tempC', placeKindRow(chosen).usualC);
              }}
            />
            {follows === 'own' && <Field form={form} name="tempC" label={say('dialogs.howCold')} unit="°C" />}
            <Field
              form={form}
              name="litres"
              label={say('dialogs.itHolds')}
              unit="L"
              helper={say('dialogs.bottlesAndAllElse')}
            />
            <Field form={form} name="widthCm" label={say('dialogs.width')} unit="cm" />
            <Field form={form} name="depthCm" label={say('dialogs.depth')} unit="cm" />
            <Field form={form} name="heightCm" label={say('dialogs.heightUnderWhatIs')} unit="cm" />
          </>
        );
      }}
    </RowDialog>
  );
}
