/** Where a figure comes from. `published` needs a source id; `common-practice` is a working rule of the trade. */
export type Mark = 'published' | 'common-practice' | 'memory';

export interface Provenance {
  mark: Mark;
  source?: string;
  note?: string;
}

export interface Source {
  id: string;
  cite: string;
}

/** A question on which the trade disagrees: the views with their reasons, and what we say unless the desk says otherwise. */
export interface School {
  id: string;
  question: string;
  /** `options` are the treatments that follow the view. */
  views: { say: string; because: string; options?: string[] }[];
  ours: string;
  mark: Mark;
}
