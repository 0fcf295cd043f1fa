import { note, Note, Own, type Engine } from './engine.ts';
import { enterPhase, settleOnBed } from './cloth.ts';
import { boxSweep, predictMeetings } from './meetings.ts';
import { predictOwn } from './ownEvents.ts';
import { recordPath } from './result.ts';
import type { BallMotion, BallOnTable } from './shot.ts';
import { giveMotion, Phase, placeAtRest } from './state.ts';

/**
 * Gives the balls their slots in the order of their places, so that what happens at the same moment is taken in an
 * order that does not hang on the input's. Each ball is pushed in among those before it; there are few.
 */
function takeSlots({ s, slot, order }: Engine, balls: readonly BallOnTable[]): void {
  const { x, y } = s;
  for (let k = 0; k < balls.length; k++) {
    const ball = balls[k]!;
    const bx = ball.x;
    const by = ball.y;
    let at = k;
    while (at > 0 && (x[at - 1]! > bx || (x[at - 1] === bx && y[at - 1]! > by))) {
      x[at] = x[at - 1]!;
      y[at] = y[at - 1]!;
      order[at] = order[at - 1]!;
      at--;
    }
    x[at] = bx;
    y[at] = by;
    order[at] = k;
  }
  for (let i = 0; i < balls.length; i++) slot[order[i]!] = i;
}

/**
 * Puts the balls on the engine's table, sets some of them in motion and predicts what happens first.
 * @param moving the motion of the balls from number `first` on; the others lie still
 * @param paths whether each ball's path is recorded, and how finely
 */
export function begin(
  e: Engine,
  balls: readonly BallOnTable[],
  moving: readonly BallMotion[],
  first: number,
  paths: boolean | 'fine',
): void {
  const { s } = e;
  const p = e.table.parameters;
  const n = balls.length;
  s.count = n;
  s.ids.length = n;
  e.now = 0;
  e.notes = 0;
  e.paths = paths === false ? undefined : balls.map(() => []);
  e.presses = paths === 'fine' ? [] : undefined;
  takeSlots(e, balls);
  for (let i = 0; i < n; i++) {
    placeAtRest(s, i, balls[e.order[i]!]!, p);
    e.version[i] = 0;
    e.pocketOf[i] = -1;
    e.meet[i] = Infinity;
    e.mate[i] = -1;
    e.own[i] = Infinity;
    e.ownKind[i] = Own.Phase;
    const motion = moving[e.order[i]! - first];
    if (motion !== undefined) setInMotion(e, i, motion);
    boxSweep(e, i);
    recordPath(e, i);
  }
  for (let i = 0; i < n; i++) if (s.phase[i]! > Phase.Spinning) predictMeetings(e, i);
}

function setInMotion(e: Engine, i: number, motion: BallMotion): void {
  const { s } = e;
  const p = e.table.parameters;
  giveMotion(s, i, motion);
  settleOnBed(s, i, p);
  enterPhase(s, i, p);
  if (s.phase[i] === Phase.Flying) note(e, Note.Hop, i, -1);
  predictOwn(e, i);
}
