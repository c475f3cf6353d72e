import { DesktopTimePicker } from '@mui/x-date-pickers/DesktopTimePicker';
import { DateTime } from 'luxon';
import { useState } from 'react';
import { DateWords, named } from './DateWords.tsx';

const DAY_MIN = 24 * 60;
/** A time of the day has no date and no zone: it stands on a day on which no clock is changed. */
const atMinute = (minutes: number): DateTime =>
  DateTime.fromObject({ year: 2024, month: 1, day: 1 }, { zone: 'UTC' }).plus({ minutes: minutes % DAY_MIN });

/**
 * A time of the day, typed or taken from a list.
 * @param props.minutes since midnight.
 * @param props.onCommit told once, when the field is left, and only of another time.
 */
export function ClockField(props: { label: string; minutes: number; onCommit: (minutes: number) => void }) {
  const { label, minutes, onCommit } = props;
  const [typed, setTyped] = useState<number | null>(null);
  const commit = () => {
    if (typed !== null && typed !== minutes) onCommit(typed);
    setTyped(null);
  };
  return (
    <DateWords>
      <DesktopTimePicker
        value={atMinute(typed ?? minutes)}
        timezone="UTC"
        ampm={false}
        format="HH:mm"
        onChange={(next) => {
          if (next?.isValid) setTyped(next.hour * 60 + next.minute);
        }}
        onClose={commit}
        slotProps={{
          textField: { size: 'small', onBlur: commit, slotProps: named(label), sx: { width: 128 } },
        }}
      />
    </DateWords>
  );
}
