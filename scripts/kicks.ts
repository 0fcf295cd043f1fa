import { answerKickFile } from '../core/formats/kickFile.ts';
import { answerInput } from './lib/answer.ts';

/** A question for the ways to a ball from standard input to its lines on standard output. */
await answerInput(answerKickFile);
