import { text } from 'node:stream/consumers';
import { answerPlanFile } from '../core/formats/planFile.ts';

/** A question for the order of a clearance from standard input to its plan on standard output; 1 when it is not valid. */
let input: unknown;
try {
  input = JSON.parse(await text(process.stdin));
} catch {
  console.log(JSON.stringify({ error: 'the input is not valid JSON' }));
  process.exit(1);
}
const answer = answerPlanFile(input, () => performance.now());
process.exitCode = 'error' in answer ? 1 : 0;
process.stdout.write(`${JSON.stringify(answer, null, 2)}\n`);
