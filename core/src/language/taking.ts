import type { Channel, Finding } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import type { Reading } from '../edition/reading.ts';
import { likeliest } from './claims.ts';
import { circumstantial, type Match, type Meaning } from './meaning.ts';
import type { Token } from './tokens.ts';

export interface UnderstoodReading extends Reading {
  /** The caller's words it was read from. */
  from: string;
  /** Other answers to the same finding that the words allow, best first. */
  choices: string[];
  /** The plant by whose name it says that nothing ails its fruit, or that there is none: "no oranges", "the beans are fine". */
  sparing?: Plant;
}

export interface Claim {
  cause: string;
  /** The caller's words it was read from. */
  from: string;
}

/** What is known of an utterance before its phrases are taken. */
export interface Heard {
  tokens: readonly Token[];
  /** Words of plants' names, with the plant. */
  named: ReadonlyMap<number, Plant>;
  host: Plant | null;
  channel: Channel;
  /** For each word the index of what denies it, -1 = nothing; and whether it is doubted. */
  negatedBy: readonly number[];
  doubted: readonly boolean[];
  /** For each word whether it tells of another time: "last year it had webs". */
  former: readonly boolean[];
  /** The word each negator begins with: "hardly" of "hardly any". */
  negatorHeads: ReadonlySet<string>;
  /** True for the name of a part of plants: "leaves", "bark". */
  isPart: (token: Token) => boolean;
  colours: ReadonlySet<string>;
}

/** An answer this much rarer among plants than another to the same finding is the more particular of the two. */
const PARTICULAR = 0.6;

const shareOf = (finding: Finding, answer: string): number => finding.answers.find(({ id }) => id === answer)?.background ?? 0;

/** A finding of this many answers lists unlike things: who sees no slugs may still see aphids. */
const MANY_ANSWERS = 8;

/** What "no …" says of a finding: of few answers that there is nothing, of many that it is not this one. */
export const deniedOf = ({ absent, answers }: Finding, answer: string): string =>
  absent === undefined || (answers.length >= MANY_ANSWERS && answer !== `not:${absent}`) ? `not:${answer}` : absent;

/** The same, null where it says nothing: "not fed for ages" is no word on how fast it came. */
function deniedAnswer(finding: Finding, answer: string): string | null {
  if (answer === finding.absent || (finding.absent === undefined && finding.kind === 'pattern')) return null;
  return deniedOf(finding, answer);
}

/** Words that say of a part that there is none of it. */
const LACKING = new Set(['no', 'without']);

/** True for "not this one": it says less than any answer that is given. */
const isOnlyDenied = (answer: string): boolean => answer.startsWith('not:');

const saysLess = (one: Meaning, other: Meaning): boolean =>
  one.kind === 'finding' && other.kind === 'finding' && one.finding === other.finding && isOnlyDenied(one.answer) && !isOnlyDenied(other.answer);

/** Takes phrases, best first, for readings and claims. */
export class Taking {
  readonly claims: Claim[] = [];
  /** Words that were placed. */
  readonly covered: Set<number>;
  /** Words of a name given to the trouble, and of a question of care: no word on what is seen. */
  readonly aside: Set<number>;
  private readonly found: { reading: UnderstoodReading; at: number; former: boolean }[] = [];
  private readonly used: Match[] = [];

  /** @param aside words that ask for care */
  constructor(
    private readonly heard: Heard,
    aside: ReadonlySet<number>,
  ) {
    this.covered = new Set([...heard.named.keys(), ...aside]);
    this.aside = new Set(aside);
  }

  /** Readings in the order they were spoken. */
  get readings(): UnderstoodReading[] {
    return [...this.found].sort((a, b) => a.at - b.at).map(({ reading }) => reading);
  }

  /** Matches come best first. */
  take(match: Match): void {
    if (this.isOutdone(match) || match.value.kind === 'care') return;
    if (match.value.kind === 'claim') this.takeClaim(match);
    else this.takeReading(match);
  }

  private said(at: readonly number[]): string {
    return this.heard.tokens
      .slice(at[0], at[at.length - 1]! + 1)
      .map((t) => t.text)
      .join(' ');
  }

  /** A longer phrase that holds all of these words has already said what they mean, unless it says only that there is something: "pimples on the leaves". */
  private isOutdone(match: Match): boolean {
    const ownWords = ({ at }: Match) => at.filter((i) => !this.heard.named.has(i)).length;
    return this.used.some(
      (other) =>
        !saysLess(other.value, match.value) &&
        ownWords(other) >= ownWords(match) &&
        other.score >= match.score &&
        circumstantial(other.value) === circumstantial(match.value) &&
        match.at.every((i) => other.at.includes(i) && !other.beside.includes(i)),
    );
  }

