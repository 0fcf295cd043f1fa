import { Button, Group, Select, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { DIFFICULTIES, type Difficulty } from '../../../core/judgement/kinds.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import type { Table } from '../../../core/table/table.ts';
import { hidingWords } from '../../words/kickCallWords.ts';
import { searchPlanner } from '../../workers/planner.ts';

const LARGEST_SEED = 1_000_000;

interface HideBallProps {
  readonly table: Table;
  /** Takes up the made-up balls and the stroke. @param target the hidden one */
  readonly onHidden: (found: Pick<Shot, 'balls' | 'strike'>, target: string) => void;
}

/** Makes up a position with a hidden ball, as hard as is asked. */
export function HideBall({ table, onHidden }: HideBallProps) {
  const [difficulty, setDifficulty] = useState<Difficulty>('fair');
  const hiding = useMutation({
    mutationFn: async () => {
      const seed = 1 + Math.floor(Math.random() * LARGEST_SEED);
      const { preset, parameters } = table;
      return (
        (await searchPlanner().pose({ preset, parameters }, 'where on the cushion', difficulty, seed)) ?? null
      );
    },
    onSuccess: (found) => {
      if (found !== null && 'target' in found) onHidden(found.shot, found.target);
    },
    networkMode: 'always',
  });
  return (
    <Group gap={8} mt={8} align="end" wrap="nowrap">
      <Select
        label="A hidden ball, made up"
        size="xs"
        style={{ flex: 1 }}
        allowDeselect={false}
        data={DIFFICULTIES.map((value) => ({ value, label: hidingWords(value) }))}
        value={difficulty}
        onChange={(value) => setDifficulty(DIFFICULTIES.find((each) => each === value) ?? 'fair')}
      />
      <Button size="xs" variant="default" loading={hiding.isPending} onClick={() => hiding.mutate()}>
        Hide one
      </Button>
      {hiding.data === null && (
        <Text size="xs" role="status">
          None found: try again.
        </Text>
      )}
    </Group>
  );
}
