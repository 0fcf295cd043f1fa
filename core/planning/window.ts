import type { BallOnTable } from '../motion/shot.ts';
import { type LevelName, executionErrorOf } from '../player/levels.ts';
import { fullAcceptanceOf } from '../shot/acceptance.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import type { PositionWindow } from './grid.ts';
import { potLines } from './potOptions.ts';
import { windowAmong } from './windowAmong.ts';

/**
 * Computes the window of a ball into a pocket for a level of player: as they cue it from each place, past the other balls:
 * chances 0…1 on a grid of places of the cue ball's centre, metres.
 * @param object the ball to be potted @param others the other object balls, where they will lie, metres
 */
export function positionWindow(
  table: Table,
  object: BallOnTable,
  pocket: PocketName,
  level: LevelName,
  others: readonly BallOnTable[] = [],
): PositionWindow {
  const balls = [object, ...others];
  const lines = potLines(table, balls, [object.id], fullAcceptanceOf, [pocket]);
  return windowAmong(table, lines, balls, executionErrorOf(level, table.preset.game));
}
