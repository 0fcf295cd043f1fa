import { useState } from 'react';
import { CONTACT_GRADES, type ContactGrade } from '../../../core/counting/gradedContact.ts';
import { LEAVE_GRADES, type LeaveGrade } from '../../../core/counting/kickScore.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { capital } from '../../words/vocabulary.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { PadButton, PadRow } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** What is told of a kick; how it was met and what it leaves are null until somebody says it. */
interface KickDraft {
  readonly grade: ContactGrade | null;
  readonly legal: boolean;
  readonly repeats: number;
  readonly leave: LeaveGrade | null;
}

const FIRST: KickDraft = { grade: null, legal: true, repeats: 0, leave: null };
const MOST_REPEATS = 20;

/** Hit and how thick, legal or not, what it leaves, and how often the miss was called and it was played again. */
export function useKickPad({ course, actions }: ScoringProps): Pad {
  const [draft, setDraft] = useState(FIRST);
  const put = (change: Partial<KickDraft>) => setDraft({ ...draft, ...change });
  const { scoring } = course.counting.drill;
  const penalty = scoring.method === 'kick' ? scoring.penalty : 0;
  const hit = draft.grade !== null && draft.grade !== 'miss';
  const told = draft.grade !== null && draft.leave !== null;
  const keep = () => {
    const { grade, legal, repeats, leave } = draft;
    if (grade === null || leave === null) return;
    actions.enter(
      logOf({
        entered: {
          ...NOTHING_ENTERED,
          done: hit && legal,
          kick: { hit, legal: hit && legal, repeats, leave },
        },
        shots: [{ ...BLANK_SHOT, grade }],
      }),
    );
    setDraft(FIRST);
  };
  const grades = CONTACT_GRADES.map((grade, i): PadAction => ({
    key: String(i + 1),
    label: capital(grade),
    run: () => put({ grade }),
    chosen: draft.grade === grade,
  }));
  const leaves = LEAVE_GRADES.map((leave, i): PadAction => ({
    key: ['a', 's', 'd'][i] ?? 'g',
    label: capital(leave),
    run: () => put({ leave }),
    chosen: draft.leave === leave,
  }));
  const legality: readonly PadAction[] = [
    { key: 'l', label: 'Legal', run: () => put({ legal: true }), chosen: hit && draft.legal, disabled: !hit },
    {
      key: 'k',
      label: 'Foul',
      run: () => put({ legal: false }),
      chosen: draft.grade === 'miss' || (hit && !draft.legal),
      disabled: draft.grade === null,
    },
  ];
  const repeats: readonly PadAction[] = [
    {
      key: 'm',
      label: `Miss called, played again (${draft.repeats})`,
      run: () => put({ repeats: Math.min(MOST_REPEATS, draft.repeats + 1) }),
    },
    {
      key: 'b',
      label: 'One less',
      run: () => put({ repeats: Math.max(0, draft.repeats - 1) }),
      disabled: draft.repeats === 0,
    },
  ];
  const save: PadAction = { key: 'Enter', label: 'Keep this kick', run: keep, main: true, disabled: !told };
  return {
    actions: [...grades, ...legality, ...leaves, ...repeats, save],
    hint: !told
      ? 'Say how the ball was met and what it leaves.'
      : penalty > 0
        ? `Each miss or foul gives ${penalty} away.`
        : 'A miss or a foul gives ball in hand: the best leave there is.',
    buttons: (
      <div className="scoring-rows">
        <PadRow label="Hit" actions={grades} />
        <PadRow label="Rules" actions={legality} />
        <PadRow label="It leaves" actions={leaves} />
        <PadRow label="Replay" actions={repeats} />
        <PadButton action={save} />
      </div>
    ),
  };
}
