import '../../words/places/kitchen.ts';
import {
  bottleSchema,
  burnerSchema,
  CLOSURES,
  CONTAINER_FORMS,
  CONTAINER_MATERIALS,
  type CupWeight,
  cupWeightSchema,
  FIRST_WEIGHED_ID,
  type Kitchen,
  measureSchema,
  PLACE_KINDS,
  type Pot,
  placeKindRow,
  placeSchema,
  potCapacityMl,
  potSchema,
  SHIPPED_TABLES,
  usualPlace,
} from '@big-ladle/core';
import { valibotResolver } from '@hookform/resolvers/valibot';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { type ReactNode, useEffect, useId } from 'react';
import { Controller, type FieldValues, type Path, type UseFormReturn, useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { placesOf } from '../../shared/house.ts';
import { heading, role } from '../../theme/theme.ts';
import { sayField } from '../../words/fields.ts';
import { sayItem } from '../../words/names.ts';
import { litres, say } from '../../words/say.ts';
import { measureName } from './names.ts';

interface DialogInput {
  kitchen: Kitchen;
  save: (change: Partial<Kitchen>) => Promise<boolean>;
  onClose: () => void;
}

/** A form in a dialog: what it is called, its fields, put it in, take it out. */
function FormDialog(props: {
  title: string;
  children: ReactNode;
  onSubmit: () => void;
  onClose: () => void;
  onRemove?: (() => void) | undefined;
  busy: boolean;
}) {
  const id = useId();
  return (
    <Dialog open onClose={props.onClose} aria-labelledby={id} fullWidth maxWidth="xs">
      <Box
        component="form"
        noValidate
        onSubmit={(event: React.FormEvent) => {
          event.preventDefault();
          props.onSubmit();
        }}
      >
        <DialogTitle id={id} sx={heading}>
          {props.title}
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2, pt: '8px !important' }}>{props.children}</DialogContent>
        <DialogActions>
          {props.onRemove && (
            <Button color="error" onClick={props.onRemove} sx={{ mr: 'auto' }}>
              {say('dialogs.takeItOut')}
            </Button>
          )}
          <Button onClick={props.onClose}>{say('common.leaveIt')}</Button>
          <Button type="submit" variant="contained" disabled={props.busy}>
            {say('dialogs.save')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}

/** What a figure's field holds as the form sees it: "8,5" reads as 8.5, empty as not a number (null where it may be). */
const figureFrom =
  (mayBeEmpty: boolean) =>
  (value: unknown): number | null => {
    if (value === null || String(value).trim() === '') return mayBeEmpty ? null : Number.NaN;
    return Number(String(value).replace(',', '.'));
  };

function Field<T extends FieldValues>(props: {
  form: UseFormReturn<T>;
  name: Path<T>;
  label: string;
  figure?: boolean;
  mayBeEmpty?: boolean;
  options?: readonly { value: string; text: string }[];
  helper?: string;
}) {
  const { form, name } = props;
  const error = form.formState.errors[name];
  const message = typeof error?.message === 'string' ? error.message : undefined;
  return (
    <TextField
      label={props.label}
      error={error !== undefined}
      helperText={sayField(message) ?? props.helper}
      select={props.options !== undefined}
      slotProps={{
        htmlInput: props.figure ? { inputMode: 'decimal', autoComplete: 'off' } : { autoComplete: 'off' },
        select: { native: true },
      }}
      {...form.register(name, props.figure ? { setValueAs: figureFrom(props.mayBeEmpty ?? false) } : {})}
    >
      {props.options?.map((o) => (
        <option key={o.value} value={o.value}>
          {o.text}
        </option>
      ))}
    </TextField>
  );
}

/** The row with that id changed, or put at the end. */
const withRow = <T extends { id: string }>(rows: readonly T[], row: T): T[] =>
  rows.some((r) => r.id === row.id) ? rows.map((r) => (r.id === row.id ? row : r)) : [...rows, row];
const withoutRow = <T extends { id: string }>(rows: readonly T[], id: string): T[] =>
  rows.filter((r) => r.id !== id);

const MATERIALS = (['stainless', 'enamel', 'aluminium', 'castIron', 'copper', 'glass'] as const).map(
  (value) => ({ value, text: say(`material.${value}`) }),
);

/** A pot whose width or height was entered is guessed no longer. */
function asMeasured(row: Pot, before: Pot | undefined): Pot {
  const { shapeGuessed, ...measured } = row;
  const same = before?.diameterCm === row.diameterCm && before.heightCm === row.heightCm;
  return shapeGuessed && same ? row : measured;
}

export function PotDialog({ kitchen, id, save, onClose }: DialogInput & { id: string | null }) {
  const pot = kitchen.pots.find((p) => p.id === id);
  const form = useForm({
    resolver: valibotResolver(potSchema),
    mode: 'onTouched',
    defaultValues:
      pot ??
      ({
        id: uuid(),
        name: '',
        diameterCm: 26,
        heightCm: 20,
        material: 'stainless',
        lid: true,
        massG: null,
      } as Pot),
  });
  const now = form.watch();
  const capacityL =
    potCapacityMl({ ...now, diameterCm: Number(now.diameterCm), heightCm: Number(now.heightCm) }) / 1000;
  return (
    <FormDialog
      title={pot ? pot.name : say('dialogs.anotherPot')}
      busy={form.formState.isSubmitting}
      onClose={onClose}
      onSubmit={() =>
        void form.handleSubmit(async (row) =>
          (await save({ pots: withRow(kitchen.pots, asMeasured(row, pot)) })) ? onClose() : undefined,
        )()
      }
      onRemove={
        pot && kitchen.pots.length > 1
          ? () => void save({ pots: withoutRow(kitchen.pots, pot.id) }).then((good) => good && onClose())
          : undefined
      }
    >
      <Field form={form} name="name" label={say('common.whatYouCallIt')} />
      {pot?.shapeGuessed && <Box sx={{ color: role('caution') }}>{say('dialogs.shapeGuessed')}</Box>}
      <Field form={form} name="diameterCm" label={say('common.widthInsideCm')} figure />
      <Field
        form={form}
        name="heightCm"
        label={say('common.heightInsideCm')}
        figure
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
      <Field form={form} name="massG" label={say('dialogs.emptyWeightGIf')} figure mayBeEmpty />
    </FormDialog>
  );
}

export function BurnerDialog({ kitchen, id, save, onClose }: DialogInput & { id: string | null }) {
  const burner = kitchen.burners.find((b) => b.id === id);
  const form = useForm({
    resolver: valibotResolver(burnerSchema),
    mode: 'onTouched',
    defaultValues: burner ?? { id: uuid(), name: '', kind: 'gas' as const, powerW: 2500 },
  });
  return (
    <FormDialog
      title={burner ? burner.name : say('dialogs.anotherRing')}
      busy={form.formState.isSubmitting}
      onClose={onClose}
      onSubmit={() =>
        void form.handleSubmit(async (row) =>
          (await save({ burners: withRow(kitchen.burners, row) })) ? onClose() : undefined,
        )()
      }
      onRemove={
        burner && kitchen.burners.length > 1
          ? () =>
              void save({ burners: withoutRow(kitchen.burners, burner.id) }).then((good) => good && onClose())
          : undefined
      }
    >
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
        label={say('dialogs.powerW')}
        figure
        helper={say('dialogs.onItsPlateOr')}
      />
    </FormDialog>
  );
}

export function BottleDialog({ kitchen, id, save, onClose }: DialogInput & { id: string | null }) {
  const bottle = kitchen.bottles.find((b) => b.id === id);
  const form = useForm({
    resolver: valibotResolver(bottleSchema),
    mode: 'onTouched',
    defaultValues: {
      form: 'bottle' as const,
      closure: 'metalLid' as const,
      ...(bottle ?? {
        id: uuid(),
        name: '',
        volumeMl: 750,
        diameterCm: 8,
        material: 'glass' as const,
        count: 6,
      }),
    },
  });
  return (
    <FormDialog
      title={bottle ? bottle.name : say('dialogs.anotherBottleSize')}
      busy={form.formState.isSubmitting}
      onClose={onClose}
      onSubmit={() =>
        void form.handleSubmit(async (row) =>
          (await save({ bottles: withRow(kitchen.bottles, row) })) ? onClose() : undefined,
        )()
      }
      onRemove={
        bottle
          ? () =>
              void save({ bottles: withoutRow(kitchen.bottles, bottle.id) }).then((good) => good && onClose())
          : undefined
      }
    >
      <Field form={form} name="name" label={say('common.whatYouCallIt')} />
      <Field form={form} name="volumeMl" label={say('dialogs.itHoldsMl')} figure />
      <Field
        form={form}
        name="diameterCm"
        label={say('dialogs.widthCm')}
        figure
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
    </FormDialog>
  );
}

export function PlaceDialog({ kitchen, id, save, onClose }: DialogInput & { id: string | null }) {
  const places = placesOf(kitchen);
  const place = places.find((p) => p.id === id);
  const form = useForm({
    resolver: valibotResolver(placeSchema),
    mode: 'onTouched',
    defaultValues: place ?? usualPlace('cellar', uuid(), ''),
  });
  const kind = form.watch('kind');
  const own = placeKindRow(kind).follows === 'own';
  const isNew = place === undefined;
  useEffect(() => {
    if (isNew) form.setValue('tempC', placeKindRow(kind).usualC);
  }, [kind, isNew, form]);
  // A kitchen is never without a fridge and a table.
  const needed =
    (kind === 'fridge' || kind === 'counter') && places.filter((p) => p.kind === kind).length === 1;
  return (
    <FormDialog
      title={place ? place.name : say('dialogs.anotherPlace')}
      busy={form.formState.isSubmitting}
      onClose={onClose}
      onSubmit={() =>
        void form.handleSubmit(async (row) =>
          (await save({
            places: withRow([...places], {
              ...row,
              tempC:
                placeKindRow(row.kind).follows === 'own'
                  ? (row.tempC ?? placeKindRow(row.kind).usualC)
                  : null,
            }),
          }))
            ? onClose()
            : undefined,
        )()
      }
      onRemove={
        place && !needed
          ? () => void save({ places: withoutRow([...places], place.id) }).then((good) => good && onClose())
          : undefined
      }
    >
      <Field form={form} name="name" label={say('common.whatYouCallIt')} />
      <Field
        form={form}
        name="kind"
        label={say('dialogs.itIsA')}
        options={PLACE_KINDS.map((value) => ({ value, text: say(`place.${value}`) }))}
      />
      {own && <Field form={form} name="tempC" label={say('dialogs.howColdC')} figure />}
      <Field
        form={form}
        name="litres"
        label={say('dialogs.itHoldsL')}
        figure
        helper={say('dialogs.bottlesAndAllElse')}
      />
      <Field form={form} name="widthCm" label={say('dialogs.widthCm')} figure />
      <Field form={form} name="depthCm" label={say('dialogs.depthCm')} figure />
      <Field form={form} name="heightCm" label={say('dialogs.heightUnderWhatIs')} figure />
    </FormDialog>
  );
}

export function MeasureDialog({ kitchen, id, save, onClose }: DialogInput & { id: string | null }) {
  const measure = kitchen.measures.find((m) => m.id === id);
  const form = useForm({
    resolver: valibotResolver(measureSchema),
    mode: 'onTouched',
    defaultValues: measure ?? { id: uuid(), name: '', volumeMl: 300 },
  });
  return (
    <FormDialog
      title={measure ? measure.name : say('dialogs.aMeasureOfYour')}
      busy={form.formState.isSubmitting}
      onClose={onClose}
      onSubmit={() =>
        void form.handleSubmit(async (row) =>
          (await save({ measures: withRow(kitchen.measures, row) })) ? onClose() : undefined,
        )()
      }
      onRemove={
        measure
          ? () =>
              void save({
                measures: withoutRow(kitchen.measures, measure.id),
                cupWeights: kitchen.cupWeights.filter((w) => w.measureId !== measure.id),
                preferredMeasureId:
                  kitchen.preferredMeasureId === measure.id ? null : kitchen.preferredMeasureId,
              }).then((good) => good && onClose())
          : undefined
      }
    >
      <Field
        form={form}
        name="name"
        label={say('common.whatYouCallIt')}
        helper={say('dialogs.theBlueMugThe')}
      />
      <Field form={form} name="volumeMl" label={say('dialogs.itHoldsMl')} figure />
    </FormDialog>
  );
}

/** "This cup weighs": one weighing, and every recipe uses it. Amounts already logged stay as they were. */
export function CupWeightDialog({
  kitchen,
  ingredientId,
  save,
  onClose,
}: DialogInput & { ingredientId: string | null }) {
  const known = kitchen.cupWeights.find((w) => w.ingredientId === ingredientId);
  const cup = kitchen.units === 'us' ? 'usCup' : 'metricCup';
  const form = useForm({
    resolver: valibotResolver(cupWeightSchema),
    mode: 'onTouched',
    defaultValues:
      known ??
      ({
        ingredientId: FIRST_WEIGHED_ID,
        measureId: kitchen.preferredMeasureId ?? cup,
        massG: Number.NaN,
      } as CupWeight),
  });
  const others = (row: CupWeight) =>
    kitchen.cupWeights.filter(
      (w) => !(w.ingredientId === row.ingredientId && w.measureId === row.measureId) && w !== known,
    );
  return (
    <FormDialog
      title={say('dialogs.thisCupWeighs')}
      busy={form.formState.isSubmitting}
      onClose={onClose}
      onSubmit={() =>
        void form.handleSubmit(async (row) =>
          (await save({ cupWeights: [...others(row), row] })) ? onClose() : undefined,
        )()
      }
      onRemove={
        known
          ? () =>
              void save({ cupWeights: kitchen.cupWeights.filter((w) => w !== known) }).then(
                (good) => good && onClose(),
              )
          : undefined
      }
    >
      <Field
        form={form}
        name="ingredientId"
        label={say('dialogs.ofWhat')}
        options={[...SHIPPED_TABLES.ingredients.keys()].map((value) => ({
          value,
          text: sayItem(value),
        }))}
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
      <Field form={form} name="massG" label={say('dialogs.weighsG')} figure />
    </FormDialog>
  );
}
