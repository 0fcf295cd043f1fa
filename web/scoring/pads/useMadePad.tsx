import type { Table } from '../../../core/table/table.ts';
import { BLANK_SHOT, type LoggedShot } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { capital } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { useKickTaps } from './useKickTaps.tsx';
import { PadButton } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** Made or not: success rates and runs. */
export function useMadePad(props: ScoringProps & { readonly table: Table }): Pad {
  const { course, actions } = props;
  const { drill } = course.counting;
  const tapped = useKickTaps(props);
  const { term } = useWords();
  const { task } = drill;
  const ball = task.kind === 'plant' || task.kind === 'double' ? task.pot : null;
  const pocket = task.kind === 'plant' || task.kind === 'double' ? task.pocket : null;
  const isHit = task.kind === 'kick' || task.kind === 'safety';
  /** What the taps come to: met, legal as far as they tell, and what is asked left. */
  const { read } = tapped;
  const isDone = read === undefined ? undefined : !read.missed && tapped.asAsked !== false;
  const enter = (done: boolean, shot: Partial<LoggedShot> = {}) => {
    actions.enter(
      logOf({
        entered: { ...NOTHING_ENTERED, done },
        shots: [
          {
            ...BLANK_SHOT,
            ball,
            pocket,
            potted: done && ball !== null ? [ball] : [],
            grade: isHit ? (tapped.read?.missed === true ? 'miss' : (tapped.told?.grade ?? null)) : null,
            landing: isHit ? (tapped.cueAt ?? null) : null,
            ...shot,
          },
        ],
      }),
    );
    tapped.clear();
  };
  const pad: readonly PadAction[] = [
    {
      key: ' ',
      label: ball === null ? 'Done' : 'Potted',
      run: () => enter(true),
      main: true,
      chosen: isDone === true,
    },
    {
      key: 'x',
      label: ball === null ? 'Not done' : 'Missed',
      run: () => enter(false),
      chosen: isDone === false,
    },
    {
      key: 'f',
      label: capital(term('inOff')),
      run: () => enter(false, { inOff: true, cause: 'in-off', causeBy: 'coach' }),
    },
  ];
  const keep: readonly PadAction[] =
    isDone === undefined
      ? []
      : [{ key: 'Enter', label: isDone ? 'Keep: done' : 'Keep: not done', run: () => enter(isDone) }];
  return {
    actions: [...pad, ...keep],
    ...(isHit && { onTap: tapped.onTap, marks: tapped.marks }),
    ...(isHit && { hint: tapped.hint ?? 'Say what came of it, or tap where both balls stopped.' }),
    buttons: (
      <div className="scoring-buttons">
        {[...pad, ...keep].map((action) => (
          <PadButton key={action.label} action={action} />
        ))}
      </div>
    ),
  };
}
