import type { Round } from '../records/round.ts';
import type { LessonBlock, LessonDocument } from '../records/lesson.ts';

/** A round of a block as far as turns need it. */
type PlayedRound = Pick<Round, 'player' | 'endedAt' | 'startedAt'> & {
  readonly attempts: readonly unknown[];
};

/** Who plays a block: in a planned evening one student, otherwise everybody who is there. */
export function playersOf(
  { playerIds }: Pick<LessonDocument, 'playerIds'>,
  { playerId }: Pick<LessonBlock, 'playerId'>,
): readonly string[] {
  return playerId === undefined ? playerIds : [playerId];
}

/**
 * Whose turn it is in a group at one table: by rounds, whoever has ended fewest; by attempts, whoever has played fewest
 * in the round that runs. Of several the first in the lesson's order.
 */
export function nextPlayer(
  playerIds: readonly string[],
  rounds: readonly PlayedRound[],
  turns: LessonDocument['turns'],
): string | undefined {
  const ended = (id: string) =>
    rounds.filter(({ player, endedAt }) => player.id === id && endedAt !== null).length;
  const attempts = (id: string) =>
    rounds.filter(({ player }) => player.id === id).reduce((sum, round) => sum + round.attempts.length, 0);
  const open = rounds.find(({ endedAt }) => endedAt === null);
  // By rounds, a round that runs is played to its end first.
  if (turns === 'after each round' && open !== undefined) return open.player.id;
  const done = turns === 'after each round' ? ended : attempts;
  return [...playerIds].sort((a, b) => done(a) - done(b))[0];
}
