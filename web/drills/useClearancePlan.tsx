import { Button, Group, Text, Title } from '@mantine/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { placesInHand } from '../../core/drill/inHand.ts';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../core/drill/setUp.ts';
import { NO_WISHES } from '../../core/planning/order/wishes.ts';
import { executionErrorOf, LEVEL_NAMES, type LevelName } from '../../core/player/levels.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { Table } from '../../core/table/table.ts';
import { useViewer } from '../api/viewer.ts';
import { OneOf } from '../controls/fields.tsx';
import { isPlanKept } from '../planner/order/isKept.ts';
import { OrderTable } from '../planner/order/OrderTable.tsx';
import { PlanCard } from '../planner/order/PlanCard.tsx';
import { useOrderPlan } from '../planner/order/useOrderPlan.ts';
import { usePlayedStep } from '../planner/order/usePlayedStep.ts';
import { shotToLink, shotWith } from '../table/labShot.ts';
import { LineKey } from '../table/LineKey.tsx';

/** The throw that is shown of a drill whose balls are thrown. */
const SEED = 1;

/** A plan as a drill's page shows it. */
interface ShownPlan {
  /** In the place of the drill's own drawing, once there is a plan. */
  readonly drawing: ReactNode;
  readonly card: ReactNode;
}

/**
 * The plan of a drill that asks for a clearance: not before somebody asks, so that a student can think first.
 * @param drill as it is played at the stage, a number from 1 @returns undefined for another drill
 */
export function useClearancePlan(drill: Drill, stage: number, table: Table): ShownPlan | undefined {
  const [isAsked, setAsked] = useState(false);
  const [level, setLevel] = useState<LevelName>('team');
  const [looked, setLooked] = useState(0);
  const { task, conditions } = drill;
  const isKept = isPlanKept(useViewer(), drill);
  const order = task.kind === 'clear' ? task.order : undefined;
  const balls = useMemo(
    () => (order === undefined ? [] : ballsOfSetUp(setUp(drill, table.preset, SEED))),
    [drill, table, order],
  );
  const question = {
    table: { preset: table.preset, parameters: table.parameters },
    balls: balls.filter(({ id }) => id !== CUE_BALL),
    cue: balls.find(({ id }) => id === CUE_BALL),
    places: placesInHand(table.preset, drill.cueBall),
    order: order ?? { kind: 'any' as const },
    conditions,
    wishes: NO_WISHES,
    error: executionErrorOf(level, table.preset.game),
  };
  const planning = useOrderPlan(
    isAsked && order !== undefined ? JSON.stringify(question) : undefined,
    question,
  );
  const steps = planning.answer?.kind === 'plan' ? planning.answer.plan.steps : [];
  const step = Math.min(looked, Math.max(0, steps.length - 1));
  const { positions, play } = usePlayedStep(steps[step]);
  if (order === undefined) return undefined;
  if (!isAsked || isKept) {
    const card = (
      <section className="card no-print" aria-labelledby="plan-title">
        <Title order={2} size="h4" id="plan-title">
          Plan
        </Title>
        <Text size="sm" mt={4}>
          {isKept
            ? 'Think of your own order: the plan is shown when your round is over.'
            : 'Think of your own order first.'}
        </Text>
        {!isKept && (
          <Button mt={6} variant="default" onClick={() => setAsked(true)}>
            Show the plan
          </Button>
        )}
      </section>
    );
    return { drawing: undefined, card };
  }
  const cue = steps[0]?.shot.balls.find(({ id }) => id === CUE_BALL);
  const drawing = steps.length > 0 && (
    <>
      <OrderTable
        table={table}
        balls={question.cue === undefined && cue !== undefined ? [cue, ...balls] : balls}
        steps={steps}
        step={step}
        positions={positions}
      />
      <LineKey
        cueBall
        objectBall
        window="chance to clear from there"
        landings="cue ball stops, in order"
        here="the shot shown"
        pocket
      />
    </>
  );
  const lab = `/lab/order?${new URLSearchParams({
    order: 'drill',
    drill: drill.slug,
    stage: String(stage),
    level,
    shot: shotToLink(shotWith(table, balls)),
  }).toString()}`;
  const card = (
    <PlanCard
      planning={planning}
      step={step}
      onStep={setLooked}
      above={
        <>
          <Group align="end" gap={8}>
            <OneOf label="For a player of" value={level} values={LEVEL_NAMES} onChange={setLevel} />
            <Button size="xs" variant="default" component={Link} to={lab} className="no-print">
              Open in the lab
            </Button>
          </Group>
          {drill.thrown !== null && (
            <Text size="sm" c="dimmed">
              The balls are thrown for each attempt: this is one of the ways in which they may lie.
            </Text>
          )}
        </>
      }
      tools={() => (
        <Button size="compact-xs" my={4} variant="default" onClick={play}>
          Play it
        </Button>
      )}
    />
  );
  return { drawing: drawing === false ? undefined : drawing, card };
}
