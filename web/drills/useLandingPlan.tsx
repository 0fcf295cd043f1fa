import { Button, Group, Text, Title } from '@mantine/core';
import { skipToken, useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Drill } from '../../core/records/drill.ts';
import { useViewer } from '../api/viewer.ts';
import { isPlanKept } from '../planner/order/isKept.ts';
import { StrokeCaution } from '../planner/StrokeCaution.tsx';
import { LineKey } from '../table/LineKey.tsx';
import { CUE } from '../table/labShot.ts';
import { PathMark, WantedMark } from '../table/marks.tsx';
import { PocketMark } from '../table/PocketMark.tsx';
import { pocketsOfTask } from '../table/pocketsOfTask.ts';
import { LyingBalls } from '../table/LyingBalls.tsx';
import { TableDrawing } from '../table/TableDrawing.tsx';
import { TargetMark } from '../table/TargetMark.tsx';
import { speedWords } from '../words/lengths.ts';
import { tipWords } from '../words/tipWords.ts';
import { counted, percent } from '../words/units.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';
import { solveLanding } from '../workers/solver.ts';

/** The throw that is shown of a drill whose balls are thrown. */
const SEED = 1;
const LEVEL = 'team';

/** A stroke to targets that are drawn on the table: found when somebody asks, in the place of the drill's drawing then. */
export function useLandingPlan(
  drill: Drill,
  on: TableAsPlayed,
): { readonly drawing: ReactNode; readonly card: ReactNode } | undefined {
  const isKept = isPlanKept(useViewer(), drill);
  const asks = drill.task.kind === 'land' && !isKept;
  const [asked, setAsked] = useState<string>();
  const key = JSON.stringify([drill.slug, drill.stages.length, drill.balls, on]);
  const isAsked = asks && asked === key;
  const found = useQuery({
    queryKey: ['landing', drill, on],
    // A query never holds undefined.
    queryFn: isAsked ? async () => (await solveLanding(drill, on, LEVEL, SEED)) ?? null : skipToken,
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });
  if (!asks) return undefined;
  const plan = isAsked ? (found.data ?? undefined) : undefined;
  const card = (
    <section className="card" aria-labelledby="landing-plan-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="landing-plan-title">
          A stroke
        </Title>
        {plan === undefined && (
          <Button size="xs" variant="default" loading={found.isFetching} onClick={() => setAsked(key)}>
            Find one
          </Button>
        )}
      </Group>
      {!isAsked && <Text size="sm">Where the targets are drawn, the stroke is yours to choose.</Text>}
      {found.data === null && isAsked && <Text size="sm">No plain stroke stops in a target.</Text>}
      {found.isError && <Text size="sm">{found.error.message}</Text>}
      {plan !== undefined && (
        <>
          <Text size="sm" data-testid="landing-plan">
            {speedWords(plan.shot.strike.speed)}, tip {tipWords(plan.shot.strike.tip)}. As planned it is worth{' '}
            {counted(plan.planned, 'point')}; a {LEVEL} player makes {plan.mean.toFixed(1)} in the mean and
            scores with {percent(plan.scores)}.
          </Text>
          <StrokeCaution strike={plan.shot.strike} leaves={false} />
        </>
      )}
    </section>
  );
  const drawing = plan && (
    <>
      <TableDrawing table={plan.shot.table} label={`${drill.title}: a stroke to the targets`}>
        {drill.targets.map((target, i) => (
          <TargetMark key={i} target={target} placed={plan.shot.balls} />
        ))}
        {plan.result.paths?.map((path) => (
          <PathMark
            key={path.id}
            path={path}
            duration={plan.result.duration}
            kind={path.id === CUE ? 'cue' : 'object'}
          />
        ))}
        {pocketsOfTask(drill.task).map((name) => (
          <PocketMark key={name} name={name} />
        ))}
        <WantedMark at={plan.landing} />
        <LyingBalls balls={plan.shot.balls} positions={undefined} selected="" />
      </TableDrawing>
      <LineKey cueBall objectBall wanted="where it stops" />
    </>
  );
  return { drawing, card };
}
