import { Switch } from '@mantine/core';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { CONTACT_GRADES, type ContactGrade } from '../../../core/counting/gradedContact.ts';
import { LEAVE_GRADES } from '../../../core/counting/kickScore.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { OneOf } from '../../controls/fields.tsx';
import { enteredOf, putEntered, type FieldsProps } from './fields.ts';

/** How a ball was met. */
export function ContactFields(props: FieldsProps) {
  const { log, onLog } = props;
  const put = (grade: ContactGrade) =>
    onLog({
      ...log,
      entered: { ...enteredOf(props), done: grade !== 'miss' },
      shots: [{ ...(log.shots[0] ?? BLANK_SHOT), grade }],
    });
  return <OneOf label="Hit" value={log.shots[0]?.grade ?? 'miss'} values={CONTACT_GRADES} onChange={put} />;
}

/** Hit or not, legal or not, how often it was played again, and what it leaves. */
export function KickFields(props: FieldsProps) {
  const { kick } = enteredOf(props);
  if (kick === null) return null;
  const put = (change: Partial<typeof kick>) => {
    const next = { ...kick, ...change };
    const legal = next.hit && next.legal;
    putEntered(props, { kick: { ...next, legal }, done: legal });
  };
  return (
    <>
      <Switch
        label="Hit"
        checked={kick.hit}
        onChange={(event) => put({ hit: event.currentTarget.checked })}
      />
      <Switch
        label="Legal"
        checked={kick.legal}
        disabled={!kick.hit}
        onChange={(event) => put({ legal: event.currentTarget.checked })}
      />
      <NumberEntry
        whole
        label="Played again"
        min={0}
        max={20}
        value={kick.repeats}
        // Which way they went was told of the misses that were counted then.
        onEnter={(repeats) => put({ repeats, missed: undefined })}
      />
      <OneOf
        label="It leaves"
        value={kick.leave}
        values={LEAVE_GRADES}
        onChange={(leave) => put({ leave })}
      />
    </>
  );
}
