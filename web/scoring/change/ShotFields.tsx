import { Group } from '@mantine/core';
import { UnitEntry } from '../../controls/UnitEntry.tsx';
import { isPositionDrill } from '../../../core/drill/positionDrill.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { OneOf } from '../../controls/fields.tsx';
import type { FieldsProps } from './fields.ts';
import { placeUnit } from '../../words/lengths.ts';

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
          <UnitEntry
            label="Stopped from the head cushion"
            in={placeUnit()}
            min={0}
            max={preset.length}
            value={landing.x}
            onEnter={(x) => put({ landing: { ...landing, x } })}
          />
          <UnitEntry
            label="From the right cushion"
            in={placeUnit()}
            min={0}
            max={preset.width}
            value={landing.y}
            onEnter={(y) => put({ landing: { ...landing, y } })}
          />
        </Group>
      )}
    </>
  );
}
