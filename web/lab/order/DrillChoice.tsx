import { Button, Group, Select } from '@mantine/core';
import { useState } from 'react';
import type { Drill } from '../../../core/records/drill.ts';

interface DrillChoiceProps {
  readonly drills: readonly Drill[];
  readonly onChoose: (drill: Drill, stage: number) => void;
}

/** A drill to take over, and the stage at which. */
export function DrillChoice({ drills, onChoose }: DrillChoiceProps) {
  const [slug, setSlug] = useState<string | null>(null);
  const [stage, setStage] = useState(1);
  const drill = drills.find((each) => each.slug === slug);
  return (
    <Group align="end" gap="xs" wrap="nowrap">
      <Select
        label="A drill"
        style={{ flex: 1 }}
        searchable
        placeholder="Choose a drill"
        nothingFoundMessage="No drills match"
        data={drills.map((each) => ({ value: each.slug, label: each.title }))}
        value={slug}
        onChange={(next) => {
          setSlug(next);
          setStage(1);
        }}
      />
      {drill !== undefined && drill.stages.length > 1 && (
        <Select
          label="Stage"
          w={80}
          allowDeselect={false}
          data={drill.stages.map((_, i) => String(i + 1))}
          value={String(stage)}
          onChange={(next) => setStage(Number(next ?? 1))}
        />
      )}
      <Button
        variant="default"
        disabled={drill === undefined}
        onClick={() => {
          if (drill !== undefined) onChoose(drill, stage);
        }}
      >
        Take it over
      </Button>
    </Group>
  );
}
