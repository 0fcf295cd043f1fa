import { Button, Group, Text } from '@mantine/core';
import { UnitEntry } from '../controls/UnitEntry.tsx';
import { useState } from 'react';
import type { Point } from '../../core/math/point.ts';
import {
  answerKindOf,
  picksOf,
  sidesToPick,
  type CallAnswer,
  type CallQuestion,
} from '../../core/judgement/question.ts';
import { pickWords } from '../words/callWords.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';
import { shortUnit } from '../words/lengths.ts';

interface AnswerFormProps {
  readonly question: CallQuestion;
  /** Too close to call is offered where positions can be. */
  readonly tooClose: boolean;
  /** The way that was tapped so far, from the hit on. */
  readonly points: readonly Point[];
  readonly onUndoPoint: () => void;
  /** "Commit" for the player, "Lock" for the coach. */
  readonly verb: string;
  readonly onAnswer: (answer: CallAnswer) => void;
}

/** The answer to a question, by its kind. */
export function AnswerForm({ question, tooClose, points, onUndoPoint, verb, onAnswer }: AnswerFormProps) {
  const { vocabulary } = useWords();
  const [length, setLength] = useState<number>();
  switch (answerKindOf(question.kind)) {
    case 'verdict':
      return (
        <Choices
          verb={verb}
          values={tooClose ? ['yes', 'no', 'too close'] : ['yes', 'no']}
          onChoose={(verdict) => onAnswer({ kind: 'verdict', verdict })}
        />
      );
    case 'side':
      return (
        <Choices
          verb={verb}
          values={sidesToPick(question)}
          onChoose={(side) => onAnswer({ kind: 'side', side })}
        />
      );
    case 'pick':
      return (
        <Choices
          verb={verb}
          values={picksOf(question)}
          wordOf={(pick) => pickWords(pick, question.kind, vocabulary)}
          onChoose={(pick) => onAnswer({ kind: 'pick', pick })}
        />
      );
    case 'order':
      return (
        <OrderOf
          balls={picksOf(question)}
          verb={verb}
          onChoose={(order) => onAnswer({ kind: 'order', order })}
        />
      );
    case 'length':
      return (
        <Group align="end">
          <UnitEntry
            label="Length on"
            in={shortUnit()}
            min={0}
            max={20}
            live
            value={length ?? null}
            onEnter={setLength}
            onClear={() => setLength(undefined)}
          />
          <Button
            disabled={length === undefined}
            onClick={() => onAnswer({ kind: 'length', metres: length ?? 0 })}
          >
            {verb}
          </Button>
        </Group>
      );
    case 'place': {
      const at = points.at(-1);
      return (
        <Group>
          <Text size="sm">{at === undefined ? 'Tap the table.' : 'Tap again to move it.'}</Text>
          <Button
            size="lg"
            disabled={at === undefined}
            onClick={() => at !== undefined && onAnswer({ kind: 'place', at })}
          >
            {verb}
          </Button>
        </Group>
      );
    }
    case 'path':
      return (
        <Group>
          <Text size="sm">
            {points.length < 2
              ? 'Tap the table: each turn of the way, and its end.'
              : `${points.length - 1} ${points.length === 2 ? 'stretch' : 'stretches'} drawn.`}
          </Text>
          <Button variant="default" disabled={points.length < 2} onClick={onUndoPoint}>
            Take the last back
          </Button>
          <Button disabled={points.length < 2} onClick={() => onAnswer({ kind: 'path', points })}>
            {verb}
          </Button>
        </Group>
      );
  }
}

interface ChoicesProps<T extends string> {
  readonly verb: string;
  readonly values: readonly T[];
  /** What a value is called, where that is not the value itself. */
  readonly wordOf?: (value: T) => string;
  readonly onChoose: (value: T) => void;
}

function Choices<T extends string>({ verb, values, wordOf, onChoose }: ChoicesProps<T>) {
  const [chosen, setChosen] = useState<T>();
  return (
    <Group>
      {values.map((value) => (
        <Button
          key={value}
          size="lg"
          variant={value === chosen ? 'filled' : 'default'}
          aria-pressed={value === chosen}
          onClick={() => setChosen(value)}
        >
          {capital(wordOf?.(value) ?? value)}
        </Button>
      ))}
      <Button
        size="lg"
        color="coral"
        disabled={chosen === undefined}
        onClick={() => chosen !== undefined && onChoose(chosen)}
      >
        {verb}
      </Button>
    </Group>
  );
}

interface OrderOfProps {
  readonly balls: readonly string[];
  readonly verb: string;
  readonly onChoose: (order: readonly string[]) => void;
}

/** Balls tapped one after the other until all have their place. */
function OrderOf({ balls, verb, onChoose }: OrderOfProps) {
  const [order, setOrder] = useState<readonly string[]>([]);
  return (
    <Group>
      {balls.map((ball) => {
        const place = order.indexOf(ball);
        return (
          <Button
            key={ball}
            size="lg"
            variant={place === -1 ? 'default' : 'filled'}
            disabled={place !== -1}
            onClick={() => setOrder([...order, ball])}
          >
            {capital(ball)}
          </Button>
        );
      })}
      <Button
        variant="default"
        size="lg"
        disabled={order.length === 0}
        onClick={() => setOrder(order.slice(0, -1))}
      >
        Take the last back
      </Button>
      <Button size="lg" color="coral" disabled={order.length < balls.length} onClick={() => onChoose(order)}>
        {verb}
      </Button>
      <Text size="sm" role="status">
        {order.length === 0 ? 'Tap the balls in their order.' : `So far: ${order.join(', ')}.`}
      </Text>
    </Group>
  );
}
