import { queryOptions } from '@tanstack/react-query';
import { viewerSchema, welcomeSchema, type Viewer } from '../../core/records/account.ts';
import { ApiError, get } from './client.ts';

export const welcomeQuery = queryOptions({
  queryKey: ['welcome'],
  queryFn: () => get('/welcome', welcomeSchema),
});

export const viewerQuery = queryOptions({
  queryKey: ['me'],
  queryFn: async (): Promise<Viewer | null> => {
    try {
      return await get('/me', viewerSchema);
    } catch (error) {
      if (error instanceof ApiError && error.status === 401) return null;
      throw error;
    }
  },
});
