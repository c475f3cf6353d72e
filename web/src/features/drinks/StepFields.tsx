import '../../words/places/drinks.ts';
import type { StepField } from '@big-ladle/core/book';
import {
  HEATS_TO,
  HYGIENES,
  JUICE_TOOLS,
  type RecipeLot,
  type RecipeStep,
  SIEVES,
} from '@big-ladle/core/documents';
import { BLENDER, JUG, KETTLE, POT, SPICE_POT, TUB } from '@big-ladle/core/program';
import { BOIL_LEVEL_IDS, LIDS, PRESSES } from '@big-ladle/core/tables';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { sayLot } from '../../words/names.ts';
import { type MessageKey, say } from '../../words/say.ts';
import { LotsField } from './LotsField.tsx';
import { PickField } from './PickField.tsx';

interface FieldProps {
  step: RecipeStep;
  /** What the step is called, for what is read out. */
  name: string;
  /** The lots into which the drink is divided before it. */
  lots: readonly RecipeLot[];
  /** What a line is called. */
  lineName: (lineId: string) => string;
  onChange: (step: RecipeStep) => void;
}

/** Where what may be said is longer. */
const WIDE_PX = 200;
/** As usual: nothing is said of it. */
const USUAL = '';
const VESSELS = [TUB, JUG, POT, SPICE_POT, KETTLE, BLENDER] as const;
const PLACES = {
  steep: ['counter', 'fridge'],
  soak: ['counter', 'fridge'],
  cool: ['iceBath', 'counter', 'fridge'],
};

