import { queryOptions } from '@tanstack/react-query';
import { todaySchema } from '../../core/records/today.ts';
import { get } from './client.ts';

export const todayQuery = queryOptions({ queryKey: ['today'], queryFn: () => get('/today', todaySchema) });
