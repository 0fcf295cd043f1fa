import { Alert, Button, Group, SegmentedControl, Select, Stack, Text } from '@mantine/core';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { furtherLandmarks } from '../../../core/photo/marks.ts';
import { CUE, ballsAt } from '../../table/labShot.ts';
import { tapeLength } from '../../words/lengths.ts';
import { useWords } from '../../words/useWords.ts';
import { photoSolver } from '../../workers/photo.ts';
import type { PlaceReaderProps } from '../places/placeSource.ts';
import { handlesOf, landmarkWords, moved } from './photoHandles.ts';
import {
  ballNames,
  firstMarks,
  freeName,
  marksOf,
  named,
  turnedRound,
  type PhotoMarks,
} from './photoMarks.ts';
import { marksKept, type KeptPicture } from './keptPictures.ts';
import { KeepPicture } from './KeepPicture.tsx';
import type { OpenedPicture } from './picture.ts';
import { PictureMarks } from './PictureMarks.tsx';

const STEPS = ['Corners', 'More marks', 'Balls'] as const;
type Step = (typeof STEPS)[number];

interface MarkedPictureProps extends PlaceReaderProps {
  readonly picture: OpenedPicture;
  /** As it is kept on this device; undefined for a new one. */
  readonly kept: KeptPicture | undefined;
}

/** A picture whose corners and balls are marked: where the balls lie on the table. */
export function MarkedPicture({ picture, kept, table, onBalls }: MarkedPictureProps) {
  const { vocabulary } = useWords();
  const [step, setStep] = useState<Step>('Corners');
  const [marked, setMarked] = useState<PhotoMarks>(() =>
    kept === undefined ? firstMarks(picture.size) : marksKept(kept),
  );
  const [selected, setSelected] = useState<string>();
  const [landmark, setLandmark] = useState<string | null>(null);
  const { size } = picture;
  const marks = marksOf(table, marked);
  const radiusOf = (id: string) => (id === CUE ? table.preset.cueBallRadius : table.preset.ballRadius);
  const asked = {
    table,
    size,
    marks,
    balls: marked.balls.map(({ id, pixel }) => ({ pixel, radius: radiusOf(id) })),
  };
  const read = useQuery({
    queryKey: ['photo', asked],
    networkMode: 'always',
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
    queryFn: () => photoSolver().read(asked),
  });
  const finding = useMutation({
    networkMode: 'always',
    mutationFn: () => photoSolver().find(asked, picture.pixels),
    onSuccess: (found) => {
      const balls = named(table, found);
      setMarked((old) => ({ ...old, balls }));
      setStep('Balls');
    },
  });
  const isFresh = read.data !== undefined && !read.isPlaceholderData;
  const seen = isFresh ? read.data.balls : undefined;
  // The balls go on once they are worked out for the marks as they are.
  useEffect(() => {
    if (seen === undefined) return;
    const places = marked.balls.flatMap(({ id }, i) => {
      const ball = seen[i];
      return ball === null || ball === undefined ? [] : [{ id, at: ball.at }];
    });
    onBalls(ballsAt(table, places));
  }, [seen, marked.balls, table, onBalls]);
  const tap = (at: { readonly across: number; readonly down: number }) => {
    if (step === 'More marks' && landmark !== null) {
      setMarked((old) => ({ ...old, further: { ...old.further, [landmark]: at } }));
      setSelected(`mark ${landmark}`);
    }
    if (step === 'Balls') {
      const id = freeName(
        table,
        marked.balls,
        marked.balls.every((ball) => ball.id !== CUE),
      );
      if (id === undefined) return;
      setMarked((old) => ({ ...old, balls: [...old.balls, { id, pixel: at }] }));
      setSelected(`ball ${id}`);
    }
  };
  const chosen = marked.balls.find(({ id }) => selected === `ball ${id}`);
  const chosenSeen = chosen === undefined ? undefined : seen?.[marked.balls.indexOf(chosen)];
  const rename = (name: string | null) => {
    if (name === null || chosen === undefined) return;
    setMarked((old) => ({
      ...old,
      // Whoever had the name takes the other one.
      balls: old.balls.map((ball) =>
        ball.id === chosen.id ? { ...ball, id: name } : ball.id === name ? { ...ball, id: chosen.id } : ball,
      ),
    }));
    setSelected(`ball ${name}`);
  };
  const takeAway = () => {
    if (chosen === undefined) return;
    setMarked((old) => ({ ...old, balls: old.balls.filter(({ id }) => id !== chosen.id) }));
    setSelected(undefined);
  };
  return (
    <Stack gap="xs">
      <Group gap={8}>
        <SegmentedControl
          aria-label="What is marked"
          data={[...STEPS]}
          value={step}
          onChange={(value) => setStep(STEPS.find((each) => each === value) ?? 'Corners')}
        />
        {step === 'Corners' && (
          <Button variant="default" onClick={() => setMarked(turnedRound)}>
            Head and foot the other way
          </Button>
        )}
        {step === 'More marks' && (
          <Select
            aria-label="Which mark"
            placeholder="Choose, then tap it"
            w={260}
            data={furtherLandmarks(table).map(({ name }) => ({
              value: name,
              label: landmarkWords(name, vocabulary),
            }))}
            value={landmark}
            onChange={setLandmark}
          />
        )}
        <Button
          variant={marked.balls.length === 0 ? 'filled' : 'default'}
          loading={finding.isPending}
          onClick={() => finding.mutate()}
        >
          Find the balls
        </Button>
      </Group>
      <Text size="sm">
        {step === 'Corners' &&
          'Drag the four corners to where the edges of the cushions meet: the drawn line then lies along them.'}
        {step === 'More marks' &&
          'Spots and edges make it more exact and say how exact it is; from eight marks on the lens is worked out, too.'}
        {step === 'Balls' && 'Tap the middle of a ball that is missing. Drag one that is not quite right.'}
      </Text>
      <PictureMarks
        url={picture.url}
        size={size}
        handles={handlesOf(marked, vocabulary)}
        edges={read.data?.edges ?? []}
        selected={selected}
        onSelect={setSelected}
        onMove={(key, to) => setMarked((old) => moved(old, key, to))}
        onTap={tap}
      />
      <KeepPicture picture={picture} marks={marked} preset={table.preset.id} kept={kept} />
      {read.error !== null && (
        <Alert color="coral" variant="outline" p="xs" role="alert">
          This cannot be a table: {read.error.message}.
        </Alert>
      )}
      {chosen !== undefined && (
        <Group gap={8} align="end">
          <Select
            label="This ball is"
            w={130}
            allowDeselect={false}
            data={ballNames(table).map((name) => ({ value: name, label: name === CUE ? 'cue ball' : name }))}
            value={chosen.id}
            onChange={rename}
          />
          <Button variant="default" onClick={takeAway}>
            No ball
          </Button>
          {chosenSeen !== null && chosenSeen !== undefined && (
            <Text size="sm" data-testid="ball-error">
              Right to ±{tapeLength(chosenSeen.error)}
            </Text>
          )}
        </Group>
      )}
      {seen !== undefined && marked.balls.length > 0 && (
        <Text size="sm" data-testid="photo-error">
          {marked.balls.length === 1 ? 'One ball' : `${String(marked.balls.length)} balls`}, right to ±
          {tapeLength(Math.max(...seen.map((ball) => ball?.error ?? 0)))} at worst
          {read.data?.isMeasured === true
            ? ', by the marks that were not used.'
            : '; no mark was left to measure that by: it is what a finger usually makes.'}
        </Text>
      )}
    </Stack>
  );
}
