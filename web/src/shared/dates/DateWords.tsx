import '../../words/places/dates.ts';
import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import type { PickersLocaleText } from '@mui/x-date-pickers/locales';
import { type ReactNode, useMemo } from 'react';
import { dateLocale } from '../../words/numbers.ts';
import { say } from '../../words/say.ts';

/** What the fields say, in our words. */
function fieldWords(): Partial<PickersLocaleText> {
  const year = say('dates.yearHere');
  const month = say('dates.monthHere');
  const day = say('dates.dayHere');
  const hours = say('dates.hoursHere');
  const minutes = say('dates.minutesHere');
  const names = {
    year: say('dates.year'),
    month: say('dates.month'),
    day: say('dates.day'),
    weekDay: say('dates.weekDay'),
    hours: say('dates.hours'),
    minutes: say('dates.minutes'),
    meridiem: say('dates.meridiem'),
  };
  return {
    ...names,
    previousMonth: say('dates.previousMonth'),
    nextMonth: say('dates.nextMonth'),
    openPreviousView: say('dates.previousMonth'),
    openNextView: say('dates.nextMonth'),
    calendarViewSwitchingButtonAriaLabel: (view) =>
      view === 'year' ? say('dates.toDays') : say('dates.toYears'),
    openDatePickerDialogue: () => say('dates.openCalendar'),
    openTimePickerDialogue: () => say('dates.openClock'),
    okButtonLabel: say('dates.take'),
    cancelButtonLabel: say('dates.cancel'),
    clearButtonLabel: say('dates.clear'),
    fieldClearLabel: say('dates.clear'),
    todayButtonLabel: say('dates.thisDay'),
    nextStepButtonLabel: say('dates.onward'),
    dateTimePickerToolbarTitle: say('dates.chooseDay'),
    timePickerToolbarTitle: say('dates.chooseTime'),
    dateTableLabel: say('dates.chooseDay'),
    timeTableLabel: say('dates.chooseTime'),
    selectViewText: (view) => (view in names ? names[view as keyof typeof names] : view),
    empty: say('dates.nothingYet'),
    fieldYearPlaceholder: () => year,
    fieldMonthPlaceholder: () => month,
    fieldDayPlaceholder: () => day,
    fieldHoursPlaceholder: () => hours,
    fieldMinutesPlaceholder: () => minutes,
  };
}

/** Around every field for a date or a time: our words, and days and months as this kitchen writes them. */
export function DateWords({ children }: { children: ReactNode }) {
  const locale = dateLocale();
  const words = useMemo(fieldWords, []);
  return (
    <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale={locale} localeText={words}>
      {children}
    </LocalizationProvider>
  );
}

/** The parts of a field stand in a group, which carries its name; what stands beside it on the screen says it too. */
export const named = (label: string) =>
  ({
    input: { 'aria-label': label, 'aria-labelledby': undefined },
    htmlInput: { 'aria-label': label },
  }) as const;
