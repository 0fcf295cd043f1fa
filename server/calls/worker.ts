import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { poseDrill } from '../../core/drill/poseDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { poseCall } from '../../core/virtual/poseCall.ts';
import type { CallQuestion } from '../../core/judgement/question.ts';
import { scoreCall } from '../../core/judgement/score.ts';
import type { NewCall } from '../../core/records/call.ts';
import type { Drill } from '../../core/records/drill.ts';
import { buildTable } from '../../core/table/table.ts';

/** A call, and the drill from which its position comes, if it does. */
export interface CallTask {
  readonly call: NewCall;
  readonly drill: Drill | undefined;
}

/** What a call is worth, and the coach's beside it; undefined when its source gives no such position. */
export type CallScores = { readonly score: number; readonly coachScore: number | null } | undefined;

function questionOf({ call, drill }: CallTask): CallQuestion | undefined {
  const { source, kind, preset } = call;
  const table = buildTable(preset);
  if (source.kind === 'seed') return poseCall(table, kind, source.difficulty, source.seed);
  if (drill === undefined || drill.table !== preset || drill.stages[source.stage - 1] === undefined)
    return undefined;
  const staged = atStage(drill, source.stage);
  return isPositionDrill(staged) ? poseDrill(staged, table, kind) : undefined;
}

/** Sets a position up again and scores what was said of it, in a thread of its own: some take seconds to find. */
export default function scoreTask(task: CallTask): CallScores {
  const question = questionOf(task);
  if (question === undefined) return undefined;
  const { answer, coach } = task.call;
  return {
    score: scoreCall(question, answer),
    coachScore: coach === null ? null : scoreCall(question, coach.answer),
  };
}
