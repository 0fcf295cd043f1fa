import { Button, Group, Text, Title } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { objectBalls } from '../../core/drill/round.ts';
import type { Drill, Target } from '../../core/records/drill.ts';
import type { PanelProps } from './panel.ts';
import { BallField } from '../controls/fields.tsx';

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
  const [first] = objectBalls(drill);
  const put = (list: readonly Target[], step?: string) => edit({ ...drill, targets: [...list] }, step);
  return (
    <section aria-labelledby="targets-title">
      <Title order={2} size="h5" mt={12} id="targets-title">
        Targets
      </Title>
      {targets.length === 0 && (
        <Text size="sm" c="dimmed">
          None drawn. Choose Rings, Rectangle, Corners, Way or Cushion above the table and draw one.
        </Text>
      )}
      {targets.map((target, i) => (
        <Group key={i} gap={8} mt={4}>
          <Text size="sm" w={90}>
            {WORDS[target.kind]}
          </Text>
          {pointsOf(target).map((points, k) => (
            <NumberEntry
              whole
              key={k}
              aria-label={`Points of target ${i + 1}${k === 0 ? '' : `, ring ${k + 1}`}`}
              size="xs"
              w={70}
              min={1}
              max={100}
              value={points}
              onEnter={(value) =>
                put(
                  targets.map((each, other) => (other === i ? withPoints(each, k, value) : each)),
                  `points ${i} ${k}`,
                )
              }
            />
          ))}
          {target.kind === 'thickness' && (
            <Thickness
              target={target}
              drill={drill}
              onChange={(next) =>
                put(
                  targets.map((each, other) => (other === i ? next : each)),
                  `thickness ${i}`,
                )
              }
            />
          )}
          <Button size="compact-xs" variant="default" onClick={() => put(targets.filter((_, k) => k !== i))}>
            Take away
          </Button>
        </Group>
      ))}
      {first !== undefined && (
        <Button
          size="compact-xs"
          variant="default"
          mt={6}
          onClick={() => put([...targets, { kind: 'thickness', ball: first, from: 0.4, to: 0.6 }])}
        >
          A ball to be met at a thickness
        </Button>
      )}
    </section>
  );
}

interface ThicknessProps {
  readonly target: Extract<Target, { kind: 'thickness' }>;
  readonly drill: Drill;
  readonly onChange: (target: Target) => void;
}

/** Which ball, and which share of it the cue ball is to cover. */
function Thickness({ target, drill, onChange }: ThicknessProps) {
  const percent = (key: 'from' | 'to', label: string) => (
    <NumberEntry
      label={label}
      size="xs"
      w={70}
      min={0}
      max={100}
      unit="%"
      value={100 * target[key]}
      onEnter={(value) => onChange({ ...target, [key]: value / 100 })}
    />
  );
  return (
    <>
      <BallField
        label="Ball"
        drill={drill}
        value={target.ball}
        onChange={(ball) => onChange({ ...target, ball })}
      />
      {percent('from', 'Covered')}
      {percent('to', 'to')}
    </>
  );
}
