import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useViewer } from '../../api/viewer.ts';
import { dropPicture, keepPicture, keptPictures, type KeptPicture } from './keptPictures.ts';

const keyOf = (personId: string) => ['kept pictures', personId];

/** The pictures that somebody keeps on this device. */
export function useKeptPictures() {
  const { id } = useViewer();
  const queries = useQueryClient();
  const kept = useQuery({
    queryKey: keyOf(id),
    queryFn: () => keptPictures(id),
    networkMode: 'always',
    gcTime: 0,
  });
  const changed = () => queries.invalidateQueries({ queryKey: keyOf(id) });
  return {
    pictures: kept.data ?? [],
    keep: async (picture: KeptPicture) => {
      await keepPicture(id, picture);
      await changed();
    },
    drop: async (picture: KeptPicture) => {
      await dropPicture(id, picture.id);
      await changed();
    },
  };
}
