import { Table, Text, Title, UnstyledButton } from '@mantine/core';
import { rangeWords } from '../../planner/order/planWords.ts';
import { planIn, VIEWS, type FoundPlan, type OrderView } from './useOrders.ts';
import type { OrderPlanning } from '../../planner/order/useOrderPlan.ts';

export const VIEW_WORDS: Readonly<Record<OrderView, string>> = {
  plan: 'Plan',
  own: 'Your way',
  coach: 'Coach',
  student: 'Student',
};

interface OrdersCardProps {
  readonly plannings: Readonly<Record<OrderView, OrderPlanning | undefined>>;
  readonly view: OrderView;
  readonly step: number;
  readonly onLook: (view: OrderView, step: number) => void;
}

/** The first shot at which an order goes another way than the plan, from 0; undefined where it does not. */
function firstOther(plan: FoundPlan, other: FoundPlan): number | undefined {
  const at = other.steps.findIndex(
    ({ ball, pocket }, i) => ball !== plan.steps[i]?.ball || pocket !== plan.steps[i].pocket,
  );
  return at === -1 ? undefined : at;
}

/** The orders side by side: the chance of each, and where each first leaves the plan. */
export function OrdersCard({ plannings, view, step, onLook }: OrdersCardProps) {
  const columns = VIEWS.flatMap((name) => {
    const planning = plannings[name];
    const found = planning && planIn(planning);
    return found === undefined ? [] : [{ name, found }];
  });
  const plan = columns.find(({ name }) => name === 'plan')?.found;
  if (columns.length < 2 || plan === undefined) return null;
  const rows = Math.max(...columns.map(({ found }) => found.steps.length));
  return (
    <section className="card" aria-labelledby="orders-title">
      <Title order={2} size="h4" id="orders-title">
        Side by side
      </Title>
      <Table verticalSpacing={2} horizontalSpacing={6} aria-labelledby="orders-title">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Shot</Table.Th>
            {columns.map(({ name, found }) => (
              <Table.Th key={name}>
                {VIEW_WORDS[name]}
                <Text size="xs" c="dimmed">
                  {rangeWords(found.chance)}
                </Text>
              </Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {Array.from({ length: rows }, (_, i) => (
            <Table.Tr key={i}>
              <Table.Td>{i + 1}</Table.Td>
              {columns.map(({ name, found }) => {
                const ball = found.steps[i]?.ball;
                const parts = name !== 'plan' && firstOther(plan, found) === i;
                return (
                  <Table.Td key={name}>
                    {ball !== undefined && (
                      <UnstyledButton
                        className="plan-step"
                        aria-pressed={name === view && i === step}
                        aria-label={`${VIEW_WORDS[name]}, shot ${i + 1}: the ${ball}${parts ? ', here it leaves the plan' : ''}`}
                        onClick={() => onLook(name, i)}
                      >
                        <Text size="sm" fw={parts ? 700 : 400}>
                          {ball}
                          {parts && ' ≠'}
                        </Text>
                      </UnstyledButton>
                    )}
                  </Table.Td>
                );
              })}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Text size="xs" c="dimmed">
        ≠ marks the shot at which an order first leaves the plan. Tap a shot to see it.
      </Text>
    </section>
  );
}
