import { TextInput, type TextInputProps } from '@mantine/core';
import { useState, type KeyboardEvent } from 'react';
import { entryOf } from './entryOf.ts';

interface NumberEntryProps extends Omit<
  TextInputProps,
  'value' | 'onChange' | 'onBlur' | 'onKeyDown' | 'error' | 'type' | 'inputMode'
> {
  readonly value: number;
  /** Decimals that are shown. */
  readonly digits: number;
  readonly min?: number;
  readonly max?: number;
  readonly onEnter: (value: number) => void;
}

/**
 * A number that is typed: nothing happens until the entry is finished, by Enter or by leaving the field, so that no half of
 * it is taken for the whole. Comma and point are the same. What cannot be taken stays and is told; Escape takes it back.
 */
export function NumberEntry({ value, digits, min, max, onEnter, ...field }: NumberEntryProps) {
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const shown = String(Number(value.toFixed(digits)));
  const forget = () => {
    setTyped(undefined);
    setRefused(undefined);
  };
  const finish = () => {
    if (typed === undefined) return;
    const entry = entryOf(typed, { min, max });
    if (entry.kind === 'refused') {
      setRefused(entry.words);
      return;
    }
    forget();
    if (typed.trim() !== shown) onEnter(entry.value);
  };
  return (
    <TextInput
      {...field}
      inputMode="decimal"
      autoComplete="off"
      value={typed ?? shown}
      error={refused}
      onChange={(event) => {
        setTyped(event.currentTarget.value);
        setRefused(undefined);
      }}
      onBlur={finish}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key === 'Enter') finish();
        else if (event.key === 'Escape' && typed !== undefined) {
          forget();
          event.stopPropagation();
        }
      }}
    />
  );
}
