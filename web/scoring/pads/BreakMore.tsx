import { Group, NumberInput, Select, Text, TextInput } from '@mantine/core';
import {
  BREAK_AIMS,
  BREAK_PACES,
  CUE_BALL_ENDS,
  NEXT_SHOTS,
  RACK_BY,
  RACK_QUALITY,
  type BreakLog,
} from '../../../core/records/breakLog.ts';
import { POCKET_NAMES } from '../../../core/table/pockets.ts';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import type { BreakHabits } from './useBreakHabits.ts';

/** What is rarely told of a break. */
type Rare = Pick<BreakLog, 'first' | 'second' | 'cueBall' | 'nextShot' | 'runOut'>;

interface BreakMoreProps {
  readonly seen: Rare;
  readonly onSeen: (change: Partial<Rare>) => void;
  readonly breaks: BreakHabits;
}

/** What is rarely said of a break, and what is the same from one to the next: folded away. */
export function BreakMore({ seen, onSeen, breaks }: BreakMoreProps) {
  const { vocabulary } = useWords();
  const { habits, put, size, setSize, block } = breaks;
  const pockets = POCKET_NAMES.map((name) => ({ value: name, label: pocketWords(name, vocabulary) }));
  return (
    <details className="card">
      <summary>More about the break</summary>
      <Group gap={8} grow>
        <Pick
          label="First ball to"
          value={seen.first}
          data={pockets}
          onChange={(first) => onSeen({ first: POCKET_NAMES.find((each) => each === first) ?? null })}
        />
        <Pick
          label="Second ball to"
          value={seen.second}
          data={pockets}
          onChange={(second) => onSeen({ second: POCKET_NAMES.find((each) => each === second) ?? null })}
        />
      </Group>
      <Group gap={8} grow>
        <Pick
          label="Cue ball ended"
          value={seen.cueBall}
          data={CUE_BALL_ENDS}
          onChange={(value) => onSeen({ cueBall: CUE_BALL_ENDS.find((each) => each === value) ?? null })}
        />
        <Pick
          label="Next shot"
          value={seen.nextShot}
          data={NEXT_SHOTS}
          onChange={(value) => onSeen({ nextShot: NEXT_SHOTS.find((each) => each === value) ?? null })}
        />
      </Group>
      <Pick
        label="Run out from here"
        value={seen.runOut === null ? null : seen.runOut ? 'yes' : 'no'}
        data={['yes', 'no']}
        onChange={(value) => onSeen({ runOut: value === null ? null : value === 'yes' })}
      />
      <NumberInput
        label="Change after so many breaks"
        description="To compare two cues or places; 0 for none"
        size="xs"
        mt={6}
        min={0}
        max={20}
        allowDecimal={false}
        value={size}
        onChange={(value) => typeof value === 'number' && setSize(value)}
      />
      <Text size="sm" c="dimmed" mt={6}>
        {block === undefined
          ? 'Kept from one break to the next:'
          : `Kept for the breaks of ${block.part}; the others have their own:`}
      </Text>
      <Group gap={8} grow>
        <Pick
          label="Rack"
          value={habits.rack}
          data={RACK_QUALITY}
          onChange={(value) => put({ rack: RACK_QUALITY.find((each) => each === value) ?? null })}
        />
        <Pick
          label="Racked by"
          value={habits.rackBy}
          data={RACK_BY}
          onChange={(value) => put({ rackBy: RACK_BY.find((each) => each === value) ?? null })}
        />
      </Group>
      <Group gap={8} grow>
        <Pick
          label="Aim"
          value={habits.aim}
          data={BREAK_AIMS}
          onChange={(value) => put({ aim: BREAK_AIMS.find((each) => each === value) ?? null })}
        />
        <Pick
          label="Pace"
          value={habits.pace}
          data={BREAK_PACES}
          onChange={(value) => put({ pace: BREAK_PACES.find((each) => each === value) ?? null })}
        />
      </Group>
      <TextInput
        key={`${block?.part ?? 'A'} ${habits.cue ?? ''}`}
        label="Cue"
        size="xs"
        maxLength={40}
        defaultValue={habits.cue ?? ''}
        onBlur={(event) => {
          const cue = event.currentTarget.value.trim();
          put({ cue: cue === '' ? null : cue });
        }}
      />
    </details>
  );
}

interface PickProps {
  readonly label: string;
  readonly value: string | null;
  readonly data: readonly (string | { readonly value: string; readonly label: string })[];
  readonly onChange: (value: string | null) => void;
}

function Pick({ label, value, data, onChange }: PickProps) {
  return <Select label={label} size="xs" clearable data={[...data]} value={value} onChange={onChange} />;
}
