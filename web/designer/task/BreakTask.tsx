import { OneOf } from '../../controls/fields.tsx';
import type { TaskProps } from './taskProps.ts';

/** What a break hits. */
export function BreakTask({ task, put }: TaskProps<'break'>) {
  return (
    <OneOf
      label="Hits the"
      value={task.hit}
      values={['head ball', 'second ball', 'edge of the pack']}
      onChange={(hit) => put({ ...task, hit })}
    />
  );
}
