import { Button, Checkbox, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import { simulate } from '../../../core/motion/simulate.ts';
import { executionErrorOf, LEVEL_NAMES } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import type { Situation } from '../../../core/tactics/situation.ts';
import type { Ranking } from '../../../core/tactics/ranking.ts';
import { OneOf } from '../../controls/fields.tsx';
import { useAddress } from '../../controls/useAddress.ts';
import { AnswersCard } from '../../planner/tactics/AnswersCard.tsx';
import { AnswerTable } from '../../planner/tactics/AnswerTable.tsx';
import { StrokeCaution } from '../../planner/StrokeCaution.tsx';
import { useOneRun } from '../../planner/useOneRun.ts';
import { CUE } from '../../table/labShot.ts';
import { usePlayback } from '../../table/usePlayback.ts';
import { rankingOf } from '../../workers/tactics.ts';
import { BenchBalls, BenchHead } from '../BenchParts.tsx';
import { WithTables } from '../WithTables.tsx';
import { useBallBench, useBenchKeys } from '../useBallBench.ts';
import { FrameScore } from './FrameScore.tsx';
import {
  ballsOn,
  gamesOn,
  HOUSE_FOUL_NAMES,
  houseFoulFrom,
  safetySettingFrom,
  strangeBalls,
  turnsIn,
  turnWords,
} from './safetySetting.ts';

/** What to play when no pot is easy: pots, safeties and kicks against what they leave. */
export function SafetyPage() {
  return <WithTables>{(tables) => <SafetyLab tables={tables} />}</WithTables>;
}

function SafetyLab({ tables }: { readonly tables: readonly ClubTable[] }) {
  const { params, set } = useAddress();
  const bench = useBallBench(params, tables);
  const { shot, selected } = bench;
  const { preset, parameters } = shot.table;
  const { game, turn, level, opponent, missCalled, lead, foulGives } = safetySettingFrom(params, preset);
  const objects = useMemo(() => shot.balls.flatMap(({ id }) => (id === CUE ? [] : [id])), [shot.balls]);
  const situation = useMemo((): Situation => {
    return {
      table: shot.table,
      game,
      balls: shot.balls,
      cue: CUE,
      on: ballsOn(game, turn, objects),
      error: executionErrorOf(level, shot.table.preset.game),
      opponent: executionErrorOf(opponent, shot.table.preset.game),
      missCalled,
      lead,
      foulGives,
    };
  }, [shot.table, shot.balls, objects, game, turn, level, opponent, missCalled, lead, foulGives]);
  const asked = useMemo(
    () => ({ ...situation, table: { preset, parameters } }),
    [situation, preset, parameters],
  );
  const key = useMemo(() => JSON.stringify(asked), [asked]);
  const run = useOneRun<Ranking>(key, (onShare) => rankingOf(asked, onShare));
  const [wanted, setWanted] = useState({ key, answer: 0 });
  const looked = wanted.key === key ? wanted.answer : 0;
  const answer = run.answer?.answers[looked];
  const played = useMemo(
    () => answer && { shot: answer.shot, result: simulate(answer.shot, { paths: true }) },
    [answer],
  );
  const { positions, play } = usePlayback(played);
  const choose = (each: number) => setWanted({ key, answer: each });
  const onKey = useBenchKeys(bench, (pressed) => {
    if (pressed === 'p') play();
    else if (run.answer?.answers[Number(pressed) - 1] !== undefined) choose(Number(pressed) - 1);
    else return false;
    return true;
  });
  const strange = strangeBalls(game, objects);
  const canAsk = strange.length === 0 && situation.on.length > 0;

  return (
    <div className="lab">
      <Stack gap={8}>
        <BenchHead bench={bench} tables={tables} />
        <AnswerTable
          shot={shot}
          situation={situation}
          answer={answer}
          selected={selected}
          positions={positions}
          onDrag={bench.drag}
          onKey={onKey}
        />
        <Text size="sm" c="dimmed">
          {answer === undefined
            ? 'Put the balls where they lie, and say what is on.'
            : 'The ways of the balls as planned, and where they stop; dashed, the best pot that is left to the opponent.'}
        </Text>
        {answer !== undefined && <StrokeCaution strike={answer.shot.strike} leaves={false} />}
      </Stack>
      <div className="lab-side">
        <section className="card" aria-labelledby="asked-title">
          <Title order={2} size="h4" id="asked-title">
            Whose turn, at what
          </Title>
          <SimpleGrid cols={2} spacing={8}>
            <OneOf
              label="Game"
              value={game}
              values={gamesOn(preset)}
              onChange={(next) => set({ game: next, turn: null })}
            />
            <OneOf
              label="On"
              value={turn}
              values={turnsIn(game)}
              wordOf={(each) => turnWords(each, game)}
              onChange={(next) => set({ turn: next === 'usual' ? null : next })}
            />
            <OneOf
              label="A player of"
              value={level}
              values={LEVEL_NAMES}
              onChange={(next) => set({ level: next === 'team' ? null : next })}
            />
            <OneOf
              label="Against"
              value={opponent}
              values={LEVEL_NAMES}
              onChange={(next) => set({ opponent: next === 'team' ? null : next })}
            />
          </SimpleGrid>
          {game !== 'snooker' && (
            <OneOf
              label="A foul gives"
              value={houseFoulFrom(params.get('foul'))}
              values={HOUSE_FOUL_NAMES}
              onChange={(next) => set({ foul: next === 'as the game has it' ? null : next })}
            />
          )}
          {game === 'snooker' && (
            <>
              <Checkbox
                mt={8}
                size="xs"
                label="A miss is called"
                checked={missCalled}
                onChange={(event) => set({ miss: event.currentTarget.checked ? null : 'no' })}
              />
              <FrameScore
                lead={lead}
                onLead={(next) => set({ lead: next === undefined ? null : String(next) })}
                objects={objects.filter((id) => !strange.includes(id))}
              />
            </>
          )}
        </section>
        {strange.length > 0 && (
          <Text size="sm" role="alert">
            {strange.join(', ')}: no ball of this game. Take it away, or choose another table.
          </Text>
        )}
        {strange.length === 0 && situation.on.length === 0 && (
          <Text size="sm" role="alert">
            No ball on the table may be played: put one down, or say what is on.
          </Text>
        )}
        {canAsk && (
          <AnswersCard
            run={run}
            situation={situation}
            chosen={looked}
            onChoose={choose}
            tools={
              <Button size="compact-xs" my={4} variant="default" onClick={play}>
                Play it
              </Button>
            }
          />
        )}
        <BenchBalls bench={bench} />
      </div>
    </div>
  );
}
