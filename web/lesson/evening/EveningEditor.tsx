import { Button, Group, Text } from '@mantine/core';
import type { EveningAsk, Turn } from '../../../core/evening/ask.ts';
import { clashesOf } from '../../../core/evening/clashes.ts';
import { slotFrom, slotsOf } from '../../../core/evening/timetable.ts';
import { UndoRedo } from '../../controls/UndoRedo.tsx';
import { Timetable, type EveningNames } from './Timetable.tsx';
import type { EditedTurns } from './useTurns.ts';

interface EveningEditorProps {
  readonly ask: EveningAsk;
  readonly edited: EditedTurns;
  readonly begins: string;
  readonly names: EveningNames;
  readonly keepLabel: string;
  readonly keeping: boolean;
  readonly onKeep: (turns: readonly Turn[]) => void;
}

/** A proposal for an evening, to be changed by hand and kept. */
export function EveningEditor(props: EveningEditorProps) {
  const { ask, edited, begins, names, keepLabel, keeping, onKeep } = props;
  const { turns, chosen } = edited;
  const clashes = clashesOf(ask, turns);
  const wrong = clashes.filter((each) => each.length > 0).length;
  return (
    <div>
      <Group justify="space-between" mb={6} className="no-print">
        <Text size="sm" flex={1} miw={200}>
          {sumWords(turns, names)}
        </Text>
        <Group gap={6}>
          <UndoRedo past={edited.past} future={edited.future} onUndo={edited.undo} onRedo={edited.redo} />
          <Button loading={keeping} disabled={turns.length === 0} onClick={() => onKeep(turns)}>
            {keepLabel}
          </Button>
        </Group>
      </Group>
      {wrong > 0 && (
        <Text role="alert" c="var(--jr-coral-text)" mb={6}>
          {wrong === 1 ? '1 turn does not fit' : `${wrong} turns do not fit`}: it is written in them why.
        </Text>
      )}
      <Timetable
        begins={begins}
        tables={ask.tables.map(({ id }) => id)}
        slots={Array.from({ length: slotsOf(ask) }, (_, slot) => slotFrom(ask, slot))}
        turns={turns.map((turn, i) => ({ key: String(i), turn, clashes: clashes[i] ?? [], state: '' }))}
        names={names}
        chosen={chosen === undefined ? undefined : String(chosen)}
        onChoose={(key) => edited.choose(Number(key))}
        onMove={(key, table, from) => edited.move(Number(key), table, from)}
      />
    </div>
  );
}

/** How much everybody plays: "Pim 60 min, Wren 40 min". */
function sumWords(turns: readonly Turn[], names: EveningNames): string {
  const sums = new Map<string, number>();
  for (const { student, minutes } of turns) sums.set(student, (sums.get(student) ?? 0) + minutes);
  return [...sums]
    .sort((a, b) => names.student(a[0]).localeCompare(names.student(b[0])))
    .map(([student, minutes]) => `${names.student(student)} ${minutes} min`)
    .join(', ');
}
