import { text } from 'node:stream/consumers';

/** Answers a question in JSON from standard input on standard output; leaves with 1 when it is not valid. */
export async function answerInput(answer: (question: unknown) => object): Promise<void> {
  let question: unknown;
  try {
    question = JSON.parse(await text(process.stdin));
  } catch {
    console.log(JSON.stringify({ error: 'the input is not valid JSON' }));
    process.exitCode = 1;
    return;
  }
  const told = answer(question);
  process.exitCode = 'error' in told ? 1 : 0;
  process.stdout.write(`${JSON.stringify(told, null, 2)}\n`);
}
