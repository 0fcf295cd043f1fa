import { ActionIcon } from '@mantine/core';
import { IconBookmark, IconBookmarkFilled } from '@tabler/icons-react';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { useDrillChange } from './useDrillChange.ts';

/** Marks a drill to find it again: one's own mark, nobody else's. */
export function FavouriteButton({ entry }: { readonly entry: ListedDrill }) {
  const { setFavourite } = useDrillChange(entry.document.slug);
  return (
    <ActionIcon
      variant="subtle"
      color="ink"
      size="lg"
      className="favourite no-print"
      aria-pressed={entry.favourite}
      aria-label={`Favourite: ${entry.document.title}`}
      onClick={() => void setFavourite(!entry.favourite)}
    >
      {entry.favourite ? <IconBookmarkFilled size={20} /> : <IconBookmark size={20} />}
    </ActionIcon>
  );
}
