/**
 * A search in a worker: asked, told of on its way, answered, failed or stopped. Questions are numbered; what comes of an
 * older one than the last counts no more, however late it is.
 */
export type SearchState<P, A> =
  | { readonly kind: 'idle'; readonly number: number }
  | {
      readonly kind: 'running' | 'stopped';
      readonly number: number;
      /** Tells the question apart from others. */
      readonly key: string;
      /** What it has found so far. */
      readonly progress: P | undefined;
    }
  | { readonly kind: 'answered'; readonly number: number; readonly key: string; readonly answer: A }
  | { readonly kind: 'failed'; readonly number: number; readonly key: string; readonly error: Error };

export type SearchAction<P, A> =
  | { readonly kind: 'ask'; readonly number: number; readonly key: string }
  | { readonly kind: 'progress'; readonly number: number; readonly progress: P }
  | { readonly kind: 'answer'; readonly number: number; readonly answer: A }
  | { readonly kind: 'fail'; readonly number: number; readonly error: Error }
  | { readonly kind: 'stop'; readonly number: number };

export function searchReducer<P, A>(state: SearchState<P, A>, action: SearchAction<P, A>): SearchState<P, A> {
  if (action.kind === 'ask') {
    return action.number <= state.number
      ? state
      : { kind: 'running', number: action.number, key: action.key, progress: undefined };
  }
  if (action.number !== state.number || state.kind !== 'running') return state;
  const { number, key } = state;
  switch (action.kind) {
    case 'progress':
      return { ...state, progress: action.progress };
    case 'answer':
      return { kind: 'answered', number, key, answer: action.answer };
    case 'fail':
      return { kind: 'failed', number, key, error: action.error };
    case 'stop':
      return { ...state, kind: 'stopped' };
  }
}
