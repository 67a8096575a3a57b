import type { Lexicon } from '../edition/lexicon.ts';
import type { Token } from './tokens.ts';

/** Qualities besides colours that belong to what stands next to them. */
const QUALITIES = 'small tiny little big large huge soft hard thick thin round fine ok firm healthy clean dry wet mushy brittle'.split(' ');
const BECOMING = 'go goes gone going went turn turns turned turning'.split(' ');
const HAVING = new Set(['has', 'have', 'had']);
const BETWEEN = new Set('very all quite really rather so too a bit still just now both completely totally'.split(' '));
const DETERMINERS = new Set('the my its our their these those your his her'.split(' '));
/** "The spots on the leaves are brown": what a preposition brings in is not what is spoken of. */
const PREPOSITIONS = new Set('on of in under at around along between to from with near by beneath below inside over across'.split(' '));

/** What a quality belongs to: the index of its noun, and whether that is a part of the plant rather than a thing upon it. */
export interface Binding {
  to: number;
  organ: boolean;
}

/**
 * What colours and sizes belong to: in "small brown spots on the leaves" brown is the spots', and in "tiny fruit and the roots are black" the roots are black.
 * Built once for a lexicon.
 */
export class Bindings {
  private readonly qualities: ReadonlySet<string>;
  private readonly organs: ReadonlySet<string>;
  private readonly nouns: ReadonlySet<string>;
  private readonly verbs: ReadonlySet<string>;

  constructor({ classes, organs }: Pick<Lexicon, 'classes' | 'organs'>) {
    this.qualities = new Set([...(classes.colour ?? []), ...QUALITIES]);
    this.organs = new Set(Object.values(organs).flat());
    this.nouns = new Set([...(classes.thing ?? []), ...this.organs]);
    this.verbs = new Set([...(classes.is ?? []), ...BECOMING]);
  }

  /** For each token what its quality is bound to, or null. */
  of(tokens: readonly Token[]): (Binding | null)[] {
    const { qualities, nouns } = this;
    const bound: (Binding | null)[] = tokens.map(() => null);
    const to = (i: number): Binding => ({ to: i, organ: this.organs.has(tokens[i]!.word) });
    for (let i = tokens.length - 2; i >= 0; i--) {
      const [here, next] = [tokens[i]!, tokens[i + 1]!];
      if (!qualities.has(here.word) || next.clause !== here.clause) continue;
      if (next.breath !== here.breath && this.hasNounBefore(tokens, i)) continue; // "leaf edges brown, crust on the pot"
      if (nouns.has(next.word)) bound[i] = to(i + 1);
      else if (qualities.has(next.word))
        bound[i] = bound[i + 1]!; // "yellow orange spots"
      else if (next.word === 'and' && qualities.has(tokens[i + 2]?.word ?? '') && this.saidOf(tokens, i) < 0) bound[i] = bound[i + 2] ?? null;
    }
    tokens.forEach(({ word }, i) => {
      if (!qualities.has(word) || bound[i]) return;
      const noun = this.saidOf(tokens, i);
      if (noun >= 0) bound[i] = to(noun);
    });
    return bound;
  }

  /**
   * Whether the words of a phrase keep what belongs together: no phrase may make the leaves brown with the brown of spots, or the fruit black with the black
   * of roots. Where a quality is a part's, a phrase without any other part may still hold it: "leaves turn brown from the tip".
   */
  keptIn(tokens: readonly Token[]): (at: readonly number[]) => boolean {
    const bound = this.of(tokens);
    return (at) =>
      at.every((i) => {
        const binding = bound[i];
        if (!binding || at.includes(binding.to) || tokens[i]!.clause !== tokens[binding.to]!.clause) return true;
        return binding.organ && !at.some((other) => this.organs.has(tokens[other]!.word));
      });
  }

  /** True where the breath of a quality has spoken of something already: "leaves brown, …", but not "small, brown spots". */
  private hasNounBefore(tokens: readonly Token[], at: number): boolean {
    const { clause, breath } = tokens[at]!;
    return tokens.slice(0, at).some((token) => token.clause === clause && token.breath === breath && this.nouns.has(token.word));
  }

  /** Index of the noun a quality is said of with "is" or "turn", or -1: "the roots are very black". */
  private saidOf(tokens: readonly Token[], at: number): number {
    const { clause, breath } = tokens[at]!;
    const isHere = (i: number) => tokens[i]?.clause === clause && tokens[i].breath === breath;
    const isVerb = (i: number) => isHere(i) && this.verbs.has(tokens[i]!.word);
    let i = at - 1;
    while (isHere(i) && BETWEEN.has(tokens[i]!.word)) i -= 1;
    if (!isVerb(i)) return -1;
    while (isVerb(i) || (isHere(i) && HAVING.has(tokens[i]!.word))) i -= 1;
    if (!isHere(i) || !this.nouns.has(tokens[i]!.word)) return -1;
    const noun = i;
    do i -= 1;
    while (isHere(i) && DETERMINERS.has(tokens[i]!.word));
    return isHere(i) && PREPOSITIONS.has(tokens[i]!.word) ? -1 : noun;
  }
}
