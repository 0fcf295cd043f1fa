import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { ballsSet } from '../../../core/scoring/countAttempt.ts';
import { enteredOf, putEntered, type FieldsProps } from './fields.ts';

/** How many balls were made. */
export function BallsFields(props: FieldsProps) {
  const balls = ballsSet(props.course.counting.drill, props.log.set).length;
  return (
    <NumberEntry
      whole
      label={`Balls made, of ${balls}`}
      min={0}
      max={balls}
      value={enteredOf(props).balls ?? 0}
      onEnter={(made) => putEntered(props, { balls: made, done: made === balls })}
    />
  );
}
