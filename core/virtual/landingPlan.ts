import { CUE_BALL } from '../drill/layout.ts';
import { ballsOfSetUp, setUp } from '../drill/setUp.ts';
import type { Point } from '../math/point.ts';
import type { Shot, ShotResult } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { executionErrorOf, type LevelName } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import type { Drill } from '../records/drill.ts';
import type { Table } from '../table/table.ts';
import { landingPoints, planLanding } from './playLanding.ts';
import { playedBy } from './player.ts';

/** Executions from which the mean of the points is told: its error is a fifteenth of their spread. */
const EXECUTIONS = 240;

/** A stroke to the drawn targets of a drill, and what a player makes of it. */
export interface LandingPlan {
  readonly shot: Shot;
  readonly result: ShotResult;
  /** Where the cue ball stops when it goes as planned. */
  readonly landing: Point;
  /** Points when it goes as planned, and in the mean as the player executes it. */
  readonly planned: number;
  readonly mean: number;
  /** Share of the executions that earn anything, 0…1. */
  readonly scores: number;
}

/**
 * The stroke that promises a player most points at a drill whose targets are drawn on the table, with no next ball: plain
 * strokes are searched, a cue ball that may be placed is placed.
 * @param drill at its stage @param seed of the throw and of the executions
 * @returns undefined for another task, and where no plain stroke earns anything
 */
export function landingPlanOf(
  drill: Drill,
  table: Table,
  level: LevelName,
  seed: number,
): LandingPlan | undefined {
  const { task } = drill;
  if (task.kind !== 'land') return undefined;
  const random = createRandom(seed);
  const player = { table, error: executionErrorOf(level, table.preset.game), random };
  const shot = planLanding(player, drill, task, ballsOfSetUp(setUp(drill, table.preset, seed)));
  if (shot === undefined) return undefined;
  const result = simulate(shot, { paths: true });
  const cue = result.rest.find(({ id }) => id === CUE_BALL);
  if (cue === undefined) return undefined;
  const played = Array.from({ length: EXECUTIONS }, () =>
    landingPoints(playedBy(player, shot, random), drill, task),
  );
  return {
    shot,
    result,
    landing: { x: cue.x, y: cue.y },
    planned: landingPoints(shot, drill, task),
    mean: played.reduce((sum, points) => sum + points, 0) / EXECUTIONS,
    scores: played.filter((points) => points > 0).length / EXECUTIONS,
  };
}
