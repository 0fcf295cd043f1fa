import { mixed, object, string, type InferType } from 'yup';

/** Who enters something: theirs it stays until the server has it. */
export interface Person {
  readonly id: string;
  readonly name: string;
}

/**
 * A request that waits to be sent. Whoever entered it is the only one as whom it is sent, whoever signs in on this
 * device in between; it may be sent again without harm, so a lost reply costs nothing.
 */
export const sendingSchema = object({
  id: string().strict().required(),
  person: object({ id: string().strict().required(), name: string().strict().defined() }).required(),
  /** What it is about, as "round:…": whoever shows that asks for what waits of it. */
  topic: string().strict().required(),
  method: string()
    .oneOf(['PUT', 'POST', 'DELETE'] as const)
    .required(),
  path: string().strict().required(),
  body: mixed().defined().nullable(),
  /** In a few words, for whoever reads that it waits or was refused. */
  label: string().strict().required(),
  /** When it was entered, ISO 8601. */
  at: string().strict().required(),
}).required();
export type Sending = InferType<typeof sendingSchema>;

/** What a room hands over: the outbox adds whose it is, and when. */
export type Request = Pick<Sending, 'topic' | 'method' | 'path' | 'body' | 'label'>;

export function sendingOf(request: Request, person: Person): Sending {
  return {
    ...request,
    id: crypto.randomUUID(),
    person: { id: person.id, name: person.name },
    at: new Date().toISOString(),
  };
}
