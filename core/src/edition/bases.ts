/** What a window may rest on, by the names an edition uses; `season/` works them out. */

/** How a day's warmth is reckoned from its minimum and maximum; the double methods also use the next day's minimum. */
export const DEGREE_DAY_METHODS = ['average', 'modified-average', 'single-sine', 'double-sine', 'single-triangle', 'double-triangle'] as const;
export type DegreeDayMethod = (typeof DEGREE_DAY_METHODS)[number];

/**
 * What warmth above the upper threshold does (Zalom et al. 1983): `horizontal` – development goes on at the rate of the threshold;
 * `intermediate` – it slows by as much as the threshold is passed; `vertical` – it stops while it is that hot.
 */
export const CUTOFFS = ['horizontal', 'intermediate', 'vertical'] as const;
export type Cutoff = (typeof CUTOFFS)[number];

/** Rules of infection weather. */
export const INDEX_IDS = ['early-blight', 'apple-scab', 'late-blight', 'grape-downy-mildew', 'grape-powdery-mildew', 'fire-blight'] as const;
export type IndexId = (typeof INDEX_IDS)[number];
