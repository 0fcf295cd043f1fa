import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { practiceNeeds, type PracticeNeed } from '../../core/drill/practiceNeed.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { playerResultsQuery } from '../api/players.ts';

/** What the rounds of a player say of each drill; nothing for nobody. */
export function usePracticeNeeds(
  drills: readonly ListedDrill[],
  playerId: string | null,
): ReadonlyMap<string, PracticeNeed> {
  const rounds = useQuery({ ...playerResultsQuery(playerId ?? ''), enabled: playerId !== null });
  const [now] = useState(() => Date.now());
  return useMemo(() => {
    const played = (rounds.data ?? []).flatMap((round) => {
      const entry = drills.find(({ document }) => document.slug === round.drill);
      // By an older text the best possible may have been another.
      if (entry?.revision !== round.revision || round.early === true) return [];
      const { value, maximum, better } = round.result;
      if (maximum === null || maximum === 0 || better === 'low') return [];
      const share = Math.min(1, value / maximum);
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
