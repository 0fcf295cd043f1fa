import { answerBreakFile } from '../core/formats/breakFile.ts';
import { answerInput } from './lib/answer.ts';

/** A question for a break from standard input to what it comes to on standard output. */
await answerInput(answerBreakFile);
