import { useQuery } from '@tanstack/react-query';
import type { EveningAsk } from '../../../core/evening/ask.ts';
import { plannedEvening } from '../../workers/evening.ts';

/** The timetable for a question, planned in a thread of its own; nothing is planned without a question. */
export function useTimetable(ask: EveningAsk | undefined) {
  return useQuery({
    queryKey: ['evening timetable', ask],
    queryFn: ({ signal }) => {
      if (ask === undefined) throw new Error('there is nothing to plan');
      const { answer, stop } = plannedEvening(ask);
      signal.addEventListener('abort', stop);
      return answer;
    },
    enabled: ask !== undefined,
    staleTime: Infinity,
    networkMode: 'always',
    placeholderData: (before) => before,
  });
}
