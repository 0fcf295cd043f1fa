import { useQuery } from '@tanstack/react-query';
import type { PositionEntry } from '../../core/drill/positionDrill.ts';
import type { RoundHead } from '../../core/records/round.ts';
import type { TableRef } from '../../core/records/clubTable.ts';
import { benchmarkQuery } from '../planner/solved.ts';
import { playerRoundsQuery } from '../api/players.ts';
import { tableStateQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { asPlayed } from '../table/tableChoice.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';
import { LANDINGS_HEIGHT, LandingScatter } from '../charts/LandingScatter.tsx';
import { TREND_HEIGHT, TrendCard } from '../charts/TrendCard.tsx';

interface DrillProgressProps {
  readonly playerId: string;
  readonly entry: PositionEntry;
  readonly stage: number;
  /** On which these rounds were played, or one on which balls run alike. */
  readonly table: TableRef & { readonly fingerprint: string };
  /** Complete rounds that can be compared, oldest first. */
  readonly rounds: readonly RoundHead[];
  /** How many more were ended early and are left out. */
  readonly early: number;
  /** How many more were played on tables on which balls run otherwise. */
  readonly unlike: number;
}

/** About what it takes on the page, pixels. */
export const DRILL_HEIGHT = TREND_HEIGHT + 16 + LANDINGS_HEIGHT;

/** How a drill has gone in which the cue ball is placed: its rounds over time, and the landings. */
export function DrillProgress(props: DrillProgressProps) {
  const state = useQuery(tableStateQuery(props.table));
  if (state.data === undefined) return <Loading what="the table" error={state.error} height={DRILL_HEIGHT} />;
  return <Progress {...props} on={asPlayed(state.data)} />;
}

function Progress({
  playerId,
  entry,
  stage,
  table,
  on,
  rounds,
  early,
  unlike,
}: DrillProgressProps & { readonly on: TableAsPlayed }) {
  const benchmark = useQuery(benchmarkQuery(entry, stage, { ref: table, on }, () => undefined));
  const { document, revision } = entry;
  const played = useQuery(
    playerRoundsQuery(playerId, { drill: document.slug, revision, stage, table: table.fingerprint }),
  );
  return (
    <>
      <TrendCard
        title={document.title}
        rounds={rounds}
        early={early}
        unlike={unlike}
        benchmark={benchmark.isError ? null : benchmark.data}
      />
      {rounds.length === 0 ? null : played.data === undefined ? (
        <Loading what="the rounds" error={played.error} height={LANDINGS_HEIGHT} />
      ) : (
        <LandingScatter document={document} on={on} stage={stage} rounds={played.data} />
      )}
    </>
  );
}
