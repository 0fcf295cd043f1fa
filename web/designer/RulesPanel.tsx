import { Chip, Group, SimpleGrid, Stack, Text } from '@mantine/core';
import {
  CONDITIONS,
  CONSEQUENCES,
  CUE_BALL_STARTS,
  FAULTS,
  type Condition,
  type Drill,
} from '../../core/records/drill.ts';
import { capital } from '../words/vocabulary.ts';
import type { PanelProps } from './panel.ts';
import { OneOf } from '../controls/fields.tsx';
import { ScoringForm } from './ScoringForm.tsx';

const REPAIRS = ['play on', 'ball in hand', 'cue ball back'] as const;
const AREA: NonNullable<Drill['cueBall']['area']> = {
  from: { along: 0.05, across: 0.1 },
  to: { along: 0.25, across: 0.9 },
};

/** Some conditions out of all that there are. */
export function ConditionChips({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: readonly Condition[];
  readonly onChange: (conditions: Condition[]) => void;
}) {
  return (
    <div role="group" aria-label={label}>
      <Text size="xs" fw={700} mb={4}>
        {label}
      </Text>
      <Chip.Group
        multiple
        value={[...value]}
        onChange={(names) => onChange(CONDITIONS.filter((each) => names.includes(each)))}
      >
        <Group gap={4}>
          {CONDITIONS.map((condition) => (
            <Chip key={condition} value={condition} size="xs" color="teal">
              {condition}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
    </div>
  );
}

/** Where the cue ball starts, which conditions hold, what a fault does, and how the round is counted. */
export function RulesPanel({ drill, edit }: PanelProps) {
  return (
    <Stack gap={8}>
      <ScoringForm
        drill={drill}
        onChange={(scoring) => edit({ ...drill, scoring }, `scoring ${scoring.method}`)}
      />
      <OneOf
        label="Cue ball"
        value={drill.cueBall.start}
        values={CUE_BALL_STARTS}
        onChange={(start) =>
          edit({ ...drill, cueBall: { start, area: start === 'in the area' ? AREA : null } })
        }
      />
      <ConditionChips
        label="Conditions"
        value={drill.conditions}
        onChange={(conditions) => edit({ ...drill, conditions })}
      />
      <SimpleGrid cols={2} spacing={8} verticalSpacing={4}>
        {FAULTS.map((fault) => (
          <OneOf
            key={fault}
            label={capital(fault)}
            value={drill.faults[fault]}
            values={CONSEQUENCES}
            onChange={(consequence) => edit({ ...drill, faults: { ...drill.faults, [fault]: consequence } })}
          />
        ))}
      </SimpleGrid>
      <OneOf
        label="After a fault that is only noted"
        value={drill.repair}
        values={REPAIRS}
        onChange={(repair) => edit({ ...drill, repair })}
      />
    </Stack>
  );
}
