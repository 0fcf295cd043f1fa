import { createContext, useContext } from 'react';
import type { Projection } from './projection.ts';

export const ProjectionContext = createContext<Projection | undefined>(undefined);

/** The drawing that a mark is part of. */
export function useProjection(): Projection {
  const projection = useContext(ProjectionContext);
  if (projection === undefined) throw new Error('useProjection: only inside a TableDrawing');
  return projection;
}
