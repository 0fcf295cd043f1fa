import { Button, Group, Text, TextInput } from '@mantine/core';
import type { Drill } from '../../core/records/drill.ts';
import type { PanelProps } from './panel.ts';

const MOST = 4;

/** Other strokes to the same end: kept from the stroke that is set, taken up again in its place. */
export function RouteList({ drill, edit }: PanelProps) {
  const { plan, routes } = drill;
  if (plan === null) return null;
  const put = (list: Drill['routes'], step?: string) => edit({ ...drill, routes: list }, step);
  return (
    <section aria-label="Routes" style={{ marginTop: 8 }}>
      {routes.map((route, i) => (
        <Group key={i} gap={6} mt={4} wrap="nowrap">
          <TextInput
            aria-label={`Route ${i + 1}`}
            size="xs"
            style={{ flex: 1 }}
            value={route.title}
            onChange={(event) => {
              const title = event.currentTarget.value;
              put(
                routes.map((each, k) => (k === i ? { ...each, title } : each)),
                `route ${i}`,
              );
            }}
          />
          <Button
            size="compact-xs"
            variant="default"
            onClick={() =>
              edit({
                ...drill,
                plan: route.plan,
                routes: routes.map((each, k) => (k === i ? { ...each, plan } : each)),
              })
            }
          >
            Change places
          </Button>
          <Button size="compact-xs" variant="default" onClick={() => put(routes.filter((_, k) => k !== i))}>
            Take away
          </Button>
        </Group>
      ))}
      {routes.length < MOST && (
        <Group gap={8} mt={6}>
          <Button
            size="compact-xs"
            variant="default"
            onClick={() => put([...routes, { title: `Route ${routes.length + 2}`, plan }])}
          >
            Keep as another route
          </Button>
          <Text size="xs" c="dimmed">
            Counted is the stroke above.
          </Text>
        </Group>
      )}
    </section>
  );
}
