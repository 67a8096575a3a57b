import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Answer, Finding } from '../edition/findings.ts';
import type { Lexicon } from '../edition/lexicon.ts';
import type { Plant } from '../edition/plants.ts';
import { RATE_VALUES } from '../edition/causes.ts';
import { stemOf, tokenise, type Token } from './tokens.ts';

/** Words of a cause, by stem, with their share among all its words. */
type Shares = Map<string, number>;

/** How much each part of an entry says about the way callers put it. This and what follows was set on 667 calls as they stood before anything was mended for them (decision 9). */
const WEIGHT = { heard: 6, told: 8, answer: 2, phrase: 0.5, story: 1, reply: 0.6, worth: 0.4 } as const;
/** Share of a caller's words taken to be about the cause; the rest could be said on any call (Jelinek & Mercer 1980). */
const ABOUT_THE_CAUSE = 0.5;
/**
 * Share any word has on any call without being about its cause: an "arch" of roses must not be worth 400 to 1 for the caterpillar that arches its back because
 * no other entry has the word. Between 0 and 0.0003 it changes nothing on calls with the usual words; more loses what rare words truly tell.
 */
const BY_CHANCE = 0.0001;
/** Natural logarithm of what each word speaks for a cause nobody wrote down: it has words of its own, too, though they are not known. */
const OF_THE_UNLISTED = 0.1;
/** Natural logarithm of what the way of putting it may count for at the very most; nearer to it, each word adds less. */
const MOST = Math.log(3000);

/** What a phrase pattern asks for, without what must not stand beside it. */
const asked = (pattern: string): string => pattern.replace(/(^|\s)-\S+/g, ' ');
/** The words of it; its classes are asked for apart. */
const patternWords = (pattern: string): string =>
  asked(pattern)
    .replace(/\{[^}]*\}/g, ' ')
    .replace(/[=~+|!*]/g, ' ');
const patternClasses = (pattern: string): string[] => asked(pattern).match(/\{[^}]*\}/g) ?? [];

/** The shortest stem that is compared. */
const LEAST_STEM = 3;

/**
 * Tells the words that are compared from those any talk has, from what denies ("not" is said of whatever is amiss) and from names of plants: which plant it
 * is counts elsewhere, and what a caller names is no part of the wording (understand.ts).
 */
export function comparedBy(
  { stopWords, irregular, negators }: Pick<Lexicon, 'stopWords' | 'irregular' | 'negators'>,
  plants: readonly Pick<Plant, 'name' | 'also'>[],
): (token: Pick<Token, 'word' | 'stem'>) => boolean {
  const stop = new Set([...stopWords, ...negators].flatMap((word) => [word, stemOf(word, irregular)]));
  const named = new Set(plants.flatMap(({ name, also }) => [name, ...also]).flatMap((name) => loneStem(name, irregular) ?? []));
  return ({ word, stem }) => !stop.has(word) && !stop.has(stem) && !named.has(stem) && stem.length >= LEAST_STEM;
}

/** The stem of a name of one word that is taken in any form: the "oranges" of a plant leave the colour alone. */
function loneStem(name: string, irregular: Record<string, string>): string | null {
  const [only, ...more] = tokenise(name, irregular);
  return only && more.length === 0 && !name.endsWith('!') ? only.stem : null;
}

/**
 * How like the words of a caller are to what is known of each cause: what phrases miss still counts. A unigram language model for each cause, mixed with that of all causes together (Ponte & Croft 1998; smoothing of Jelinek & Mercer 1980).
 */
export class Likeness {
  private readonly causes = new Map<string, Shares>();
  private readonly general: Shares = new Map();
  private readonly isCompared: ReturnType<typeof comparedBy>;
  /** The word classes a stem belongs to, so that "insects" is like "bugs" and "flopped" like "drooping". */
  private readonly classesOf = new Map<string, string[]>();
  /** What is said for an answer, by many causes alike. */
  private readonly ofAnswers = new Map<Answer, { say: string[]; phrases: ReadonlySet<string> }>();

