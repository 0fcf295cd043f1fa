import { queryOptions } from '@tanstack/react-query';
import { get, set } from 'idb-keyval';
import { number, object } from 'yup';
import { MODEL_VERSION } from '../../../core/motion/simulate.ts';
import type { TableText } from '../../../core/planning/position/question.ts';
import type { ThumbFigures } from '../../../core/shot/kicks/thumb/thumbRules.ts';
import { thumbSolver } from '../../workers/thumb.ts';

const metres = () => number().strict().required();
const paceSchema = object({
  speed: metres(),
  mark: object({ x: metres(), y: metres() }).required(),
  shift: metres(),
  constant: metres(),
})
  .default(undefined)
  .optional();
// Nothing kept is not taken for figures of a table that has none.
const figuresSchema = object({ soft: paceSchema, firm: paceSchema }).default(undefined).required();

/** What a table's rules of thumb need, found out once and kept on the device. @param key tells tables apart */
export const thumbFiguresQuery = (table: TableText, key: string) =>
  queryOptions({
    queryKey: ['thumb figures', key],
    staleTime: Infinity,
    networkMode: 'always',
    queryFn: async (): Promise<ThumbFigures> => {
      const place = `thumb:${MODEL_VERSION}:${key}`;
      const kept = await get<unknown>(place).catch(() => undefined);
      if (figuresSchema.isValidSync(kept)) {
        const { soft, firm } = figuresSchema.validateSync(kept);
        return { soft, firm };
      }
      const found = await thumbSolver().figures(table);
      // Without room on the device they are found out anew the next time.
      await set(place, found).catch(() => undefined);
      return found;
    },
  });
