import type { Table } from '../../../core/table/table.ts';
import { useKickTaps } from './useKickTaps.tsx';
import { CONTACT_GRADES, type ContactGrade } from '../../../core/counting/gradedContact.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { capital } from '../../words/vocabulary.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { PadButton } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** How each station's ball was hit: by one key, or read off two taps and kept with Enter. */
export function useContactPad(props: ScoringProps & { readonly table: Table }): Pad {
  const { course, actions } = props;
  const { scoring, task } = course.counting.drill;
  const tapped = useKickTaps(props);
  const read = tapped.read?.missed === true ? 'miss' : tapped.told?.grade;
  const enter = (grade: ContactGrade) => {
    actions.enter(
      logOf({
        entered: { ...NOTHING_ENTERED, done: grade !== 'miss' },
        shots: [{ ...BLANK_SHOT, grade, landing: tapped.cueAt ?? null }],
      }),
    );
    tapped.clear();
  };
  const points = scoring.method === 'graded-contact' ? scoring.points : undefined;
  const pad = CONTACT_GRADES.map((grade, i): PadAction => ({
    key: String(i + 1),
    label: `${capital(grade)}${points === undefined ? '' : `, ${points[grade]}`}`,
    main: i === 0 && read === undefined,
    chosen: grade === read,
    run: () => enter(grade),
  }));
  const keep: readonly PadAction[] =
    read === undefined ? [] : [{ key: 'Enter', label: `Keep “${read}”`, run: () => enter(read) }];
  return {
    actions: [...pad, ...keep],
    ...(task.kind === 'kick' && { onTap: tapped.onTap, bringIn: tapped.bringIn }),
    marks: tapped.marks,
    hint: tapped.hint ?? 'How was the ball met? The number is what it is worth.',
    buttons: (
      <div className="scoring-buttons">
        {[...pad, ...keep].map((action) => (
          <PadButton key={action.label} action={action} />
        ))}
      </div>
    ),
  };
}
