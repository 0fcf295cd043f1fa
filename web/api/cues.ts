import { queryOptions } from '@tanstack/react-query';
import { cuesSchema } from '../../core/records/cue.ts';
import { get } from './client.ts';

export const cuesQuery = queryOptions({ queryKey: ['cues'], queryFn: () => get('/cues', cuesSchema) });
