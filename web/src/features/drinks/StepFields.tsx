import '../../words/places/drinks.ts';
import {
  BLENDER,
  BOIL_LEVEL_IDS,
  HEATS_TO,
  HYGIENES,
  JUICE_TOOLS,
  LIDS,
  POT,
  PRESSES,
  type RecipeStep,
  SIEVES,
  SPICE_POT,
  type StepField,
  TUB,
} from '@big-ladle/core';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { type MessageKey, say } from '../../words/say.ts';

interface FieldProps {
  step: RecipeStep;
  /** What the step is called, for what is read out. */
  name: string;
  onChange: (step: RecipeStep) => void;
}

/** As usual: nothing is said of it. */
const USUAL = '';
const VESSELS = [POT, SPICE_POT, BLENDER, TUB] as const;
const PLACES = {
  steep: ['counter', 'fridge'],
  soak: ['counter', 'fridge'],
  cool: ['iceBath', 'counter', 'fridge'],
};

function Pick(props: {
  label: MessageKey;
  name: string;
  value: string;
  options: readonly (readonly [id: string, text: MessageKey])[];
  onPick: (value: string) => void;
  wide?: boolean;
}) {
  return (
    <TextField
      select
      label={say(props.label)}
      value={props.value}
      onChange={(e) => props.onPick(e.target.value)}
      sx={{ minWidth: props.wide ? 200 : 110 }}
      slotProps={{
        select: {
          displayEmpty: true,
          // Its step is read out with it; the name of the field alone would not tell one step from another.
          SelectDisplayProps: {
            'aria-label': say('stepFields.of', { label: say(props.label), name: props.name }),
            'aria-labelledby': undefined,
          },
        },
        inputLabel: { shrink: true },
      }}
    >
      {props.options.map(([id, text]) => (
        <MenuItem key={id} value={id}>
          {say(text)}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** One thing that a step may say. */
export function StepFieldInput({ field, step, name, onChange }: FieldProps & { field: StepField }) {
  const set = (change: Partial<RecipeStep>) => {
    const next = { ...step, ...change };
    // What is as usual is not written down.
    for (const key of Object.keys(change) as (keyof RecipeStep)[])
      if (next[key] === undefined) delete next[key];
    onChange(next);
  };
  const figure = (
    label: MessageKey,
    value: number | undefined,
    limits: { min: number; max: number; decimals?: number; unit?: string; width?: number },
    commit: (value: number) => void,
  ) => (
    <QuantityField
      label={say(label)}
      said={say('stepFields.of', { label: say(label), name })}
      value={value ?? null}
      decimals={0}
      width={120}
      {...limits}
      onCommit={commit}
    />
  );
  const pick = (
    label: MessageKey,
    value: string | undefined,
    options: readonly (readonly [string, MessageKey])[],
    onPick: (value: string | undefined) => void,
    wide = false,
  ) => (
    <Pick
      label={label}
      name={name}
      value={value ?? USUAL}
      options={[[USUAL, 'stepFields.usual'], ...options]}
      onPick={(v) => onPick(v === USUAL ? undefined : v)}
      wide={wide}
    />
  );
  switch (field) {
    case 'minutes':
      return (
        <QuantityField
          label={say('editorPage.minutesShort')}
          said={say('editorPage.minutes', { name })}
          value={step.minutes ?? null}
          min={0}
          max={86_400}
          decimals={0}
          unit="min"
          width={110}
          onCommit={(minutes) => set({ minutes, minutesPerL: undefined })}
        />
      );
    case 'range':
      return (
        <>
          {figure(
            'stepFields.least',
            step.minMinutes,
            { min: 0, max: 86_400, unit: 'min', width: 130 },
            (minMinutes) => set({ minMinutes }),
          )}
          {figure(
            'stepFields.most',
            step.maxMinutes,
            { min: 0, max: 86_400, unit: 'min', width: 130 },
            (maxMinutes) => set({ maxMinutes }),
          )}
        </>
      );
    case 'level':
      return pick(
        'editorPage.boil',
        step.level,
        BOIL_LEVEL_IDS.map((id) => [id, `stepFields.level.${id}`] as const),
        (level) => set({ level: level as RecipeStep['level'] }),
      );
    case 'lid':
      return pick(
        'stepFields.lid',
        step.lid,
        LIDS.map((id) => [id, `stepFields.lid.${id}`] as const),
        (lid) => set({ lid: lid as RecipeStep['lid'] }),
      );
    case 'place':
      return pick(
        'common.where',
        step.place,
        (step.kind === 'cool' ? PLACES.cool : PLACES.steep).map(
          (id) => [id, `stepFields.place.${id as 'fridge'}`] as const,
        ),
        (place) => set({ place: place as RecipeStep['place'] }),
      );
    case 'heatTo':
      return pick(
        'stepFields.heatTo',
        step.heatTo,
        HEATS_TO.map((id) => [id, `stepFields.heatTo.${id}`] as const),
        (heatTo) => set({ heatTo: heatTo as RecipeStep['heatTo'] }),
      );
    case 'toC':
      return figure('stepFields.toC', step.toC, { min: 1, max: 99, unit: '°C' }, (toC) => set({ toC }));
    case 'downTo':
      return (
        <>
          {figure(
            'stepFields.downToL',
            step.downToL,
            { min: 0.05, max: 400, decimals: 2, unit: 'L' },
            (downToL) => set({ downToL, downToShare: undefined }),
          )}
          {figure(
            'stepFields.downToShare',
            step.downToShare === undefined ? undefined : step.downToShare * 100,
            { min: 5, max: 99, unit: '%', width: 170 },
            (percent) => set({ downToShare: percent / 100, downToL: undefined }),
          )}
        </>
      );
    case 'press':
      return pick(
        'editorPage.solidsAre',
        step.press,
        PRESSES.map((id) => [id, `stepFields.press.${id}`] as const),
        (press) => set({ press: press as RecipeStep['press'] }),
      );
    case 'solids':
      return pick(
        'stepFields.solids',
        step.keepSolids ? 'kept' : step.asideSolids ? 'aside' : undefined,
        [
          ['kept', 'stepFields.solids.kept'],
          ['aside', 'stepFields.solids.aside'],
        ],
        (v) =>
          set({
            keepSolids: v === 'kept' ? true : undefined,
            asideSolids: v === 'aside' ? true : undefined,
          }),
        true,
      );
    case 'passes':
      return SIEVES.map((by) => (
        <QuantityField
          key={by}
          label={say(`stepFields.sieve.${by}`)}
          said={say('stepFields.of', { label: say(`stepFields.sieve.${by}`), name })}
          value={step.passes?.find((p) => p.by === by)?.times ?? null}
          min={0}
          max={9}
          decimals={0}
          unit="×"
          width={130}
          onCommit={(times) => {
            const passes = SIEVES.flatMap((id) => {
              const n = id === by ? times : (step.passes?.find((p) => p.by === id)?.times ?? 0);
              return n > 0 ? [{ by: id, times: n }] : [];
            });
            set({ passes: passes.length > 0 ? passes : undefined });
          }}
        />
      ));
    case 'rinseMl':
      return figure(
        'stepFields.rinseMl',
        step.rinseMl,
        { min: 1, max: 20_000, unit: 'mL', width: 160 },
        (rinseMl) => set({ rinseMl }),
      );
    case 'thrown':
      return pick(
        'stepFields.water',
        step.thrown ? 'thrown' : undefined,
        [['thrown', 'stepFields.water.thrown']],
        (v) => set({ thrown: v === 'thrown' ? true : undefined }),
      );
    case 'rinses':
      return figure('stepFields.rinses', step.rinses, { min: 1, max: 20 }, (rinses) => set({ rinses }));
    case 'tool':
      return pick(
        'stepFields.tool',
        step.tool,
        JUICE_TOOLS.map((id) => [id, `stepFields.tool.${id}`] as const),
        (tool) => set({ tool: tool as RecipeStep['tool'] }),
      );
    case 'hygiene':
      return pick(
        'stepFields.hygiene',
        step.hygiene,
        HYGIENES.map((id) => [id, `stepFields.hygiene.${id}`] as const),
        (hygiene) => set({ hygiene: hygiene as RecipeStep['hygiene'] }),
      );
    case 'vessel': {
      const puts = step.kind === 'combine';
      return pick(
        puts ? 'stepFields.into' : 'stepFields.in',
        puts ? step.to : step.from?.[0],
        VESSELS.map((id) => [id, `stepFields.vessel.${id}`] as const),
        (id) => set(puts ? { to: id } : { from: id === undefined ? undefined : [id], to: movedTo(step, id) }),
      );
    }
    case 'text':
      return (
        <TextField
          label={say('stepFields.text')}
          value={step.text ?? ''}
          onChange={(e) => set({ text: e.target.value === '' ? undefined : e.target.value })}
          multiline
          fullWidth
          slotProps={{
            htmlInput: {
              maxLength: 2000,
              'aria-label': say('stepFields.of', { label: say('stepFields.text'), name }),
            },
          }}
        />
      );
  }
}

/** What is strained goes where it would go anyway; everything else stays in its vessel. */
const movedTo = (step: RecipeStep, vesselId: string | undefined): string | undefined =>
  step.kind === 'strain' || step.kind === 'lift' ? step.to : vesselId;
