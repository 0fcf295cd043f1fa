import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import {
  programmeSchema,
  type Programme,
  type ProgrammeDocument,
  type ProgrammeWithRounds,
} from '../../core/records/programme.ts';
import { call } from '../api/client.ts';
import { clubOverviewQuery } from '../api/club.ts';
import { programmeQuery, programmesQuery } from '../api/programmes.ts';
import { tickItem } from '../outbox/tickItem.ts';
import { change, redo, startHistory, undo, type History } from '../controls/history.ts';

export type ProgrammeSaving = 'saved' | 'saving' | 'not saved';

/** A programme that is worked on: each change is sent at once; what could not be sent stays, and is sent again. */
export function useProgramme(id: string) {
  const queries = useQueryClient();
  const programme = useQuery(programmeQuery(id));
  const stored = programme.data?.programme;
  const [mine, setMine] = useState<History<ProgrammeDocument>>();
  const [saving, setSaving] = useState<ProgrammeSaving>('saved');
  const [refusal, setRefusal] = useState('');
  const history = mine ?? (stored && startHistory(stored.document));

  function keep(next: Programme) {
    queries.setQueryData(programmeQuery(id).queryKey, (before: ProgrammeWithRounds | undefined) =>
      before === undefined ? before : { ...before, programme: next },
    );
    void queries.invalidateQueries({ queryKey: programmesQuery.queryKey, exact: true });
    void queries.invalidateQueries({ queryKey: clubOverviewQuery('').queryKey.slice(0, 2) });
  }

  async function send(document: ProgrammeDocument) {
    setSaving('saving');
    try {
      const basedOn = queries.getQueryData(programmeQuery(id).queryKey)?.programme.version ?? 1;
      keep(await programmeSchema.validate(await call('PUT', `/programmes/${id}`, { document, basedOn })));
      setSaving('saved');
      setRefusal('');
    } catch (error) {
      setSaving('not saved');
      setRefusal(error instanceof Error ? error.message : 'no reason was given');
    }
  }

  function go(next: History<ProgrammeDocument>) {
    setMine(next);
    void send(next.present);
  }

  async function tick(item: string, done: boolean) {
    try {
      const stored = await tickItem(queries, id, item, done);
      if (stored !== undefined) keep(stored);
    } catch (error) {
      setSaving('not saved');
      setRefusal(error instanceof Error ? error.message : 'no reason was given');
    }
  }

  return {
    query: programme,
    history,
    saving,
    refusal,
    change: (document: ProgrammeDocument) => {
      if (history !== undefined) go(change(history, document, undefined));
    },
    undo: () => {
      if (history !== undefined) go(undo(history));
    },
    redo: () => {
      if (history !== undefined) go(redo(history));
    },
    again: () => {
      if (history !== undefined) void send(history.present);
    },
    tick,
  };
}
