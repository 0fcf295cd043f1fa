import { Button, Group, Text, Title } from '@mantine/core';
import { IconClock } from '@tabler/icons-react';
import type { GuidedShot } from '../../../core/calibration/guidedShots.ts';
import { KeyCap } from '../../controls/KeyCap.tsx';
import { UnitEntry } from '../../controls/UnitEntry.tsx';
import { useKeys } from '../../controls/useKeys.ts';
import { placeUnit, type Unit } from '../../words/lengths.ts';
import { useWords } from '../../words/useWords.ts';
import { readingWords, shotSentence, shotTitle } from './calibrationWords.ts';
import { HearShot } from './HearShot.tsx';
import { useStopwatch } from './useStopwatch.ts';

const SECONDS: Unit = { unit: 's', scale: 1, digits: 2 };
const LONGEST = 60;

/** Which playing of the shot, and which of its readings. */
export type Cell = readonly [time: number, reading: number];

interface ShotCardProps {
  readonly guided: GuidedShot;
  readonly times: readonly (readonly (number | null)[])[];
  readonly onRead: (cell: Cell, value: number | null) => void;
  /** The times of one playing, from a recording. */
  readonly onHear: (file: File) => Promise<readonly (number | undefined)[]>;
  readonly onHeard: (time: number, times: readonly (number | undefined)[]) => void;
  readonly onStep: (by: number) => void;
  /** Number of the shot, from 1, and of how many. */
  readonly number: number;
  readonly count: number;
}

/** A guided shot: how to play it, and what is read of it. */
export function ShotCard({ guided, times, onRead, onHear, onHeard, onStep, number, count }: ShotCardProps) {
  const { vocabulary } = useWords();
  const { length } = guided.shot.table;
  const timed = firstEmpty(times, (i) => guided.readings[i]?.kind === 'time');
  const watch = useStopwatch((seconds) => {
    if (timed !== undefined) onRead(timed, seconds);
  });
  // A ball that stops is not heard.
  const hears = guided.readings.some(
    ({ kind, ...reading }) => kind === 'time' && 'to' in reading && reading.to !== 'rest',
  );
  useKeys(
    [
      { key: ' ', label: 'Watch', run: watch.press, disabled: timed === undefined },
      { key: 'n', label: 'Next shot', run: () => onStep(1) },
    ],
    { paused: false },
  );
  return (
    <section className="card" aria-labelledby="guided-title">
      <Text size="sm" c="dimmed">
        Shot {number} of {count}
      </Text>
      <Title order={2} size="h4" id="guided-title">
        {shotTitle(guided)}
      </Title>
      <Text size="sm" mt={4}>
        {shotSentence(guided)}
      </Text>
      {guided.readings.map((reading, i) => {
        const unit = reading.kind === 'time' ? SECONDS : placeUnit();
        const words = readingWords(reading, vocabulary);
        return (
          <div key={`${guided.id} ${i}`} style={{ marginTop: 10 }}>
            <Text size="sm" fw={700} aria-hidden>
              {words}, {unit.unit}
            </Text>
            <Group gap={8} grow wrap="nowrap">
              {times.map((each, time) => (
                <UnitEntry
                  key={time}
                  label={`${words}, time ${time + 1}`}
                  labelHidden
                  placeholder={`time ${time + 1}`}
                  in={unit}
                  min={0}
                  max={reading.kind === 'time' ? LONGEST : length}
                  value={each[i] ?? null}
                  onEnter={(value) => onRead([time, i], value)}
                  onClear={() => onRead([time, i], null)}
                />
              ))}
            </Group>
          </div>
        );
      })}
      <Group mt={10} gap={8}>
        {guided.readings.some(({ kind }) => kind === 'time') && (
          <Button
            variant={watch.isRunning ? 'filled' : 'default'}
            leftSection={<IconClock size={18} />}
            rightSection={<KeyCap>Space</KeyCap>}
            disabled={timed === undefined}
            onClick={watch.press}
          >
            {watch.isRunning ? 'Stop' : 'Watch'}
          </Button>
        )}
        {hears && <HearShot time={timed?.[0]} onHear={onHear} onHeard={onHeard} />}
        <Button variant="default" disabled={number === 1} onClick={() => onStep(-1)}>
          Before
        </Button>
        <Button
          variant="default"
          rightSection={<KeyCap>N</KeyCap>}
          disabled={number === count}
          onClick={() => onStep(1)}
        >
          Next
        </Button>
      </Group>
    </section>
  );
}

/** The first reading of a kind that is still empty. */
export function firstEmpty(
  times: readonly (readonly (number | null)[])[],
  isMeant: (reading: number) => boolean,
): Cell | undefined {
  for (const [time, each] of times.entries()) {
    const reading = each.findIndex((value, i) => value === null && isMeant(i));
    if (reading >= 0) return [time, reading];
  }
  return undefined;
}
