import { Group } from '@mantine/core';
import { firstTask } from '../../../core/drill/draft.ts';
import { objectBalls } from '../../../core/drill/round.ts';
import { BallField, OneOf, PocketField } from '../../controls/fields.tsx';
import type { TaskProps } from './taskProps.ts';

/** Pot a ball, or none, and land in targets. */
export function LandTask({ drill, task, put }: TaskProps<'land'>) {
  const { pot } = task;
  return (
    <>
      <OneOf
        label="First"
        value={pot === null ? 'no pot' : 'a pot'}
        values={['a pot', 'no pot']}
        onChange={(first) =>
          put(first === 'a pot' ? firstTask('land', objectBalls(drill)) : { ...task, pot: null })
        }
      />
      {pot !== null && (
        <Group gap={8} wrap="nowrap">
          <BallField
            label="Pot"
            drill={drill}
            value={pot.ball}
            onChange={(ball) => put({ ...task, pot: { ...pot, ball } })}
          />
          <PocketField
            label="into"
            value={pot.pocket}
            onChange={(pocket) => put({ ...task, pot: { ...pot, pocket } })}
          />
        </Group>
      )}
    </>
  );
}
