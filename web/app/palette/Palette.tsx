import '@mantine/spotlight/styles.css';
import { createSpotlight, Spotlight } from '@mantine/spotlight';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { drillsQuery } from '../../api/drills.ts';
import { lessonsQuery } from '../../api/lessons.ts';
import { playersQuery } from '../../api/players.ts';
import { tablesQuery } from '../../api/tables.ts';
import { useViewer } from '../../api/viewer.ts';
import { longDay } from '../../words/dates.ts';
import { found } from './find.ts';
import { pagesFor, type Place } from './places.ts';

/** Arrow keys go through the list; whoever only scrolls reaches its frame, too. */
const SCROLLED = { viewportProps: { tabIndex: 0 } };

interface PaletteProps {
  readonly onClose: () => void;
}

const isThere = ({ archived }: { readonly archived: boolean }) => !archived;

/** Everything of the club that can be gone to; what is not loaded yet comes when it is. */
function usePlaces(): readonly Place[] {
  const viewer = useViewer();
  const players = useQuery(playersQuery).data;
  const drills = useQuery(drillsQuery).data;
  const tables = useQuery(tablesQuery).data;
  const lessons = useQuery(lessonsQuery).data;
  return useMemo(
    () => [
      ...pagesFor(viewer),
      ...(players ?? []).filter(isThere).map(({ id, name }): Place => ({
        to: `/players/${id}`,
        name,
        about: 'player',
      })),
      ...(drills ?? []).filter(isThere).map(({ document }): Place => ({
        to: `/drills/${document.slug}`,
        name: document.title,
        about: `drill, ${document.family}`,
        also: [...document.skills, document.purpose, ...document.advice].join(' '),
      })),
      ...(tables ?? []).filter(isThere).map(({ id, name }): Place => ({
        to: `/hall/${id}`,
        name,
        about: 'table',
      })),
      ...(lessons ?? []).filter(isThere).map(({ id, document }): Place => ({
        to: `/lesson/${id}`,
        name: document.title,
        about: `lesson, ${longDay(document.day)}`,
      })),
    ],
    [viewer, players, drills, tables, lessons],
  );
}

/** Finds players, drills, lessons, tables, pages and what can be done, by some letters of their names. */
export function Palette({ onClose }: PaletteProps) {
  const navigate = useNavigate();
  const places = usePlaces();
  const [[store, control]] = useState(() => createSpotlight());
  const [typed, setTyped] = useState('');
  useEffect(() => control.open(), [control]);
  const shown = found(places, typed);
  return (
    <Spotlight.Root
      store={store}
      query={typed}
      onQueryChange={setTyped}
      shortcut={null}
      onSpotlightClose={onClose}
      scrollable
      maxHeight="70vh"
      attributes={{ content: { 'aria-label': 'Find' } }}
    >
      <Spotlight.Search placeholder="Player, drill, table, lesson, page" aria-label="Find" />
      <Spotlight.ActionsList {...SCROLLED}>
        {shown.map(({ to, name, about }) => (
          <Spotlight.Action key={to} label={name} description={about} onClick={() => void navigate(to)} />
        ))}
        {shown.length === 0 && <Spotlight.Empty>Nothing is called that.</Spotlight.Empty>}
      </Spotlight.ActionsList>
    </Spotlight.Root>
  );
}
