import { wrap, type Remote } from 'comlink';
import type { Pixels } from '@sounding/core/photo/mask.ts';
import type { SegmentOptions } from '@sounding/core/photo/segment.ts';
import type { PhotoReader, Read } from './photo.worker.ts';

let remote: Remote<PhotoReader> | null = null;

/** Reads a picture in the worker; one worker serves the whole tab. */
export function readPhoto(picture: Pixels, options: SegmentOptions): Promise<Read> {
  remote ??= wrap<PhotoReader>(new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' }));
  return remote.read(picture, options);
}
