import type { Reading } from '../edition/reading.ts';
import { WORDING } from '../edition/findings.ts';
import type { Understanding } from './understand.ts';

/** Everything of it that is evidence: the readings, and how it was put. */
export function evidenceIn({ readings, wording }: Pick<Understanding, 'readings' | 'wording'>): (Reading & { from: string })[] {
  const plain = readings.map(({ finding, answer, channel, from }) => ({ finding, answer, channel, from }));
  return wording === '' ? plain : [...plain, { finding: WORDING, answer: wording, channel: 'caller', from: wording }];
}
