import { simulate } from '../../motion/simulate.ts';
import type { Shot } from '../../motion/shot.ts';
import { fullAcceptanceOf } from '../../shot/acceptance.ts';
import { cutTo } from '../../shot/cut.ts';
import { naturalPath } from '../../shot/naturalPath.ts';
import { pocketMargin } from '../../shot/pocketMargin.ts';
import { leftOnTable } from '../aftermath.ts';
import { potLines, potOptions } from '../potOptions.ts';
import { ribbonOf } from '../ribbon.ts';
import { paceWindow } from '../stops.ts';
import { FINE_STEP, pocketsOf, ROUGH_STEP, solved } from './prepared.ts';
import type { NoPicture, PlannedStroke, PositionQuestion, ShotPicture } from './question.ts';

/**
 * What is known at once of a stroke at a pot: cut, natural path, what the pocket forgives, the window of the next ball
 * and where the stroke stops at other paces.
 * @param rough on a coarse grid, while something is moved
 */
export function pictureOf(
  question: PositionQuestion,
  stroke: PlannedStroke,
  rough: boolean,
): ShotPicture | NoPicture {
  const found = solved(question, stroke, rough ? ROUGH_STEP : FINE_STEP);
  if (found.kind === 'no-way') return found;
  const { table, cue, object, acceptance, shot, result, window, held, aims } = found;
  if (acceptance === undefined) return { kind: 'no-way', reason: 'pocket-closed' };
  const aimed = { x: object.x + Math.cos(acceptance.middle), y: object.y + Math.sin(acceptance.middle) };
  const { cueBallRadius, cueBallMass, ballRadius, ballMass } = table.preset;
  const restitution = table.parameters.ballRestitution;
  const sizes = { cueBallRadius, cueBallMass, ballRadius, ballMass, restitution };
  const pace = paceWindow(shot, aims);
  const lines = potLines(table, found.others, question.next, fullAcceptanceOf, pocketsOf(question));
  return {
    kind: 'pots',
    shot,
    result,
    cut: cutTo(cue, object, aimed, cue.radius, object.radius),
    natural: naturalPath(cue, object, aimed, sizes),
    margin: pocketMargin(table, cue, object, question.pocket, acceptance),
    cueing: held,
    pace,
    ribbon: ribbonOf(table, pace.stops, lines, found.others, aims),
    window,
    onNext: likeliestNext(question, shot),
  };
}

function likeliestNext(question: PositionQuestion, shot: Shot): string | undefined {
  const left = leftOnTable(shot.balls, simulate(shot, { events: false }).rest);
  const cue = left.find(({ id }) => id === question.cue);
  if (cue === undefined) return undefined;
  const objects = left.filter((ball) => ball !== cue);
  const lines = potLines(shot.table, objects, question.next, fullAcceptanceOf, pocketsOf(question));
  return potOptions(shot.table, cue, lines, objects, question.error)[0]?.line.ball;
}
