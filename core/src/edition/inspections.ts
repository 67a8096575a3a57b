import type { Provenance } from './provenance.ts';

/** A test an advisor walks a caller through, step by step, or does at the table. */
export interface Inspection extends Provenance {
  id: string;
  name: string;
  /** The question it answers. */
  settles: string;
  where: InspectionPlace[];
  needs: string;
  /** Groups of plants it is for; without it any. */
  only?: string[];
  cautions: string[];
  /** `seconds` is how long to watch or wait; `figure` names a drawing. */
  steps: { say: string; figure?: InspectionFigureId; seconds?: number }[];
  /** What may come of it: readings for the case, and when to look again, in days from and to. */
  results: { say: string; means: string; readings: { finding: string; answer: string }[]; again?: [number, number] }[];
  /** The sum of the bench its figures go to. */
  sum?: string;
}

export const INSPECTION_PLACES = ['phone', 'table', 'site'] as const;

/** The drawings there are for steps of tests. */
export const INSPECTION_FIGURES = [
  'paper',
  'smear',
  'three-leaves',
  'lens',
  'rub',
  'light',
  'webs',
  'sticky',
  'scratch',
  'probe',
  'finger',
  'knock-out',
  'root-ball',
  'lift',
  'flare',
  'collar',
  'trunk-look',
  'hole-shapes',
  'egg-pits',
  'needles',
  'torch',
  'dig-size',
  'ridges',
  'wound',
  'girth',
  'depth',
  'pace',
  'cores',
  'margin',
  'lab-bag',
  'sun-hours',
  'squeeze',
  'cut-shoot',
] as const;

export type InspectionFigureId = (typeof INSPECTION_FIGURES)[number];

export type InspectionPlace = (typeof INSPECTION_PLACES)[number];
