import { useState } from 'react';
import type { Point } from '../../../core/math/point.ts';
import { CUE_BALL } from '../../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import { BLANK_SHOT, type LoggedShot } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { NextMark } from '../../table/NextMark.tsx';
import { capital } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import { keyOfBall } from '../clearanceWords.ts';
import { nearestBall } from '../nearestBall.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import { progressOf } from '../../../core/scoring/course.ts';
import type { Pad } from './pad.ts';
import { PadButton, PadRow } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** Which target is tried, and whether it is done. */
export function useLivesPad({ open, course, actions }: ScoringProps): Pad {
  const { drill, preset } = course.counting;
  const { term } = useWords();
  const [chosen, setChosen] = useState<string>();
  const left = progressOf(course, actions.scoring.attempts).targets ?? [];
  const target = chosen !== undefined && left.includes(chosen) ? chosen : left[0];
  const layout = ballsOfSetUp(setUp(drill, preset, open.round.seed));
  const places = new Map<string, Point | null>(
    layout.map((ball) => [ball.id, ball.id === CUE_BALL || left.includes(ball.id) ? ball : null]),
  );
  const enter = (done: boolean, shot: Partial<LoggedShot> = {}) => {
    if (target === undefined) return;
    actions.enter(
      logOf({
        entered: { ...NOTHING_ENTERED, done, target },
        shots: [{ ...BLANK_SHOT, ball: target, potted: done ? [target] : [], ...shot }],
      }),
    );
  };
  const outcomes: readonly PadAction[] = [
    { key: ' ', label: `The ${target ?? ''} is done`, run: () => enter(true), main: true },
    { key: 'x', label: `The ${target ?? ''} missed: a life`, run: () => enter(false) },
    {
      key: 'f',
      label: `${capital(term('inOff'))}: a life`,
      run: () => enter(false, { inOff: true, cause: 'in-off', causeBy: 'coach' }),
    },
  ];
  const choices = keyOfBall(left).map(({ id, key }): PadAction => ({
    key,
    label: id,
    run: () => setChosen(id),
    chosen: id === target,
  }));
  const at = target === undefined ? undefined : places.get(target);
  return {
    actions: [...outcomes, ...choices],
    hint: 'Tap the ball that is tried on the table, then say how it went.',
    positions: places,
    onTap: (place) => {
      const near = nearestBall(left, places, place, preset.ballRadius);
      if (near !== undefined) setChosen(near);
    },
    marks: at === undefined || at === null ? undefined : <NextMark at={at} radius={preset.ballRadius} />,
    buttons: (
      <div className="scoring-buttons">
        {outcomes.map((action) => (
          <PadButton key={action.key} action={action} />
        ))}
        <PadRow label="Tried" actions={choices} />
      </div>
    ),
  };
}
