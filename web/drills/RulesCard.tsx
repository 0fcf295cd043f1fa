import { useWords } from '../words/useWords.ts';
import { Text, Title } from '@mantine/core';
import { foulCost, type FoulCost, type Game } from '../../core/rules/foulCost.ts';
import { capital } from '../words/vocabulary.ts';

interface RulesOfGame {
  readonly fouls: string;
  readonly after: string;
  readonly suits?: string;
  readonly both?: string;
  readonly deliberate: string;
}

/** The usual rules, short. */
const RULES: Readonly<Record<Game, RulesOfGame>> = {
  'nine-ball': {
    fouls:
      'The lowest ball is not hit first, or after the hit nothing falls and nothing meets a cushion; the cue ball lost; a ball off the table.',
    after: 'Three fouls in a row lose the rack. Right after the break the cue ball may be pushed out once.',
    deliberate: 'A deliberate foul is a foul like any other: the cue ball is in hand.',
  },
  'eight-ball': {
    fouls:
      'A ball of the own suit is not hit first, or after the hit nothing falls and nothing meets a cushion; the cue ball lost.',
    after: 'The 8 on the break does not decide the rack; the 8 with a foul, or too early, loses it.',
    suits:
      'After the break the table is open, whatever fell; the first ball potted on purpose takes the suit.',
    both: 'An own ball and one of the opponent’s together: both stay down, and the turn goes on.',
    deliberate: 'A deliberate foul is a foul like any other: the cue ball is in hand.',
  },
  'small-table eight-ball': {
    fouls:
      'A ball of the own colour is not hit first, or after the hit nothing falls and nothing meets a cushion; the cue ball lost; a ball off the table.',
    after: 'The first of the two visits is a free shot: whatever ball is hit and potted.',
    suits: 'After the break the table is open, whatever fell.',
    both: 'An own ball and one of the opponent’s together: a foul in many halls, none in others. Agree before.',
    deliberate: 'A deliberate foul loses the frame in many halls.',
  },
  snooker: {
    fouls:
      'Another ball than the one on is hit first, or none; a ball that is not on falls; the cue ball lost; a ball off the table.',
    after:
      'A foul and a miss: the opponent may have the shot played again from where it was. Snookered after a foul: a free ball.',
    deliberate: 'A deliberate foul is a miss: the balls go back as often as the opponent asks.',
  },
};

function costInWords(cost: FoulCost): string {
  switch (cost.kind) {
    case 'ball in hand':
      return 'the cue ball is in hand anywhere';
    case 'visits':
      return `${cost.visits} visits for the opponent`;
    case 'points':
      return `at least ${cost.points} points: the highest of four, the ball on, the one first hit and those potted`;
  }
}

/** A dear foul at snooker, to show how the points come about. */
const DEAR = { on: 'red', firstHit: 'red', potted: ['black'] };

/** The rules of the drill's game in a few lines. */
export function RulesCard({ game }: { readonly game: Game }) {
  const { say } = useWords();
  const { fouls, after, suits, both, deliberate } = RULES[game];
  const dear = foulCost(game, DEAR);
  return (
    <section className="card" aria-label={`Rules of ${game}`}>
      <Title order={2} size="h4">
        {capital(game)}: fouls
      </Title>
      <Text size="sm" mt={4}>
        {say(fouls)}
      </Text>
      <Text size="sm" mt={4} fw={700}>
        {capital(costInWords(foulCost(game)))}
        {dear.kind === 'points' ? `; the black potted off a red costs ${dear.points}` : ''}.
      </Text>
      {[after, suits, both, deliberate].map(
        (line) =>
          line !== undefined && (
            <Text key={line} size="sm" mt={4}>
              {say(line)}
            </Text>
          ),
      )}
      <Text size="xs" c="dimmed" mt={4}>
        The usual rules. The house rules win.
      </Text>
    </section>
  );
}
