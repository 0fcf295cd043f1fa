import { Button, Group, Stack, Text } from '@mantine/core';
import type { LyingBall } from '../../../../core/camera/watch.ts';
import { misplaced } from '../../../../core/camera/misplaced.ts';
import { useEffect, useMemo, useRef } from 'react';
import { tapeLength } from '../../../words/lengths.ts';
import { useKept } from '../../../controls/useKept.ts';
import type { LivePlacesProps } from '../placeSource.ts';
import { doubtWords, misplacedWords, stateWords } from './cameraWords.ts';
import { placed } from './placed.ts';
import { PAIRING_KEY, readPairing } from './pairing.ts';
import { useCamera } from './useCamera.ts';

const NO_BALLS: readonly LyingBall[] = [];

/** What the paired camera proposes while a round is scored: entered by one tap, and only asked about where it is not sure. */
export function CameraLive({ table, take, missing, onTake, onSeen, laid, turn }: LivePlacesProps) {
  const [pairing] = useKept(PAIRING_KEY, readPairing);
  const names = laid?.map(({ id }) => id);
  const { state, begin } = useCamera(pairing, table, names);
  const reading = state?.reading;
  const isOffered = reading?.state === 'still' && reading.isAfterShot;
  const offered = isOffered ? reading.balls : NO_BALLS;
  const balls = useMemo(() => placed(table, offered), [offered, table]);
  useEffect(() => onSeen?.(balls), [balls, onSeen]);
  // What was entered otherwise is not offered once more.
  const last = useRef(turn);
  useEffect(() => {
    if (last.current === turn) return;
    last.current = turn;
    begin(reading?.state === 'still' ? reading.balls : undefined);
  });
  if (pairing === undefined) return null;
  const lacks = isOffered ? missing(balls) : undefined;
  const doubts = isOffered ? reading.doubts : [];
  const beside =
    reading?.state === 'still' && !isOffered && laid !== undefined ? misplaced(laid, reading.balls) : [];
  const error = Math.max(0, ...(reading?.balls ?? []).map((ball) => ball.error));
  return (
    <Stack gap={4} data-testid="camera-live" w="100%">
      <Text size="sm" role="status">
        {state?.trouble ?? stateWords(reading?.state ?? 'waiting', isOffered, beside.length > 0)}
        {isOffered && ` Right to ±${tapeLength(2 * error)}.`}
      </Text>
      {beside.map((each) => (
        <Text key={each.ball} size="sm">
          {misplacedWords(each)}
        </Text>
      ))}
      {doubts.map((doubt, i) => (
        <Text key={i} size="sm" fw={500}>
          {doubtWords(doubt)}
        </Text>
      ))}
      {lacks !== undefined && <Text size="sm">{lacks}</Text>}
      {isOffered && lacks === undefined && (
        <Group>
          <Button h={48} variant={doubts.length === 0 ? 'filled' : 'default'} onClick={() => onTake(balls)}>
            {doubts.length === 0 ? take : `Yes: ${take}`}
          </Button>
        </Group>
      )}
    </Stack>
  );
}
