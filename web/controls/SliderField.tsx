import { Group, Slider, Text, type SliderProps } from '@mantine/core';
import { useId } from 'react';

interface SliderFieldProps extends Omit<SliderProps, 'aria-labelledby' | 'thumbLabel'> {
  /** Stands above the slider, and is its name. */
  readonly name: string;
  /** Its value in words, beside the name. */
  readonly told: string;
}

/** A slider under its name, with what it is set to. */
export function SliderField({ name, told, ...slider }: SliderFieldProps) {
  const id = useId();
  return (
    <>
      <Group justify="space-between" mt={6}>
        <Text size="sm" id={id}>
          {name}
        </Text>
        <Text size="sm">{told}</Text>
      </Group>
      <Slider aria-labelledby={id} thumbLabel={name} {...slider} />
    </>
  );
}
