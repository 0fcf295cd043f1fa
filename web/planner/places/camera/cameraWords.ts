import type { CameraReading, Doubt } from '../../../../core/camera/watch.ts';
import { ballInWords as ball } from '../../../words/misplacedWords.ts';

/** What the camera is doing. */
export function readingWords(state: CameraReading['state']): string {
  switch (state) {
    case 'waiting':
      return 'The camera is looking.';
    case 'late':
      return 'The camera is late: what it shows is old.';
    case 'covered':
      return 'Somebody is over the table.';
    case 'moving':
      return 'Balls are moving.';
    case 'still':
      return 'The balls lie still.';
  }
}

/** The same for whoever scores: whether the shot can be played. @param isAfterShot whether it was @param isBeside whether a ball is not in its place */
export function stateWords(state: CameraReading['state'], isAfterShot: boolean, isBeside: boolean): string {
  if (state !== 'still' || isAfterShot) return readingWords(state);
  return isBeside ? 'Not all balls lie in their places.' : 'Ready for the shot.';
}

/** A question to the coach about what the camera is not sure of. */
export function doubtWords(doubt: Doubt): string {
  switch (doubt.kind) {
    case 'name':
      return `Is this really ${ball(doubt.ball)}? The camera calls it different names.`;
    case 'another':
      return `Is this ${ball(doubt.ball)}? Where it lies, ${ball(doubt.before)} lay before.`;
    case 'exchanged':
      return `Has the camera mixed up ${ball(doubt.ball)} and ${ball(doubt.other)}?`;
    case 'jumped':
      return `Is this ${ball(doubt.ball)}? It was not seen on its way there.`;
    case 'gone':
      return `Did ${ball(doubt.ball)} fall? It is not seen any more.`;
    case 'new':
      return `Where does ${ball(doubt.ball)} come from? It was not there before.`;
    case 'faint':
      return doubt.ball === undefined
        ? 'Is there another ball? Something is seen now and then.'
        : `Does ${ball(doubt.ball)} lie there? It is seen badly.`;
    case 'unseen':
      return 'Was there a shot? Balls lie elsewhere, and none was seen rolling.';
  }
}
