import type { Drill } from '../../../core/records/drill.ts';
import type { CountingMethodName } from '../../../core/records/drillText/counting.ts';
import { judgedByEye } from '../../../core/scoring/countAttempt.ts';
import { BallsFields } from './BallsFields.tsx';
import { BreakFields } from './BreakFields.tsx';
import { CallFields } from './CallFields.tsx';
import { DoneFields } from './DoneFields.tsx';
import type { Fields } from './fields.ts';
import { ContactFields, KickFields } from './HitFields.tsx';
import { BreakPointsFields, PointsFields } from './PointsFields.tsx';
import { ShotFields } from './ShotFields.tsx';

/** What is told of an attempt by each way of counting. */
const FIELDS: Readonly<Record<CountingMethodName, Fields>> = {
  'attempts-to-clear': DoneFields,
  'balls-made': BallsFields,
  lives: DoneFields,
  'ladder-by-racks': DoneFields,
  'ladder-by-single': DoneFields,
  'clear-or-restart': BallsFields,
  'break-points': BreakPointsFields,
  'zone-points': PointsFields,
  'graded-contact': ContactFields,
  'success-rate': DoneFields,
  kick: KickFields,
  'break-score': BreakFields,
  'call-it': CallFields,
  streak: DoneFields,
};

/** The fields in which an attempt at a drill is told otherwise. */
export function fieldsFor(drill: Pick<Drill, 'task' | 'targets' | 'scoring'>): Fields {
  const landing = drill.task.kind === 'position' || drill.task.kind === 'land';
  return landing && !judgedByEye(drill) ? ShotFields : FIELDS[drill.scoring.method];
}
