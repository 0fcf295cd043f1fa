import { useQueryClient } from '@tanstack/react-query';
import { drillsQuery } from '../api/drills.ts';
import { call } from '../api/client.ts';

/** Changes of a drill as a whole: what everybody then sees is fetched anew. */
export function useDrillChange(slug: string) {
  const queries = useQueryClient();
  const change = async (what: 'archived' | 'favourite', value: boolean) => {
    await call('PUT', `/drills/${slug}/${what}`, { [what]: value });
    await queries.invalidateQueries({ queryKey: drillsQuery.queryKey });
  };
  return {
    setArchived: (archived: boolean) => change('archived', archived),
    setFavourite: (favourite: boolean) => change('favourite', favourite),
  };
}
