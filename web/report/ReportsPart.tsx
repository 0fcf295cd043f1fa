import { useQuery } from '@tanstack/react-query';
import { inClub, todayInClub } from '../words/clubTime.ts';
import type { ReportDocument } from '../../core/records/report.ts';
import { reportsQuery } from '../api/reports.ts';
import { DocumentsPart } from '../controls/DocumentsPart.tsx';
import { longDay } from '../words/dates.ts';

const FIRST_MONTHS = 3;

/** The reports about a player; a new one is over the last three months. */
export function ReportsPart({ playerId }: { readonly playerId: string }) {
  const reports = useQuery(reportsQuery(playerId));
  return (
    <DocumentsPart
      kind="report"
      title="Reports"
      lines={(reports.data ?? []).map(({ id, document, writtenBy, archived }) => ({
        id,
        archived,
        title: `${longDay(document.from)} to ${longDay(document.to)}`,
        about: `by ${writtenBy}`,
      }))}
      none="None yet: a page for the player and their parents, with your words."
      begin={(): ReportDocument => ({
        playerId,
        from: inClub().subtract(FIRST_MONTHS, 'month').format('YYYY-MM-DD'),
        to: todayInClub(),
        words: '',
        goals: [],
      })}
      queryKey={reportsQuery(playerId).queryKey}
    />
  );
}
