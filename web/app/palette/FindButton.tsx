import { ActionIcon } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconSearch } from '@tabler/icons-react';
import { lazy, Suspense, useState } from 'react';

// It is loaded once somebody looks for something.
const Palette = lazy(async () => ({ default: (await import('./Palette.tsx')).Palette }));

/** Opens what finds everything: by the button, or Ctrl or Command with K, from anywhere on a page. */
export function FindButton() {
  const [isOpen, setOpen] = useState(false);
  useHotkeys([['mod+K', () => setOpen(true)]], []);
  return (
    <>
      <ActionIcon
        variant="subtle"
        color="ink"
        size={40}
        radius="xl"
        aria-label="Find (Ctrl K)"
        aria-keyshortcuts="Control+K Meta+K"
        onClick={() => setOpen(true)}
      >
        <IconSearch size={22} />
      </ActionIcon>
      {isOpen && (
        <Suspense>
          <Palette onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
