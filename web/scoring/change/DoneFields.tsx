import { Switch } from '@mantine/core';
import { ballsSet } from '../../../core/scoring/countAttempt.ts';
import { enteredOf, putEntered, type FieldsProps } from './fields.ts';

/** Whether it was made, or the table cleared. */
export function DoneFields(props: FieldsProps) {
  const { drill } = props.course.counting;
  const clearance = drill.task.kind === 'clear' && drill.scoring.method !== 'lives';
  return (
    <Switch
      label={clearance ? 'Cleared' : 'Done'}
      checked={enteredOf(props).done}
      onChange={(event) => {
        const done = event.currentTarget.checked;
        const balls = clearance && done ? ballsSet(drill, props.log.set).length : null;
        putEntered(props, { done, balls });
      }}
    />
  );
}
