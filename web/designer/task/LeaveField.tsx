import { ASKED_LEAVES, type AskedLeave } from '../../../core/counting/leaveGrade.ts';
import { OneOf } from '../../controls/fields.tsx';

const ANYTHING = 'anything';
type Choice = AskedLeave | typeof ANYTHING;

interface LeaveFieldProps {
  readonly value: AskedLeave | undefined;
  /** Whether a drill may leave it open. */
  readonly mayBeAnything: boolean;
  readonly onChange: (leave: AskedLeave | undefined) => void;
}

const WORDS: Readonly<Record<Choice, string>> = {
  anything: 'anything',
  'nothing on': 'nothing that can be potted',
  hidden: 'no straight way to a ball',
};

/** What has to be left to the opponent for the shot to be done. */
export function LeaveField({ value, mayBeAnything, onChange }: LeaveFieldProps) {
  const values: readonly Choice[] = mayBeAnything ? [ANYTHING, ...ASKED_LEAVES] : ASKED_LEAVES;
  return (
    <OneOf
      label="and leave"
      value={value ?? (mayBeAnything ? ANYTHING : 'nothing on')}
      values={values}
      wordOf={(each) => WORDS[each]}
      onChange={(next) => onChange(ASKED_LEAVES.find((each) => each === next))}
    />
  );
}
