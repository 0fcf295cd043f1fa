import { Button, Group, Text } from '@mantine/core';
import { proxy } from 'comlink';
import { useState } from 'react';
import type { Shot } from '../../../core/motion/shot.ts';
import type { BackwardMap, WantedWay } from '../../../core/planning/backward.ts';
import type { PocketName } from '../../../core/table/pockets.ts';
import { OneOf, PocketField } from '../../controls/fields.tsx';
import { percent } from '../../words/units.ts';
import { useSearch } from '../../planner/useSearch.ts';
import { searchPlanner } from '../../workers/planner.ts';
import type { PositionQuestion } from '../../../core/planning/position/question.ts';
import { CUE } from '../../table/labShot.ts';
import type { PositionSetting } from '../../planner/positionSetting.ts';

interface BackwardFound {
  readonly map: BackwardMap | undefined;
  readonly earlier: boolean;
}

export interface Backward {
  /** Of the position as it stands; a map of another one is not shown. */
  readonly map: BackwardMap | undefined;
  /** Share of the map that is done, while one is made. */
  readonly done: number | undefined;
  readonly earlier: boolean;
  /** Why no map came. */
  readonly failed: Error | undefined;
  readonly ask: (wanted: WantedWay) => void;
  /** The same map one shot earlier: the ball before is potted, the cue ball is wanted where the map is lit. */
  readonly askEarlier: (pot: string, pocket: PocketName) => void;
  readonly stop: () => void;
}

/** Backward maps of a question, made on demand. @param key tells questions apart */
export function useBackward(key: string, question: PositionQuestion): Backward {
  const { state, ask, stop } = useSearch<number, BackwardFound>('backward');
  const current = state.kind !== 'idle' && state.key === key ? state : undefined;
  const found = current?.kind === 'answered' ? current.answer : undefined;
  const map = found?.map;

  function make(asked: PositionQuestion, wanted: WantedWay, earlier: boolean) {
    ask(key, async (tell) => {
      const answer = await searchPlanner().backward(asked, wanted, proxy(tell));
      if (answer === 'cancelled') return answer;
      return { map: 'kind' in answer ? undefined : answer, earlier };
    });
  }

  return {
    map,
    done: current?.kind === 'running' ? (current.progress ?? 0) : undefined,
    earlier: found?.earlier ?? false,
    failed: current?.kind === 'failed' ? current.error : undefined,
    ask: (wanted) => make(question, wanted, false),
    askEarlier: (pot, pocket) => {
      if (map !== undefined) make({ ...question, pot, pocket }, { kind: 'map', map: map.map }, true);
    },
    stop,
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
        {backward.failed !== undefined
          ? `No map came: ${backward.failed.message}.`
          : backward.done !== undefined
            ? `The table lights up, ${percent(backward.done)}`
            : backward.map === undefined
              ? 'Drag on the cloth: where the cue ball should stop, or the line that it should take after the pot. Then the table lights up from where it comes by itself.'
              : backward.earlier
                ? 'Lit: from here a plain pot of the ball before leads to a place that was lit.'
                : `Lit: from here a plain pot of the ${setting.pot}, rolling or stunned, does it by itself.`}
      </Text>
      {backward.done !== undefined && (
        <Button size="compact-xs" variant="default" onClick={backward.stop}>
          Stop
        </Button>
      )}
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
