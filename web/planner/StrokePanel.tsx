import { Group, Slider, Stack, Text, Title } from '@mantine/core';
import { memo } from 'react';
import { toDegrees, toRadians, wrapAngle } from '../../core/math/angle.ts';
import type { Strike } from '../../core/motion/shot.ts';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { paceWord } from '../words/eventWords.ts';
import { tipWords } from '../words/tipWords.ts';
import { TipPicker } from './TipPicker.tsx';
import { speedWords } from '../words/lengths.ts';

interface StrokePanelProps {
  /** Without a direction it is not for the hand to set. */
  readonly strike: Omit<Strike, 'ball' | 'direction'> & { readonly direction?: number };
  readonly onChange: (change: Partial<Strike>, sameStep: boolean) => void;
}

/** The stroke by direct handling: tip, pace, direction, butt. */
export const StrokePanel = memo(function StrokePanel({ strike, onChange }: StrokePanelProps) {
  const degrees = toDegrees(strike.elevation);
  return (
    <section className="card" aria-labelledby="stroke-title">
      <Group justify="space-between" align="baseline">
        <Title order={2} size="h4" id="stroke-title">
          Stroke
        </Title>
        <Text>
          <b>{speedWords(strike.speed, 2)}</b>, {paceWord(strike.speed)}
        </Text>
      </Group>
      <Group wrap="nowrap" align="start" mt={6}>
        <TipPicker tip={strike.tip} onChange={(tip, sameStep) => onChange({ tip }, sameStep)} />
        <Stack gap={6} style={{ flex: 1, minWidth: 0 }}>
          <Text size="sm">Tip {tipWords(strike.tip)}</Text>
          {strike.direction !== undefined && (
            <NumberEntry
              label="Direction, degrees"
              size="xs"
              digits={2}
              value={toDegrees(strike.direction)}
              onEnter={(value) => onChange({ direction: wrapAngle(toRadians(value)) }, false)}
            />
          )}
        </Stack>
      </Group>
      <Text size="sm" mt={8} id="pace-label">
        Pace
      </Text>
      <Slider
        aria-labelledby="pace-label"
        thumbLabel="Pace"
        min={0.2}
        max={10}
        step={0.05}
        value={strike.speed}
        label={(value) => speedWords(value, 2)}
        onChange={(speed) => onChange({ speed }, true)}
      />
      <Text size="sm" mt={8} id="butt-label">
        Butt raised by {degrees.toFixed(0)}°
      </Text>
      <Slider
        aria-labelledby="butt-label"
        thumbLabel="Butt raised"
        min={0}
        max={85}
        step={1}
        value={degrees}
        label={(value) => `${value}°`}
        onChange={(value) => onChange({ elevation: toRadians(value) }, true)}
      />
    </section>
  );
});
