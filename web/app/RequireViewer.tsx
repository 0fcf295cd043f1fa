import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { viewerQuery } from '../api/account.ts';
import { startSending } from '../outbox/outbox.ts';
import { useOutbox } from '../outbox/OutboxNotice.tsx';
import { Loading } from '../controls/Loading.tsx';
import { ViewerContext } from '../api/viewer.ts';

/** Everything behind the sign-in. */
export function RequireViewer() {
  const viewer = useQuery(viewerQuery);
  const location = useLocation();
  const id = viewer.data?.id;
  useFreshness();
  useEffect(() => (id === undefined ? undefined : startSending()), [id]);
  if (viewer.isPending) return <Loading what="your club" error={viewer.error} />;
  if (viewer.isError) return <Loading what="your club" error={viewer.error} />;
  if (viewer.data === null) {
    return <Navigate to={`/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`} replace />;
  }
  return (
    <ViewerContext value={viewer.data}>
      <Outlet />
    </ViewerContext>
  );
}

/** Once everything scored here has reached the server, what was read from it before is out of date. */
function useFreshness(): void {
  const queries = useQueryClient();
  const { waiting } = useOutbox();
  const before = useRef(waiting);
  useEffect(() => {
    if (before.current > 0 && waiting === 0) {
      for (const queryKey of [['players'], ['today'], ['rounds']])
        void queries.invalidateQueries({ queryKey });
    }
    before.current = waiting;
  }, [queries, waiting]);
}
