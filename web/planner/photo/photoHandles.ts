import type { Pixel } from '../../../core/photo/camera.ts';
import { CORNERS } from '../../../core/photo/marks.ts';
import { CUE } from '../../table/labShot.ts';
import { sideWord } from '../../words/kickWords.ts';
import { termIn, type Vocabulary } from '../../words/vocabulary.ts';
import type { PhotoMarks } from './photoMarks.ts';
import type { Handle } from './PictureMarks.tsx';

/** "head spot", "edge of the right cushion, first quarter". */
export function landmarkWords(name: string, vocabulary: Vocabulary): string {
  const [kind = '', which = '', quarter] = name.split(' ');
  if (kind === 'spot') return `${which} spot`;
  const edge = `edge of the ${sideWord(which, vocabulary)} ${termIn(vocabulary, 'cushion')}`;
  if (quarter === undefined) return `${edge}, middle`;
  return `${edge}, ${quarter === '1' ? 'quarter from the' : 'three quarters from the'} ${sideWord('head', vocabulary)}`;
}

/** All that can be dragged in the picture. */
export function handlesOf(
  { corners, further, balls }: PhotoMarks,
  vocabulary: Vocabulary,
): readonly Handle[] {
  const cornerWords = (name: string) => {
    const [end = '', side = ''] = name.split('-');
    return `${sideWord(end, vocabulary)} ${side}`;
  };
  return [
    ...CORNERS.map((name): Handle => ({
      key: `corner ${name}`,
      label: `Corner: ${cornerWords(name)}`,
      short: cornerWords(name),
      pixel: corners[name],
      kind: 'corner',
    })),
    ...Object.entries(further).map(([name, pixel]): Handle => ({
      key: `mark ${name}`,
      label: `Mark: ${landmarkWords(name, vocabulary)}`,
      short: '',
      pixel,
      kind: 'mark',
    })),
    ...balls.map(({ id, pixel }): Handle => ({
      key: `ball ${id}`,
      label: id === CUE ? 'Cue ball' : `Ball ${id}`,
      short: id === CUE ? 'cue' : id,
      pixel,
      kind: 'ball',
    })),
  ];
}

/** The marks with one of them elsewhere. */
export function moved(marks: PhotoMarks, key: string, to: Pixel): PhotoMarks {
  const space = key.indexOf(' ');
  const [kind, name] = [key.slice(0, space), key.slice(space + 1)];
  if (kind === 'corner') return { ...marks, corners: { ...marks.corners, [name]: to } };
  if (kind === 'mark') return { ...marks, further: { ...marks.further, [name]: to } };
  return { ...marks, balls: marks.balls.map((ball) => (ball.id === name ? { ...ball, pixel: to } : ball)) };
}
