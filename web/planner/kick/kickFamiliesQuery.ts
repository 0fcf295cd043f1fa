import { queryOptions } from '@tanstack/react-query';
import { kickFamiliesOf } from '../../workers/kick.ts';
import type { KickAsked } from '../../workers/kickProtocol.ts';

/** The lines over paces and sides of what is asked, the surest first; nothing is asked where it is undefined. */
export const kickFamiliesQuery = (asked: KickAsked | undefined) =>
  queryOptions({
    queryKey: ['kick families', JSON.stringify(asked ?? null)],
    enabled: asked !== undefined,
    staleTime: Infinity,
    networkMode: 'always',
    queryFn: () =>
      asked === undefined ? Promise.resolve([]) : kickFamiliesOf(asked, () => undefined).answer,
  });
