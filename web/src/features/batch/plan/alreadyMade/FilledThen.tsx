import '../../../../words/places/batch.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { fillBottles } from '@big-ladle/core/plan';
import Box from '@mui/material/Box';
import { Choice } from '../../../../shared/Choice.tsx';
import { MomentField } from '../../../../shared/dates/MomentField.tsx';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { role } from '../../../../theme/theme.ts';
import { litres } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';

/** How it was filled, told afterwards. */
export interface Then {
  bottledMs: number | null;
  counts: Readonly<Record<string, number>>;
  hygiene: 'clean' | 'sterilised';
}

/** Of a batch that is finished: when it was bottled, into how many of which, and how clean they were. */
export function FilledThen(props: {
  then: Then;
  kitchen: Kitchen;
  madeL: number;
  nowMs: number;
  onChange: (then: Then) => void;
}) {
  const { then, kitchen, madeL, nowMs, onChange } = props;
  const { bottledMs, counts, hygiene } = then;
  const { leftMl } = fillBottles(madeL * 1000, kitchen.bottles, counts, () => '');
  return (
    <>
      <Box>
        {say('alreadyOn.bottledAt')}
        <MomentField
          label={say('alreadyOn.bottledAt')}
          ms={bottledMs}
          kitchen={kitchen}
          nowMs={nowMs}
          invalid={bottledMs !== null && bottledMs > nowMs}
          onChange={(ms) => onChange({ ...then, bottledMs: ms })}
          sx={{ width: '100%' }}
        />
        {bottledMs !== null && bottledMs > nowMs && (
          <Box sx={{ color: role('caution') }}>{say('alreadyOn.notYet')}</Box>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {kitchen.bottles.map((size) => (
          <QuantityField
            key={size.id}
            label={size.name}
            value={counts[size.id] ?? 0}
            min={0}
            max={size.count}
            decimals={0}
            onValue={(count) => onChange({ ...then, counts: { ...counts, [size.id]: count } })}
            width={150}
          />
        ))}
      </Box>
      <Box sx={{ color: role('inkMuted') }}>
        {say('alreadyOn.madeAndFilled', {
          made: litres(madeL),
          filled: litres(madeL - leftMl / 1000),
        })}
      </Box>
      <Choice
        label={say('bottleForm.bottlesAre')}
        value={hygiene}
        options={[
          { value: 'sterilised', text: say('stageChoices.sterilised') },
          { value: 'clean', text: say('stageChoices.clean') },
        ]}
        onChange={(v) => onChange({ ...then, hygiene: v as Then['hygiene'] })}
      />
    </>
  );
}
