import { BLANK_SHOT, type LoggedShot } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { capital } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { PadButton } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** Made or not: success rates and runs. */
export function useMadePad({ course, actions }: ScoringProps): Pad {
  const { drill } = course.counting;
  const { term } = useWords();
  const { task } = drill;
  const ball = task.kind === 'plant' || task.kind === 'double' ? task.pot : null;
  const pocket = task.kind === 'plant' || task.kind === 'double' ? task.pocket : null;
  const enter = (done: boolean, shot: Partial<LoggedShot> = {}) =>
    actions.enter(
      logOf({
        entered: { ...NOTHING_ENTERED, done },
        shots: [{ ...BLANK_SHOT, ball, pocket, potted: done && ball !== null ? [ball] : [], ...shot }],
      }),
    );
  const pad: readonly PadAction[] = [
    { key: ' ', label: ball === null ? 'Done' : 'Potted', run: () => enter(true), main: true },
    { key: 'x', label: ball === null ? 'Not done' : 'Missed', run: () => enter(false) },
    {
      key: 'f',
      label: capital(term('inOff')),
      run: () => enter(false, { inOff: true, cause: 'in-off', causeBy: 'coach' }),
    },
  ];
  return {
    actions: pad,
    buttons: (
      <div className="scoring-buttons">
        {pad.map((action) => (
          <PadButton key={action.label} action={action} />
        ))}
      </div>
    ),
  };
}
