import type { BallOnTable } from '../../core/motion/shot.ts';
import type { TableText } from '../../core/planning/position/question.ts';
import type { ExecutionError } from '../../core/player/levels.ts';
import type { KickFamily, RatedLine } from '../../core/shot/kicks/kickFamilies.ts';
import type { KickWish } from '../../core/shot/kicks/kickLines.ts';
import type { KickTold } from '../../core/scoring/kickCause.ts';
import type { KickTaps } from '../../core/scoring/kickTaps.ts';
import type { Seen } from '../../core/shot/kicks/seen.ts';
import type { KickStroke } from '../../core/shot/kicks/way.ts';

/** A ball to be met, and who plays. */
export interface KickAsked {
  readonly table: TableText;
  /** The cue ball among them. */
  readonly balls: readonly BallOnTable[];
  readonly cue: string;
  readonly target: string;
  readonly wish: KickWish;
  readonly error: ExecutionError;
}

/** The lines of one stroke. */
export interface LinesTold {
  readonly seen: Seen;
  /** The surest first. */
  readonly lines: readonly RatedLine[];
}

/** The line of a stroke that somebody was to play, radians. */
export interface PlannedLine {
  readonly stroke: KickStroke;
  readonly direction: number;
}

/** Where both balls stopped, and whether the one was left where it lay. */
export interface KickEnd extends KickTaps {
  readonly missed: boolean;
}

/** What the worker for kicks does. */
export interface KickSolver {
  lines(asked: KickAsked, stroke: KickStroke): Promise<LinesTold>;
  /** @param onShare told after each stroke what share is done, 0…1 @param onFirst told a first good line */
  families(
    asked: KickAsked,
    onShare: (share: number) => void,
    onFirst: (line: RatedLine) => void,
  ): Promise<readonly KickFamily[]>;
  /** What the places of both balls tell of a kick that was planned. */
  told(asked: KickAsked, planned: PlannedLine, ended: KickEnd): Promise<KickTold>;
}
