import type { TableRef } from '../../core/records/clubTable.ts';

/** A drill's stage on a table, as addresses name it. */
export interface BenchmarkSubject {
  readonly slug: string;
  readonly revision: number;
  readonly stage: number;
  readonly ref: TableRef | undefined;
}
