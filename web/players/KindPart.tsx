import { useAddress } from '../controls/useAddress.ts';
import { Group, Select, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import type { KindProgress } from '../../core/records/progress.ts';
import type { SkillRating } from '../../core/records/rating.ts';
import { playerResultsQuery } from '../api/players.ts';
import { revisionQuery } from '../api/drills.ts';
import { Loading } from '../controls/Loading.tsx';
import { kindCourseWords } from '../words/courseWords.ts';
import { DRILL_HEIGHT, DrillProgress } from './DrillProgress.tsx';
import { LedgerPart } from './LedgerPart.tsx';
import { ResultProgress } from './ResultProgress.tsx';
import { comparableRounds, roundsOnUnlikeTables } from '../charts/rounds.ts';
import { TREND_HEIGHT } from '../charts/TrendCard.tsx';

const keyOf = ({ drill, revision, stage, table }: KindProgress) =>
  [drill, revision, stage, table.fingerprint].join('.');

interface KindPartProps {
  readonly playerId: string;
  readonly kinds: readonly KindProgress[];
  readonly ratings: readonly SkillRating[];
  readonly drills: readonly ListedDrill[];
  readonly titleOf: (drill: string) => string;
}

/** One drill of a player, chosen among those that were played: its rounds over time and what they say. */
export function KindPart({ playerId, kinds, ratings, drills, titleOf }: KindPartProps) {
  const { params, set } = useAddress();
  const chosen = kinds.find((kind) => keyOf(kind) === params.get('kind')) ?? kinds[0];
  // Rounds are told by the text that they were played by, also when the drill has changed since.
  const entry = useQuery(revisionQuery(chosen?.drill, chosen?.revision ?? 1));
  const results = useQuery({
    ...playerResultsQuery(playerId, { drill: chosen?.drill, revision: chosen?.revision ?? 1 }),
    enabled: chosen !== undefined,
  });
  if (chosen === undefined) return null;
  const drill = entry.data === undefined ? undefined : atStage(entry.data.document, chosen.stage);
  const current = drills.find((each) => each.document.slug === chosen.drill);
  const all = results.data ?? [];
  const comparable = comparableRounds(all, chosen);
  const unlike = roundsOnUnlikeTables(all, chosen).length;
  const sameKind = all.filter(
    ({ stage, table }) => stage === chosen.stage && table.fingerprint === chosen.table.fingerprint,
  );
  const shared = { rounds: comparable, early: sameKind.length - comparable.length, unlike };
  function choose(key: string | null) {
    if (key !== null) set({ kind: key });
  }
  return (
    <>
      <Group gap="md">
        <Select
          aria-label="Rounds of"
          w={420}
          allowDeselect={false}
          data={kinds.map((kind) => ({
            value: keyOf(kind),
            label: [
              `${titleOf(kind.drill)}, stage ${kind.stage}`,
              ...(kinds.some((other) => other.drill === kind.drill && other.revision > kind.revision)
                ? [`revision ${kind.revision}`]
                : []),
              ...(kinds.some(
                (other) => other.drill === kind.drill && other.table.fingerprint !== kind.table.fingerprint,
              )
                ? [kind.table.name]
                : []),
              kind.rounds === 1 ? '1 round' : `${kind.rounds} rounds`,
            ].join(', '),
          }))}
          value={keyOf(chosen)}
          onChange={choose}
        />
        <Text data-testid="kind-course">{kindCourseWords(chosen)}</Text>
      </Group>
      {chosen.revision !== current?.revision && (
        <Text size="sm">
          Played by revision {chosen.revision}. The drill has been changed since: these rounds are compared
          among themselves, not with those of newer revisions.
        </Text>
      )}
      {drill === undefined || results.data === undefined ? (
        <Loading
          what="the drill"
          error={entry.error ?? results.error}
          height={current === undefined || isPositionDrill(current.document) ? DRILL_HEIGHT : TREND_HEIGHT}
        />
      ) : isPositionDrill(drill) ? (
        <DrillProgress
          {...shared}
          playerId={playerId}
          entry={{ revision: chosen.revision, document: drill }}
          stage={chosen.stage}
          table={chosen.table}
        />
      ) : (
        <ResultProgress {...shared} title={drill.title} kind={chosen} />
      )}
      {drill?.task.kind === 'clear' && (
        <LedgerPart key={keyOf(chosen)} playerId={playerId} kind={chosen} drill={drill} ratings={ratings} />
      )}
    </>
  );
}
