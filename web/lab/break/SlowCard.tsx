import { Button, Group, Text, Title } from '@mantine/core';
import { useReducedMotion } from '@mantine/hooks';
import { useEffect } from 'react';
import type { RackKind } from '../../../core/rack/rack.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import { SliderField } from '../../controls/SliderField.tsx';
import { openingLines } from '../../words/breakStudyWords.ts';
import { useReplay, useReplayed } from '../../table/replay.ts';
import { OpeningPicture } from './OpeningPicture.tsx';
import type { OneBreak } from './useOneBreak.ts';

/** So much is shown of the opening, seconds, and how much slower than it is. */
const SHOWN = 0.002;
const SLOWER = 4_000;
/** Contacts that are listed. */
const LISTED = 30;
const MS = 1_000;

interface SlowCardProps {
  readonly kind: RackKind;
  readonly preset: TablePreset;
  readonly one: OneBreak;
}

/** One break from the first contact on, thousands of times slower than it is, with the order of contacts. */
export function SlowCard({ kind, preset, one }: SlowCardProps) {
  const reduced = useReducedMotion();
  const replay = useReplay(SHOWN);
  const after = useReplayed(replay, (each) => each.time()) ?? 0;
  const isPlaying = useReplayed(replay, (each) => each.playing());
  const { broken } = one;
  useEffect(() => {
    replay.setRate(1 / SLOWER);
    return () => replay.reset();
  }, [replay, broken]);
  return (
    <section className="card" aria-labelledby="slow-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="slow-title">
          One break, slowly
        </Title>
        <Button size="xs" variant="default" onClick={one.again}>
          {broken === undefined ? 'Break once' : 'Break again'}
        </Button>
      </Group>
      {broken === undefined && (
        <Text size="sm">The first two milliseconds: which balls press which, in which order, how hard.</Text>
      )}
      {broken !== undefined && (
        <>
          <OpeningPicture
            kind={kind}
            preset={preset}
            opening={broken.opening}
            after={after}
            nameOf={broken.nameOf}
          />
          <SliderField
            name="After the first contact"
            told={`${(MS * after).toFixed(2)} ms`}
            min={0}
            max={MS * SHOWN}
            step={0.02}
            value={MS * after}
            label={(value) => `${value.toFixed(2)} ms`}
            onChange={(value) => replay.seek(value / MS)}
          />
          <Group gap={6} mt={6}>
            {!reduced && (
              <Button
                size="compact-xs"
                variant="default"
                onClick={() => (isPlaying ? replay.pause() : replay.play())}
              >
                {isPlaying ? 'Pause' : `Play, ${SLOWER} times slower`}
              </Button>
            )}
            <Button size="compact-xs" variant="default" onClick={one.play}>
              On the table
            </Button>
          </Group>
          <Text size="sm" mt={6} data-testid="one-break">
            {broken.words}
          </Text>
          <ol className="plan-steps" aria-label="Contacts in their order" data-testid="contacts">
            {openingLines(broken.opening, broken.nameOf)
              .slice(0, LISTED)
              .map((line, i) => (
                <li key={i}>
                  <Text size="xs" fw={after >= (broken.opening.contacts[i]?.after ?? Infinity) ? 600 : 400}>
                    {line}
                  </Text>
                </li>
              ))}
          </ol>
          <Text size="xs" c="dimmed">
            Balls by their places in the rack. How hard: of the first contact’s force. What a gap changes here
            decides where the ball goes.
          </Text>
        </>
      )}
    </section>
  );
}
