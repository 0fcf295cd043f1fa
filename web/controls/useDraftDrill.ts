import { useNavigate } from 'react-router';
import type { Drill } from '../../core/records/drill.ts';
import { useViewer } from '../api/viewer.ts';
import { draftKey, keepDraft } from './draftStore.ts';

/** Opens the designer with a drill that was made of something; the name tells drafts apart. */
export function useDraftDrill(): (name: string, drill: Drill) => Promise<void> {
  const { clubId } = useViewer();
  const navigate = useNavigate();
  return async (name, drill) => {
    await keepDraft(draftKey(clubId, name), { drill, basedOn: null, at: Date.now() });
    await navigate(`/drills/new?draft=${encodeURIComponent(name)}&table=${drill.table}`);
  };
}
