import type { PictureSize } from '../../../core/photo/camera.ts';
import type { Picture } from '../../../core/photo/findBalls.ts';

/** A picture that was opened on this device. */
export interface OpenedPicture {
  readonly url: string;
  /** The same as a file, as it would be kept. */
  readonly image: Blob;
  readonly size: PictureSize;
  readonly pixels: Picture;
}

/** Pictures are made so small before they are read: finer than any finger marks them. */
const LONGER = 1600;
const QUALITY = 0.9;

/** Opens a picture's file, turned upright as it was taken. @throws Error for a file that is no picture */
export async function openPicture(file: File): Promise<OpenedPicture> {
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new Error(`${file.name} is no picture that this browser can read.`);
  });
  const scale = Math.min(1, LONGER / Math.max(bitmap.width, bitmap.height));
  const size = { width: Math.round(bitmap.width * scale), height: Math.round(bitmap.height * scale) };
  const canvas = document.createElement('canvas');
  canvas.width = size.width;
  canvas.height = size.height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (context === null) throw new Error('This browser cannot draw the picture.');
  context.drawImage(bitmap, 0, 0, size.width, size.height);
  bitmap.close();
  const { data } = context.getImageData(0, 0, size.width, size.height);
  const image = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
  if (image === null) throw new Error('This browser cannot keep the picture.');
  return { url: canvas.toDataURL('image/jpeg', QUALITY), image, size, pixels: { ...size, data } };
}
