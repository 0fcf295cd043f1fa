import { useQuery } from '@tanstack/react-query';
import { coachesQuery } from '../../api/club.ts';
import { drillsQuery } from '../../api/drills.ts';
import { playersQuery } from '../../api/players.ts';
import { tablesQuery } from '../../api/tables.ts';
import type { EveningNames } from './Timetable.tsx';

interface Named {
  readonly id: string;
  readonly name: string;
}

const nameIn = (all: readonly Named[] | undefined, id: string, otherwise: string) =>
  all?.find((each) => each.id === id)?.name ?? otherwise;

/** Who and what an evening is made of; undefined while it is not known yet. */
export function useEveningCast() {
  const players = useQuery(playersQuery);
  const tables = useQuery(tablesQuery);
  const coaches = useQuery(coachesQuery);
  const drills = useQuery(drillsQuery);
  const error = players.error ?? tables.error ?? coaches.error ?? drills.error;
  if (
    players.data === undefined ||
    tables.data === undefined ||
    coaches.data === undefined ||
    drills.data === undefined
  ) {
    return { error, cast: undefined };
  }
  const [allPlayers, allTables, allCoaches, allDrills] = [
    players.data,
    tables.data,
    coaches.data,
    drills.data,
  ];
  const names: EveningNames = {
    student: (id) => nameIn(allPlayers, id, 'somebody'),
    table: (id) => nameIn(allTables, id, 'a table'),
    coach: (id) => nameIn(allCoaches, id, 'a coach'),
    drill: (slug) => allDrills.find(({ document }) => document.slug === slug)?.document.title ?? slug,
  };
  const cast = {
    names,
    players: allPlayers.filter(({ archived }) => !archived),
    tables: allTables.filter(({ archived }) => !archived),
    coaches: allCoaches.filter(({ removed }) => !removed),
    drills: allDrills,
  };
  return { error, cast };
}
