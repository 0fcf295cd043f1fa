import { CameraLive } from './camera/CameraLive.tsx';
import { CameraReader } from './camera/CameraReader.tsx';
import { PhotoReader } from '../photo/PhotoReader.tsx';
import type { PlaceSource } from './placeSource.ts';

/** All ways of bringing in places that there are; another device is one more line. */
export const PLACE_SOURCES: readonly PlaceSource[] = [
  { key: 'photo', rule: 'pictures', label: 'From a picture', Reader: PhotoReader },
  { key: 'camera', rule: 'cameras', label: 'From a camera', Reader: CameraReader, Live: CameraLive },
];
