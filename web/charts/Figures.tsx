import { SimpleGrid, Text } from '@mantine/core';

interface FiguresProps {
  /** A name and what it is, the first word of the name told apart. */
  readonly figures: readonly (readonly [name: string, value: string | number])[];
}

/** A few numbers side by side, each under its name. */
export function Figures({ figures }: FiguresProps) {
  return (
    <SimpleGrid cols={figures.length} spacing="xl">
      {figures.map(([name, value]) => (
        <div key={name}>
          <Text size="sm" c="dimmed">
            {name}
          </Text>
          <Text className="big" data-testid={`figure-${name.split(' ')[0] ?? ''}`}>
            {value}
          </Text>
        </div>
      ))}
    </SimpleGrid>
  );
}
