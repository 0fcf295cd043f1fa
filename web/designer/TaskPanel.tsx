import { Group, NumberInput, Stack } from '@mantine/core';
import { firstScoring, firstTask } from '../../core/drill/draft.ts';
import { methodsOf } from '../../core/drill/methodsOf.ts';
import { objectBalls } from '../../core/drill/round.ts';
import type { Drill } from '../../core/records/drill.ts';
import { CUSHION_SIDES } from '../../core/records/drillText/places.ts';
import { QUESTIONS, TASK_KINDS, type TaskKind } from '../../core/records/drillText/task.ts';
import type { PanelProps } from './panel.ts';
import { BallField, ListField, OneOf, PocketField } from '../controls/fields.tsx';

type Task = Drill['task'];
/** An order as it is written, to be changed. */
type Order = Extract<Task, { kind: 'clear' }>['order'];

const KIND_WORDS: Readonly<Record<TaskKind, string>> = {
  position: 'pot and come on to the next',
  land: 'pot and land in targets',
  clear: 'clear the table',
  break: 'break',
  kick: 'kick to a ball',
  plant: 'pot by way of a ball',
  double: 'pot by way of cushions',
  safety: 'leave nothing',
  call: 'foretell',
};

const FAMILY_OF: Readonly<Record<TaskKind, Drill['family']>> = {
  position: 'position',
  land: 'position',
  clear: 'order',
  break: 'break',
  kick: 'kick',
  plant: 'plant',
  double: 'plant',
  safety: 'safety',
  call: 'judgement',
};

const ORDERS = ['any', 'rotation', 'listed', 'groups', 'suits', 'red and colour', 'money ball'] as const;

function firstOrder(kind: Order['kind'], balls: readonly string[]): Order {
  const half = Math.ceil(balls.length / 2);
  const halves = [balls.slice(0, half), balls.slice(half)];
  const last = balls.at(-1) ?? '8';
  switch (kind) {
    case 'listed':
      return { kind, balls: [...balls] };
    case 'groups':
      return { kind, groups: halves };
    case 'suits':
      return { kind, suits: [balls.slice(0, half), balls.slice(half, -1)], last, both: false };
    case 'money ball':
      return { kind, ball: last };
    case 'any':
    case 'rotation':
    case 'red and colour':
      return { kind };
  }
}

/** Another kind of task, with a count that belongs to it. */
function withTask(drill: Drill, kind: TaskKind): Drill {
  const next = { ...drill, family: FAMILY_OF[kind], task: firstTask(kind, objectBalls(drill)) };
  const methods = methodsOf(next);
  const fits = (scoring: Drill['scoring'] | null) => scoring === null || methods.includes(scoring.method);
  const [usual] = methods;
  return {
    ...next,
    scoring: fits(next.scoring) || usual === undefined ? next.scoring : firstScoring(usual, next),
    stages: next.stages.map((stage) => (fits(stage.scoring) ? stage : { ...stage, scoring: null })),
  };
}

/** What is asked: which kind of task, and what belongs to it. */
export function TaskPanel({ drill, edit }: PanelProps) {
  const { task } = drill;
  const put = (next: Task) => edit({ ...drill, task: next });
  const kinds = TASK_KINDS.map((kind) => KIND_WORDS[kind]);
  return (
    <Stack gap={8}>
      <OneOf
        label="The player is to"
        value={KIND_WORDS[task.kind]}
        values={kinds}
        onChange={(words) => {
          const kind = TASK_KINDS.find((each) => KIND_WORDS[each] === words) ?? 'position';
          edit(withTask(drill, kind));
        }}
      />
      <TaskFields drill={drill} task={task} put={put} />
    </Stack>
  );
}

interface TaskFieldsProps {
  readonly drill: Drill;
  readonly task: Task;
  readonly put: (task: Task) => void;
}

