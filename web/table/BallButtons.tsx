import { Button, Group } from '@mantine/core';
import { CUE_BALL } from '../../core/drill/layout.ts';

interface BallButtonsProps {
  readonly balls: readonly { readonly id: string }[];
  readonly selected: string;
  readonly onSelect: (id: string) => void;
}

/** The balls by name, to take one in hand. */
export function BallButtons({ balls, selected, onSelect }: BallButtonsProps) {
  return (
    <Group gap={6}>
      {balls.map(({ id }) => (
        <Button
          key={id}
          size="xs"
          variant={id === selected ? 'filled' : 'default'}
          aria-pressed={id === selected}
          onClick={() => onSelect(id)}
        >
          {id === CUE_BALL ? 'cue ball' : id}
        </Button>
      ))}
    </Group>
  );
}
