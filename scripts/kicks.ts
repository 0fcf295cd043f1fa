import { text } from 'node:stream/consumers';
import { answerKickFile } from '../core/formats/kickFile.ts';

/** A question for the ways to a ball from standard input to its lines on standard output; 1 when it is not valid. */
let input: unknown;
try {
  input = JSON.parse(await text(process.stdin));
} catch {
  console.log(JSON.stringify({ error: 'the input is not valid JSON' }));
  process.exit(1);
}
const answer = answerKickFile(input);
process.exitCode = 'error' in answer ? 1 : 0;
process.stdout.write(`${JSON.stringify(answer, null, 2)}\n`);
