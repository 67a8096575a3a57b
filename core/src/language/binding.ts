import type { Lexicon } from '../edition/edition.ts';
import type { Token } from './tokens.ts';

/**
 * What a colour belongs to: in "small brown spots on the leaves" brown is the spots', so that no phrase may make the leaves brown with it.
 * @returns for each token the index of the noun its colour is bound to, or -1
 */
export function boundTo(tokens: readonly Token[], lexicon: Lexicon): number[] {
  const colours = new Set(lexicon.classes.colour ?? []);
  const things = new Set(lexicon.classes.thing ?? []);
  const bound = tokens.map(() => -1);
  for (let i = tokens.length - 2; i >= 0; i--) {
    const [here, next] = [tokens[i]!, tokens[i + 1]!];
    if (!colours.has(here.word) || next.clause !== here.clause) continue;
    if (things.has(next.word)) bound[i] = i + 1;
    else if (colours.has(next.word))
      bound[i] = bound[i + 1]!; // "yellow orange spots"
    else if (next.word === 'and' && colours.has(tokens[i + 2]?.word ?? '')) bound[i] = bound[i + 2] ?? -1;
  }
  return bound;
}
