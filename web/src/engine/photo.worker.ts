import { expose } from 'comlink';
import { findSpots, measureLeaf, type LeafMeasure, type Spots } from '@sounding/core/photo/measure.ts';
import type { Pixels } from '@sounding/core/photo/mask.ts';
import { segment, type Segmented, type SegmentOptions } from '@sounding/core/photo/segment.ts';

export interface Read {
  cut: Segmented;
  leaf: LeafMeasure;
  spots: Spots;
}

/** Reads pictures away from the page: a megapixel takes some tenths of a second. */
const photo = {
  read(picture: Pixels, options: SegmentOptions): Read {
    const cut = segment(picture, options);
    return { cut, leaf: measureLeaf(cut, options.classes), spots: findSpots(cut, options.classes) };
  },
};
export type PhotoReader = typeof photo;

expose(photo);
