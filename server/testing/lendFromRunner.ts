import { inject } from 'vitest';
import { lendDatabase } from './lend.ts';

lendDatabase(inject('databaseUrl'));
