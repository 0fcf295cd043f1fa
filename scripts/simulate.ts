import { text } from 'node:stream/consumers';
import { playShotFile } from '../core/formats/shotFile.ts';

/**
 * Shots from standard input (one, or an array of them) to results on standard output, in order. A shot that is not
 * valid gets its error in its place, the others still run, and the exit code is 1.
 */
let input: unknown;
try {
  input = JSON.parse(await text(process.stdin));
} catch {
  console.log(JSON.stringify({ error: 'the input is not valid JSON' }));
  process.exit(1);
}
const results = Array.isArray(input) ? input.map(playShotFile) : playShotFile(input);
process.exitCode = [results].flat().some((result) => 'error' in result) ? 1 : 0;
process.stdout.write(`${JSON.stringify(results, null, Array.isArray(results) ? 0 : 2)}\n`);
