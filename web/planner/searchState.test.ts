import fc from 'fast-check';
import { expect, it } from 'vitest';
import { searchReducer, type SearchAction, type SearchState } from './searchState.ts';

type State = SearchState<number, string>;
type Action = SearchAction<number, string>;
const idle: State = { kind: 'idle', number: 0 };
const after = (...actions: Action[]) => actions.reduce<State>(searchReducer, idle);

it('shows the best so far, then the answer to the last question', () => {
  expect(after({ kind: 'ask', number: 1, key: 'a' })).toMatchObject({ kind: 'running', progress: undefined });
  const running: Action[] = [
    { kind: 'ask', number: 1, key: 'a' },
    { kind: 'progress', number: 1, progress: 0.4 },
  ];
  expect(after(...running)).toMatchObject({ kind: 'running', progress: 0.4 });
  const answered = after(...running, { kind: 'answer', number: 1, answer: 'of a' });
  expect(answered).toEqual({ kind: 'answered', number: 1, key: 'a', answer: 'of a' });
  // Progress comes on a channel of its own and may be late.
  expect(searchReducer(answered, { kind: 'progress', number: 1, progress: 0.9 })).toBe(answered);
});

it('tells an error as one, and keeps what a stopped search had found', () => {
  const asked: Action = { kind: 'ask', number: 1, key: 'a' };
  const error = new Error('the worker fell');
  expect(after(asked, { kind: 'fail', number: 1, error })).toMatchObject({ kind: 'failed', key: 'a', error });
  const stopped = after(asked, { kind: 'progress', number: 1, progress: 0.4 }, { kind: 'stop', number: 1 });
  expect(stopped).toMatchObject({ kind: 'stopped', progress: 0.4 });
});

it('nothing that comes of an older question is taken for the newest one, in any order', () => {
  const late = fc.array(
    fc.oneof(
      fc.record({
        kind: fc.constant('progress' as const),
        number: fc.integer({ min: 1, max: 3 }),
        progress: fc.nat(),
      }),
      fc.record({
        kind: fc.constant('answer' as const),
        number: fc.integer({ min: 1, max: 3 }),
        answer: fc.string(),
      }),
      fc.record({ kind: fc.constant('stop' as const), number: fc.integer({ min: 1, max: 3 }) }),
    ),
  );
  fc.assert(
    fc.property(late, (actions) => {
      const asked = after(
        ...[1, 2, 3].map((number): Action => ({ kind: 'ask', number, key: `q${String(number)}` })),
      );
      const end = actions.reduce<State>(searchReducer, asked);
      const own = actions.filter(({ number }) => number === 3);
      expect(end).toEqual(own.reduce<State>(searchReducer, asked));
      if (end.kind === 'answered')
        expect(own).toContainEqual({ kind: 'answer', number: 3, answer: end.answer });
    }),
  );
});
