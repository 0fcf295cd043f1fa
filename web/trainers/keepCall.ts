import type { NewCall } from '../../core/records/call.ts';
import { keep } from '../outbox/outbox.ts';
import type { Person } from '../outbox/sending.ts';

/** Keeps a call for its player until the server has it. */
export function keepCall(person: Person, body: NewCall): void {
  keep(person, [
    {
      topic: `calls:${body.playerId}`,
      method: 'PUT',
      path: `/calls/${crypto.randomUUID()}`,
      body,
      label: 'A call',
    },
  ]);
}
