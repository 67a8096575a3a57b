import type { Label, LabelContext, LabelUse } from '../treatment/label.ts';

/** Invented labels for tests. */
export const use = (extra: Partial<LabelUse> = {}): LabelUse => ({
  id: 'ornamentals',
  line: 'Ornamentals, aphids and scale: 20 ml in 1 litre of water, at most 4 times a year, 10 days apart',
  method: 'spray',
  crops: ['*'],
  pests: ['*'],
  rate: { value: '20', unit: 'ml' },
  per: 'volume',
  of: { value: '1', unit: 'l' },
  leastShare: null,
  carrier: { amount: { value: '1', unit: 'l' }, on: { value: '10', unit: 'm2' } },
  mostPerUse: null,
  mostPerYear: null,
  mostUses: 4,
  intervalDays: 10,
  reentryHours: 0,
  preHarvestDays: null,
  season: null,
  ...extra,
});

export const label = (extra: Partial<Label> = {}): Label => ({
  id: 'soap',
  name: 'Lakewash Soap',
  registration: 'LW-0001',
  actives: [{ name: 'fatty acid potassium salts', concentration: '500 g/l', group: 'not grouped' }],
  formulation: 'soluble concentrate',
  signalWord: { scheme: 'GHS', word: 'Warning' },
  restricted: false,
  homeUse: true,
  jurisdictions: ['*'],
  validFrom: '2024-01-01',
  validUntil: '2028-12-31',
  gear: ['gloves'],
  packs: [],
  limits: { fromC: 5, belowC: 32, mostWindMs: 5, rainFreeHours: 6, bees: false, waterDistanceM: null },
  uses: [use()],
  ...extra,
});

export const LABEL_CONTEXT: LabelContext = { today: '2026-06-14', jurisdiction: 'Lindwater', rules: [], hemisphere: 'N' };
