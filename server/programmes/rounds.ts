import { addDays, WEEK_DAYS } from '../../core/programme/days.ts';
import type { RoundHead } from '../../core/records/round.ts';
import type { Programme } from '../../core/records/programme.ts';
import { listHeadsBetween } from '../db/queries/rounds.ts';
import type { Database } from '../db/pool.ts';

/** A day begins and ends elsewhere at another hour: a day more on either side is read. */
const SLACK_DAYS = 1;

/** The ended rounds of a programme's player in its weeks; on which day they were is the reader's own calendar's to say. */
export async function roundsOfWeeks(
  db: Database,
  clubId: string,
  { player, document }: Programme,
): Promise<readonly RoundHead[]> {
  const from = addDays(document.startDay, -SLACK_DAYS);
  const to = addDays(document.startDay, WEEK_DAYS * document.weeks + SLACK_DAYS);
  const heads = await listHeadsBetween(db, clubId, {
    playerId: player.id,
    from: new Date(`${from}T00:00:00Z`),
    to: new Date(`${to}T00:00:00Z`),
  });
  return heads.flatMap(({ result, ...head }) => (result === undefined ? [] : [{ ...head, result }]));
}