/** One thing that a step may say. */
export function StepFieldInput({
  field,
  step,
  name,
  lots,
  lineName,
  onChange,
}: FieldProps & { field: StepField }) {
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
      onValue={commit}
    />
  );
  const pick = (
    label: MessageKey,
    value: string | undefined,
    options: readonly (readonly [string, MessageKey])[],
    onPick: (value: string | undefined) => void,
    wide = false,
  ) => (
    <PickField
      label={say(label)}
      name={name}
      value={value ?? USUAL}
      options={[[USUAL, say('stepFields.usual')], ...options.map(([id, text]) => [id, say(text)] as const)]}
      onPick={(v) => onPick(v === USUAL ? undefined : v)}
      minWidth={wide ? WIDE_PX : undefined}
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
          onValue={(minutes) => set({ minutes, minutesPerL: undefined })}
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
            (downToL) => set({ downToL, downToShare: undefined, downToCm: undefined }),
          )}
          {figure(
            'stepFields.downToShare',
            step.downToShare === undefined ? undefined : step.downToShare * 100,
            { min: 5, max: 99, unit: '%', width: 170 },
            (percent) => set({ downToShare: percent / 100, downToL: undefined, downToCm: undefined }),
          )}
          {figure(
            'stepFields.downToCm',
            step.downToCm,
            { min: 0.5, max: 60, decimals: 1, unit: 'cm', width: 170 },
            (downToCm) => set({ downToCm, downToL: undefined, downToShare: undefined }),
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
          onValue={(times) => {
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
    case 'everyMin':
      return figure(
        `stepFields.everyMin.${step.kind as 'soak'}`,
        step.everyMin,
        { min: 1, max: 86_400, unit: 'min', width: 170 },
        (everyMin) => set({ everyMin }),
      );
    case 'branch': {
      // Begun with any of the three it has usual values for the others.
      const branch = step.branch ?? { afterMin: step.minMinutes ?? 240, waterL: 1, boilMin: 15 };
      const part = (change: Partial<typeof branch>) => set({ branch: { ...branch, ...change } });
      return (
        <>
          {figure(
            'stepFields.branch.after',
            step.branch?.afterMin,
            { min: 0, max: 86_400, unit: 'min', width: 200 },
            (afterMin) => (afterMin === 0 ? set({ branch: undefined }) : part({ afterMin })),
          )}
          {figure(
            'stepFields.branch.water',
            step.branch?.waterL,
            { min: 0.1, max: 100, decimals: 2, unit: 'L', width: 190 },
            (waterL) => part({ waterL }),
          )}
          {figure(
            'stepFields.branch.boil',
            step.branch?.boilMin,
            { min: 1, max: 180, unit: 'min', width: 190 },
            (boilMin) => part({ boilMin }),
          )}
        </>
      );
    }
    case 'shares':
      // What is the only one sweetening has all of it to bring.
      return step.kind === 'sweeten' && step.lineIds.length < 2
        ? null
        : step.lineIds.map((lineId) => {
            const label = say(step.kind === 'sweeten' ? 'stepFields.sweetShare' : 'stepFields.share', {
              line: step.kind === 'sweeten' ? lineName(lineId).toLowerCase() : lineName(lineId),
            });
            const share = step.shares?.find((s) => s.lineId === lineId)?.share;
            return (
              <QuantityField
                key={lineId}
                label={label}
                said={say('stepFields.of', { label, name })}
                value={share === undefined ? null : share * 100}
                min={0}
                max={100}
                decimals={0}
                unit="%"
                width={260}
                onValue={(percent) => {
                  const others = (step.shares ?? []).filter((s) => s.lineId !== lineId);
                  // All of it is as usual.
                  const shares =
                    percent >= 100 ? others : [...others, { lineId, share: Math.max(0, percent / 100) }];
                  set({ shares: shares.length > 0 ? shares : undefined });
                }}
              />
            );
          });
    case 'sweetPct':
      return figure(
        'stepFields.sweetPct',
        step.sweetPct,
        { min: 0, max: 40, decimals: 1, unit: say('common.gG'), width: 160 },
        (sweetPct) => set({ sweetPct }),
      );
    case 'inGlass':
      return pick(
        'stepFields.when',
        step.inGlass ? 'glass' : undefined,
        [['glass', 'stepFields.when.glass']],
        (v) => set({ inGlass: v === 'glass' ? true : undefined }),
      );
    case 'sourGPerL':
      return figure(
        'stepFields.sourGPerL',
        step.sourGPerL,
        { min: 0.5, max: 60, decimals: 1, unit: 'g/L', width: 130 },
        (sourGPerL) => set({ sourGPerL }),
      );
    case 'portionMl':
      return figure('stepFields.portionMl', step.portionMl, { min: 10, max: 5000, unit: 'mL' }, (portionMl) =>
        set({ portionMl }),
      );
    case 'lots':
      return <LotsField step={step} onChange={(next) => set({ lots: next })} />;
    case 'lot':
      // Where nothing is divided there is nothing to choose.
      return lots.length === 0 && step.lot === undefined ? null : (
        <PickField
          label={say('stepFields.lot')}
          name={name}
          value={step.lot ?? USUAL}
          options={[
            [USUAL, say('stepFields.lot.whole')],
            ...lots.map((lot) => [lot.id, sayLot(lot).toLowerCase()] as const),
          ]}
          onPick={(id) => set({ lot: id === USUAL ? undefined : id })}
          minWidth={WIDE_PX}
        />
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
    case 'into':
      return pick(
        'stepFields.into',
        step.to,
        VESSELS.map((id) => [id, `stepFields.vessel.${id}`] as const),
        (to) => set({ to }),
      );
    case 'together':
      return (
        <TextField
          select
          label={say('stepFields.together')}
          value={step.from ?? []}
          onChange={(e) => {
            const from = VESSELS.filter((id) => (e.target.value as unknown as string[]).includes(id));
            // Into the first of them all others are poured.
            set(from.length > 1 ? { from, to: from[0] } : { from: undefined, to: undefined });
          }}
          sx={{ minWidth: 200 }}
          slotProps={{
            select: {
              multiple: true,
              displayEmpty: true,
              renderValue: (ids) =>
                (ids as string[])
                  .map((id) => say(`stepFields.vessel.${id as (typeof VESSELS)[number]}`))
                  .join(', ') || say('stepFields.usual'),
              SelectDisplayProps: {
                'aria-label': say('stepFields.of', { label: say('stepFields.together'), name }),
                'aria-labelledby': undefined,
              },
            },
            inputLabel: { shrink: true },
          }}
        >
          {VESSELS.map((id) => (
            <MenuItem key={id} value={id}>
              {say(`stepFields.vessel.${id}`)}
            </MenuItem>
          ))}
        </TextField>
      );
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
