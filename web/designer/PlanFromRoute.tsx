import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { toDegrees } from '../../core/math/angle.ts';
import type { Shot } from '../../core/motion/shot.ts';
import type { Route } from '../../core/planning/routes.ts';
import { executionErrorOf } from '../../core/player/levels.ts';
import type { Drill } from '../../core/records/drill.ts';
import { questionOf } from '../planner/positionSetting.ts';
import { useRoutes } from '../planner/useRoutes.ts';
import { cushionWords, strokeWords } from '../words/strokeWords.ts';
import { percent } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';
import type { PanelProps } from './panel.ts';
import { speedWords } from '../words/lengths.ts';

interface PlanFromRouteProps extends Pick<PanelProps, 'edit'> {
  readonly drill: Drill;
  readonly shot: Shot | undefined;
}

/** A stroke as a drill writes it: to a hundredth, so that the text stays readable. */
function planOf({ strike }: Route): NonNullable<Drill['plan']> {
  const short = (value: number) => Math.round(100 * value) / 100;
  return {
    speed: short(strike.speed),
    tip: { side: short(strike.tip.side), height: short(strike.tip.height) },
    elevationDeg: Math.round(toDegrees(strike.elevation)),
  };
}

/** The planned stroke taken from a route that the planner finds for the drill's position and its player. */
export function PlanFromRoute({ drill, shot, edit }: PlanFromRouteProps) {
  const [open, setOpen] = useState(false);
  const { vocabulary } = useWords();
  const { task, scoring } = drill;
  const level = scoring.method === 'zone-points' ? scoring.windowLevel : 'team';
  const asked = task.kind === 'position' && shot !== undefined ? { task, shot } : undefined;
  const question = asked && {
    ...questionOf(
      asked.shot,
      {
        pot: asked.task.pot,
        pocket: asked.task.pocket,
        next: [asked.task.next.ball],
        nextPocket: asked.task.next.pocket,
        after: null,
        level,
        hand: 'right',
        side: !drill.conditions.includes('no side'),
      },
      null,
      executionErrorOf(level, asked.shot.table.preset.game),
    ),
    middle: true,
  };
  // The stroke that is set does not change what is asked.
  const key = open && question !== undefined ? JSON.stringify(question) : undefined;
  const found = useRoutes(key, question, null);
  if (asked === undefined) return null;
  return (
    <section aria-label="Strokes that the planner finds" style={{ marginTop: 8 }}>
      <Group gap={8}>
        <Button size="xs" variant="default" onClick={() => setOpen(!open)} aria-expanded={open}>
          {open ? 'Hide the found strokes' : 'Find strokes'}
        </Button>
        {open && found.running && <Text size="xs">looking, {percent(found.search?.done ?? 0)}</Text>}
      </Group>
      {open && found.failed !== undefined && (
        <Text size="xs" role="alert" c="var(--jr-coral-text)">
          The search came to no end: {found.failed.message}.
        </Text>
      )}
      {open &&
        found.search?.routes.map((route) => (
          <Group key={JSON.stringify(route.strike)} gap={6} mt={4} wrap="nowrap" justify="space-between">
            <Text size="xs">
              {capital(strokeWords(route.strike.tip, route.side, vocabulary))},{' '}
              {cushionWords(route.cushions.length, vocabulary)}, {speedWords(route.strike.speed)}:{' '}
              {percent(route.assessment.chance)}
            </Text>
            <Button size="compact-xs" onClick={() => edit({ ...drill, plan: planOf(route) })}>
              Plan it
            </Button>
          </Group>
        ))}
    </section>
  );
}
