import { skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { writtenAnswer } from '../../core/records/call.ts';
import { FIRST_SHOWN, type ShownCall } from '../../core/records/screen.ts';
import { lessonScreenQuery, showOnScreen } from '../api/screens.ts';
import type { CallState } from './callState.ts';

function shownCall(state: CallState): ShownCall | null {
  if (state.step === 'choosing') return null;
  const { question, source } = state;
  // Before the reveal the screen is told nothing of what was answered.
  const revealed = state.step === 'revealed' ? { answer: writtenAnswer(state.answer) } : null;
  return { kind: question.kind, preset: question.shot.table.preset.id, source, revealed };
}

/**
 * Shows the position that is called on the second screen of a lesson, and its answer once it is revealed.
 * @param lessonId null where it is called on this device alone
 * @returns why it is not shown there; undefined while it is
 */
export function useCallOnScreen(lessonId: string | null, state: CallState): string | undefined {
  const queries = useQueryClient();
  const screen = useQuery({
    ...lessonScreenQuery(lessonId ?? ''),
    ...(lessonId === null ? { queryFn: skipToken } : {}),
  });
  const isOpen = screen.data !== undefined && screen.data !== null;
  const { mutate, error } = useMutation({
    mutationFn: (asked: { readonly lessonId: string; readonly call: ShownCall | null }) => {
      const { queryKey } = lessonScreenQuery(asked.lessonId);
      const shown = queries.getQueryData(queryKey)?.shown ?? FIRST_SHOWN;
      return showOnScreen(asked.lessonId, { ...shown, view: 'call', call: asked.call });
    },
    onSuccess: (told, { lessonId: of }) => queries.setQueryData(lessonScreenQuery(of).queryKey, told),
    // One after the other: an answer never comes before its question.
    scope: { id: 'call on a screen' },
  });
  useEffect(() => {
    if (lessonId !== null && isOpen) mutate({ lessonId, call: shownCall(state) });
  }, [isOpen, lessonId, mutate, state]);
  if (lessonId === null) return undefined;
  return screen.data === null ? 'The lesson’s second screen is closed.' : (screen.error ?? error)?.message;
}
