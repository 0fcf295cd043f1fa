import { Note, type Engine } from './engine.ts';
import { hertzStiffness } from './hertz.ts';
import type { BallOnTable, BallPath, Press, ShotEvent, ShotResult } from './shot.ts';
import { advance } from './cloth.ts';
import { Phase } from './state.ts';

/** Notes the piece of path that ball i begins now, when paths are asked for. */
export function recordPath(e: Engine, i: number): void {
  if (e.paths === undefined) return;
  const { s } = e;
  e.paths[i]!.push({
    t: s.t0[i]!,
    x: s.x[i]!,
    y: s.y[i]!,
    vx: s.vx[i]!,
    vy: s.vy[i]!,
    ax: s.ax[i]!,
    ay: s.ay[i]!,
    ...(s.phase[i] === Phase.Flying ? { flight: { z: s.z[i]!, vz: s.vz[i]! } } : {}),
  });
}

function eventOf(e: Engine, k: number): ShotEvent {
  const t = e.noteTime[k]!;
  const first = e.noteFirst[k]!;
  const second = e.noteSecond[k]!;
  const id = e.s.ids[first]!;
  switch (e.noteKind[k]!) {
    case Note.BallBall:
      return { t, kind: 'ball-ball', ids: [id, e.s.ids[second]!] };
    case Note.BallCushion:
      return { t, kind: 'ball-cushion', id, cushion: e.table.pieces[second]!.cushion };
    case Note.Pocket:
      return { t, kind: 'pocket', id, pocket: e.table.pockets[second]!.name };
    case Note.Rolling:
      return { t, kind: 'rolling', id };
    case Note.Rest:
      return { t, kind: 'rest', id };
    case Note.OffTable:
      return { t, kind: 'off-table', id };
    case Note.Hop:
      return { t, kind: 'hop', id };
    default:
      return { t, kind: 'bounce', id };
  }
}

function eventsOf(e: Engine): ShotEvent[] {
  const events: ShotEvent[] = [];
  for (let k = 0; k < e.notes; k++) events.push(eventOf(e, k));
  // A contact phase runs ahead of what happens elsewhere meanwhile.
  for (let k = 1; k < events.length; k++) {
    if (events[k]!.t < events[k - 1]!.t) {
      events.sort((a, b) => a.t - b.t);
      break;
    }
  }
  return events;
}

function pressesOf({ s, presses = [] }: Engine): readonly Press[] {
  return presses
    .map(({ t, until, i, j, deepest }): Press => ({
      t,
      until,
      ids: [s.ids[i]!, s.ids[j]!],
      force: hertzStiffness(s.radius[i]!, s.radius[j]!) * deepest * Math.sqrt(deepest),
    }))
    .sort((a, b) => a.t - b.t);
}

/** What the engine found, with the balls in the order in which they came in. */
export function resultOf(
  e: Engine,
  balls: readonly BallOnTable[],
  complete: boolean,
  withEvents: boolean,
): ShotResult {
  const { s } = e;
  let duration = 0;
  for (let i = 0; i < s.count; i++) {
    // A shot that was cut off stands as it is at the last event.
    if (s.phase[i]! > Phase.Rest && s.phase[i]! < Phase.Potted && e.now > s.t0[i]!)
      advance(s, i, e.now, e.table.parameters);
    duration = Math.max(duration, s.t0[i]!);
  }
  const events = withEvents ? eventsOf(e) : [];
  const rest = balls.map((ball, k) => {
    const i = e.slot[k]!;
    const pocket = e.pocketOf[i]!;
    return {
      id: ball.id,
      x: s.x[i]!,
      y: s.y[i]!,
      pocket: pocket < 0 ? null : e.table.pockets[pocket]!.name,
      offTable: s.phase[i] === Phase.OffTable,
    };
  });
  const { paths } = e;
  if (paths === undefined) return { rest, events, duration, complete };
  const inOrder: BallPath[] = balls.map((ball, k) => ({ id: ball.id, pieces: paths[e.slot[k]!]! }));
  return { rest, events, duration, complete, paths: inOrder, ...(e.presses && { presses: pressesOf(e) }) };
}
