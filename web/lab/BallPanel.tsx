import { useWords } from '../words/useWords.ts';
import { Button, Group, Select, Text, Title } from '@mantine/core';
import { memo, useState } from 'react';
import type { Point } from '../../core/math/point.ts';
import type { Shot } from '../../core/motion/shot.ts';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { BallButtons } from '../table/BallButtons.tsx';
import { addableBalls, CUE } from '../table/labShot.ts';
import { placeUnit } from '../words/lengths.ts';

interface BallPanelProps {
  readonly shot: Shot;
  readonly selected: string;
  readonly onSelect: (id: string) => void;
  readonly onMove: (id: string, to: Point) => void;
  readonly onAdd: (id: string) => void;
  readonly onRemove: (id: string) => void;
}

type Unit = 'mm' | 'in' | 'diamonds';

/** How many of a unit make the table's length and width. */
function unitsOf(shot: Shot, unit: Unit): readonly [number, number] {
  const { length, width } = shot.table;
  if (unit === 'diamonds') return [8, 4];
  return unit === 'mm' ? [1000 * length, 1000 * width] : [length / 0.0254, width / 0.0254];
}

/** The balls: which one is in hand, where it stands in figures, more and fewer of them. */
export const BallPanel = memo(function BallPanel({
  shot,
  selected,
  onSelect,
  onMove,
  onAdd,
  onRemove,
}: BallPanelProps) {
  const { term } = useWords();
  const [unit, setUnit] = useState<Unit>(placeUnit().unit === 'in' ? 'in' : 'mm');
  const { table, balls } = shot;
  const ball = balls.find((each) => each.id === selected);
  const [alongUnits, acrossUnits] = unitsOf(shot, unit);
  const digits = unit === 'mm' ? 1 : unit === 'in' ? 2 : 3;
  const addable = addableBalls(shot);
  return (
    <section className="card" aria-labelledby="balls-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="balls-title">
          Balls
        </Title>
        <Select
          aria-label="Unit of places"
          size="xs"
          w={110}
          allowDeselect={false}
          data={['mm', 'in', ...(table.preset.sights ? ['diamonds'] : [])]}
          value={unit}
          onChange={(value) => setUnit(value === 'in' || value === 'diamonds' ? value : 'mm')}
        />
      </Group>
      <div style={{ marginTop: 6 }}>
        <BallButtons balls={balls} selected={selected} onSelect={onSelect} />
      </div>
      {ball !== undefined && (
        <Group mt={8} gap={8} align="end" wrap="nowrap">
          {(
            [
              [`From the ${term('headEnd')}`, 'x', table.length, alongUnits],
              ['From the right', 'y', table.width, acrossUnits],
            ] as const
          ).map(([label, axis, size, units]) => (
            <NumberEntry
              key={`${axis} ${unit} ${ball.id}`}
              label={label}
              size="xs"
              digits={digits}
              min={0}
              max={Number(units.toFixed(digits))}
              value={(ball[axis] / size) * units}
              onEnter={(value) => onMove(ball.id, { x: ball.x, y: ball.y, [axis]: (value / units) * size })}
            />
          ))}
          {ball.id !== CUE && (
            <Button size="xs" variant="default" onClick={() => onRemove(ball.id)}>
              Take off
            </Button>
          )}
        </Group>
      )}
      {addable.length > 0 && (
        <Group gap={4} mt={8}>
          <Text size="sm" c="dimmed">
            Put on
          </Text>
          {addable.map((id) => (
            <Button key={id} size="compact-xs" variant="default" onClick={() => onAdd(id)}>
              {id}
            </Button>
          ))}
        </Group>
      )}
    </section>
  );
});
