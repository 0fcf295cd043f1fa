import { useMutation } from '@tanstack/react-query';
import { useCallback, useEffect, useRef } from 'react';
import type { Misplaced } from '../../core/camera/misplaced.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { call } from '../api/client.ts';
import { useViewer } from '../api/viewer.ts';

/**
 * Tells the second screen of a round's lesson which balls a camera at the pad sees beside their places. What could not be told is
 * not kept: the next look tells it anew.
 * @returns undefined where there is nobody to tell
 */
export function useTellBeside({ id, lesson, endedAt }: OpenRound['round']) {
  const { rules } = useViewer();
  const { mutate } = useMutation({
    mutationFn: (beside: readonly Misplaced[]) =>
      call('PUT', `/rounds/${id}/beside`, {
        beside: beside.map(({ ball, off }) => ({ ball, off: off ?? null })),
      }),
    scope: { id: 'beside' },
  });
  const hasTold = useRef(false);
  const tell = useCallback(
    (beside: readonly Misplaced[]) => {
      if (beside.length === 0 && !hasTold.current) return;
      hasTold.current = beside.length > 0;
      mutate(beside);
    },
    [mutate],
  );
  // Whoever leaves the pad looks no longer.
  useEffect(() => () => tell([]), [tell]);
  return lesson !== null && endedAt === null && rules.screens ? tell : undefined;
}
