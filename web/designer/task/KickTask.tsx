import { BallField } from '../../controls/fields.tsx';
import { CushionsField } from './CushionsField.tsx';
import { LeaveField } from './LeaveField.tsx';
import type { TaskProps } from './taskProps.ts';

/** A ball to kick to, and by which cushions. */
export function KickTask({ drill, task, put }: TaskProps<'kick'>) {
  return (
    <>
      <BallField
        label="To the"
        drill={drill}
        value={task.target}
        onChange={(target) => put({ ...task, target })}
      />
      <CushionsField value={task.cushions} onChange={(cushions) => put({ ...task, cushions })} />
      <LeaveField value={task.leave} mayBeAnything onChange={(leave) => put({ ...task, leave })} />
    </>
  );
}
