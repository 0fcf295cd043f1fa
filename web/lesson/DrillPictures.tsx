import { Text, Title, UnstyledButton } from '@mantine/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { todayInClub } from '../words/clubTime.ts';
import { atStage } from '../../core/drill/stage.ts';
import { mondayOf } from '../../core/programme/days.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { nextDrillsQuery, playerResultsQuery } from '../api/players.ts';
import { programmesQuery } from '../api/programmes.ts';
import { Loading } from '../controls/Loading.tsx';
import { tickedProgrammeQuery } from '../outbox/ticks.ts';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { suggestions, type Reason, type Suggestion } from './suggested.ts';

const REASONS: Readonly<Record<Reason, string>> = {
  planned: 'in this week’s plan',
  'played last': 'played last',
  proposed: 'proposed',
  favourite: 'a favourite',
};

interface DrillPicturesProps {
  readonly drills: readonly ListedDrill[];
  /** Undefined while nobody is chosen: then there are favourites only. */
  readonly playerId: string | undefined;
  readonly onChoose: (drill: string, stage: number | undefined) => void;
}

/** The drills that are likely the next ones, as pictures: what is planned, was played, is proposed, or is a favourite. */
export function DrillPictures({ drills, playerId, onChoose }: DrillPicturesProps) {
  const shown = useSuggestions(drills, playerId);
  if (shown === undefined) return <Loading what="what is likely next" error={null} />;
  if (shown.length === 0) {
    return playerId === undefined ? null : (
      <Text c="dimmed" mt="xl">
        Choose a drill from the list. What is played, planned or a favourite stands here the next time.
      </Text>
    );
  }
  return (
    <section aria-labelledby="likely-title">
      <Title order={2} size="h3" id="likely-title" mb="xs">
        Likely next
      </Title>
      <div className="drill-pictures">
        {shown.map(({ entry: { document }, reason, stage }) => (
          <UnstyledButton
            key={document.slug}
            className="card card-link"
            onClick={() => onChoose(document.slug, stage)}
          >
            <div aria-hidden>
              <DrillDrawing drill={atStage(document, stage ?? 1)} stage={stage ?? 1} small />
            </div>
            <Text fw={700} mt={4}>
              {document.title}
            </Text>
            <Text size="sm" c="dimmed">
              {REASONS[reason]}
            </Text>
          </UnstyledButton>
        ))}
      </div>
    </section>
  );
}

/** Undefined while a list is still asked for: a picture that changed under the finger would begin another stage. */
function useSuggestions(
  drills: readonly ListedDrill[],
  playerId: string | undefined,
): readonly Suggestion[] | undefined {
  const isKnown = playerId !== undefined;
  const played = useQuery({ ...playerResultsQuery(playerId ?? ''), enabled: isKnown });
  const proposed = useQuery({ ...nextDrillsQuery(playerId ?? ''), enabled: isKnown });
  const programmes = useQuery({ ...programmesQuery, enabled: isKnown });
  const own = (programmes.data ?? []).filter((each) => each.player.id === playerId && !each.archived);
  const full = useQueries({ queries: own.map(({ id }) => tickedProgrammeQuery(id)) });
  if ([played, proposed, programmes, ...full].some(({ isLoading }) => isLoading)) return undefined;
  const week = mondayOf(todayInClub());
  return suggestions(drills, {
    planned: full
      .flatMap(({ data }) => data?.programme.document.items ?? [])
      .filter(({ day }) => mondayOf(day) === week)
      .toSorted((a, b) => a.day.localeCompare(b.day)),
    played: (played.data ?? []).toSorted((a, b) => b.startedAt.localeCompare(a.startedAt)),
    proposed: proposed.data ?? [],
  });
}
