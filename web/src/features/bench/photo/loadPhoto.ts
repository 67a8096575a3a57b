import { PICTURE_TYPE } from '../../../store/pictureStore.ts';
import type { Pixels } from '@sounding/core/photo/mask.ts';

/** Enough for a spot of a millimetre on a hand-sized leaf, and quick to read. */
const LONGEST_SIDE = 1100;
const QUALITY = 0.9;

export interface LoadedPhoto {
  id: string;
  name: string;
  pixels: Pixels;
  /** The picture drawn anew: nothing that the file said of place, time or camera is in it. */
  image: Blob;
  url: string;
}

/** Opens a file as pixels and draws it anew. @throws Error that says what is wrong with the file */
export async function loadPhoto(file: File): Promise<LoadedPhoto> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error(`“${file.name}” is no picture this browser can open, or it is cut off.`);
  });
  const scale = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.max(1, Math.round(bitmap.width * scale)), Math.max(1, Math.round(bitmap.height * scale))];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser gives no canvas to read pictures with.');
  // what is transparent becomes paper
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const { data } = context.getImageData(0, 0, width, height);
  const image = await canvas.convertToBlob({ type: PICTURE_TYPE, quality: QUALITY });
  return { id: crypto.randomUUID(), name: file.name, pixels: { width, height, data }, image, url: URL.createObjectURL(image) };
}
