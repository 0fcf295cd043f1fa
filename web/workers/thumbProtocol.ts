import type { BallOnTable } from '../../core/motion/shot.ts';
import type { Point } from '../../core/math/point.ts';
import type { TableText } from '../../core/planning/position/question.ts';
import type { Crib } from '../../core/shot/kicks/thumb/crib.ts';
import type { ThumbAnswer } from '../../core/shot/kicks/thumb/thumbAnswers.ts';
import type { ThumbMap } from '../../core/shot/kicks/thumb/thumbMap.ts';
import type { ThumbFigures, ThumbPace, ThumbQuestion } from '../../core/shot/kicks/thumb/thumbRules.ts';

/** A table with what is known of it for the rules of thumb. */
export interface ThumbTable {
  readonly table: TableText;
  readonly figures: ThumbFigures;
}

/** What the worker for rules of thumb does. */
export interface ThumbSolver {
  figures(table: TableText): Promise<ThumbFigures>;
  answers(
    known: ThumbTable,
    pace: ThumbPace,
    from: BallOnTable,
    target: Point,
  ): Promise<readonly ThumbAnswer[]>;
  map(known: ThumbTable, question: ThumbQuestion, pace: ThumbPace, target: Point): Promise<ThumbMap>;
  crib(table: TableText): Promise<Crib>;
}