  /** A name is no evidence: its words may still say what is seen. */
  private takeClaim({ value, at }: Match): void {
    // "blight" within "fire blight"; "no frost" claims no frost
    if (value.kind !== 'claim' || at.every((i) => this.aside.has(i)) || at.some((i) => this.heard.negatedBy[i]! >= 0)) return;
    const named = likeliest(value.causes, this.heard.host);
    if (named && !this.claims.some((c) => c.cause === named.id)) this.claims.push({ cause: named.id, from: this.said(at) });
    at.forEach((i) => this.covered.add(i));
    at.forEach((i) => this.aside.add(i));
  }

  /** Index of the word that denies the phrase, -1 without one; null where only its colour is denied or only its first half: "the spots are not black", "no flowers after | the wet". A phrase that says "no" itself ("never flowered") is not denied again. */
  private negatorOf({ at }: Match): number | null {
    const { tokens, negatedBy, negatorHeads, isPart, colours } = this.heard;
    if (at.some((i) => negatorHeads.has(tokens[i]!.word))) return -1;
    const denied = at.filter((i) => negatedBy[i]! >= 0);
    if (denied[0] === undefined) return -1;
    const negator = negatedBy[denied[0]]!;
    const others = at.filter((i) => negatedBy[i]! < 0 && !isPart(tokens[i]!));
    if (others.length === 0) return negator;
    if (denied.every((i) => colours.has(tokens[i]!.word)) || others.some((i) => i > Math.max(...denied))) return null;
    const isPartOnly = denied.every((i) => isPart(tokens[i]!)) && others.some((i) => i < negator && tokens[i]!.breath === tokens[negator]!.breath);
    if (!isPartOnly) return negator;
    // "so sticky you can not open the leaves" is sticky; "brown canes with no leaves" have no brown ones
    return LACKING.has(tokens[negator]!.word) ? null : -1;
  }

  private takeReading(match: Match): void {
    const { value, at } = match;
    if (value.kind !== 'finding') return;
    const { finding } = value;
    const negator = this.negatorOf(match);
    if (negator === null) return;
    const answer = negator < 0 ? value.answer : deniedAnswer(finding, value.answer);
    this.used.push(match);
    at.forEach((i) => this.covered.add(i));
    if (answer === null) return;
    if (negator >= 0) this.covered.add(negator);
    const former = at.every((i) => this.heard.former[i]);
    const taken = { at: at[0]!, former, reading: this.readingOf(finding, answer, at, negator) };
    const same = this.found.find(({ reading }) => reading.finding === finding.id);
    if (!same) this.found.push(taken);
    else if (same.former && !former) Object.assign(same, taken);
    else if (same.former || !former) this.weighAgainst(same.reading, finding, answer, at);
  }

  private readingOf(finding: Finding, answer: string, at: readonly number[], negator: number): UnderstoodReading {
    const { tokens, channel, doubted, named, negatorHeads } = this.heard;
    const isNothing = negator >= 0 || answer === finding.absent || at.some((i) => negatorHeads.has(tokens[i]!.word));
    const sparing = isNothing && finding.organ === 'fruit' ? named.get(at.find((i) => named.has(i)) ?? -1) : undefined;
    return {
      finding: finding.id,
      answer,
      channel: channel === 'caller' && at.some((i) => doubted[i]) ? 'caller-unsure' : channel,
      from: this.said(negator < 0 ? at : [Math.min(negator, at[0]!), at[at.length - 1]!]),
      choices: [],
      ...(sparing && { sparing }),
    };
  }

  /** "Leaves turn yellow but the veins stay green": the more particular of two things said of one finding is meant, the other kept as a choice. */
  private weighAgainst(same: UnderstoodReading, finding: Finding, answer: string, at: readonly number[]): void {
    if (same.answer === answer || same.choices.includes(answer)) return;
    // "no slugs" goes before nothing that is said; only "there are some" and "there are none" stand against each other
    const some = `not:${finding.absent}`;
    const standAgainst = [answer, same.answer].includes(some) && [answer, same.answer].includes(finding.absent ?? some);
    if (isOnlyDenied(answer) && !standAgainst) return;
    if (isOnlyDenied(same.answer) && !standAgainst) {
      Object.assign(same, { answer, from: this.said(at) });
      return;
    }
    const plain = !isOnlyDenied(answer) && !isOnlyDenied(same.answer);
    const particular = plain && shareOf(finding, answer) < PARTICULAR * shareOf(finding, same.answer);
    same.choices.push(particular ? same.answer : answer);
    if (particular) Object.assign(same, { answer, from: this.said(at) });
  }
}