  constructor(private readonly edition: Edition) {
    this.isCompared = comparedBy(edition.lexicon, edition.plants);
    for (const [name, words] of Object.entries(edition.lexicon.classes))
      for (const stem of new Set(words.map((word) => stemOf(word.replace('!', ''), edition.lexicon.irregular))))
        this.classesOf.set(stem, [...(this.classesOf.get(stem) ?? []), `{${name}}`]);
    const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
    for (const cause of edition.causes) this.causes.set(cause.id, this.sharesOf(cause, findings));
    for (const shares of this.causes.values())
      for (const [stem, share] of shares) this.general.set(stem, (this.general.get(stem) ?? 0) + share / this.causes.size);
  }

  /** Each word that says something, by its stem and the classes it belongs to. */
  private forms(text: string): string[][] {
    return tokenise(text, this.edition.lexicon.irregular)
      .filter(this.isCompared)
      .map(({ stem }) => [stem, ...(this.classesOf.get(stem) ?? [])]);
  }

  private stems(text: string): string[] {
    return this.forms(text).flat();
  }

  private wordsOf(answer: Answer): { say: string[]; phrases: ReadonlySet<string> } {
    const known = this.ofAnswers.get(answer);
    if (known) return known;
    const phrases = new Set(answer.words.flatMap((pattern) => [...this.stems(patternWords(pattern)), ...patternClasses(pattern)]));
    const words = { say: this.stems(answer.say), phrases };
    this.ofAnswers.set(answer, words);
    return words;
  }

  private sharesOf(cause: Cause, findings: ReadonlyMap<string, Finding>): Shares {
    const counts: Shares = new Map();
    const count = (stems: Iterable<string>, weight: number): void => {
      for (const stem of stems) counts.set(stem, (counts.get(stem) ?? 0) + weight);
    };
    const add = (text: string, weight: number): void => count(this.stems(text), weight);
    add(cause.heard ?? '', WEIGHT.heard);
    add(cause.told ?? '', WEIGHT.told);
    add(cause.story, WEIGHT.story);
    add(cause.replyLine, WEIGHT.reply);
    add(cause.worth, WEIGHT.worth);
    for (const { finding: id, answers } of cause.rates) {
      const finding = findings.get(id);
      for (const answer of finding?.answers ?? []) {
        const word = answers[answer.id];
        if (!word || answer.id === finding?.absent || RATE_VALUES[word] < RATE_VALUES.sometimes) continue;
        const { say, phrases } = this.wordsOf(answer);
        count(say, WEIGHT.answer * RATE_VALUES[word]);
        count(phrases, WEIGHT.phrase * RATE_VALUES[word]);
      }
    }
    const total = [...counts.values()].reduce((sum, n) => sum + n, 0);
    return new Map([...counts].map(([stem, n]) => [stem, n / Math.max(total, 1)]));
  }

  /**
   * Natural logarithm of P(words | cause) ÷ P(words on any call), for each id asked for; an id that is no cause of the edition is taken to be unlisted.
   * A word no cause uses counts for nothing, so words of no account leave the odds alone.
   */
  logRatios(text: string, causeIds: readonly string[]): Float64Array {
    const words = new Map(this.forms(text).map((forms) => [forms[0], forms.filter((form) => this.general.has(form))]));
    const said = [...words.values()].filter((forms) => forms.length > 0);
    return Float64Array.from(causeIds, (id) => {
      const shares = this.causes.get(id);
      if (!shares) return MOST * Math.tanh((OF_THE_UNLISTED * said.length) / MOST);
      const ofForm = (form: string) =>
        Math.log(1 - ABOUT_THE_CAUSE + (ABOUT_THE_CAUSE * ((shares.get(form) ?? 0) + BY_CHANCE)) / (this.general.get(form)! + BY_CHANCE));
      let sum = 0;
      // the forms of one word say much the same: n of them count for √n
      for (const forms of said) sum += forms.reduce((all, form) => all + ofForm(form), 0) / Math.sqrt(forms.length);
      return MOST * Math.tanh(sum / MOST);
    });
  }
}
