import type { BallOnTable } from '../../core/motion/shot.ts';
import type { TableText } from '../../core/planning/position/question.ts';
import type { ContactEffect } from '../../core/virtual/breaks/contactEffects.ts';
import type { SpeedSetting, SpeedTold } from '../../core/sound/breakSpeed.ts';
import type { BestBreak } from '../../core/virtual/breaks/bestBreak.ts';
import type { BreakStroke } from '../../core/virtual/breaks/breakShot.ts';
import type { LeftPatterns } from '../../core/virtual/breaks/leftPatterns.ts';
import type { BreakMap } from '../../core/virtual/breaks/breakMap.ts';
import type { BreakQuestion, BreakStudy } from '../../core/virtual/breaks/breakStudy.ts';

/** A break as it goes to a worker. */
export type BreakAsked = Omit<BreakQuestion, 'table'> & { readonly table: TableText };

/** Typical tables after a break, with the balls of each as they lie. */
export interface LaidPatterns extends LeftPatterns {
  readonly tables: readonly (readonly BallOnTable[])[];
}

/** What the worker for breaks does. */
export interface BreakSolver {
  /** @param onShare told what share is done, 0…1 */
  study(asked: BreakAsked, onShare: (share: number) => void): Promise<BreakStudy>;
  /** @param gap metres */
  contacts(
    asked: BreakAsked,
    gap: number,
    onShare: (share: number) => void,
  ): Promise<readonly ContactEffect[]>;
  map(asked: BreakAsked, onShare: (share: number, first?: BreakMap) => void): Promise<BreakMap>;
  best(asked: BreakAsked, onShare: (share: number) => void): Promise<BestBreak>;
  /** Several strokes on the same racks with the same luck. */
  compare(
    asked: BreakAsked,
    strokes: readonly BreakStroke[],
    onShare: (share: number) => void,
  ): Promise<readonly BreakStudy[]>;
  /** @param count how many patterns */
  patterns(asked: BreakAsked, count: number, onShare: (share: number) => void): Promise<LaidPatterns>;
  /** @param samples −1…1, one channel @param rate samples a second */
  speed(samples: Float32Array, rate: number, setting: SpeedSetting): Promise<SpeedTold>;
}
