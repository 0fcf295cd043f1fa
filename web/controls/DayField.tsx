import '@mantine/dates/styles.css';
import { DateInput } from '@mantine/dates';
import { dayFormat, firstWeekday, readDay } from '../words/dayFormat.ts';

interface DayFieldProps {
  readonly label?: string;
  /** Where no label is seen. */
  readonly 'aria-label'?: string;
  readonly className?: string;
  /** "2026-11-24"; empty for none. */
  readonly value: string;
  /** Inside of something that closes when one taps beside it. */
  readonly within?: boolean;
  /** Told of whole days only. */
  readonly onChange: (day: string) => void;
}

/** What the buttons of the calendar do. */
const CALENDAR = {
  previousMonth: 'Month before',
  nextMonth: 'Next month',
  previousYear: 'Year before',
  nextYear: 'Next year',
  previousDecade: 'Decade before',
  nextDecade: 'Next decade',
  monthLevelControl: 'Choose the month',
  yearLevelControl: 'Choose the year',
};

/** A day, typed or chosen, written as the person's own language writes it. */
export function DayField({ value, onChange, within = false, ...shown }: DayFieldProps) {
  return (
    <DateInput
      {...shown}
      value={value === '' ? null : value}
      onChange={(day) => {
        if (day !== null) onChange(day);
      }}
      valueFormat={dayFormat(navigator.language)}
      dateParser={(typed) => readDay(typed, navigator.language) ?? null}
      firstDayOfWeek={firstWeekday(navigator.language)}
      fixOnBlur
      // What was typed is finished: the calendar would only lie over what comes next.
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
      }}
      weekendDays={[]}
      hideOutsideDates
      ariaLabels={CALENDAR}
      placeholder={dayFormat(navigator.language)}
      popoverProps={{ withinPortal: !within }}
      miw={150}
    />
  );
}
