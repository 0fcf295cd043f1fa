import { useWords } from '../words/useWords.ts';
import { Table, Text } from '@mantine/core';
import { Link } from 'react-router';
import type { Player } from '../../core/records/player.ts';
import { SKILLS, type Skill } from '../../core/records/drill.ts';
import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import type { SkillRating } from '../../core/records/rating.ts';
import { ago } from '../words/dates.ts';
import { courseWords } from '../words/courseWords.ts';
import { ratingWords } from '../words/ratingWords.ts';
import { arrowOf, standingOf, weekWords, type Standing } from './overviewWords.ts';

interface ClubTableProps {
  readonly players: readonly Player[];
  readonly overview: readonly PlayerOverview[];
  readonly now: number;
}

/** What presses comes first. */
const ORDER: readonly Standing[] = [
  'falls back',
  'stuck',
  'not practised',
  'new',
  'on their way',
  'comes back',
  'improves',
  'holds a high level',
];

/** Every student in a line: how they stand in each skill, where they go, when they practised, what is due. */
export function ClubTable({ players, overview, now }: ClubTableProps) {
  const { skillName } = useWords();
  const skills = SKILLS.filter((skill) =>
    overview.some(({ ratings }) => ratings.some((r) => r.skill === skill)),
  );
  const lines = overview
    .flatMap((each) => {
      const player = players.find(({ id }) => id === each.playerId);
      return player === undefined ? [] : [{ player, each, standing: standingOf(each, now) }];
    })
    .sort(
      (a, b) =>
        ORDER.indexOf(a.standing) - ORDER.indexOf(b.standing) || a.player.name.localeCompare(b.player.name),
    );
  return (
    <div className="card" style={{ overflowX: 'auto' }}>
      <Table verticalSpacing={6} aria-label="Players at a glance">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Player</Table.Th>
            <Table.Th>Standing</Table.Th>
            {skills.map((skill) => (
              <Table.Th key={skill} ta="right">
                {skillName(skill)}
              </Table.Th>
            ))}
            <Table.Th>Last round</Table.Th>
            <Table.Th>Programme</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {lines.map(({ player, each, standing }) => (
            <Table.Tr key={player.id}>
              <Table.Td>
                <Link to={`/players/${player.id}`}>
                  <b>{player.name}</b>
                </Link>
              </Table.Td>
              <Table.Td fw={standing === 'on their way' ? 400 : 700}>{standing}</Table.Td>
              {skills.map((skill) => (
                <Table.Td key={skill} ta="right">
                  <RatingCell ratings={each.ratings} skill={skill} />
                </Table.Td>
              ))}
              <Table.Td>{ago(player.lastRoundAt)}</Table.Td>
              <Table.Td fw={each.week.due > 0 ? 700 : 400}>{weekWords(each.week)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Text size="xs" c="dimmed" mt={6}>
        Ratings from 0 to 100 with the ends of their 90 % intervals; an arrow where it surely goes up or down,
        or stays; both where a slump was won back.
      </Text>
    </div>
  );
}

function RatingCell({ ratings, skill }: { readonly ratings: readonly SkillRating[]; readonly skill: Skill }) {
  const rating = ratings.find((each) => each.skill === skill);
  if (rating === undefined) return null;
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      <b title={`${ratingWords(rating)} ${courseWords(rating)}`}>{Math.round(rating.rating)}</b>{' '}
      {arrowOf(rating)}{' '}
      <span className="muted" style={{ fontSize: '0.8rem' }}>
        {Math.round(rating.low)}–{Math.round(rating.high)}
      </span>
    </span>
  );
}
