import type { Edition } from '../edition/edition.ts';
import { claimable, claimPattern } from './claims.ts';
import type { Meaning } from './meaning.ts';
import { compilePhrase, PhraseBook, type Phrase } from './phrases.ts';
import { Spelling } from './spelling.ts';
import { stemOf, tokenise, type Token } from './tokens.ts';

/** Every phrase of the edition with what it means. @throws RangeError for a word class the lexicon does not have */
function phrasesOf(edition: Edition): Phrase<Meaning>[] {
  const phrases: Phrase<Meaning>[] = [];
  const add = (pattern: string, meaning: Meaning) => phrases.push(compilePhrase(pattern, meaning, edition.lexicon));
  for (const finding of edition.findings) {
    for (const answer of finding.answers) for (const words of answer.words) add(words, { kind: 'finding', finding, answer: answer.id });
    for (const words of finding.some ?? []) add(words, { kind: 'finding', finding, answer: `not:${finding.absent}` });
  }
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
  /** Stems of the entries' own prose: no slips of spelling, though no phrase asks for them: "mounds" is not mould. */
  private readonly proseStems: ReadonlySet<string>;
  private readonly stopWords: ReadonlySet<string>;
  private readonly stopStems: ReadonlySet<string>;
  private readonly remedies: ReadonlySet<string>;
  private readonly spelling: Spelling;
  /** Words of everyday speech: no slips of others. */
  private readonly everyday: ReadonlySet<string>;

  constructor(private readonly edition: Edition) {
    const { lexicon } = edition;
    this.stopWords = new Set(lexicon.stopWords);
    this.stopStems = new Set(lexicon.stopWords.map((word) => stemOf(word, lexicon.irregular)));
    this.remedies = new Set((lexicon.remedies ?? []).map((word) => stemOf(word, lexicon.irregular)));
    this.everyday = new Set(lexicon.everyday ?? []);
    const prose = this.prose();
    this.proseStems = new Set(prose.map(({ stem }) => stem));
    this.book = new PhraseBook(phrasesOf(edition), (token) => this.stopWords.has(token.word));
    this.spelling = new Spelling(this.words(prose));
  }

  /** What causes are described with. */
  private prose(): Token[] {
    const texts = this.edition.causes.flatMap(({ story, replyLine, heard, told }) => [story, replyLine, heard ?? '', told ?? '']);
    return texts.flatMap((text) => this.asWritten(text));
  }

  /** Every whole word of classes, phrases and prose, as often as it stands there. */
  private words(prose: readonly Token[]): string[] {
    const { classes, organs } = this.edition.lexicon;
    const listed = [...Object.values(classes), ...Object.values(organs)].flat().map((word) => word.replace('!', ''));
    const patterns = this.edition.findings.flatMap(({ answers, some }) => [...answers.flatMap(({ words }) => words), ...(some ?? [])]);
    const asked = patterns.flatMap((pattern) => pattern.match(/[a-z]+(?![a-z]*[*}])/g) ?? []);
    return [...listed, ...asked, ...prose.map(({ word }) => word)];
  }

  /** True for a word that carries no sense of its own. */
  isSmall({ word, stem }: Token): boolean {
    return this.stopStems.has(stem) || this.stopWords.has(word);
  }

  /** True for what was put on a plant: it says what was tried, not what is wrong. */
  isRemedy({ stem }: Token): boolean {
    return this.remedies.has(stem);
  }

  isKnown({ word, stem }: Token): boolean {
    return this.book.knows({ word, stem }) || this.everyday.has(word) || this.proseStems.has(stem) || this.stopStems.has(stem) || /^\d/.test(word);
  }

  asWritten(text: string): Token[] {
    return tokenise(text, this.edition.lexicon.irregular);
  }

  /** The words of a text, slips of the pen put right where a known word is near. @param spared indexes that stay as they are, such as names of plants */
  mended(text: string, spared: ReadonlySet<number> = new Set()): Token[] {
    return this.asWritten(text).map((token, i) => {
      if (spared.has(i) || this.isKnown(token)) return token;
      const word = this.spelling.mend(token.word);
      return word === null ? token : { ...token, word, stem: stemOf(word, this.edition.lexicon.irregular) };
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
