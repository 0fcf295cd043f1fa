import { Checkbox, Group, Text, Title } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { dayOf, todayInClub } from '../words/clubTime.ts';
import { Link } from 'react-router';
import { mondayOf } from '../../core/programme/days.ts';
import { donePlanned, isTickable } from '../../core/programme/donePlanned.ts';
import type { ProgrammeItem, ProgrammeWithRounds } from '../../core/records/programme.ts';
import { drillsQuery } from '../api/drills.ts';
import { programmesQuery } from '../api/programmes.ts';
import { useViewer } from '../api/viewer.ts';
import { tickedProgrammeQuery, tickItem } from '../outbox/ticks.ts';

/** What of their programmes a student has to do this week: ticked off here, or scored at the table. */
export function Homework({ playerId }: { readonly playerId: string }) {
  const programmes = useQuery(programmesQuery);
  const drills = useQuery(drillsQuery);
  const queries = useQueryClient();
  const viewer = useViewer();
  const own = (programmes.data ?? []).filter((each) => each.player.id === playerId && !each.archived);
  const full = useQueries({ queries: own.map(({ id }) => tickedProgrammeQuery(id)) });
  const today = todayInClub();
  const entries = full
    .flatMap(({ data }) => (data === undefined ? [] : entriesOf(data, today)))
    .sort((a, b) => a.item.day.localeCompare(b.item.day));
  if (entries.length === 0) return null;
  const titleOf = (slug: string) =>
    drills.data?.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const wordsOf = ({ drill, minutes }: ProgrammeItem) => `${titleOf(drill)}, ${minutes} min`;
  return (
    <section aria-labelledby="homework-title" className="card">
      <Title order={2} size="h3" id="homework-title" mb="xs">
        This week’s practice
      </Title>
      {entries.map(({ programme, item, state }) => (
        <div key={item.id} style={{ marginTop: 8 }}>
          <Group justify="space-between" wrap="nowrap">
            {state.kind === 'scored' ? (
              <Group gap={12} wrap="nowrap">
                <IconCheck size={20} aria-hidden />
                <Text size="sm">{wordsOf(item)}</Text>
              </Group>
            ) : (
              <Checkbox
                label={wordsOf(item)}
                disabled={state.kind !== 'ticked' && !isTickable(item, today)}
                checked={state.kind === 'ticked'}
                onChange={(event) =>
                  tickItem(queries, viewer, programme, item.id, event.currentTarget.checked)
                }
              />
            )}
            {state.kind === 'scored' && <Link to={`/lesson/rounds/${state.round}`}>See the round</Link>}
            {state.kind === 'open' && (
              <Link to={`/lesson/round?drill=${item.drill}&stage=${item.stage}&player=${playerId}`}>
                Score a round
              </Link>
            )}
          </Group>
          <Text size="sm" c="dimmed" pl={32}>
            {item.day === today ? 'today' : dayjs(item.day).format('dddd')}
            {item.day < today && state.kind === 'open' ? ', waits' : ''}
            {state.kind === 'scored' ? ', scored' : ''}
            {item.note === '' ? '' : `: ${item.note}`}
          </Text>
        </div>
      ))}
    </section>
  );
}

function entriesOf({ programme, rounds }: ProgrammeWithRounds, today: string) {
  const items = programme.document.items.filter(({ day }) => mondayOf(day) === mondayOf(today));
  const states = donePlanned(
    items,
    new Set(programme.ticks.map(({ item }) => item)),
    rounds.map((round) => ({
      id: round.id,
      drill: round.drill,
      day: dayOf(round.startedAt),
    })),
    today,
  );
  return items.flatMap((item) => {
    const state = states.get(item.id);
    return state === undefined ? [] : [{ programme: programme.id, item, state }];
  });
}
