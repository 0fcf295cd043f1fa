import { createContext, useContext } from 'react';
import type { Viewer } from '../../core/records/account.ts';

export const ViewerContext = createContext<Viewer | undefined>(undefined);

/** Who is signed in. */
export function useViewer(): Viewer {
  const viewer = useContext(ViewerContext);
  if (viewer === undefined) throw new Error('useViewer: only behind the sign-in');
  return viewer;
}
