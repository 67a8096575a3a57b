import { distance } from 'fastest-levenshtein';
import type { Edition } from '../edition/edition.ts';
import { claimable, claimPattern } from './claims.ts';
import type { Meaning } from './meaning.ts';
import { compilePhrase, PhraseBook, type Phrase } from './phrases.ts';
import { stemOf, tokenise, type Token } from './tokens.ts';

/** Shorter words are too near each other to put a slip right. */
const LEAST_TO_MEND = 5;

/** Every phrase of the edition with what it means. @throws RangeError for a word class the lexicon does not have */
function phrasesOf(edition: Edition): Phrase<Meaning>[] {
  const phrases: Phrase<Meaning>[] = [];
  const add = (pattern: string, meaning: Meaning) => phrases.push(compilePhrase(pattern, meaning, edition.lexicon));
  for (const finding of edition.findings)
    for (const answer of finding.answers) for (const words of answer.words) add(words, { kind: 'finding', finding, answer: answer.id });
  for (const { id: topic, words, told } of edition.careTopics) {
    for (const pattern of words) add(pattern, { kind: 'care', topic, told: false });
    for (const pattern of told ?? []) add(pattern, { kind: 'care', topic, told: true });
  }
  for (const [name, causes] of claimable(edition)) add(claimPattern(name), { kind: 'claim', causes });
  return phrases;
}

/** The words an edition knows: its phrases, its prose, the small words between them; slips of spelling are put right by it. */
export class Vocabulary {
  readonly book: PhraseBook<Meaning>;
  private readonly prose: ReadonlySet<string>;
  private readonly stopWords: ReadonlySet<string>;
  private readonly stopStems: ReadonlySet<string>;
  /** Longer stems by their first two letters: slips of spelling are sought among these. */
  private readonly spellings = new Map<string, string[]>();

  constructor(private readonly edition: Edition) {
    const { lexicon } = edition;
    this.stopWords = new Set(lexicon.stopWords);
    this.stopStems = new Set(lexicon.stopWords.map((word) => stemOf(word, lexicon.irregular)));
    this.prose = this.proseStems();
    this.book = new PhraseBook(phrasesOf(edition), (token) => this.stopWords.has(token.word));
    for (const stem of this.book.stems) {
      if (stem.length < LEAST_TO_MEND) continue;
      const start = stem.slice(0, 2);
      this.spellings.set(start, [...(this.spellings.get(start) ?? []), stem]);
    }
  }

  /** Words of the entries' own prose are no slips of spelling, though no phrase asks for them: "mounds" is not mould. */
  private proseStems(): Set<string> {
    const texts = this.edition.causes.flatMap(({ story, replyLine, heard }) => [story, replyLine, heard ?? '']);
    return new Set(texts.flatMap((text) => this.asWritten(text).map(({ stem }) => stem)));
  }

  /** True for a word that carries no sense of its own. */
  isSmall({ word, stem }: Token): boolean {
    return this.stopStems.has(stem) || this.stopWords.has(word);
  }

  isKnown({ word, stem }: Token): boolean {
    return this.book.stems.has(stem) || this.prose.has(stem) || this.stopStems.has(stem) || /^\d/.test(word);
  }

  asWritten(text: string): Token[] {
    return tokenise(text, this.edition.lexicon.irregular);
  }

  /** The words of a text, a slip of one letter put right where only a known word is so near. */
  mended(text: string): Token[] {
    return this.asWritten(text).map((token) => {
      if (token.word.length < LEAST_TO_MEND || this.isKnown(token)) return token;
      const close = (this.spellings.get(token.stem.slice(0, 2)) ?? []).find(
        (stem) => Math.abs(stem.length - token.stem.length) <= 1 && distance(stem, token.stem) === 1,
      );
      return close ? { ...token, stem: close } : token;
    });
  }

  /** Runs of words nobody could place, without the small words around them. @param covered indexes of those that were placed */
  leftOver(tokens: readonly Token[], covered: ReadonlySet<number>): string[] {
    const runs: string[] = [];
    let run: string[] = [];
    const close = (): void => {
      if (run.length > 0) runs.push(run.join(' '));
      run = [];
    };
    tokens.forEach((token, index) => {
      const open = !covered.has(index) && !this.isSmall(token);
      if (!open || tokens[index - 1]?.clause !== token.clause) close();
      if (open) run.push(token.text);
    });
    close();
    return runs;
  }
}
