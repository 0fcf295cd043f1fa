import { Button, Text } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { AttemptLog } from '../../../core/records/attempt.ts';
import type { Drill } from '../../../core/records/drill.ts';
import { planMoments } from '../../../core/scoring/planMoments.ts';
import type { Table } from '../../../core/table/table.ts';
import { useViewer } from '../../api/viewer.ts';
import { choiceWords, wantedWords } from '../../planner/order/costWords.ts';
import { isPlanKept } from '../../planner/order/isKept.ts';
import { adviceQuery, PLANNED_FOR } from '../../planner/order/moments.ts';
import { useWords } from '../../words/useWords.ts';

interface PlanPadProps {
  readonly drill: Drill;
  readonly table: Table;
  readonly log: Pick<AttemptLog, 'seed' | 'places' | 'shots'> | null;
  /** The balls with which the attempt begins; null for all of the drill. */
  readonly set: AttemptLog['set'];
  readonly over: boolean;
  /** Of the layout. */
  readonly seed: number;
}

const NOTHING_YET = { seed: null, places: null, shots: [] };

/** What the plan wants next, and what the last choice cost: hidden until somebody asks. */
export function PlanPad({ drill, table, log, set, over, seed }: PlanPadProps) {
  const [shown, setShown] = useLocalStorage<boolean>({
    key: 'jolly-plan-shown',
    defaultValue: false,
    getInitialValueInEffect: false,
  });
  const { vocabulary } = useWords();
  const isKept = isPlanKept(useViewer(), drill);
  const moments = useMemo(
    () =>
      shown && !over && !isKept ? planMoments(drill, table, { ...(log ?? NOTHING_YET), set }, seed) : [],
    [shown, over, isKept, drill, table, log, set, seed],
  );
  const shots = log?.shots.length ?? 0;
  const now = moments[shots];
  const before = shots === 0 ? undefined : moments[shots - 1];
  const next = useQuery(adviceQuery(drill, table, now));
  const last = useQuery(adviceQuery(drill, table, before));
  if (over || isKept || drill.task.kind !== 'clear') return null;
  return (
    <section aria-label="The plan" data-testid="plan-pad">
      <Button size="compact-sm" variant="default" aria-pressed={shown} onClick={() => setShown(!shown)}>
        {shown ? 'Hide the plan' : 'Show the plan'}
      </Button>
      {shown && (
        <>
          {before?.played !== undefined && before.cue !== 'in hand' && last.data !== undefined && (
            <Text size="sm">{choiceWords(last.data, before.played)}</Text>
          )}
          {now !== undefined && (
            <Text size="sm" fw={600} role="status">
              {nextWords()}
            </Text>
          )}
        </>
      )}
    </section>
  );

  function nextWords(): string {
    if (now?.cue === undefined) return 'Tap where the cue ball stopped: then the plan says what comes next.';
    if (next.isError) return `The plan came to no end: ${next.error.message}.`;
    if (next.data === undefined) return 'Planning.';
    const wanted = wantedWords(next.data, vocabulary);
    if (wanted === undefined) return 'The plan sees no ball from here.';
    const chance = Math.round(100 * (next.data[0]?.value ?? 0));
    const from = now.cue === 'in hand' ? ' from the best place' : '';
    return `Next: ${wanted}. A ${PLANNED_FOR} player clears ${chance} of a hundred${from}.`;
  }
}
