import { useQuery } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { todayInClub } from '../words/clubTime.ts';
import { addDays, mondayOf, WEEK_DAYS } from '../../core/programme/days.ts';
import type { ProgrammeDocument } from '../../core/records/programme.ts';
import { programmesQuery } from '../api/programmes.ts';
import { DocumentsPart } from '../controls/DocumentsPart.tsx';

const FIRST_WEEKS = 5;

/** The programmes of a player, the newest first. */
export function ProgrammesPart({ playerId }: { readonly playerId: string }) {
  const programmes = useQuery(programmesQuery);
  const own = (programmes.data ?? []).filter(({ player }) => player.id === playerId);
  return (
    <DocumentsPart
      kind="programme"
      title="Programmes"
      lines={own.map(({ id, document, archived }) => ({
        id,
        archived,
        title: document.title,
        about: weeksWords(document),
      }))}
      none="None yet: weeks of practice are planned here."
      begin={(): ProgrammeDocument => ({
        title: 'Programme',
        playerId,
        startDay: mondayOf(todayInClub()),
        weeks: FIRST_WEEKS,
        matchDays: [],
        items: [],
      })}
      queryKey={programmesQuery.queryKey}
    />
  );
}

function weeksWords({ startDay, weeks, items }: ProgrammeDocument): string {
  const last = addDays(startDay, WEEK_DAYS * weeks - 1);
  const entries = items.length === 1 ? '1 entry' : `${items.length} entries`;
  return `${dayjs(startDay).format('D MMM')} to ${dayjs(last).format('D MMM YYYY')}, ${entries}`;
}
