export const CLIMATES = ['temperate-maritime', 'continental', 'mediterranean', 'arid', 'subtropical', 'tropical-highland'] as const;

export type Climate = (typeof CLIMATES)[number];

export type Hemisphere = 'N' | 'S';
