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
  /** Told of whole days only. */
  readonly onChange: (day: string) => void;
}

/** A day, typed or chosen, written as the person's own language writes it. */
export function DayField({ value, onChange, ...shown }: DayFieldProps) {
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
      weekendDays={[]}
      placeholder={dayFormat(navigator.language)}
      popoverProps={{ withinPortal: true }}
      miw={150}
    />
  );
}
