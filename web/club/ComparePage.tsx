import { useWords } from '../words/useWords.ts';
import { useAddress } from '../controls/useAddress.ts';
import { Anchor, Group, Select, Stack, Table, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { compareResults, resultText } from '../../core/counting/result.ts';
import { SKILLS } from '../../core/records/drill.ts';
import type { PlayerProgress } from '../../core/records/progress.ts';
import { drillsQuery } from '../api/drills.ts';
import { playerProgressQuery, playersQuery } from '../api/players.ts';
import { Loading } from '../controls/Loading.tsx';
import { sharedKinds } from './sharedKinds.ts';

/** Two players side by side: their ratings, and the drills that both have played on tables that play alike. */
export function ComparePage() {
  const { params, set } = useAddress();
  const players = useQuery(playersQuery);
  const [a, b] = [params.get('a') ?? '', params.get('b') ?? ''];
  const one = useQuery({ ...playerProgressQuery(a), enabled: a !== '' });
  const two = useQuery({ ...playerProgressQuery(b), enabled: b !== '' });
  if (players.data === undefined) return <Loading what="the players" error={players.error} />;
  const choose = (name: string, id: string | null) => set({ [name]: id });
  const data = players.data
    .filter(({ archived }) => !archived)
    .map(({ id, name }) => ({ value: id, label: name }));
  const nameOf = (id: string) => data.find(({ value }) => value === id)?.label ?? '';
  return (
    <Stack>
      <Group justify="space-between" align="end">
        <div>
          <Anchor component={Link} to="/players">
            Players
          </Anchor>
          <Title order={1}>Compare two</Title>
        </div>
        <Group className="no-print">
          {(['a', 'b'] as const).map((name, i) => (
            <Select
              key={name}
              aria-label={i === 0 ? 'First player' : 'Second player'}
              placeholder={i === 0 ? 'first player' : 'second player'}
              searchable
              data={data}
              value={name === 'a' ? a || null : b || null}
              onChange={(id) => choose(name, id)}
            />
          ))}
        </Group>
      </Group>
      {one.data === undefined || two.data === undefined ? (
        <Text>
          {a === '' || b === '' ? 'Choose two players, and their ratings and common drills stand here.' : ''}
        </Text>
      ) : (
        <Both names={[nameOf(a), nameOf(b)]} both={[one.data, two.data]} />
      )}
    </Stack>
  );
}

interface BothProps {
  readonly names: readonly [string, string];
  readonly both: readonly [PlayerProgress, PlayerProgress];
}

function Both({ names, both }: BothProps) {
  const { skillName } = useWords();
  const drills = useQuery(drillsQuery);
  const titleOf = (slug: string) =>
    drills.data?.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const skills = SKILLS.filter((skill) => both.some(({ ratings }) => ratings.some((r) => r.skill === skill)));
  const kinds = sharedKinds(both[0].kinds, both[1].kinds);
  return (
    <>
      <div className="card">
        <Table verticalSpacing={6} aria-label="Ratings of both">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Rating, 90 % interval</Table.Th>
              {names.map((name) => (
                <Table.Th key={name} ta="right">
                  {name}
                </Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {skills.map((skill) => (
              <Table.Tr key={skill}>
                <Table.Td>{skillName(skill)}</Table.Td>
                {both.map(({ ratings }, i) => {
                  const rating = ratings.find((each) => each.skill === skill);
                  return (
                    <Table.Td key={names[i]} ta="right">
                      {rating === undefined
                        ? 'not rated'
                        : `${Math.round(rating.rating)} (${Math.round(rating.low)} to ${Math.round(rating.high)})`}
                    </Table.Td>
                  );
                })}
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
      {kinds.length === 0 ? (
        <Text>They have no drill in common on tables that play alike.</Text>
      ) : (
        <div className="card" style={{ overflowX: 'auto' }}>
          <Table verticalSpacing={6} aria-label="Drills of both">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Drill</Table.Th>
                {names.map((name) => (
                  <Table.Th key={name} ta="right">
                    {name}: best, median of five, rounds
                  </Table.Th>
                ))}
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {kinds.map((pair) => {
                const order = compareResults(pair[0].median, pair[1].median);
                return (
                  <Table.Tr key={`${pair[0].drill} ${pair[0].stage} ${pair[0].table.fingerprint}`}>
                    <Table.Td>
                      {titleOf(pair[0].drill)}, stage {pair[0].stage}
                    </Table.Td>
                    {pair.map((kind, i) => (
                      <Table.Td key={names[i]} ta="right" fw={(i === 0 ? order < 0 : order > 0) ? 700 : 400}>
                        {resultText(kind.best)}, {resultText(kind.median)} {kind.median.unit}, {kind.rounds}
                      </Table.Td>
                    ))}
                  </Table.Tr>
                );
              })}
            </Table.Tbody>
          </Table>
          <Text size="xs" c="dimmed" mt={6}>
            The better median stands bold. Only rounds of the same version of the drill, at the same stage, on
            tables that play alike.
          </Text>
        </div>
      )}
    </>
  );
}
