import { WordsField } from '../../../shared/WordsField.tsx';
import '../../../words/places/drinks.ts';
import type { RecipeStep } from '@big-ladle/core/documents';
import { BLENDER, JUG, KETTLE, POT, SPICE_POT, TUB } from '@big-ladle/core/program';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { sayLot } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import { LotsField } from '../LotsField.tsx';
import { PickField } from '../PickField.tsx';

import { type Fields, USUAL, WIDE_PX } from './tools.tsx';

const VESSELS = [TUB, JUG, POT, SPICE_POT, KETTLE, BLENDER] as const;
const PLACES = {
  steep: ['counter', 'fridge'],
  soak: ['counter', 'fridge'],
  cool: ['iceBath', 'counter', 'fridge'],
};

/** What is strained goes where it would go anyway; everything else stays in its vessel. */
const movedTo = (step: RecipeStep, vesselId: string | undefined): string | undefined =>
  step.kind === 'strain' || step.kind === 'lift' ? step.to : vesselId;

/** Where it stands, what goes where, and the words of the cook's own. */
export const WHEREABOUTS: Fields<'place' | 'lots' | 'lot' | 'vessel' | 'into' | 'together' | 'text'> = {
  place: ({ step, set, pick }) =>
    pick(
      'common.where',
      step.place,
      (step.kind === 'cool' ? PLACES.cool : PLACES.steep).map(
        (id) => [id, `stepFields.place.${id as 'fridge'}`] as const,
      ),
      (place) => set({ place: place as RecipeStep['place'] }),
    ),
  lots: ({ step, set }) => <LotsField step={step} onChange={(next) => set({ lots: next })} />,
  lot: ({ step, name, lots, set }) => {
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
  },
  vessel: ({ step, set, pick }) => {
    const puts = step.kind === 'combine';
    return pick(
      puts ? 'stepFields.into' : 'stepFields.in',
      puts ? step.to : step.from?.[0],
      VESSELS.map((id) => [id, `stepFields.vessel.${id}`] as const),
      (id) => set(puts ? { to: id } : { from: id === undefined ? undefined : [id], to: movedTo(step, id) }),
    );
  },
  into: ({ step, set, pick }) =>
    pick(
      'stepFields.into',
      step.to,
      VESSELS.map((id) => [id, `stepFields.vessel.${id}`] as const),
      (to) => set({ to }),
    ),
  together: ({ step, name, set }) => (
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
  ),
  text: ({ step, name, set }) => (
    <WordsField
      label={say('stepFields.text')}
      named={say('stepFields.of', { label: say('stepFields.text'), name })}
      value={step.text ?? ''}
      maxLength={2000}
      whileTyping
      empty
      lines
      wide
      onCommit={(text) => set({ text: text === '' ? undefined : text })}
    />
  ),
};
