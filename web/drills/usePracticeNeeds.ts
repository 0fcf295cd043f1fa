import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { mostPoints } from '../../core/counting/bands.ts';
import { practiceNeeds, type PracticeNeed } from '../../core/drill/practiceNeed.ts';
import type { ListedDrill } from '../../core/records/club.ts';
import { playerRoundsQuery } from '../api/queries.ts';
import { pointsOf } from '../players/rounds.ts';

/** What the rounds of a player say of each drill; nothing for nobody. */
export function usePracticeNeeds(
  drills: readonly ListedDrill[],
  playerId: string | null,
): ReadonlyMap<string, PracticeNeed> {
  const rounds = useQuery({ ...playerRoundsQuery(playerId ?? ''), enabled: playerId !== null });
  const [now] = useState(() => Date.now());
  return useMemo(() => {
    const played = (rounds.data ?? []).flatMap((round) => {
      const entry = drills.find(({ document }) => document.slug === round.drill);
      // By an older text the best possible may have been another.
      if (entry?.revision !== round.revision || round.early === true) return [];
      const best = round.shots * mostPoints(entry.document.stages[round.stage - 1]?.bands ?? []);
      if (best === 0) return [];
      const share = pointsOf(round.attempts) / best;
      return [{ drill: round.drill, share, at: Date.parse(round.startedAt) }];
    });
    return playerId === null
      ? new Map()
      : practiceNeeds(
          drills.map(({ document }) => document),
          played,
          now,
        );
  }, [drills, rounds.data, playerId, now]);
}
