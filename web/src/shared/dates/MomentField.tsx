import type { Kitchen } from '@big-ladle/core/documents';
import type { SxProps, Theme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { DesktopDateTimePicker } from '@mui/x-date-pickers/DesktopDateTimePicker';
import { DateTime } from 'luxon';
import { useMemo } from 'react';
import { theme } from '../../theme/theme.ts';
import { DateWords, named } from './DateWords.tsx';

/** On a phone there is no room for hours beside the calendar: they are typed. */
const CALENDAR_ONLY = { hours: null, minutes: null, seconds: null };

/**
 * A day and a time in the kitchen's zone, typed or taken from a calendar.
 * @param props.ms null while there is none.
 * @param props.onChange told each moment that is whole, and null once the field is empty; a half of one is nobody's business.
 */
export function MomentField(props: {
  label: string;
  ms: number | null;
  kitchen: Pick<Kitchen, 'zone' | 'dateOrder'>;
  nowMs: number;
  invalid?: boolean;
  onChange: (ms: number | null) => void;
  sx?: SxProps<Theme>;
}) {
  const { label, ms, kitchen, nowMs, invalid = false, onChange, sx } = props;
  const { zone } = kitchen;
  const monthFirst = kitchen.dateOrder === 'monthFirst';
  const narrow = useMediaQuery(theme.breakpoints.down('sm'));
  const value = useMemo(() => (ms === null ? null : DateTime.fromMillis(ms, { zone })), [ms, zone]);
  return (
    <DateWords>
      <DesktopDateTimePicker
        value={value}
        timezone={zone}
        referenceDate={DateTime.fromMillis(nowMs, { zone }).startOf('hour')}
        ampm={false}
        {...(narrow ? { viewRenderers: CALENDAR_ONLY } : {})}
        format={monthFirst ? 'LLL d, yyyy, HH:mm' : 'd LLL yyyy, HH:mm'}
        onChange={(next) => {
          if (next === null) onChange(null);
          else if (next.isValid) onChange(next.toMillis());
        }}
        slotProps={{
          textField: {
            variant: 'standard',
            error: invalid,
            slotProps: named(label),
            ...(sx ? { sx } : {}),
          },
        }}
      />
    </DateWords>
  );
}
