import { aimPointOf } from '../../../core/shot/kicks/aimPoint.ts';
import { answerTolerance } from '../../../core/tactics/answerTolerance.ts';
import type { Answer } from '../../../core/tactics/ranking.ts';
import type { Situation } from '../../../core/tactics/situation.ts';
import type { AnswerAim } from '../../words/answerWords.ts';

/** Where an answer is aimed, and how far it may be off. @throws RangeError without a ball that is on */
export function answerAim(situation: Situation, answer: Pick<Answer, 'shot' | 'planned'>): AnswerAim {
  const { table, balls, cue } = situation;
  const { hit } = answer.planned;
  const byCushion = hit.before.length > 0;
  return {
    aim: byCushion ? aimPointOf({ table, balls, cue }, answer.shot.strike.direction) : undefined,
    covered: byCushion || hit.first === undefined ? undefined : hit.covered,
    ends: answer.planned.kind,
    tolerance: answerTolerance(situation, answer),
  };
}
