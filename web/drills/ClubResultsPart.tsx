import { Text } from '@mantine/core';
import { resultText } from '../../core/counting/result.ts';
import type { ClubResults } from '../../core/records/clubResults.ts';
import { resultWords } from '../words/resultWords.ts';

/** What the club's own players have scored, as a third measure beside the levels and the coach's marks. */
export function ClubResultsPart({ club }: { readonly club: ClubResults | null }) {
  if (club === null || club.best === null) return null;
  const [low, middle, high] = club.quartiles;
  const players = club.players === 1 ? '1 player' : `${club.players} players`;
  const rounds = club.rounds === 1 ? '1 round' : `${club.rounds} rounds`;
  return (
    <Text size="sm" mt={8} data-testid="club-results">
      <b>In this club</b>, {rounds} by {players}: best {resultWords(club.best)}
      {club.rounds > 3 && low !== undefined && middle !== undefined && high !== undefined
        ? `, half of them at ${resultText(middle)} or better, the middle half from ${resultText(low)} to ${resultText(high)}`
        : ''}
      .
    </Text>
  );
}
