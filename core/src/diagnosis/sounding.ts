import type { DiagnosticModel } from './model.ts';
import { entropyBits, posteriorOf, termsOf, type Term } from './posterior.ts';
import type { Reading } from '../edition/reading.ts';

/** One mark on the sounding line: the standing after a reading. */
export interface SoundingMark {
  /** How many readings had been taken; 0 is the surface, before any. */
  taken: number;
  /** Uncertainty left, in bits. */
  bits: number;
  leader: string;
  leaderProbability: number;
  /** The cause this reading raised most, and by how much (probability). */
  raised: { cause: string; by: number } | null;
  lowered: { cause: string; by: number } | null;
}

function change(model: DiagnosticModel, before: Float64Array, after: Float64Array, sign: 1 | -1): { cause: string; by: number } | null {
  let best = -1;
  let by = 0.005; // less than half a point is not worth a word
  for (let c = 0; c < after.length; c++) {
    const d = sign * ((after[c] ?? 0) - (before[c] ?? 0));
    if (d > by) [best, by] = [c, d];
  }
  return best < 0 ? null : { cause: model.causes[best] ?? '', by };
}

/** The trail of marks from the surface down, one for each reading in the order they were taken. */
export function soundingLine(model: DiagnosticModel, readings: readonly Reading[]): SoundingMark[] {
  const marks: SoundingMark[] = [];
  const terms = new Map<string, Term>();
  let before = posteriorOf(model, []);
  for (let taken = 0; taken <= readings.length; taken++) {
    const reading = readings[taken - 1];
    if (reading) {
      // only the finding spoken of has to be weighed anew
      const same = readings.slice(0, taken).filter((r) => r.finding === reading.finding);
      for (const term of termsOf(model, same)) terms.set(reading.finding, term);
    }
    const now = reading ? posteriorOf(model, [...terms.values()]) : before;
    let leader = 0;
    for (let c = 1; c < now.length; c++) if ((now[c] ?? 0) > (now[leader] ?? 0)) leader = c;
    marks.push({
      taken,
      bits: entropyBits(now),
      leader: model.causes[leader] ?? '',
      leaderProbability: now[leader] ?? 0,
      raised: taken === 0 ? null : change(model, before, now, 1),
      lowered: taken === 0 ? null : change(model, before, now, -1),
    });
    before = now;
  }
  return marks;
}
