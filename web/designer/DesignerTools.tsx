import { Group, SegmentedControl, Switch } from '@mantine/core';
import type { Drill } from '../../core/records/drill.ts';
import type { Tool } from './DesignerTable.tsx';
import type { Part } from './edits.ts';

interface DesignerToolsProps {
  readonly drill: Drill;
  readonly part: Part;
  readonly tool: Tool;
  readonly snap: boolean;
  readonly onPart: (part: Part) => void;
  readonly onTool: (tool: Tool) => void;
  readonly onSnap: (snap: boolean) => void;
}

const TOOLS: readonly { readonly value: Tool; readonly label: string }[] = [
  { value: 'move', label: 'Move balls' },
  { value: 'rings', label: 'Rings' },
  { value: 'rectangle', label: 'Rectangle' },
  { value: 'polygon', label: 'Corners' },
  { value: 'way', label: 'Way' },
  { value: 'cushion', label: 'Cushion' },
];

/** What a drag does, and which part of the drill it changes. */
export function DesignerTools(props: DesignerToolsProps) {
  const { drill, part, tool, snap, onPart, onTool, onSnap } = props;
  const parts = [
    { value: 'base', label: 'All stages' },
    ...drill.stages.map((stage, i) => ({
      value: String(i + 1),
      label: stage.title === '' ? `Stage ${i + 1}` : stage.title,
    })),
  ];
  return (
    <Group gap={8} mb={6} justify="space-between">
      <SegmentedControl
        size="xs"
        aria-label="What a drag does"
        data={[...TOOLS]}
        value={tool}
        onChange={(value) => {
          const known = TOOLS.find((each) => each.value === value);
          if (known !== undefined) onTool(known.value);
        }}
      />
      <SegmentedControl
        size="xs"
        aria-label="Which part is changed"
        data={parts}
        value={String(part)}
        onChange={(value) => onPart(value === 'base' ? 'base' : Number(value))}
      />
      <Switch label="Snap" checked={snap} onChange={(event) => onSnap(event.currentTarget.checked)} />
    </Group>
  );
}
