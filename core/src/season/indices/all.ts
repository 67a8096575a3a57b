import { appleScab } from './appleScab.ts';
import { earlyBlight } from './earlyBlight.ts';
import { fireBlight } from './fireBlight.ts';
import { grapeDownyMildew, grapePowderyMildew } from './grapeMildews.ts';
import type { IndexId } from '../../edition/bases.ts';
import type { DiseaseIndex } from './index.ts';
import { lateBlight } from './lateBlight.ts';

export const DISEASE_INDICES: Record<IndexId, DiseaseIndex> = {
  'early-blight': earlyBlight,
  'apple-scab': appleScab,
  'late-blight': lateBlight,
  'grape-downy-mildew': grapeDownyMildew,
  'grape-powdery-mildew': grapePowderyMildew,
  'fire-blight': fireBlight,
};
