import { Text } from '@mantine/core';
import { skipToken, useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { blankDrill } from '../../core/drill/draft.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { drillQuery } from '../api/drills.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { Designer } from './Designer.tsx';
import { draftKey, loadDraft, type Draft } from '../controls/draftStore.ts';

/** Another coach's drill or one that ships, as the beginning of one's own. */
function oneLike({ document }: ListedDrill): Draft['drill'] {
  return { ...document, title: `${document.title}, ours`, slug: `${document.slug.slice(0, 55)}-ours` };
}

/** Where drills are made: a new one, one like another, or one of the club's own. */
export function DesignerPage() {
  const { slug } = useParams();
  const [params] = useSearchParams();
  const viewer = useViewer();
  const source = slug ?? params.get('from');
  const key = draftKey(
    viewer.clubId,
    slug ?? params.get('draft') ?? (source === null ? 'new' : `like ${source}`),
  );
  const query = drillQuery(source ?? '');
  const entry = useQuery({ ...query, enabled: source !== null });
  const kept = useQuery({
    queryKey: ['draft', key],
    queryFn: viewer.role === 'coach' ? async () => (await loadDraft(key)) ?? null : skipToken,
    staleTime: Infinity,
    gcTime: 0,
    networkMode: 'always',
  });
  if (viewer.role !== 'coach') return <Text>Drills are made by coaches.</Text>;
  if (source !== null && entry.data === undefined) return <Loading what="the drill" error={entry.error} />;
  if (kept.data === undefined) return <Loading what="the draft" error={kept.error} />;
  if (slug !== undefined && entry.data?.own !== true) {
    return <Text>This drill is not the club’s own. Make one like it, and change that.</Text>;
  }
  const table = PRESET_IDS.find((preset) => preset === params.get('table')) ?? 'pool-9ft';
  const start =
    entry.data === undefined
      ? { drill: blankDrill(table), basedOn: null }
      : slug === undefined
        ? { drill: oneLike(entry.data), basedOn: null }
        : { drill: entry.data.document, basedOn: entry.data.revision };
  return <Designer key={key} draftName={key} start={start} kept={kept.data ?? undefined} />;
}
