import '../../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { memo } from 'react';
import { MomentField } from '../../../shared/dates/MomentField.tsx';
import type { GatheringChange } from '../../../shared/gatherings/gatherings.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { WordsField } from '../../../shared/WordsField.tsx';
import { heading } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';

/** What of a gathering is of the evening itself. */
type Evening = Pick<
  GatheringDoc,
  | 'name'
  | 'servesAtMs'
  | 'untilMs'
  | 'glassMl'
  | 'iceShare'
  | 'outdoorC'
  | 'alcoholBeside'
  | 'yearly'
  | 'borrowed'
>;
export const eveningOf = (g: GatheringDoc): Evening => ({
  name: g.name,
  servesAtMs: g.servesAtMs,
  untilMs: g.untilMs,
  glassMl: g.glassMl,
  iceShare: g.iceShare,
  outdoorC: g.outdoorC,
  alcoholBeside: g.alcoholBeside,
  yearly: g.yearly,
  borrowed: g.borrowed,
});

/** The evening itself: its name, its hours, its glass; and what is borrowed for it. */
export const SettleEvening = memo(function SettleEvening(
  props: Evening & { kitchen: Kitchen; nowMs: number; onChange: (change: GatheringChange) => void },
) {
  const { kitchen, nowMs, onChange, ...evening } = props;
  return (
    <>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <WordsField
          label={say('settle.name')}
          value={evening.name}
          onCommit={(name) => onChange((g) => ({ ...g, name }))}
        />
        <MomentField
          label={say('settle.from')}
          ms={evening.servesAtMs}
          kitchen={kitchen}
          nowMs={nowMs}
          onChange={(ms) =>
            // The evening goes along: it stays as long as it was.
            ms !== null &&
            onChange((g) => ({ ...g, servesAtMs: ms, untilMs: ms + (g.untilMs - g.servesAtMs) }))
          }
        />
        <MomentField
          label={say('settle.to')}
          ms={evening.untilMs}
          kitchen={kitchen}
          nowMs={nowMs}
          onChange={(ms) => ms !== null && onChange((g) => ({ ...g, untilMs: ms }))}
        />
        <QuantityField
          label={say('settle.glass')}
          value={evening.glassMl}
          unit="mL"
          min={20}
          max={1000}
          decimals={0}
          width={120}
          onCommit={(glassMl) => onChange((g) => ({ ...g, glassMl }))}
        />
        <QuantityField
          label={say('settle.ice')}
          value={evening.iceShare * 100}
          unit="%"
          min={0}
          max={60}
          decimals={0}
          width={110}
          onCommit={(share) => onChange((g) => ({ ...g, iceShare: share / 100 }))}
        />
        <QuantityField
          label={say('settle.heat')}
          value={evening.outdoorC ?? kitchen.roomC}
          unit="°C"
          min={-20}
          max={50}
          decimals={0}
          width={140}
          onCommit={(outdoorC) => onChange((g) => ({ ...g, outdoorC }))}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <FormControlLabel
          control={
            <Switch
              checked={evening.alcoholBeside}
              onChange={(_, alcoholBeside) => onChange((g) => ({ ...g, alcoholBeside }))}
            />
          }
          label={say('settle.alcohol')}
        />
        <FormControlLabel
          control={
            <Switch checked={evening.yearly} onChange={(_, yearly) => onChange((g) => ({ ...g, yearly }))} />
          }
          label={say('settle.yearly')}
        />
      </Box>
      <Box>
        <Box sx={{ ...heading, mb: 1 }}>{say('settle.borrowed')}</Box>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <QuantityField
            label={say('settle.borrowedPots')}
            value={evening.borrowed.pots}
            min={0}
            max={5}
            decimals={0}
            width={110}
            onCommit={(pots) => onChange((g) => ({ ...g, borrowed: { ...g.borrowed, pots } }))}
          />
          <QuantityField
            label={say('settle.borrowedRings')}
            value={evening.borrowed.rings}
            min={0}
            max={5}
            decimals={0}
            width={110}
            onCommit={(rings) => onChange((g) => ({ ...g, borrowed: { ...g.borrowed, rings } }))}
          />
          <QuantityField
            label={say('settle.borrowedCold')}
            value={evening.borrowed.coldL}
            unit="L"
            min={0}
            max={400}
            width={150}
            onCommit={(coldL) => onChange((g) => ({ ...g, borrowed: { ...g.borrowed, coldL } }))}
          />
        </Box>
      </Box>
    </>
  );
});
