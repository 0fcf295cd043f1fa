import type { CallAnswer, CallQuestion, CallSource } from '../../core/judgement/question.ts';
import { scoreCall } from '../../core/judgement/score.ts';

/** A position while it is called: nothing is shown before the player, and the coach if there is one, have committed. */
export type CallState =
  | { readonly step: 'choosing' }
  | { readonly step: 'asked'; readonly question: CallQuestion; readonly source: CallSource }
  | {
      readonly step: 'committed';
      readonly question: CallQuestion;
      readonly source: CallSource;
      readonly answer: CallAnswer;
      readonly coach: CallAnswer | undefined;
    }
  | {
      readonly step: 'revealed';
      readonly question: CallQuestion;
      readonly source: CallSource;
      readonly answer: CallAnswer;
      readonly score: number;
      readonly coach: { readonly answer: CallAnswer; readonly score: number } | null;
    };

export type CallAction =
  | { readonly kind: 'ask'; readonly question: CallQuestion; readonly source: CallSource }
  | { readonly kind: 'commit'; readonly answer: CallAnswer }
  | { readonly kind: 'lock coach'; readonly answer: CallAnswer }
  | { readonly kind: 'reveal' }
  | { readonly kind: 'leave' };

/** The next state; an answer that is committed or locked cannot be changed any more. */
export function callReducer(state: CallState, action: CallAction): CallState {
  switch (action.kind) {
    case 'ask':
      return { step: 'asked', question: action.question, source: action.source };
    case 'commit':
      return state.step === 'asked'
        ? { ...state, step: 'committed', answer: action.answer, coach: undefined }
        : state;
    case 'lock coach':
      return state.step === 'committed' && state.coach === undefined
        ? { ...state, coach: action.answer }
        : state;
    case 'reveal': {
      if (state.step !== 'committed') return state;
      const { question, source, answer, coach } = state;
      return {
        step: 'revealed',
        question,
        source,
        answer,
        score: scoreCall(question, answer),
        coach: coach === undefined ? null : { answer: coach, score: scoreCall(question, coach) },
      };
    }
    case 'leave':
      return { step: 'choosing' };
  }
}
