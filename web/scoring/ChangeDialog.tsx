import { Button, Group, Modal, NumberInput, Select, Stack, Switch, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { CONTACT_GRADES } from '../../core/counting/gradedContact.ts';
import { LEAVE_GRADES } from '../../core/counting/kickScore.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { NOTHING_ENTERED, type Entered } from '../../core/records/entered.ts';
import type { AttemptLog } from '../../core/records/attempt.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import { ballsSet, countAttempt, judgedByEye, UncountableError } from '../../core/scoring/countAttempt.ts';
import { attemptWords } from '../words/attemptWords.ts';
import { OneOf } from '../controls/fields.tsx';
import type { Course } from '../../core/scoring/course.ts';

interface ChangeDialogProps {
  readonly attempt: StoredAttempt;
  readonly course: Course;
  readonly onClose: () => void;
  readonly onChange: (log: AttemptLog, reason: string) => void;
}

/** Tells a past attempt otherwise, and why; what it was is kept. */
export function ChangeDialog({ attempt, course, onClose, onChange }: ChangeDialogProps) {
  const [log, setLog] = useState(attempt.log);
  const [reason, setReason] = useState('');
  const counted = countedOrWhy(course, log);
  return (
    <Modal
      opened
      onClose={onClose}
      title={`Tell attempt ${attempt.ordinal} otherwise`}
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (typeof counted !== 'string' && reason.trim() !== '') onChange(log, reason.trim());
        }}
      >
        <Stack gap={8}>
          <Text>It was: {attemptWords(attempt.counted)}.</Text>
          {attempt.changed !== null && (
            <Text size="sm" c="dimmed">
              Changed before by {attempt.changed.by}: {attempt.changed.reason}
            </Text>
          )}
          <Fields course={course} log={log} onLog={setLog} />
          <Text role="status">
            {typeof counted === 'string' ? counted : `Now: ${attemptWords(counted)}.`}
          </Text>
          <TextInput
            label="Why"
            required
            maxLength={200}
            placeholder="what was wrong with the entry"
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          <Group justify="end">
            <Button variant="default" onClick={onClose}>
              Leave it
            </Button>
            <Button type="submit" disabled={typeof counted === 'string' || reason.trim() === ''}>
              Change
            </Button>
          </Group>
        </Stack>
      </form>
    </Modal>
  );
}

function countedOrWhy({ counting }: Course, log: AttemptLog) {
  try {
    return countAttempt(counting, log);
  } catch (error) {
    if (error instanceof UncountableError) return `Not yet: ${error.message}.`;
    throw error;
  }
}

interface FieldsProps {
  readonly course: Course;
  readonly log: AttemptLog;
  readonly onLog: (log: AttemptLog) => void;
}

/** What can be told otherwise, by the drill's way of counting. */
function Fields({ course, log, onLog }: FieldsProps) {
  const { drill } = course.counting;
  if ((drill.task.kind === 'position' || drill.task.kind === 'land') && !judgedByEye(drill)) {
    return <ShotFields course={course} log={log} onLog={onLog} />;
  }
  return <EnteredFields course={course} log={log} onLog={onLog} />;
}

const OUTCOMES = ['potted', 'missed', 'cue ball lost'] as const;

function ShotFields({ course, log, onLog }: FieldsProps) {
  const { drill, plan } = course.counting;
  const shot = log.shots[0] ?? BLANK_SHOT;
  const ball = isPositionDrill(drill) ? drill.task.pot : shot.ball;
  const value = shot.inOff
    ? 'cue ball lost'
    : ball === null || shot.potted.includes(ball)
      ? 'potted'
      : 'missed';
  const landing = shot.landing ?? plan?.landing ?? { x: 1, y: 0.5 };
  const put = (change: Partial<typeof shot>) => onLog({ ...log, shots: [{ ...shot, ...change }] });
  return (
    <>
      <OneOf
        label="Outcome"
        value={value}
        values={OUTCOMES}
        onChange={(outcome) =>
          put({
            potted: outcome === 'potted' && ball !== null ? [ball] : [],
            inOff: outcome === 'cue ball lost',
            landing: outcome === 'potted' ? landing : null,
          })
        }
      />
      {value === 'potted' && (
        <Group grow>
          <NumberInput
            label="Stopped at, mm from the head cushion"
            value={Math.round(1000 * landing.x)}
            onChange={(mm) => put({ landing: { ...landing, x: Number(mm) / 1000 } })}
          />
          <NumberInput
            label="mm from the right cushion"
            value={Math.round(1000 * landing.y)}
            onChange={(mm) => put({ landing: { ...landing, y: Number(mm) / 1000 } })}
          />
        </Group>
      )}
    </>
  );
}

