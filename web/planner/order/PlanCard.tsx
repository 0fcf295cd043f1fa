import { Button, Group, Loader, Text, Title, UnstyledButton } from '@mantine/core';
import { memo, type ReactNode } from 'react';
import type { PlanStep } from '../../../core/planning/order/course.ts';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import type { OrderTold } from '../../workers/orderProtocol.ts';
import { adviceWords, chanceWords, list, stepWords } from './planWords.ts';
import type { OrderPlanning } from './useOrderPlan.ts';

interface PlanCardProps {
  readonly title?: string;
  readonly planning: OrderPlanning;
  /** What is asked, above the answer. */
  readonly above?: ReactNode;
  readonly step: number;
  readonly onStep: (step: number) => void;
  /** What can be done with the step that is looked at. */
  readonly tools?: (step: PlanStep) => ReactNode;
}

/** The plan shot by shot, what each is worth, and what the best other ball would cost. */
export const PlanCard = memo(function PlanCard({ title = 'Plan', planning, above, ...shown }: PlanCardProps) {
  const { answer, running, failed, stop } = planning;
  return (
    <section className="card" aria-labelledby="plan-title" aria-busy={running}>
      <Group justify="space-between">
        <Title order={2} size="h4" id="plan-title">
          {title}
        </Title>
        {running && (
          <Group gap={6} className="no-print">
            <Loader size="xs" aria-hidden />
            <Text size="sm" c="dimmed" role="status">
              {answer === undefined ? 'planning' : 'looking closer'}
            </Text>
            <Button size="compact-xs" variant="default" onClick={stop}>
              Stop
            </Button>
          </Group>
        )}
      </Group>
      {above}
      {failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          The plan came to no end: {failed.message}. Move a ball to try again.
        </Text>
      )}
      {answer === undefined && !running && failed === undefined && (
        <Text size="sm">Stopped. Move a ball to plan again.</Text>
      )}
      {answer !== undefined && <Answer answer={answer} {...shown} />}
    </section>
  );
});

function Answer({
  answer,
  ...rest
}: { readonly answer: OrderTold } & Pick<PlanCardProps, 'step' | 'onStep' | 'tools'>) {
  const { vocabulary } = useWords();
  switch (answer.kind) {
    case 'too many':
      return (
        <Text size="sm">
          Too many balls in any order to plan them all. Take some off, or choose another order.
        </Text>
      );
    case 'none':
      return (
        <>
          <Text size="sm">No ball can be potted from here.</Text>
          {answer.blocked.map(({ ball, by }) => (
            <Text key={ball} size="sm">
              {by.length === 0
                ? `The ${ball} falls into no pocket from where it lies.`
                : `The ${ball} is blocked by ${list(by)}.`}
            </Text>
          ))}
        </>
      );
    case 'plan':
      return (
        <>
          <Text size="sm" data-testid="plan-chance">
            {chanceWords(answer.plan, answer.rough)}
          </Text>
          {adviceWords(answer.plan).map((sentence) => (
            <Text size="sm" key={sentence}>
              {sentence}
            </Text>
          ))}
          <ol className="plan-steps">
            {answer.plan.steps.map((each, i) => (
              <li key={each.ball + String(i)}>
                <UnstyledButton
                  className="plan-step"
                  aria-pressed={i === rest.step}
                  onClick={() => rest.onStep(i)}
                >
                  <Text fw={600} size="sm">
                    {i + 1}. {each.ball} to {pocketWords(each.pocket, vocabulary)}
                  </Text>
                  <Text size="xs" c="dimmed">
                    {stepWords(each, vocabulary)}
                  </Text>
                </UnstyledButton>
                {i === rest.step && rest.tools?.(each)}
              </li>
            ))}
          </ol>
        </>
      );
  }
}
