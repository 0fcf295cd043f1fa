import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { lessonSchema, type LessonDocument, type LessonWithRounds } from '../../core/records/lesson.ts';
import { ApiError, call, OfflineError } from '../api/client.ts';
import { lessonQuery } from '../api/lessons.ts';
import { forgetLesson, keepLesson, readKept } from './lessonDraft.ts';

/** After the last change it is sent when nothing more is typed for so long, and tried again after so long, ms. */
const SEND_AFTER_MS = 600;
const TRY_AGAIN_MS = 4_000;

export type LessonSaving = 'saved' | 'saving' | 'kept here' | 'changed elsewhere' | 'refused';

/** A lesson that is worked on: every change is kept on the device at once and sent when it can be. */
export function useLesson(id: string) {
  const queries = useQueryClient();
  const lesson = useQuery({ ...lessonQuery(id), refetchInterval: 5_000 });
  const [mine, setMine] = useState<LessonDocument | undefined>(() => readKept(id)?.document);
  const [saving, setSaving] = useState<LessonSaving>('saved');
  const [refusal, setRefusal] = useState('');
  const basedOn = useRef(readKept(id)?.basedOn ?? 0);
  const newest = useRef(mine);
  /** When the next sending is due: after a pause, each time anew. */
  const [due, setDue] = useState({ pauseMs: 0 });
  const stored = lesson.data?.lesson;

  const send = useCallback(async () => {
    const document = newest.current;
    if (document === undefined) return;
    setSaving('saving');
    try {
      const reply = await call('PUT', `/lessons/${id}`, { document, basedOn: basedOn.current });
      const next = await lessonSchema.validate(reply);
      basedOn.current = next.version;
      queries.setQueryData(lessonQuery(id).queryKey, (before: LessonWithRounds | undefined) =>
        before === undefined ? before : { ...before, lesson: next },
      );
      const since = newest.current === document ? undefined : newest.current;
      if (since === undefined) {
        newest.current = undefined;
        setMine(undefined);
        forgetLesson(id);
        setSaving('saved');
      } else {
        keepLesson(id, since, next.version);
        setDue({ pauseMs: SEND_AFTER_MS });
      }
    } catch (error) {
      if (error instanceof ApiError && error.status === 409) {
        setSaving('changed elsewhere');
        return;
      }
      if (!(error instanceof OfflineError || error instanceof ApiError)) throw error;
      // A refusal does not pass by itself: it is told, and what was typed stays until it is changed.
      if (error instanceof ApiError && error.status < 500 && error.status !== 401 && error.status !== 429) {
        setRefusal(error.message);
        setSaving('refused');
        return;
      }
      setSaving('kept here');
      setDue({ pauseMs: TRY_AGAIN_MS });
    }
  }, [id, queries]);

  // What an earlier visit could not send goes at once.
  useEffect(() => {
    const timer = setTimeout(() => void send(), due.pauseMs);
    return () => clearTimeout(timer);
  }, [send, due]);

  const document = mine ?? stored?.document;

  function change(next: LessonDocument): void {
    if (newest.current === undefined) basedOn.current = stored?.version ?? 1;
    newest.current = next;
    setMine(next);
    keepLesson(id, next, basedOn.current);
    setDue({ pauseMs: SEND_AFTER_MS });
  }

  /** After a change elsewhere: mine over theirs, or theirs. */
  async function settle(keep: 'mine' | 'theirs'): Promise<void> {
    const { data: theirs } = await lesson.refetch();
    if (theirs === undefined) return;
    if (keep === 'theirs') {
      newest.current = undefined;
      setMine(undefined);
      forgetLesson(id);
      setSaving('saved');
      return;
    }
    basedOn.current = theirs.lesson.version;
    await send();
  }

  return { query: lesson, document, saving, refusal, change, settle };
}
