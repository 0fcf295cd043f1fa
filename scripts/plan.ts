import { answerPlanFile } from '../core/formats/planFile.ts';
import { answerInput } from './lib/answer.ts';

/** A question for the order of a clearance from standard input to its plan on standard output. */
await answerInput((question) => answerPlanFile(question, () => performance.now()));
