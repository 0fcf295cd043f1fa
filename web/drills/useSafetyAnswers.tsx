import { Button, SegmentedControl, Text } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { stationsOf } from '../../core/drill/station.ts';
import { opponentLevel } from '../../core/player/opponent.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { Ranking } from '../../core/tactics/ranking.ts';
import type { Table } from '../../core/table/table.ts';
import { useViewer } from '../api/viewer.ts';
import { isPlanKept } from '../planner/order/isKept.ts';
import { AnswersCard } from '../planner/tactics/AnswersCard.tsx';
import { AnswerTable } from '../planner/tactics/AnswerTable.tsx';
import { SAFETY_LEVEL, safetySituation } from '../planner/tactics/safetySituation.ts';
import { StrokeCaution } from '../planner/StrokeCaution.tsx';
import { useOneRun } from '../planner/useOneRun.ts';
import { shotToLink, shotWith } from '../table/labShot.ts';
import { rankingOf } from '../workers/tactics.ts';
import { LineKey } from '../table/LineKey.tsx';

/** The throw that is shown of a drill whose balls are thrown. */
const SEED = 1;

/** What to play in a safety drill: weighed when somebody asks, in the place of the drill's drawing then. */
export function useSafetyAnswers(
  drill: Drill,
  table: Table,
): { readonly drawing: ReactNode; readonly card: ReactNode } | undefined {
  const [chosen, setChosen] = useState({ key: '', answer: 0 });
  const [station, setStation] = useState(1);
  const isKept = isPlanKept(useViewer(), drill);
  const situation = isKept ? undefined : safetySituation(drill, table, SEED, station);
  const { preset, parameters } = table;
  const key = situation === undefined ? '' : JSON.stringify({ ...situation, table: { preset, parameters } });
  const run = useOneRun<Ranking>(key, (onShare) => {
    if (situation === undefined) throw new Error('useSafetyAnswers: nothing is asked');
    return rankingOf({ ...situation, table: { preset, parameters } }, onShare);
  });
  if (situation === undefined) return undefined;
  const looked = chosen.key === key ? chosen.answer : 0;
  const answer = run.answer?.answers[looked];
  const shot = shotWith(table, situation.balls);
  const lab = `/lab/safety?${new URLSearchParams({
    game: situation.game,
    opponent: opponentLevel(drill),
    shot: shotToLink(shot),
  }).toString()}`;
  const card = (
    <>
      {stationsOf(drill) > 1 && (
        <SegmentedControl
          size="xs"
          aria-label="The cue ball’s place"
          data={Array.from({ length: stationsOf(drill) }, (_, k) => String(k + 1))}
          value={String(station)}
          onChange={(value) => setStation(Number(value))}
        />
      )}
      <AnswersCard
        run={run}
        situation={situation}
        chosen={looked}
        onChoose={(next) => setChosen({ key, answer: next })}
        tools={
          <Button size="compact-xs" my={4} variant="default" component={Link} to={lab} className="no-print">
            Open in the lab
          </Button>
        }
      />
      {answer !== undefined && <StrokeCaution strike={answer.shot.strike} leaves={false} />}
      {!run.isBegun && (
        <Text size="xs" c="dimmed">
          As a {SAFETY_LEVEL} player, against a {opponentLevel(drill)} player.
        </Text>
      )}
    </>
  );
  const drawing =
    answer === undefined ? undefined : (
      <>
        <AnswerTable shot={shot} situation={situation} answer={answer} positions={undefined} />
        <LineKey cueBall objectBall ghost aim="the best pot that is left" />
      </>
    );
  return { drawing, card };
}
