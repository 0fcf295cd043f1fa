import { Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { simulate } from '../../core/motion/simulate.ts';
import { opponentLevel } from '../../core/player/opponent.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { Table } from '../../core/table/table.ts';
import { useViewer } from '../api/viewer.ts';
import { isPlanKept } from '../planner/order/isKept.ts';
import { SAFETY_LEVEL, safetySituation } from '../planner/tactics/safetySituation.ts';
import { PathMark } from '../table/marks.tsx';
import { answerAim } from '../planner/tactics/answerAim.ts';
import { answerAimWords, answerName, answerWorth, missAdvice, outcomesWords } from '../words/answerWords.ts';
import { strokeWords } from '../words/kickWords.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';
import { rankingOf } from '../workers/tactics.ts';

/** The best answer of a safety drill, for its sheet; nothing where the plan is kept from who looks. */
export function useSheetSafety(
  drill: Drill,
  table: Table,
  seed: number,
): { readonly marks: ReactNode; readonly facts: ReactNode } | undefined {
  const { vocabulary } = useWords();
  const isKept = isPlanKept(useViewer(), drill);
  const situation = isKept ? undefined : safetySituation(drill, table, seed);
  const { preset, parameters } = table;
  const asked = situation && { ...situation, table: { preset, parameters } };
  const ranking = useQuery({
    queryKey: ['safety answers', JSON.stringify(asked ?? null)],
    enabled: asked !== undefined,
    staleTime: Infinity,
    networkMode: 'always',
    queryFn: () => (asked === undefined ? null : rankingOf(asked, () => undefined).answer),
  });
  if (situation === undefined) return undefined;
  const best = ranking.data?.answers[0];
  if (best === undefined) {
    const words = ranking.isPending ? 'The answer is being worked out …' : 'No stroke meets the ball.';
    return { marks: null, facts: <Text size="sm">{words}</Text> };
  }
  const { paths, duration } = simulate(best.shot, { paths: true });
  const { speed, tip, elevation } = best.shot.strike;
  return {
    marks: paths?.map((path) => (
      <PathMark
        key={path.id}
        path={path}
        duration={duration}
        kind={path.id === CUE_BALL ? 'cue' : 'object'}
      />
    )),
    facts: (
      <section aria-labelledby="answer-title">
        <Title order={2} size="h3" mt="sm" id="answer-title">
          What to play
        </Title>
        <Text>
          {answerName(best.kind, vocabulary)}: {answerWorth(best, situation.game)} for a {SAFETY_LEVEL} player
          against a {opponentLevel(drill)} player.
        </Text>
        <Text>
          {capital(strokeWords({ speed, tip, elevation }, vocabulary))}.{' '}
          {capital(answerAimWords(answerAim(situation, best), preset, vocabulary))}{' '}
          {missAdvice(best, situation.game).join(' ')}
        </Text>
        <Text c="dimmed">{capital(outcomesWords(best.outcomes))}.</Text>
      </section>
    ),
  };
}
