import type { PictureSize } from '../../../core/photo/camera.ts';
import type { Picture } from '../../../core/photo/findBalls.ts';

/** A picture that was opened on this device. */
export interface OpenedPicture {
  readonly url: string;
  readonly size: PictureSize;
  readonly pixels: Picture;
}

/** Pictures are made so small before they are read: finer than any finger marks them. */
const LONGER = 1600;

/** Opens a picture's file, turned upright as it was taken. @throws Error for a file that is no picture */
export async function openPicture(file: File): Promise<OpenedPicture> {
  const image = await createImageBitmap(file).catch(() => {
    throw new Error(`${file.name} is no picture that this browser can read.`);
  });
  const scale = Math.min(1, LONGER / Math.max(image.width, image.height));
  const size = { width: Math.round(image.width * scale), height: Math.round(image.height * scale) };
  const canvas = document.createElement('canvas');
  canvas.width = size.width;
  canvas.height = size.height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (context === null) throw new Error('This browser cannot draw the picture.');
  context.drawImage(image, 0, 0, size.width, size.height);
  image.close();
  const { data } = context.getImageData(0, 0, size.width, size.height);
  return { url: canvas.toDataURL('image/jpeg', 0.9), size, pixels: { ...size, data } };
}
