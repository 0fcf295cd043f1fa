import { Button, Group, Text } from '@mantine/core';
import { proxy } from 'comlink';
import { useState } from 'react';
import type { Shot } from '../../../core/motion/shot.ts';
import type { BackwardMap, WantedWay } from '../../../core/planning/backward.ts';
import type { PocketName } from '../../../core/table/pockets.ts';
import { OneOf, PocketField } from '../../controls/fields.tsx';
import { percent } from '../../words/units.ts';
import { searchPlanner } from '../../workers/planner.ts';
import type { PositionQuestion } from '../../workers/plannerProtocol.ts';
import { CUE } from '../../table/labShot.ts';
import type { PositionSetting } from '../../planner/positionSetting.ts';

export interface Backward {
  readonly map: BackwardMap | undefined;
  /** Share of the map that is done, while one is made. */
  readonly done: number | undefined;
  readonly earlier: boolean;
  readonly ask: (wanted: WantedWay) => void;
  /** The same map one shot earlier: the ball before is potted, the cue ball is wanted where the map is lit. */
  readonly askEarlier: (pot: string, pocket: PocketName) => void;
}

/** Backward maps of a question, made on demand. */
export function useBackward(question: PositionQuestion): Backward {
  const [map, setMap] = useState<BackwardMap>();
  const [earlier, setEarlier] = useState(false);
  const [done, setDone] = useState<number>();

  async function make(asked: PositionQuestion, wanted: WantedWay, isEarlier: boolean) {
    setDone(0);
    let answered = false;
    const tell = (share: number) => {
      // Progress comes on a channel of its own and may be late.
      if (!answered) setDone(share);
    };
    const answer = await searchPlanner().backward(asked, wanted, proxy(tell));
    answered = true;
    // Another map is being made in its place, and tells how far it is.
    if (answer === 'cancelled') return;
    setDone(undefined);
    setEarlier(isEarlier);
    setMap('kind' in answer ? undefined : answer);
  }

  return {
    map,
    done,
    earlier,
    ask: (wanted) => void make(question, wanted, false),
    askEarlier: (pot, pocket) => {
      if (map !== undefined) void make({ ...question, pot, pocket }, { kind: 'map', map: map.map }, true);
    },
  };
}

interface BackwardPanelProps {
  readonly backward: Backward;
  readonly shot: Shot;
  readonly setting: PositionSetting;
}

/** What the lit places mean, and the step to the shot before. */
export function BackwardPanel({ backward, shot, setting }: BackwardPanelProps) {
  const others = shot.balls.map(({ id }) => id).filter((id) => id !== CUE && id !== setting.pot);
  const [before, setBefore] = useState(others[0] ?? '');
  const [pocket, setPocket] = useState<PocketName>('head-right');
  const ball = others.includes(before) ? before : (others[0] ?? '');
  return (
    <Group align="end" gap="sm">
      <Text size="sm" style={{ flex: '1 1 260px' }} role="status">
        {backward.done !== undefined
          ? `The table lights up, ${percent(backward.done)}`
          : backward.map === undefined
            ? 'Drag on the cloth: where the cue ball should stop, or the line that it should take after the pot. Then the table lights up from where it comes by itself.'
            : backward.earlier
              ? 'Lit: from here a plain pot of the ball before leads to a place that was lit.'
              : `Lit: from here a plain pot of the ${setting.pot}, rolling or stunned, does it by itself.`}
      </Text>
      {backward.map !== undefined && ball !== '' && !backward.earlier && (
        <>
          <OneOf label="Before it, pot the" value={ball} values={others} onChange={setBefore} />
          <PocketField label="into" value={pocket} onChange={setPocket} />
          <Button size="xs" onClick={() => backward.askEarlier(ball, pocket)}>
            One shot earlier
          </Button>
        </>
      )}
    </Group>
  );
}
