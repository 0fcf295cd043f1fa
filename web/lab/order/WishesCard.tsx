import { Button, Group, Text, Title } from '@mantine/core';
import { hasWishes, NO_WISHES, type OrderWishes } from '../../../core/planning/order/wishes.ts';
import { wishWords } from '../../planner/order/planWords.ts';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import type { Vocabulary } from '../../words/vocabulary.ts';
import type { FoundPlan, KeptAs } from './useOrders.ts';

interface WishesCardProps {
  readonly wishes: OrderWishes;
  /** Balls that were tapped one after the other; undefined when none are being tapped. */
  readonly tapped: readonly string[] | undefined;
  readonly free: FoundPlan | undefined;
  readonly own: FoundPlan | undefined;
  /** Whether both are as close as they get. */
  readonly settled: boolean;
  readonly onTap: (tapped: readonly string[] | undefined) => void;
  readonly onWish: (wishes: OrderWishes) => void;
  readonly onKeep: (name: KeptAs) => void;
}

/** An order of one's own: tapped on the table or made of the plan, and what it costs against the plan. */
export function WishesCard({ wishes, tapped, free, own, settled, onTap, onWish, onKeep }: WishesCardProps) {
  const { vocabulary } = useWords();
  return (
    <section className="card no-print" aria-labelledby="own-title">
      <Title order={2} size="h4" id="own-title">
        Another way
      </Title>
      {tapped === undefined ? (
        <>
          {hasWishes(wishes) ? (
            wishLines(wishes, vocabulary).map((line) => (
              <Text size="sm" key={line}>
                {line}
              </Text>
            ))
          ) : (
            <Text size="sm">
              Tap the balls in your order, or change a shot of the plan: see what it costs.
            </Text>
          )}
          {hasWishes(wishes) && free !== undefined && own !== undefined && (
            <Text size="sm" fw={600} data-testid="wish-cost">
              {settled ? '' : 'First look. '}
              {wishWords(free.chance, own.chance)}
            </Text>
          )}
          <Group gap={6} mt={6}>
            <Button size="xs" variant="default" onClick={() => onTap([])}>
              Tap an order
            </Button>
            {hasWishes(wishes) && (
              <Button size="xs" variant="default" onClick={() => onWish(NO_WISHES)}>
                Back to the plan
              </Button>
            )}
            {own !== undefined && settled && (
              <>
                <Button size="xs" variant="default" onClick={() => onKeep('coach')}>
                  Keep as the coach’s
                </Button>
                <Button size="xs" variant="default" onClick={() => onKeep('student')}>
                  Keep as the student’s
                </Button>
              </>
            )}
          </Group>
        </>
      ) : (
        <>
          <Text size="sm" role="status">
            {tapped.length === 0 ? 'Tap the first ball.' : `So far: ${tapped.join(', ')}. Tap the next one.`}
          </Text>
          <Group gap={6} mt={6}>
            <Button size="xs" disabled={tapped.length === 0} onClick={() => onTap(tapped.slice(0, -1))}>
              Take one back
            </Button>
            <Button size="xs" variant="default" onClick={() => onTap(undefined)}>
              That is all
            </Button>
          </Group>
        </>
      )}
    </section>
  );
}

/** What is wished, a line a wish; an order from the first ball on in one. */
function wishLines({ locked, forbidden, pockets }: OrderWishes, vocabulary: Vocabulary): readonly string[] {
  const inOrder = [...locked].sort((a, b) => a.step - b.step);
  const isOrder = inOrder.length > 1 && inOrder.every(({ step }, i) => step === i);
  return [
    ...(isOrder
      ? [`In the order ${inOrder.map(({ ball }) => ball).join(', ')}.`]
      : inOrder.map(({ step, ball }) => `The ${ball} at shot ${step + 1}.`)),
    ...forbidden.map(({ step, ball }) => `Not the ${ball} at shot ${step + 1}.`),
    ...pockets.map(({ ball, pocket }) => `The ${ball} only to ${pocketWords(pocket, vocabulary)}.`),
  ];
}
