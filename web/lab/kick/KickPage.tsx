import { Button, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import { simulate } from '../../../core/motion/simulate.ts';
import { executionErrorOf, LEVEL_NAMES } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { middleOf } from '../../../core/shot/directions.ts';
import type { RatedLine } from '../../../core/shot/kicks/kickFamilies.ts';
import { wayKey } from '../../../core/shot/kicks/way.ts';
import { OneOf } from '../../controls/fields.tsx';
import { useAddress } from '../../controls/useAddress.ts';
import { FamiliesCard } from '../../planner/kick/FamiliesCard.tsx';
import { KickTable } from '../../planner/kick/KickTable.tsx';
import { StrokeCaution } from '../../planner/StrokeCaution.tsx';
import { StrokePanel } from '../../planner/StrokePanel.tsx';
import { useLatest } from '../../planner/useLatest.ts';
import { CUE, shotToLink } from '../../table/labShot.ts';
import { usePlayback } from '../../table/usePlayback.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { kickLinesOf } from '../../workers/kick.ts';
import type { KickAsked } from '../../workers/kickProtocol.ts';
import { BenchBalls, BenchHead } from '../BenchParts.tsx';
import { WithTables } from '../WithTables.tsx';
import { withStrike } from '../labState.ts';
import { useBallBench, useBenchKeys } from '../useBallBench.ts';
import { HideBall } from './HideBall.tsx';
import { HIT_SIDES, kickSettingFrom, MOST_CUSHIONS, wishOf } from './kickSetting.ts';
import { LinesCard } from './LinesCard.tsx';
import { ThumbCard } from './ThumbCard.tsx';
import { ThumbMarks } from './ThumbMarks.tsx';
import { useThumbs } from './useThumbs.ts';

/** So long nothing moves before lines are looked for, milliseconds. */
const STILL_MS = 60;
const NO_LINES: readonly RatedLine[] = [];

/** The ways to a ball that cannot be hit, or not well, directly: by cushions, with side, or round a ball. */
export function KickPage() {
  return <WithTables>{(tables) => <KickLab tables={tables} />}</WithTables>;
}

function KickLab({ tables }: { readonly tables: readonly ClubTable[] }) {
  const { params, set } = useAddress();
  const { term } = useWords();
  const bench = useBallBench(params, tables);
  const { shot, selected, change } = bench;
  const { strike } = shot;
  const [wanted, setWanted] = useState<string>();
  const setting = kickSettingFrom(
    params,
    shot.balls.map(({ id }) => id),
  );
  const { target, side, cushions, level } = setting;

  const asked = useMemo((): KickAsked => {
    const { preset, parameters } = shot.table;
    return {
      table: { preset, parameters },
      balls: shot.balls,
      cue: CUE,
      target,
      wish: wishOf({ target, side, cushions, level }),
      error: executionErrorOf(level, preset.game),
    };
  }, [shot.table, shot.balls, target, side, cushions, level]);
  const stroke = useMemo(
    () => ({ speed: strike.speed, tip: strike.tip, elevation: strike.elevation }),
    [strike.speed, strike.tip, strike.elevation],
  );
  const tableKey = JSON.stringify(asked);
  const [settled] = useDebouncedValue(JSON.stringify([asked, stroke]), STILL_MS);
  const {
    answer: told,
    current,
    failed,
  } = useLatest(target === '' ? undefined : settled, () => kickLinesOf(asked, stroke));
  const thumbs = useThumbs(shot, target);
  const lines = useMemo(() => told?.lines ?? [], [told]);
  // A line is kept by its cushions while balls and pace change.
  const kept = lines.findIndex((line) => wayKey({ ...line, end: 'ball' }) === wanted);
  const looked = Math.max(0, kept);
  const line = lines[looked];
  const played = useMemo(() => {
    if (line === undefined) return undefined;
    const planned = withStrike(shot, { ...line.stroke, direction: middleOf(line) });
    return { shot: planned, result: simulate(planned, { paths: true }) };
  }, [shot, line]);
  const { positions, play } = usePlayback(played);

  const choose = (i: number) => {
    const next = lines[i];
    if (next !== undefined) setWanted(wayKey({ ...next, end: 'ball' }));
  };
  const onKey = useBenchKeys(bench, (key) => {
    if (key === 'p') play();
    else if (lines[Number(key) - 1] !== undefined) choose(Number(key) - 1);
    else return false;
    return true;
  });
  const ids = shot.balls.flatMap(({ id }) => (id === CUE ? [] : [id]));

  return (
    <div className="lab">
      <Stack gap={8}>
        <BenchHead bench={bench} tables={tables} />
        <KickTable
          shot={shot}
          lines={thumbs.chosen === undefined ? lines : NO_LINES}
          chosen={looked}
          target={target}
          selected={selected}
          positions={positions}
          onDrag={bench.drag}
          onKey={onKey}
        >
          <ThumbMarks shot={shot} answer={thumbs.chosen} map={thumbs.map} />
        </KickTable>
        <Text size="sm" c="dimmed">
          {thumbs.chosen === undefined
            ? 'Strong: the line that is looked at, with what comes of it; faint: the other lines up to the ball. The dashed line with the ring is where the cue points.'
            : 'Strong: where the rule of thumb sends the cue ball; faint: the way to the middle of the ball with the same stroke. The dashed line with the ring is where the rule points.'}
        </Text>
        <StrokeCaution strike={strike} leaves={false} />
      </Stack>
      <div className="lab-side">
        <section className="card" aria-labelledby="asked-title">
          <Title order={2} size="h4" id="asked-title">
            Asked
          </Title>
          <SimpleGrid cols={2} spacing={8}>
            <OneOf
              label="Ball to be met"
              value={target}
              values={ids}
              onChange={(id) => set({ target: id })}
            />
            <OneOf
              label="Side of it"
              value={side}
              values={HIT_SIDES}
              onChange={(next) => set({ side: next === 'either' ? null : next })}
            />
            <OneOf
              label={`${capital(term('cushion'))}s at most`}
              value={cushions}
              values={MOST_CUSHIONS}
              onChange={(next) => set({ cushions: next })}
            />
            <OneOf
              label="A player of"
              value={level}
              values={LEVEL_NAMES}
              onChange={(next) => set({ level: next === 'team' ? null : next })}
            />
          </SimpleGrid>
          <HideBall
            table={shot.table}
            onHidden={({ balls, strike: hit }, hidden) => {
              change({ ...shot, balls, strike: hit });
              set({ target: hidden });
            }}
          />
        </section>
        {ids.length > 0 && (
          <LinesCard
            told={told}
            current={current}
            failed={failed}
            target={target}
            preset={shot.table.preset}
            chosen={looked}
            onChoose={choose}
            tools={
              <Button size="compact-xs" my={4} variant="default" onClick={play}>
                Play it
              </Button>
            }
          />
        )}
        {ids.length > 0 && (
          <FamiliesCard
            asked={asked}
            tableKey={tableKey}
            onTake={({ best, cushions: by, first }) => {
              setWanted(wayKey({ cushions: by, first, end: 'ball' }));
              change(withStrike(shot, best.stroke));
            }}
          />
        )}
        {ids.length > 0 && (
          <ThumbCard
            thumbs={thumbs}
            preset={shot.table.preset}
            crib={`/lab/kick/card?${new URLSearchParams(
              bench.chosen === undefined ? { shot: shotToLink(shot) } : { table: bench.chosen.key },
            ).toString()}`}
          />
        )}
        <StrokePanel
          strike={stroke}
          onChange={(part, sameStep) => change(withStrike(shot, part), sameStep)}
        />
        <BenchBalls bench={bench} />
      </div>
    </div>
  );
}
