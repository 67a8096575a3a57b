import type { Answer, Finding } from '../edition/findings.ts';
import type { Token } from './tokens.ts';

/** What a text says in so many words: its stems, without the small ones. */
type Telling = (text: string) => Token[];

/** This much of what was said must stand in the answer it is taken for. */
const MOST_OF_IT = 0.5;
/** Words alone, between blanks. */
const plain = (text: string): string =>
  ` ${text
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
    .trim()} `;

/** Where a single word is the answer, it stands in few: "usual, I'd say". */
const MOST_WORDS_ROUND_ONE = 4;
/** Words that name one of the things a question lists. */
const MOST_NAMED = 3;
/** Answers that any yes or no gives. */
const PLAIN = /^(?:yes|no|none)$/;
const DENIES = /\b(?:not|no|never|neither|nor|without)\b|n't\b/i;

/** The answers of our own questions, by the words they are offered in: "what do they look like?" – "hairy, I'd say". */
export class OwnAnswers {
  private readonly findings: ReadonlyMap<string, Finding>;
  /** Stems of each answer of a finding, in their order. */
  private readonly offered: ReadonlyMap<string, ReadonlySet<string>[]>;
  private readonly telling: Telling;

  constructor(findings: readonly Finding[], telling: Telling) {
    this.telling = telling;
    this.findings = new Map(findings.flatMap((finding) => [finding.ask, finding.id].map((key) => [key, finding])));
    this.offered = new Map(findings.map(({ id, answers }) => [id, answers.map(({ say }) => (PLAIN.test(say) ? new Set() : this.stems(say)))]));
  }

  /** True where a few words name what the question itself lists: "did soap, oil or paint get on it?" – "soap". */
  names(finding: Finding, say: string): boolean {
    const [asked, said] = [this.stems(finding.ask), [...this.stems(say)]];
    return said.length > 0 && said.length <= MOST_NAMED && !DENIES.test(say) && said.every((stem) => asked.has(stem));
  }

  private stems(text: string): ReadonlySet<string> {
    return new Set(this.telling(text).map(({ stem }) => stem));
  }

  /** The finding of ours that a question asks for in our own words, or null. */
  asked(ask: string): Finding | null {
    return this.findings.get(ask) ?? null;
  }

  /**
   * The one answer whose words are taken up; null where none is, or more than one alike.
   * @returns `whole` is true where nothing else was said
   */
  taken(finding: Finding, say: string): { answer: string; whole: boolean } | null {
    const named = this.named(finding, say);
    const besides = named ? plain(say).replace(plain(named.say), ' ') : say;
    const tokens = this.telling(say);
    const first = tokens.filter(({ clause, breath }) => clause === tokens[0]!.clause && breath === tokens[0]!.breath);
    const [all, firstWords] = [tokens, first].map((part) => [...new Set(part.map(({ stem }) => stem))]) as [string[], string[]];
    if (all.length > 0 && all.every((stem) => DENIES.test(stem))) return null;
    const best = named ? { answer: named.id, words: this.stems(named.say) } : (this.best(finding, all) ?? this.best(finding, firstWords));
    if (best === null || (DENIES.test(besides) && best.answer !== finding.absent)) return null;
    return { answer: best.answer, whole: all.every((stem) => best.words.has(stem)) };
  }

  /** The answer that was said just as it is offered: "part of the day". */
  private named({ answers }: Finding, say: string): Answer | null {
    const said = plain(say);
    const isShort = said.split(' ').length - 2 <= MOST_WORDS_ROUND_ONE;
    const named = answers.filter((answer) => !PLAIN.test(answer.say) && (isShort || answer.say.includes(' ')) && said.includes(plain(answer.say)));
    if (named.length > 0) return named.sort((a, b) => b.say.length - a.say.length)[0]!;
    // "the whole leaf" of "the whole leaf brown at once"
    const within = said.trim().includes(' ') ? answers.filter((answer) => plain(answer.say).includes(said)) : [];
    return within.length === 1 ? within[0]! : null;
  }

  /** The answer that most was said of. */
  private best({ id, answers }: Finding, said: readonly string[]): { answer: string; words: ReadonlySet<string> } | null {
    const offered = this.offered.get(id)!;
    const [best, next] = offered
      .map((words, i) => {
        const shared = said.filter((stem) => words.has(stem));
        const own = shared.reduce((sum, stem) => sum + 1 / offered.filter((other) => other.has(stem)).length, 0);
        return { answer: answers[i]!.id, words, own, ofIt: shared.length / words.size, ofSaid: shared.length / said.length };
      })
      .filter(({ ofSaid }) => ofSaid >= MOST_OF_IT)
      .sort((a, b) => b.own - a.own || b.ofIt - a.ofIt);
    return !best || (next && next.own === best.own && next.ofIt === best.ofIt) ? null : best;
  }
}
