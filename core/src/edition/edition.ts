/**
 * The compiled body of knowledge, as plain data. `knowledge` writes it, everything else reads it.
 * Months and calendar dates are those of the northern hemisphere; `season/calendar.ts` turns them round.
 */

import type { CareTask, CareTopic } from './care.ts';
import type { Cause } from './causes.ts';
import type { Hemisphere } from './climates.ts';
import type { Finding } from './findings.ts';
import type { Lexicon } from './lexicon.ts';
import type { LossTable } from './losses.ts';
import type { Plant } from './plants.ts';
import type { School, Source } from './provenance.ts';

/** A case whose cause somebody has confirmed. Guesses, however likely, are none. */
export interface Outcome {
  cause: string;
  /** Plant id, or null when it was never named. */
  host: string | null;
  /** YYYY-MM-DD. */
  on: string;
  /** Settled answers, one a finding. */
  findings: { finding: string; answer: string }[];
}

export interface Edition {
  /** Name of the edition and a digest of its contents, such as "2026.11-3fa9c2". */
  version: string;
  /** The hemisphere whose months its texts name; the north where it does not say. See editionIn.ts. */
  readIn?: Hemisphere;
  plants: Plant[];
  findings: Finding[];
  causes: Cause[];
  careTopics: CareTopic[];
  /** Editions from before 2026.12 have none. */
  careTasks?: CareTask[];
  lexicon: Lexicon;
  sources: Source[];
  schools: School[];
  /** What it costs to advise one thing where another was right. */
  losses?: LossTable;
  /** The view a desk follows where the trade disagrees, as an index into the school's views, by school id. */
  houseLines?: Record<string, number>;
  /** Confirmed outcomes the desk has taken over, as they weigh on that day: local odds and rates rest on them. */
  learned?: { asOf: string; outcomes: Outcome[] };
}
