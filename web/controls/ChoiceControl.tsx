import { SegmentedControl } from '@mantine/core';
import type { CSSProperties } from 'react';
import { capital } from '../words/vocabulary.ts';

interface ChoiceControlProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly values: readonly T[];
  readonly onChange: (value: T) => void;
  readonly readOnly?: boolean;
  readonly style?: CSSProperties;
}

/** One of a few words, all of them in sight. */
export function ChoiceControl<T extends string>({
  label,
  value,
  values,
  onChange,
  readOnly = false,
  style = {},
}: ChoiceControlProps<T>) {
  return (
    <SegmentedControl
      aria-label={label}
      fullWidth
      size="xs"
      readOnly={readOnly}
      style={style}
      data={values.map((each) => ({ value: each, label: capital(each) }))}
      value={value}
      onChange={(chosen) => {
        const known = values.find((each) => each === chosen);
        if (known !== undefined) onChange(known);
      }}
    />
  );
}
