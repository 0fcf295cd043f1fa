import { Checkbox, Group } from '@mantine/core';
import { objectBalls } from '../../../core/drill/round.ts';
import type { Drill } from '../../../core/records/drill.ts';
import { BallField, ListField, OneOf } from '../../controls/fields.tsx';
import type { PanelProps } from '../panel.ts';
import type { TaskProps } from './taskProps.ts';

/** An order as it is written, to be changed. */
type Order = Extract<Drill['task'], { kind: 'clear' }>['order'];

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

/** Which balls are cleared in which order. */
export function ClearTask({ drill, task, put, edit }: TaskProps<'clear'> & Pick<PanelProps, 'edit'>) {
  return (
    <>
      <OrderFields drill={drill} order={task.order} put={(order) => put({ ...task, order })} />
      <Checkbox
        label="Students see the plan only after the round"
        checked={drill.hidesPlan === true}
        onChange={(event) => edit({ ...drill, hidesPlan: event.currentTarget.checked })}
      />
    </>
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
