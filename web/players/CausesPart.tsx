import { Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { executionErrorOf } from '../../core/player/levels.ts';
import type { Game } from '../../core/table/preset.ts';
import { usePlayedShots } from '../planner/usePlayedShots.ts';
import { ERROR_WORDS } from '../words/errorWords.ts';
import { causesOf } from '../workers/solver.ts';
import { capital } from '../words/vocabulary.ts';
import { causeSharesWords, standsOut } from './causeWords.ts';
import { WorkedOutCard } from './WorkedOutCard.tsx';

interface CausesPartProps {
  readonly playerId: string;
  readonly game: Game;
}

/** What most of a player's strays come from, over the newest rounds together. */
export function CausesPart({ playerId, game }: CausesPartProps) {
  const { read, key } = usePlayedShots(playerId, game);
  const working = useMutation({
    mutationFn: () => causesOf(read?.() ?? [], executionErrorOf('team', game)),
    networkMode: 'always',
  });
  if (key.length === 0) return null;
  const found = working.data;
  const first = found?.shares?.[0];
  return (
    <WorkedOutCard
      title="What strays come from"
      ask="Find out"
      onAsk={() => working.mutate()}
      working={working.isPending}
      disabled={read === undefined}
      error={working.error}
    >
      {found === undefined && (
        <Text size="sm">
          One landing rarely tells whether the pace, the line or the tip was off. All landings of the newest
          rounds together do.
        </Text>
      )}
      {found !== undefined && found.shares === undefined && (
        <Text size="sm">
          Too few shots off the plan to tell: {found.astray} of {found.shots}.
        </Text>
      )}
      {found?.shares !== undefined && first !== undefined && (
        <>
          <Text fw={700} data-testid="cause-shares">
            {capital(causeSharesWords(found.shares))}
          </Text>
          <Text size="sm">
            {standsOut(found.shares)
              ? `The ${ERROR_WORDS[first.error]} is behind more strays than anything else.`
              : 'No one error stands out: what two intervals share may be chance.'}
          </Text>
          <Text size="xs" c="dimmed" mt={4}>
            Of {found.astray} shots off the plan among {found.shots}; in brackets, where the real share lies
            in nine of ten cases.
          </Text>
        </>
      )}
    </WorkedOutCard>
  );
}
