import { Button, Group, Text } from '@mantine/core';
import { IconPlayerPlay } from '@tabler/icons-react';
import { toDegrees, toRadians } from '../../core/math/angle.ts';
import { StrokePanel } from '../planner/StrokePanel.tsx';
import type { PanelProps } from './panel.ts';
import type { Shot } from '../../core/motion/shot.ts';
import { PlanFromRoute } from './PlanFromRoute.tsx';
import { RouteList } from './RouteList.tsx';

interface StrokePartProps extends PanelProps {
  readonly onPlay: () => void;
  /** The stroke is solved and can be played. */
  readonly ready: boolean;
  /** The stroke solved on the table; undefined while it is not. */
  readonly shot: Shot | undefined;
}

/** The planned stroke: pace, tip and butt are set, the direction is solved on the table so that it pots the ball. */
export function StrokePart({ drill, edit, onPlay, ready, shot }: StrokePartProps) {
  const { plan, task } = drill;
  if (task.kind !== 'position') {
    return (
      <Text size="sm" c="dimmed" mt={10}>
        {task.kind === 'land'
          ? 'Where targets are drawn, a stroke to them is found on the drill’s page.'
          : 'Only a drill of one pot and its position has a planned stroke.'}
      </Text>
    );
  }
  if (plan === null) {
    return (
      <Button
        mt={10}
        size="xs"
        variant="default"
        onClick={() => edit({ ...drill, plan: { speed: 1.8, tip: { side: 0, height: 0 }, elevationDeg: 0 } })}
      >
        Plan the stroke
      </Button>
    );
  }
  return (
    <div style={{ marginTop: 10 }}>
      <StrokePanel
        strike={{ speed: plan.speed, tip: plan.tip, elevation: toRadians(plan.elevationDeg) }}
        onChange={({ speed, tip, elevation }, sameStep) =>
          edit(
            {
              ...drill,
              plan: {
                speed: speed ?? plan.speed,
                tip: tip ?? plan.tip,
                elevationDeg: elevation === undefined ? plan.elevationDeg : Math.round(toDegrees(elevation)),
              },
            },
            sameStep ? 'stroke' : undefined,
          )
        }
      />
      <Group mt={8}>
        <Button size="xs" leftSection={<IconPlayerPlay size={16} />} disabled={!ready} onClick={onPlay}>
          Play the stroke
        </Button>
        <Text size="xs" c="dimmed" style={{ flex: 1 }}>
          The direction is found on the table so that the ball is potted.
        </Text>
      </Group>
      <PlanFromRoute drill={drill} shot={shot} edit={edit} />
      <RouteList drill={drill} edit={edit} />
    </div>
  );
}
