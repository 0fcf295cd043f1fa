import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import type { Viewer } from '../../core/records/account.ts';
import { viewerQuery } from '../api/account.ts';
import { setDocumentsOwner } from '../outbox/documents.ts';
import { keepQueries } from './keptQueries.ts';
import { startSending } from '../outbox/sender.ts';
import { useOutbox } from '../outbox/OutboxNotice.tsx';
import { Loading } from '../controls/Loading.tsx';
import { setClubZone } from '../words/clubTime.ts';
import { ViewerContext } from '../api/viewer.ts';
import { useUnits } from '../words/useUnits.ts';

/** Everything behind the sign-in. */
export function RequireViewer() {
  const viewer = useQuery(viewerQuery);
  const location = useLocation();
  useFreshness();
  useSending(viewer.data ?? undefined);
  useUnits();
  setClubZone(viewer.data?.rules.zone ?? null);
  // What this device knows is shown also while the server is away.
  if (viewer.data === undefined) return <Loading what="your club" error={viewer.error} />;
  if (viewer.data === null) {
    return <Navigate to={`/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`} replace />;
  }
  return (
    <ViewerContext value={viewer.data}>
      <Outlet />
    </ViewerContext>
  );
}

/** What waits of whoever is signed in is sent while they are. */
function useSending(viewer: Viewer | undefined): void {
  const queries = useQueryClient();
  const { id, name } = viewer ?? {};
  useEffect(() => {
    if (id === undefined || name === undefined) return;
    setDocumentsOwner({ id, name });
    const stop = startSending({ id, name });
    const stopKeeping = keepQueries(queries, { id, name });
    return () => {
      stop();
      stopKeeping();
      setDocumentsOwner(undefined);
    };
  }, [queries, id, name]);
}

/** Once everything scored here has reached the server, what was read from it before is out of date. */
function useFreshness(): void {
  const queries = useQueryClient();
  const { waiting } = useOutbox();
  const before = useRef(waiting);
  useEffect(() => {
    if (before.current > 0 && waiting === 0) {
      for (const queryKey of [['players'], ['today'], ['rounds'], ['programmes'], ['lessons']])
        void queries.invalidateQueries({ queryKey });
    }
    before.current = waiting;
  }, [queries, waiting]);
}
