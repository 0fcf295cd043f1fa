import { text } from 'node:stream/consumers';
import { answerBreakFile } from '../core/formats/breakFile.ts';

/** A question for a break from standard input to what it comes to on standard output; 1 when it is not valid. */
let input: unknown;
try {
  input = JSON.parse(await text(process.stdin));
} catch {
  console.log(JSON.stringify({ error: 'the input is not valid JSON' }));
  process.exit(1);
}
const answer = answerBreakFile(input);
process.exitCode = 'error' in answer ? 1 : 0;
process.stdout.write(`${JSON.stringify(answer, null, 2)}\n`);
