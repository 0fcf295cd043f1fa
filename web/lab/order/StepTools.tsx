import { Button, Group, Select } from '@mantine/core';
import type { PlanStep } from '../../../core/planning/order/course.ts';
import { listedWishes, type OrderWishes } from '../../../core/planning/order/wishes.ts';
import { POCKET_NAMES } from '../../../core/table/pockets.ts';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';

interface StepToolsProps {
  readonly steps: readonly PlanStep[];
  /** The step that is looked at, from 0. */
  readonly step: number;
  readonly wishes: OrderWishes;
  /** Whether the rules allow the balls in this order. */
  readonly mayGo: (balls: readonly string[]) => boolean;
  readonly onWish: (wishes: OrderWishes) => void;
  readonly onPlay: () => void;
  /** Takes up the table before the step. */
  readonly onSetUp: () => void;
}

function swapped(balls: readonly string[], a: number, b: number): readonly string[] | undefined {
  const [one, other] = [balls[a], balls[b]];
  if (one === undefined || other === undefined) return undefined;
  return balls.map((ball, i) => (i === a ? other : i === b ? one : ball));
}

/** What can be done with a shot of the plan: another place for it, another pocket, and to play it. */
export function StepTools({ steps, step, wishes, mayGo, onWish, onPlay, onSetUp }: StepToolsProps) {
  const { vocabulary } = useWords();
  const balls = steps.map(({ ball }) => ball);
  const ball = balls[step] ?? '';
  const here = (each: { readonly step: number; readonly ball: string }) =>
    each.step === step && each.ball === ball;
  const isLocked = wishes.locked.some(here);
  const pocket = wishes.pockets.find((each) => each.ball === ball)?.pocket;
  const inPlaceOf = (other: number) => {
    const order = swapped(balls, step, other);
    return order !== undefined && mayGo(order) ? order : undefined;
  };
  const swap = (name: string, order: readonly string[] | undefined) => (
    <Button
      size="compact-xs"
      variant="default"
      disabled={order === undefined}
      onClick={() => order && onWish({ ...wishes, ...listedWishes(order), pockets: wishes.pockets })}
    >
      {name}
    </Button>
  );
  return (
    <Group gap={4} my={4} className="no-print">
      <Button size="compact-xs" variant="default" onClick={onPlay}>
        Play it
      </Button>
      {step > 0 && (
        <Button size="compact-xs" variant="default" onClick={onSetUp}>
          Set up shot {step + 1}
        </Button>
      )}
      {swap('Earlier', inPlaceOf(step - 1))}
      {swap('Later', inPlaceOf(step + 1))}
      <Button
        size="compact-xs"
        variant={isLocked ? 'filled' : 'default'}
        aria-pressed={isLocked}
        onClick={() =>
          onWish({
            ...wishes,
            locked: isLocked
              ? wishes.locked.filter((each) => !here(each))
              : [...wishes.locked.filter((each) => each.step !== step && each.ball !== ball), { step, ball }],
          })
        }
      >
        Keep it here
      </Button>
      <Button
        size="compact-xs"
        variant="default"
        onClick={() =>
          onWish({
            ...wishes,
            locked: wishes.locked.filter((each) => !here(each)),
            forbidden: [...wishes.forbidden.filter((each) => !here(each)), { step, ball }],
          })
        }
      >
        Not here
      </Button>
      <Select
        size="xs"
        w={150}
        aria-label={`Pocket of the ${ball}`}
        placeholder="Any pocket"
        clearable
        data={POCKET_NAMES.map((name) => ({ value: name, label: capital(pocketWords(name, vocabulary)) }))}
        value={pocket ?? null}
        onChange={(value) => {
          const chosen = POCKET_NAMES.find((name) => name === value);
          const others = wishes.pockets.filter((each) => each.ball !== ball);
          onWish({
            ...wishes,
            pockets: chosen === undefined ? others : [...others, { ball, pocket: chosen }],
          });
        }}
      />
    </Group>
  );
}
