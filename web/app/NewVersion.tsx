import { Button, Group, Text } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { registerSW } from 'virtual:pwa-register';

/** Keeps the application on the device; says when the server has a newer one, which is loaded when that suits. */
export function NewVersion() {
  const [ready, setReady] = useState(false);
  const update = useRef<(reload?: boolean) => Promise<void>>(undefined);
  useEffect(() => {
    update.current = registerSW({ onNeedRefresh: () => setReady(true) });
  }, []);
  if (!ready) return null;
  return (
    <Group gap={8} mb="xs" role="status">
      <Text size="sm">A newer version is here.</Text>
      <Button size="compact-sm" variant="default" onClick={() => void update.current?.(true)}>
        Load it
      </Button>
    </Group>
  );
}
