import { Button, Group, Stack, Switch, Text } from '@mantine/core';
import type { LyingBall } from '../../../../core/camera/watch.ts';
import { misplaced, type Misplaced } from '../../../../core/camera/misplaced.ts';
import { useEffect, useMemo, useRef } from 'react';
import { tapeLength } from '../../../words/lengths.ts';
import { useKept } from '../../../controls/useKept.ts';
import type { LivePlacesProps } from '../placeSource.ts';
import { besideWords } from '../../../words/misplacedWords.ts';
import { doubtWords, stateWords } from './cameraWords.ts';
import { placed } from './placed.ts';
import { PAIRING_KEY, readPairing } from './pairing.ts';
import { useByItself } from './useByItself.ts';
import { useCamera } from './useCamera.ts';

const NO_BALLS: readonly LyingBall[] = [];
const NONE_BESIDE: readonly Misplaced[] = [];
/** A ball that lies so much further off or nearer is told anew, metres. */
const CHANGED = 0.01;

const isAlike = (a: readonly Misplaced[], b: readonly Misplaced[]) =>
  a.length === b.length &&
  a.every(({ ball, off }, i) => {
    const other = b[i];
    return (
      other?.ball === ball &&
      (off === undefined) === (other.off === undefined) &&
      Math.abs((off ?? 0) - (other.off ?? 0)) < CHANGED
    );
  });

/** What the paired camera proposes while a round is scored: entered by one tap, or by itself where a coach wants that, and only asked about where it is not sure. */
export function CameraLive({ table, take, missing, onTake, onSeen, onBeside, laid, turn }: LivePlacesProps) {
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
  const beside =
    reading?.state === 'still' && !isOffered && laid !== undefined
      ? misplaced(laid, reading.balls)
      : NONE_BESIDE;
  const told = useRef(NONE_BESIDE);
  useEffect(() => {
    // A hand over the table says nothing of the balls below it.
    if (reading?.state !== 'still' && reading?.state !== 'moving') return;
    if (isAlike(told.current, beside)) return;
    told.current = beside;
    onBeside?.(beside);
  });
  const lacks = isOffered ? missing(balls) : undefined;
  const doubts = isOffered ? reading.doubts : [];
  const isSure = isOffered && lacks === undefined && doubts.length === 0;
  const byItself = useByItself(isSure ? balls : undefined, turn, onTake);
  if (pairing === undefined) return null;
  const error = Math.max(0, ...(reading?.balls ?? []).map((ball) => ball.error));
  return (
    <Stack gap={4} data-testid="camera-live" w="100%">
      <Text size="sm" role="status">
        {state?.trouble ?? stateWords(reading?.state ?? 'waiting', isOffered, beside.length > 0)}
        {isOffered && ` Right to ±${tapeLength(2 * error)}.`}
      </Text>
      {besideWords(beside).map((words) => (
        <Text key={words} size="sm">
          {words}
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
          {byItself.isComing && (
            <Button h={48} variant="default" onClick={byItself.hold}>
              Wait
            </Button>
          )}
        </Group>
      )}
      {byItself.isComing && <Text size="sm">It is entered by itself in a moment.</Text>}
      {byItself.isAllowed && (
        <Switch
          size="sm"
          label="Enter by itself what the camera is sure of"
          checked={byItself.isOn}
          onChange={(event) => byItself.setOn(event.currentTarget.checked)}
        />
      )}
    </Stack>
  );
}
