import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { viewerQuery } from '../api/queries.ts';
import { startSending } from '../lesson/outbox.ts';
import { Loading } from './Loading.tsx';
import { ViewerContext } from './viewer.ts';

/** Everything behind the sign-in. */
export function RequireViewer() {
  const viewer = useQuery(viewerQuery);
  const location = useLocation();
  const id = viewer.data?.id;
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
