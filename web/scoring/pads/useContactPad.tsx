import { CONTACT_GRADES } from '../../../core/counting/gradedContact.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { capital } from '../../words/vocabulary.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { PadButton } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** How each station's ball was hit. */
export function useContactPad({ course, actions }: ScoringProps): Pad {
  const { scoring } = course.counting.drill;
  const points = scoring.method === 'graded-contact' ? scoring.points : undefined;
  const pad = CONTACT_GRADES.map((grade, i): PadAction => ({
    key: String(i + 1),
    label: `${capital(grade)}${points === undefined ? '' : `, ${points[grade]}`}`,
    main: i === 0,
    run: () =>
      actions.enter(
        logOf({
          entered: { ...NOTHING_ENTERED, done: grade !== 'miss' },
          shots: [{ ...BLANK_SHOT, grade }],
        }),
      ),
  }));
  return {
    actions: pad,
    hint: 'How was the ball met? The number is what it is worth.',
    buttons: (
      <div className="scoring-buttons">
        {pad.map((action) => (
          <PadButton key={action.label} action={action} />
        ))}
      </div>
    ),
  };
}
