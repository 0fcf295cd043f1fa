import { mostPoints } from '../counting/bands.ts';
import type { PlannedShot } from '../drill/plannedShot.ts';
import type { PositionDrill } from '../drill/positionDrill.ts';
import { landingCloud } from '../planning/cloud.ts';
import { executionErrorOf, type LevelName } from '../player/levels.ts';
import type { DrillStage } from '../records/drill.ts';
import type { Outcome } from '../records/round.ts';
import { zonePoints } from './zonePoints.ts';

/** A round that a virtual player has played, and what many such rounds come to. */
export interface VirtualRound {
  readonly shots: readonly { readonly outcome: Outcome; readonly points: number }[];
  readonly points: number;
  readonly maximum: number;
  /** Mean of a round's points, and the share of pots, over many shots. */
  readonly mean: number;
  readonly potted: number;
}

/** Shots from which the means are taken. */
const MANY = 400;

/**
 * One round of a position drill by a virtual player.
 * @param seed same seed, same round; the means do not hang on it
 */
export function playVirtualRound(
  drill: PositionDrill,
  stage: DrillStage,
  planned: PlannedShot,
  level: LevelName,
  seed: number,
): VirtualRound {
  const error = executionErrorOf(level, planned.shot.table.preset.game);
  const task = { object: drill.task.pot, pocket: drill.task.pocket };
  const play = (count: number, from: number) =>
    landingCloud(planned.shot, task, error, count, from).map(({ outcome, landing }) => ({
      outcome,
      points: zonePoints(outcome, landing, planned.window, stage.bands),
    }));
  const total = (shots: VirtualRound['shots']) => shots.reduce((sum, { points }) => sum + points, 0);
  const count = drill.scoring.shots;
  const shots = play(count, seed);
  const many = play(MANY, 0);
  return {
    shots,
    points: total(shots),
    maximum: count * mostPoints(stage.bands),
    mean: (total(many) / MANY) * count,
    potted: many.filter(({ outcome }) => outcome === 'potted').length / MANY,
  };
}
