import type { Cause } from '../edition/causes.ts';
import type { Finding } from '../edition/findings.ts';
import type { PhraseMatch } from './phrases.ts';

/** What a phrase of the edition means: something seen or told, a topic of care, or a name for the trouble. */
export type Meaning =
  { kind: 'finding'; finding: Finding; answer: string } | { kind: 'care'; topic: string; told: boolean } | { kind: 'claim'; causes: Cause[] };

export type Match = PhraseMatch<Meaning>;

/** Where, when and what went before, as against what is seen. */
export const aboutWhere = ({ kind }: Finding): boolean => kind === 'pattern' || kind === 'history' || kind === 'site';

/** One phrase may tell a circumstance and something seen: "brown all along the road". */
export const circumstantial = (meaning: Meaning): boolean => meaning.kind === 'finding' && aboutWhere(meaning.finding);
