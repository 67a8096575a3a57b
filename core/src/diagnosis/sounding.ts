import type { DiagnosticModel } from './model.ts';
import { entropyBits, posteriorOf, termsOf, type Term } from './posterior.ts';
import type { Reading } from '../edition/reading.ts';

/** One mark on the sounding line: the standing after a reading. */
export interface SoundingMark {
  /** How many readings had been taken; 0 is the surface, before any. */
  taken: number;
  /** Uncertainty left, in bits. */
  bits: number;
  /** The cause this reading moved most, up or down, and where it stood then; null when it moved none by a point. */
  moved: Moved | null;
}

/** A cause whose probability a reading changed: by how much (signed), and to what. */
export interface Moved {
  cause: string;
  by: number;
  to: number;
}

/** Less than a point is not worth a word. */
const WORTH_A_WORD = 0.01;

function mostMoved(model: DiagnosticModel, before: Float64Array, after: Float64Array): Moved | null {
  let most: Moved | null = null;
  for (let c = 0; c < after.length; c++) {
    const by = (after[c] ?? 0) - (before[c] ?? 0);
    if (Math.abs(by) > Math.abs(most?.by ?? WORTH_A_WORD)) most = { cause: model.causes[c] ?? '', by, to: after[c] ?? 0 };
  }
  return most;
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
    marks.push({
      taken,
      bits: entropyBits(now),
      moved: taken === 0 ? null : mostMoved(model, before, now),
    });
    before = now;
  }
  return marks;
}
