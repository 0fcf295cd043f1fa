import { Button, Group, NumberInput, Text, Title } from '@mantine/core';
import type { Target } from '../../core/records/drill.ts';
import type { PanelProps } from './BallsPanel.tsx';

const WORDS: Readonly<Record<Target['kind'], string>> = {
  rings: 'Rings',
  rectangle: 'Rectangle',
  polygon: 'Corners',
  way: 'Way',
  cushion: 'Stretch of cushion',
  thickness: 'Thickness',
};

/** What a target earns: rings from the innermost out, others one figure. */
function pointsOf(target: Target): readonly number[] {
  if (target.kind === 'rings') return target.rings.map(({ points }) => points);
  return 'points' in target ? [target.points] : [];
}

function withPoints(target: Target, k: number, points: number): Target {
  if (target.kind === 'rings') {
    return { ...target, rings: target.rings.map((ring, i) => (i === k ? { ...ring, points } : ring)) };
  }
  return 'points' in target ? { ...target, points } : target;
}

/** The drawn targets: what each earns, and how to be rid of one. */
export function TargetList({ drill, edit }: PanelProps) {
  const { targets } = drill;
  const put = (list: readonly Target[], step?: string) => edit({ ...drill, targets: [...list] }, step);
  return (
    <section aria-labelledby="targets-title">
      <Title order={2} size="h5" mt={12} id="targets-title">
        Targets
      </Title>
      {targets.length === 0 && (
        <Text size="sm" c="dimmed">
          None drawn. Choose Rings, Rectangle, Corners or Way above the table and draw one.
        </Text>
      )}
      {targets.map((target, i) => (
        <Group key={i} gap={8} mt={4}>
          <Text size="sm" w={90}>
            {WORDS[target.kind]}
          </Text>
          {pointsOf(target).map((points, k) => (
            <NumberInput
              key={k}
              aria-label={`Points of target ${i + 1}${k === 0 ? '' : `, ring ${k + 1}`}`}
              size="xs"
              w={70}
              min={1}
              max={100}
              value={points}
              onChange={(value) =>
                typeof value === 'number' &&
                put(
                  targets.map((each, other) => (other === i ? withPoints(each, k, value) : each)),
                  `points ${i} ${k}`,
                )
              }
            />
          ))}
          <Button size="compact-xs" variant="default" onClick={() => put(targets.filter((_, k) => k !== i))}>
            Take away
          </Button>
        </Group>
      ))}
    </section>
  );
}
