import { Select, TextInput } from '@mantine/core';
import type { Drill } from '../../core/records/drill.ts';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { objectBalls } from '../../core/drill/round.ts';
import { POCKET_NAMES, type PocketName } from '../../core/table/pockets.ts';
import { pocketWords } from '../words/places.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';

interface OneOfProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly values: readonly T[];
  readonly onChange: (value: T) => void;
  /** What is shown for a value; the value itself by default. */
  readonly wordOf?: (value: T) => string;
}

/** One of some words. */
export function OneOf<T extends string>({
  label,
  value,
  values,
  onChange,
  wordOf = (each) => each.replaceAll('-', ' '),
}: OneOfProps<T>) {
  return (
    <Select
      label={label}
      size="xs"
      allowDeselect={false}
      style={{ flex: 1 }}
      data={values.map((each) => ({ value: each, label: capital(wordOf(each)) }))}
      value={value}
      onChange={(chosen) => {
        const known = values.find((each) => each === chosen);
        if (known !== undefined) onChange(known);
      }}
    />
  );
}

interface BallFieldProps {
  readonly label: string;
  readonly drill: Drill;
  readonly value: string;
  readonly onChange: (id: string) => void;
}

/** One of the drill's object balls. */
export function BallField({ label, drill, value, onChange }: BallFieldProps) {
  const balls = objectBalls(drill).filter((id) => id !== CUE_BALL);
  return (
    <OneOf
      label={label}
      value={value}
      values={balls.includes(value) ? balls : [...balls, value]}
      onChange={onChange}
    />
  );
}

interface PocketFieldProps {
  readonly label: string;
  readonly value: PocketName;
  readonly onChange: (pocket: PocketName) => void;
}

export function PocketField({ label, value, onChange }: PocketFieldProps) {
  const { vocabulary } = useWords();
  return (
    <OneOf
      label={label}
      value={value}
      values={POCKET_NAMES}
      onChange={onChange}
      wordOf={(pocket) => pocketWords(pocket, vocabulary)}
    />
  );
}

interface ListFieldProps {
  readonly label: string;
  readonly value: readonly string[];
  readonly onChange: (list: string[]) => void;
}

/** Names in a row, with commas between them. */
export function ListField({ label, value, onChange }: ListFieldProps) {
  return (
    <TextInput
      label={label}
      size="xs"
      key={value.join('|')}
      defaultValue={value.join(', ')}
      onBlur={(event) =>
        onChange(
          event.currentTarget.value
            .split(',')
            .map((each) => each.trim())
            .filter((each) => each !== ''),
        )
      }
    />
  );
}
