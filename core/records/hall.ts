import { array, object, type InferType } from 'yup';
import { flag, text, UNKNOWN_IN_REQUEST, uuid } from './fields.ts';

/** A place with tables; a club may have several. */
export const hallSchema = object({ id: uuid(), name: text(60), archived: flag() }).required();
export type Hall = InferType<typeof hallSchema>;
export const hallsSchema = array(hallSchema).required();

/** The id comes with the address, so that a hall that is sent twice is there once. */
export const hallChangeSchema = object({ name: text(60), archived: flag() })
  .exact(UNKNOWN_IN_REQUEST)
  .required();
