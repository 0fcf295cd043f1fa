import { Text, TextInput, type TextInputProps } from '@mantine/core';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { entryOf } from './entryOf.ts';

interface Taken {
  /** Null is an empty field. */
  readonly value: number | null;
  /** An empty entry; left out where a number has to stand. */
  readonly onClear: () => void;
}

interface AlwaysThere {
  readonly value: number;
  readonly onClear?: undefined;
}

type NumberEntryProps = Omit<
  TextInputProps,
  'value' | 'onChange' | 'onBlur' | 'onKeyDown' | 'error' | 'type' | 'inputMode'
> &
  (Taken | AlwaysThere) & {
    /** Decimals that are shown: none where nothing is said. */
    readonly digits?: number;
    /** Whether it can only be a whole number. */
    readonly whole?: boolean;
    readonly min?: number;
    readonly max?: number;
    /** By so much the arrow keys change it. */
    readonly step?: number;
    /** Stands behind the number: "mm". */
    readonly unit?: string;
    /** What is wrong with the number that stands there. */
    readonly error?: ReactNode;
    /** Each number is told as soon as it is one: for a form whose button sends it. */
    readonly live?: boolean;
    readonly onEnter: (value: number) => void;
  };

/**
 * A number that is typed: nothing happens until the entry is finished, by Enter or by leaving the field, so that no half of
 * it is taken for the whole. Comma and point are the same. What cannot be taken stays and is told; Escape takes it back.
 */
export function NumberEntry(props: NumberEntryProps) {
  const { value, digits = 0, whole, min, max, step, unit, error, live, onEnter, onClear, ...field } = props;
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const shown = value === null ? '' : String(Number(value.toFixed(digits)));
  const bounds = { min, max, whole: whole === true };
  const forget = () => {
    setTyped(undefined);
    setRefused(undefined);
  };
  const finish = () => {
    if (typed === undefined) return;
    if (typed.trim() === '' && onClear !== undefined) {
      forget();
      if (value !== null) onClear();
      return;
    }
    const entry = entryOf(typed, bounds);
    if (entry.kind === 'refused') {
      setRefused(entry.words);
      return;
    }
    forget();
    if (typed.trim() !== shown) onEnter(entry.value);
  };
  const change = (text: string) => {
    setTyped(text);
    setRefused(undefined);
    if (live !== true) return;
    const entry = entryOf(text, bounds);
    if (entry.kind === 'number') onEnter(entry.value);
    else onClear?.();
  };
  const stepBy = (by: number) => {
    const from = typed === undefined ? entryOf(shown, {}) : entryOf(typed, {});
    const next = (from.kind === 'number' ? from.value : 0) + by * (step ?? 1);
    forget();
    onEnter(Math.min(max ?? Infinity, Math.max(min ?? -Infinity, Number(next.toFixed(digits)))));
  };
  return (
    <TextInput
      {...field}
      inputMode={modeOf(props)}
      autoComplete="off"
      value={typed ?? shown}
      error={refused ?? error}
      rightSection={unit === undefined ? undefined : <Text size="xs">{unit}</Text>}
      rightSectionPointerEvents="none"
      onChange={(event) => change(event.currentTarget.value)}
      onBlur={finish}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key === 'Enter') finish();
        else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
          event.preventDefault();
          stepBy(event.key === 'ArrowUp' ? 1 : -1);
        } else if (event.key === 'Escape' && typed !== undefined) {
          forget();
          event.stopPropagation();
        }
      }}
    />
  );
}

/** The keyboard of a telephone that has what the number needs: those for numbers know no minus. */
function modeOf({ min = 0, whole }: Pick<NumberEntryProps, 'min' | 'whole'>): 'text' | 'numeric' | 'decimal' {
  if (min < 0) return 'text';
  return whole === true ? 'numeric' : 'decimal';
}
