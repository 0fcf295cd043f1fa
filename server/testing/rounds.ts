import { randomUUID } from 'node:crypto';
import { BLANK_SHOT, type LoggedShot } from '../../core/records/loggedShot.ts';
import { logOf } from '../../core/records/attempt.ts';
import { newRound } from './newRound.ts';
import { send, type TestApp, type TestClub } from './club.ts';

interface PlayedRound {
  readonly drill: string;
  /** When it begins and ends, ISO 8601. */
  readonly at: string;
  readonly stage?: number;
  /** What is noted of each of its shots; as many attempts. */
  readonly shots?: readonly Partial<LoggedShot>[];
}

/** A round of the club's player on its pool table, from its start to its end, by the routes of the application. */
export async function playRound({ app }: TestApp, club: TestClub, round: PlayedRound): Promise<string> {
  const id = randomUUID();
  const { drill, at, stage = 1, shots = [] } = round;
  const put = (path: string, method: string, body: unknown) =>
    send(app, method, `/api/rounds/${id}${path}`, { cookie: club.coach, body });
  const place = { playerId: club.playerId, tableId: club.poolTable };
  await put('', 'PUT', newRound(place, { drill, stage, startedAt: at }));
  for (const [i, shot] of shots.entries()) {
    const response = await put(`/attempts/${randomUUID()}`, 'PUT', {
      ordinal: i + 1,
      log: logOf({ shots: [{ ...BLANK_SHOT, ...shot }] }),
      playedAt: at,
    });
    if (response.status !== 201) throw new Error(await response.text());
  }
  const ended = await put('/end', 'POST', { endedAt: at, early: false });
  if (ended.status !== 200) throw new Error(await ended.text());
  return id;
}