function TaskFields({ drill, task, put }: TaskFieldsProps) {
  switch (task.kind) {
    case 'position':
      return (
        <>
          <Group gap={8} wrap="nowrap">
            <BallField label="Pot" drill={drill} value={task.pot} onChange={(pot) => put({ ...task, pot })} />
            <PocketField label="into" value={task.pocket} onChange={(pocket) => put({ ...task, pocket })} />
          </Group>
          <Group gap={8} wrap="nowrap">
            <BallField
              label="Then"
              drill={drill}
              value={task.next.ball}
              onChange={(ball) => put({ ...task, next: { ...task.next, ball } })}
            />
            <PocketField
              label="into"
              value={task.next.pocket}
              onChange={(pocket) => put({ ...task, next: { ...task.next, pocket } })}
            />
          </Group>
        </>
      );
    case 'land': {
      const { pot } = task;
      return (
        <>
          <OneOf
            label="First"
            value={pot === null ? 'no pot' : 'a pot'}
            values={['a pot', 'no pot']}
            onChange={(first) =>
              put(first === 'a pot' ? firstTask('land', objectBalls(drill)) : { ...task, pot: null })
            }
          />
          {pot !== null && (
            <Group gap={8} wrap="nowrap">
              <BallField
                label="Pot"
                drill={drill}
                value={pot.ball}
                onChange={(ball) => put({ ...task, pot: { ...pot, ball } })}
              />
              <PocketField
                label="into"
                value={pot.pocket}
                onChange={(pocket) => put({ ...task, pot: { ...pot, pocket } })}
              />
            </Group>
          )}
        </>
      );
    }
    case 'clear':
      return <OrderFields drill={drill} order={task.order} put={(order) => put({ ...task, order })} />;
    case 'break':
      return (
        <OneOf
          label="Hits the"
          value={task.hit}
          values={['head ball', 'second ball', 'edge of the pack']}
          onChange={(hit) => put({ ...task, hit })}
        />
      );
    case 'kick':
      return (
        <>
          <BallField
            label="To the"
            drill={drill}
            value={task.target}
            onChange={(target) => put({ ...task, target })}
          />
          <CushionsField value={task.cushions} onChange={(cushions) => put({ ...task, cushions })} />
        </>
      );
    case 'plant':
      return (
        <Group gap={8} wrap="nowrap">
          <BallField
            label="Hit"
            drill={drill}
            value={task.first}
            onChange={(first) => put({ ...task, first })}
          />
          <BallField label="Pot" drill={drill} value={task.pot} onChange={(pot) => put({ ...task, pot })} />
          <PocketField label="into" value={task.pocket} onChange={(pocket) => put({ ...task, pocket })} />
        </Group>
      );
    case 'double':
      return (
        <>
          <Group gap={8} wrap="nowrap">
            <BallField label="Pot" drill={drill} value={task.pot} onChange={(pot) => put({ ...task, pot })} />
            <PocketField label="into" value={task.pocket} onChange={(pocket) => put({ ...task, pocket })} />
          </Group>
          <CushionsField value={task.cushions} onChange={(cushions) => put({ ...task, cushions })} />
        </>
      );
    case 'safety':
      return (
        <Group gap={8} wrap="nowrap">
          <BallField
            label="Meet first"
            drill={drill}
            value={task.target}
            onChange={(target) => put({ ...task, target })}
          />
          <OneOf
            label="and"
            value={task.aim}
            values={['hide', 'far away', 'hold', 'contain', 'nothing on', 'shot to nothing']}
            onChange={(aim) => put({ ...task, aim })}
          />
        </Group>
      );
    case 'call':
      return (
        <Group gap={8} wrap="nowrap" align="end">
          <OneOf
            label="Question"
            value={task.question}
            values={QUESTIONS}
            onChange={(question) => put({ ...task, question })}
          />
          <NumberInput
            label="Positions"
            size="xs"
            w={90}
            min={1}
            max={60}
            value={task.positions}
            onChange={(value) => typeof value === 'number' && put({ ...task, positions: value })}
          />
        </Group>
      );
  }
}

function CushionsField({
  value,
  onChange,
}: {
  readonly value: readonly (typeof CUSHION_SIDES)[number][];
  readonly onChange: (cushions: (typeof CUSHION_SIDES)[number][]) => void;
}) {
  return (
    <ListField
      label={`By the cushions, of ${CUSHION_SIDES.join(', ')}`}
      value={value}
      onChange={(names) =>
        onChange(names.flatMap((name) => CUSHION_SIDES.filter((side) => side === name.toLowerCase())))
      }
    />
  );
}

interface OrderFieldsProps {
  readonly drill: Drill;
  readonly order: Order;
  readonly put: (order: Order) => void;
}

function OrderFields({ drill, order, put }: OrderFieldsProps) {
  const lists = order.kind === 'groups' ? order.groups : order.kind === 'suits' ? order.suits : undefined;
  return (
    <>
      <OneOf
        label="Order"
        value={order.kind}
        values={ORDERS}
        onChange={(kind) => put(firstOrder(kind, objectBalls(drill)))}
      />
      {order.kind === 'listed' && (
        <ListField label="Balls" value={order.balls} onChange={(balls) => put({ ...order, balls })} />
      )}
      {lists?.map((list, i) => (
        <ListField
          key={i}
          label={i === 0 ? 'These' : 'and these'}
          value={list}
          onChange={(balls) => {
            const next = lists.map((each, k) => (k === i ? balls : each));
            if (order.kind === 'groups') put({ ...order, groups: next });
            else if (order.kind === 'suits') put({ ...order, suits: next });
          }}
        />
      ))}
      {order.kind === 'suits' && (
        <Group gap={8} wrap="nowrap">
          <BallField
            label="Last"
            drill={drill}
            value={order.last}
            onChange={(last) => put({ ...order, last })}
          />
          <OneOf
            label="Which"
            value={order.both ? 'both' : 'one of them'}
            values={['both', 'one of them']}
            onChange={(which) => put({ ...order, both: which === 'both' })}
          />
        </Group>
      )}
      {order.kind === 'money ball' && (
        <BallField
          label="Money ball"
          drill={drill}
          value={order.ball}
          onChange={(ball) => put({ ...order, ball })}
        />
      )}
    </>
  );
}
