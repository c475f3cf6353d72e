import '../../../words/places/kitchen.ts';
import { FIRST_WEIGHED_ID, SHIPPED_TABLES } from '@big-ladle/core/tables';
import { type CupWeight, cupWeightSchema, usualCup } from '@big-ladle/core/units';
import { sayItem } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import { measureName } from '../names.ts';
import { Field, RowDialog, type RowDialogInput } from './RowDialog.tsx';

/** "This cup weighs": one weighing, and every recipe uses it. Amounts already logged stay as they were. */
export function CupWeightDialog(props: RowDialogInput & { ingredientId: string | null }) {
  const { kitchen, ingredientId, save, onClose } = props;
  const known = kitchen.cupWeights.find((w) => w.ingredientId === ingredientId);
  const cup = usualCup(kitchen.units);
  const fresh: CupWeight = {
    ingredientId: FIRST_WEIGHED_ID,
    measureId: kitchen.preferredMeasureId ?? cup,
    massG: Number.NaN,
  };
  const others = (row: CupWeight) =>
    kitchen.cupWeights.filter(
      (w) => !(w.ingredientId === row.ingredientId && w.measureId === row.measureId) && w !== known,
    );
  return (
    <RowDialog
      title={say('dialogs.thisCupWeighs')}
      schema={cupWeightSchema}
      start={known ?? fresh}
      withRow={(row) => ({ cupWeights: [...others(row), row] })}
      without={known ? () => ({ cupWeights: kitchen.cupWeights.filter((w) => w !== known) }) : undefined}
      save={save}
      onClose={onClose}
    >
      {(form) => (
        <>
          <Field
            form={form}
            name="ingredientId"
            label={say('dialogs.ofWhat')}
            options={[...SHIPPED_TABLES.ingredients.keys()].map((value) => ({ value, text: sayItem(value) }))}
          />
          <Field
            form={form}
            name="measureId"
            label={say('dialogs.oneLevel')}
            options={[cup, ...kitchen.measures.map((m) => m.id)].map((value) => ({
              value,
              text: measureName(value, kitchen),
            }))}
          />
          <Field form={form} name="massG" label={say('dialogs.weighs')} unit="g" />
        </>
      )}
    </RowDialog>
  );
}
