import { Group, NumberInput } from '@mantine/core';
import { isPositionDrill } from '../../../core/drill/positionDrill.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { OneOf } from '../../controls/fields.tsx';
import type { FieldsProps } from './fields.ts';

const OUTCOMES = ['potted', 'missed', 'cue ball lost'] as const;

/** A single shot: what became of it, and where the cue ball stopped. */
export function ShotFields({ course, log, onLog }: FieldsProps) {
  const { drill, plan, preset } = course.counting;
  const shot = log.shots[0] ?? BLANK_SHOT;
  const ball = isPositionDrill(drill) ? drill.task.pot : shot.ball;
  const value = shot.inOff
    ? 'cue ball lost'
    : ball === null || shot.potted.includes(ball)
      ? 'potted'
      : 'missed';
  const landing = shot.landing ?? plan?.landing ?? { x: preset.length / 2, y: preset.width / 2 };
  const put = (change: Partial<typeof shot>) => onLog({ ...log, shots: [{ ...shot, ...change }] });
  return (
    <>
      <OneOf
        label="Outcome"
        value={value}
        values={OUTCOMES}
        onChange={(outcome) =>
          put({
            potted: outcome === 'potted' && ball !== null ? [ball] : [],
            inOff: outcome === 'cue ball lost',
            landing: outcome === 'potted' ? landing : null,
          })
        }
      />
      {value === 'potted' && (
        <Group grow>
          <NumberInput
            label="Stopped at, mm from the head cushion"
            min={0}
            max={1000 * preset.length}
            value={Math.round(1000 * landing.x)}
            onChange={(mm) => typeof mm === 'number' && put({ landing: { ...landing, x: mm / 1000 } })}
          />
          <NumberInput
            label="mm from the right cushion"
            min={0}
            max={1000 * preset.width}
            value={Math.round(1000 * landing.y)}
            onChange={(mm) => typeof mm === 'number' && put({ landing: { ...landing, y: mm / 1000 } })}
          />
        </Group>
      )}
    </>
  );
}
