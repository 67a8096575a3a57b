import { constants } from 'node:zlib';

/**
 * How an edition is packed to travel: at brotli's tightest, in small blocks, which follow the columns as they differ from one another, and with the
 * nearest repeats by their distance as it is. A kilobyte and a half less than by brotli's own choice.
 */
export const TIGHTLY = {
  params: {
    [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
    [constants.BROTLI_PARAM_LGBLOCK]: constants.BROTLI_MIN_INPUT_BLOCK_BITS,
    [constants.BROTLI_PARAM_NDIRECT]: 15,
  },
};

/** What the shipped edition may weigh so: an edition is to load in under 400 kB, what a desk adds of its own needs room in it, and so does packing that more quickly: a kilobyte. */
export const MOST_BYTES = 398_500;
