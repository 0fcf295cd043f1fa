import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Programme, ProgrammeDocument, ProgrammeWithRounds } from '../../core/records/programme.ts';
import { clubOverviewQuery } from '../api/club.ts';
import { programmesQuery, proposalsQuery } from '../api/programmes.ts';
import { useViewer } from '../api/viewer.ts';
import { change, redo, startHistory, undo, type History } from '../controls/history.ts';
import { programmeDocuments } from '../outbox/documents.ts';
import { tickedProgrammeQuery, tickItem } from '../outbox/ticks.ts';
import { useVersioned } from '../outbox/useVersioned.ts';

/** A programme that is worked on; each change can be undone. */
export function useProgramme(id: string) {
  const queries = useQueryClient();
  const viewer = useViewer();
  const query = useQuery(tickedProgrammeQuery(id));
  const { queryKey } = tickedProgrammeQuery(id);
  const edited = useVersioned(programmeDocuments, id, query.data?.programme, (next: Programme) => {
    void queries.cancelQueries({ queryKey });
    queries.setQueryData(queryKey, (before: ProgrammeWithRounds | undefined) =>
      before === undefined ? before : { ...before, programme: { ...next, ticks: before.programme.ticks } },
    );
    void queries.invalidateQueries({ queryKey: programmesQuery.queryKey, exact: true });
    void queries.invalidateQueries({ queryKey: proposalsQuery(id).queryKey });
    void queries.invalidateQueries({ queryKey: clubOverviewQuery('').queryKey.slice(0, 2) });
  });
  const [steps, setSteps] = useState<History<ProgrammeDocument>>();
  const { document } = edited;
  // Another device may have changed it since the last step here.
  const history = document && { ...(steps ?? startHistory(document)), present: document };

  function go(next: History<ProgrammeDocument>) {
    setSteps(next);
    edited.change(next.present);
  }

  return {
    query,
    history,
    saving: edited.saving,
    refusal: edited.refusal,
    settle: edited.settle,
    again: edited.again,
    flush: edited.flush,
    change: (next: ProgrammeDocument) => {
      if (history !== undefined) go(change(history, next, undefined));
    },
    undo: () => {
      if (history !== undefined) go(undo(history));
    },
    redo: () => {
      if (history !== undefined) go(redo(history));
    },
    tick: (item: string, done: boolean) => tickItem(queries, viewer, id, item, done),
  };
}
