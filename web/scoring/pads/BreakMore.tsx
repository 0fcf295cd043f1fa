import { Autocomplete, Group, Select, Text } from '@mantine/core';
import { UnitEntry } from '../../controls/UnitEntry.tsx';
import { useQuery } from '@tanstack/react-query';
import {
  BREAK_AIMS,
  BREAK_PACES,
  CUE_BALL_ENDS,
  MOST_BREAK_SPEED,
  NEXT_SHOTS,
  RACK_BY,
  RACK_QUALITY,
  type BreakLog,
} from '../../../core/records/breakLog.ts';
import { POCKET_NAMES, type PocketName } from '../../../core/table/pockets.ts';
import { cuesQuery } from '../../api/cues.ts';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import { RecordingCard } from '../../planner/RecordingCard.tsx';
import type { SpeedSetting } from '../../../core/sound/breakSpeed.ts';
import type { BreakHabits } from './useBreakHabits.ts';
import { speedUnit } from '../../words/lengths.ts';
import { NumberEntry } from '../../controls/NumberEntry.tsx';

/** What is rarely told of a break. */
type Rare = Pick<BreakLog, 'first' | 'second' | 'cueBall' | 'nextShot' | 'runOut' | 'speed'>;

const YES_NO = ['yes', 'no'] as const;

interface BreakMoreProps {
  readonly seen: Rare;
  readonly onSeen: (change: Partial<Rare>) => void;
  readonly breaks: BreakHabits;
  /** How far the cue ball runs to the rack; undefined where nobody said from where. */
  readonly setting: SpeedSetting | undefined;
}

/** What is rarely said of a break, and what is the same from one to the next: folded away. */
export function BreakMore({ seen, onSeen, breaks, setting }: BreakMoreProps) {
  const { vocabulary } = useWords();
  const { habits, put, size, setSize, block } = breaks;
  const cues = (useQuery(cuesQuery).data ?? []).flatMap(({ archived, document }) =>
    archived ? [] : [document.name],
  );
  const pocketWord = (name: PocketName) => pocketWords(name, vocabulary);
  return (
    <details className="card">
      <summary>More about the break</summary>
      <Group gap={8} grow>
        <Pick
          label="First ball to"
          value={seen.first}
          values={POCKET_NAMES}
          wordOf={pocketWord}
          onChange={(first) => onSeen({ first })}
        />
        <Pick
          label="Second ball to"
          value={seen.second}
          values={POCKET_NAMES}
          wordOf={pocketWord}
          onChange={(second) => onSeen({ second })}
        />
      </Group>
      <Group gap={8} grow>
        <Pick
          label="Cue ball ended"
          value={seen.cueBall}
          values={CUE_BALL_ENDS}
          onChange={(cueBall) => onSeen({ cueBall })}
        />
        <Pick
          label="Next shot"
          value={seen.nextShot}
          values={NEXT_SHOTS}
          onChange={(nextShot) => onSeen({ nextShot })}
        />
      </Group>
      <Pick
        label="Run out from here"
        value={seen.runOut === null ? null : seen.runOut ? 'yes' : 'no'}
        values={YES_NO}
        onChange={(value) => onSeen({ runOut: value === null ? null : value === 'yes' })}
      />
      <UnitEntry
        label="Speed of the cue ball"
        in={speedUnit()}
        size="xs"
        mt={6}
        min={0.1}
        max={MOST_BREAK_SPEED}
        step={0.1}
        value={seen.speed}
        onEnter={(speed) => onSeen({ speed })}
        onClear={() => onSeen({ speed: null })}
      />
      {setting !== undefined && (
        <RecordingCard
          setting={setting}
          take="Note this speed"
          onTake={(heard) => onSeen({ speed: Math.min(heard, MOST_BREAK_SPEED) })}
        />
      )}
      <NumberEntry
        whole
        label="Change after so many breaks"
        description="To compare two cues or places; 0 for none"
        size="xs"
        mt={6}
        min={0}
        max={20}
        value={size}
        onEnter={setSize}
      />
      <Text size="sm" c="dimmed" mt={6}>
        {block === undefined
          ? 'Kept from one break to the next:'
          : `Kept for the breaks of ${block.part}; the others have their own:`}
      </Text>
      <Group gap={8} grow>
        <Pick label="Rack" value={habits.rack} values={RACK_QUALITY} onChange={(rack) => put({ rack })} />
        <Pick
          label="Racked by"
          value={habits.rackBy}
          values={RACK_BY}
          onChange={(rackBy) => put({ rackBy })}
        />
      </Group>
      <Group gap={8} grow>
        <Pick label="Aim" value={habits.aim} values={BREAK_AIMS} onChange={(aim) => put({ aim })} />
        <Pick label="Pace" value={habits.pace} values={BREAK_PACES} onChange={(pace) => put({ pace })} />
      </Group>
      <Autocomplete
        key={`${block?.part ?? 'A'} ${habits.cue ?? ''}`}
        label="Cue"
        size="xs"
        maxLength={40}
        data={cues}
        defaultValue={habits.cue ?? ''}
        onOptionSubmit={(cue) => put({ cue })}
        onBlur={(event) => {
          const cue = event.currentTarget.value.trim();
          put({ cue: cue === '' ? null : cue });
        }}
      />
    </details>
  );
}

interface PickProps<T extends string> {
  readonly label: string;
  readonly value: T | null;
  readonly values: readonly T[];
  /** What a value is called, where that is not the value itself. */
  readonly wordOf?: (value: T) => string;
  readonly onChange: (value: T | null) => void;
}

/** One of some values, or none. */
function Pick<T extends string>({ label, value, values, wordOf, onChange }: PickProps<T>) {
  return (
    <Select
      label={label}
      size="xs"
      clearable
      data={values.map((each) => ({ value: each, label: wordOf?.(each) ?? each }))}
      value={value}
      onChange={(text) => onChange(values.find((each) => each === text) ?? null)}
    />
  );
}
