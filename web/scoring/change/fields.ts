import type { ReactNode } from 'react';
import type { AttemptLog } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED, type Entered } from '../../../core/records/entered.ts';
import { countAttempt, UncountableError } from '../../../core/scoring/countAttempt.ts';
import type { Course } from '../../../core/scoring/course.ts';
import { offCloth } from '../../../core/scoring/offCloth.ts';

/** What can be told otherwise of an attempt: one module a way of counting. */
export interface FieldsProps {
  readonly course: Course;
  readonly log: AttemptLog;
  readonly onLog: (log: AttemptLog) => void;
}

export type Fields = (props: FieldsProps) => ReactNode;

/** What a log comes to, or why it is none yet: what the server would refuse is said here. */
export function countedOrWhy({ counting }: Course, log: AttemptLog) {
  if (offCloth(log, counting.preset) !== undefined) {
    return 'Not yet: the cue ball would lie in a cushion, or beside the table.';
  }
  try {
    return countAttempt(counting, log);
  } catch (error) {
    if (error instanceof UncountableError) return `Not yet: ${error.message}.`;
    throw error;
  }
}

/** What was entered of an attempt; of one that was logged shot by shot, what it came to. */
export function enteredOf({ course, log }: FieldsProps): Entered {
  if (log.entered !== null) return log.entered;
  const counted = countedOrWhy(course, log);
  const before = typeof counted === 'string' ? undefined : counted;
  return {
    ...NOTHING_ENTERED,
    done: before?.done ?? false,
    balls: before?.balls ?? null,
    points: course.counting.drill.scoring.method === 'break-points' ? (before?.points ?? 0) : null,
    penalty: before?.penalty ?? null,
  };
}

/** With something entered otherwise; a clearance that was logged shot by shot is told by its result from here on. */
export function putEntered(props: FieldsProps, change: Partial<Entered>): void {
  const { course, log, onLog } = props;
  const { task, scoring } = course.counting.drill;
  const clearance = task.kind === 'clear' && scoring.method !== 'lives';
  onLog({
    ...log,
    entered: { ...enteredOf(props), ...change },
    ...(clearance ? { shots: [], detail: 'quick' } : {}),
  });
}
