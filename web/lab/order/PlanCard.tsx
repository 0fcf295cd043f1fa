import { Button, Group, Loader, Text, Title, UnstyledButton } from '@mantine/core';
import { memo } from 'react';
import type { OrderPlan, PlanStep } from '../../../core/planning/order/orderPlan.ts';
import { pocketWords } from '../../words/places.ts';
import { percent } from '../../words/units.ts';
import { useWords } from '../../words/useWords.ts';
import type { Vocabulary } from '../../words/vocabulary.ts';
import type { OrderTold } from '../../workers/orderProtocol.ts';
import type { OrderPlanning } from './useOrderPlan.ts';

interface PlanCardProps {
  readonly planning: OrderPlanning;
  readonly step: number;
  readonly onStep: (step: number) => void;
  /** Takes up the table before a step. */
  readonly onPlayOn: (step: PlanStep) => void;
}

/** Less than this is no difference that a player could tell, 0…1. */
const ALIKE = 0.02;

/** The plan shot by shot, what each is worth, and what the best other ball would cost. */
export const PlanCard = memo(function PlanCard({ planning, step, onStep, onPlayOn }: PlanCardProps) {
  const { answer, running, failed, stop } = planning;
  return (
    <section className="card" aria-labelledby="plan-title" aria-busy={running}>
      <Group justify="space-between">
        <Title order={2} size="h4" id="plan-title">
          Plan
        </Title>
        {running && (
          <Group gap={6}>
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
      {failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          The plan came to no end: {failed.message}. Move a ball to try again.
        </Text>
      )}
      {answer === undefined && !running && failed === undefined && (
        <Text size="sm">Stopped. Move a ball to plan again.</Text>
      )}
      {answer !== undefined && <Answer answer={answer} step={step} onStep={onStep} onPlayOn={onPlayOn} />}
    </section>
  );
});

function Answer({ answer, ...rest }: { readonly answer: OrderTold } & Omit<PlanCardProps, 'planning'>) {
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
              </li>
            ))}
          </ol>
          {rest.step > 0 && answer.plan.steps[rest.step] !== undefined && (
            <Button
              size="xs"
              variant="default"
              mt={6}
              onClick={() => {
                const each = answer.plan.steps[rest.step];
                if (each !== undefined) rest.onPlayOn(each);
              }}
            >
              Set up shot {rest.step + 1}
            </Button>
          )}
        </>
      );
  }
}

const list = (ids: readonly string[]) => ids.map((id) => `the ${id}`).join(' and ');

/** "Played 60 times, it cleared 43: a chance of 61 to 80 %." */
function chanceWords({ chance, complete }: OrderPlan, rough: boolean): string {
  const { share, low, high, plays } = chance;
  const made = Math.round(share * plays);
  const told = `Played ${plays} times, it cleared ${made}: a chance of ${Math.round(100 * low)} to ${percent(high)}.`;
  const end = complete ? '' : ' The plan does not reach the end: nothing is on after its last shot.';
  return `${rough ? 'First look. ' : ''}${told}${end}`;
}

function stepWords({ chance, value, alternative }: PlanStep, vocabulary: Vocabulary): string {
  const own = `pot ${percent(chance)}, clears from here ${percent(value)}`;
  if (alternative === undefined) return own;
  const other = `the ${alternative.ball} to ${pocketWords(alternative.pocket, vocabulary)}`;
  return alternative.costs < ALIKE
    ? `${own}; ${other} is as good`
    : `${own}; ${other} costs ${Math.round(100 * alternative.costs)} points`;
}