function EnteredFields({ course, log, onLog }: FieldsProps) {
  const { drill } = course.counting;
  const { scoring } = drill;
  const clearance = drill.task.kind === 'clear' && scoring.method !== 'lives';
  const counted = countedOrWhy(course, log);
  const before = typeof counted === 'string' ? undefined : counted;
  // A clearance logged shot by shot is told by its result from here on.
  const entered: Entered = log.entered ?? {
    ...NOTHING_ENTERED,
    done: before?.done ?? false,
    balls: before?.balls ?? null,
    points: scoring.method === 'break-points' ? (before?.points ?? 0) : null,
    penalty: before?.penalty ?? null,
  };
  const put = (change: Partial<Entered>) =>
    onLog({
      ...log,
      entered: { ...entered, ...change },
      ...(clearance ? { shots: [], detail: 'quick' } : {}),
    });
  const putGrade = (grade: (typeof CONTACT_GRADES)[number]) =>
    onLog({
      ...log,
      entered: { ...entered, done: grade !== 'miss' },
      shots: [{ ...(log.shots[0] ?? BLANK_SHOT), grade }],
    });
  const balls = ballsSet(drill, log.set).length;
  const { kick, opening, call } = entered;
  switch (scoring.method) {
    case 'balls-made':
    case 'clear-or-restart':
      return (
        <NumberInput
          label={`Balls made, of ${balls}`}
          min={0}
          max={balls}
          value={entered.balls ?? 0}
          onChange={(made) => put({ balls: Number(made), done: Number(made) === balls })}
        />
      );
    case 'break-points':
      return (
        <Group grow>
          <NumberInput
            label="Points"
            min={0}
            max={200}
            value={entered.points ?? 0}
            onChange={(points) => put({ points: Number(points) })}
          />
          <NumberInput
            label="Given away"
            min={0}
            max={40}
            value={entered.penalty ?? 0}
            onChange={(penalty) => put({ penalty: Number(penalty) })}
          />
        </Group>
      );
    case 'zone-points':
      return (
        <NumberInput
          label="Points"
          min={0}
          value={entered.points ?? 0}
          onChange={(points) => put({ points: Number(points), done: true })}
        />
      );
    case 'graded-contact':
      return (
        <OneOf
          label="Hit"
          value={log.shots[0]?.grade ?? 'miss'}
          values={CONTACT_GRADES}
          onChange={putGrade}
        />
      );
    case 'kick': {
      if (kick === null) return null;
      const putKick = (change: Partial<typeof kick>) => {
        const next = { ...kick, ...change };
        put({ kick: next, done: next.hit && next.legal });
      };
      return (
        <>
          <Switch
            label="Hit"
            checked={kick.hit}
            onChange={(event) => putKick({ hit: event.currentTarget.checked })}
          />
          <Switch
            label="Legal"
            checked={kick.legal}
            onChange={(event) => putKick({ legal: event.currentTarget.checked })}
          />
          <NumberInput
            label="Played again"
            min={0}
            max={20}
            value={kick.repeats}
            onChange={(repeats) => putKick({ repeats: Number(repeats) })}
          />
          <OneOf
            label="It leaves"
            value={kick.leave}
            values={LEAVE_GRADES}
            onChange={(leave) => putKick({ leave })}
          />
        </>
      );
    }
    case 'break-score': {
      if (opening === null) return null;
      const putOpening = (change: Partial<typeof opening>) => {
        const next = { ...opening, ...change };
        put({ opening: next, done: !next.inOff && next.balls > 0 });
      };
      return (
        <>
          {(['balls', 'control', 'layout'] as const).map((name) => (
            <NumberInput
              key={name}
              label={
                { balls: 'Balls down', control: 'Cue ball kept, 0 to 3', layout: 'Layout, 0 to 3' }[name]
              }
              min={0}
              max={name === 'balls' ? 15 : 3}
              value={opening[name]}
              onChange={(value) => putOpening({ [name]: Number(value) })}
            />
          ))}
          <Switch
            label="Cue ball lost"
            checked={opening.inOff}
            onChange={(event) => putOpening({ inOff: event.currentTarget.checked })}
          />
        </>
      );
    }
    case 'call-it':
      return call === null ? null : (
        <Select
          label="Called"
          allowDeselect={false}
          data={[...new Set([call.called, call.computed, 'yes', 'no', 'otherwise'])]}
          value={call.called}
          onChange={(called) => {
            if (called !== null) put({ call: { ...call, called }, done: called === call.computed });
          }}
        />
      );
    default:
      return (
        <Switch
          label={clearance ? 'Cleared' : 'Done'}
          checked={entered.done}
          onChange={(event) => {
            const done = event.currentTarget.checked;
            put({ done, balls: clearance && done ? balls : null });
          }}
        />
      );
  }
}
