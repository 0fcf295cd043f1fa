import { Button, Group, SegmentedControl } from '@mantine/core';
import { memo } from 'react';
import { UndoRedo } from '../../controls/UndoRedo.tsx';
import { DRAGS, type DragMode } from './positionState.ts';

interface PositionToolsProps {
  readonly mode: DragMode;
  readonly onMode: (mode: DragMode) => void;
  readonly past: readonly unknown[];
  readonly future: readonly unknown[];
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  /** Writes the position into the address. */
  readonly onLink: () => void;
}

/** Above the table: what a drag does, steps back and forth, the address. */
export const PositionTools = memo(function PositionTools({
  mode,
  onMode,
  onLink,
  ...steps
}: PositionToolsProps) {
  return (
    <Group justify="space-between">
      <SegmentedControl
        size="xs"
        aria-label="What a drag does"
        data={[...DRAGS]}
        value={mode}
        onChange={(value) => onMode(DRAGS.find((each) => each === value) ?? 'Move balls')}
      />
      <Group gap={6}>
        <UndoRedo {...steps} />
        <Button size="xs" variant="default" onClick={onLink}>
          Link
        </Button>
      </Group>
    </Group>
  );
});
