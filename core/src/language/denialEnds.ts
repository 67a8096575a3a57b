import type { Token } from './tokens.ts';

/** Verbs a plain statement is made with: "there are", "it has". */
export const BE_OR_HAVE: ReadonlySet<string> = new Set(['is', 'are', 'was', 'were', 'has', 'have', 'had']);
const ARTICLES = new Set(['the', 'my', 'its', 'our', 'their', 'all']);
const IF = new Set(['if', 'when', 'unless', 'whenever', 'where', 'even']);

const OWNERS = new Set(['i', 'we']);
const HAVE = new Set(['have', 'had', 'got', 'grow']);
const OWNED = new Set(['a', 'an', 'the', 'my', 'our', 'some', 'this', 'these', 'in', 'on', 'at', 'here', 'two', 'three', 'many']);
const THINK = new Set(['think', 'thought', 'believe', 'know', 'suppose', 'sure', 'say', 'see', 'that', 'what', 'if', 'how', 'all']);

/** "My name is not important | I have on my balcony …"; what "I do not think I have a fungus" says is denied. */
const tellsOfOwn = (tokens: readonly Token[], negator: number, i: number): boolean =>
  OWNERS.has(tokens[i]!.word) &&
  HAVE.has(tokens[i + 1]?.word ?? '') &&
  OWNED.has(tokens[i + 2]?.word ?? '') &&
  !tokens.slice(negator + 1, i).some(({ word }) => THINK.has(word));

/** Where a new statement begins without a comma: "no frost | the buds are black", "if I do not water | the leaves hang". */
export function statementBegins(tokens: readonly Token[], negator: number, i: number): boolean {
  if (i > negator + 1 && tellsOfOwn(tokens, negator, i)) return true;
  if (i === negator + 1 || !ARTICLES.has(tokens[i]!.word)) return false;
  if (tokens[negator]!.word !== 'not')
    return [2, 3].some((n) => BE_OR_HAVE.has(tokens[i + n]?.word ?? '') && tokens[i + n]!.clause === tokens[i]!.clause);
  const opening = tokens.findIndex(({ clause, breath }) => clause === tokens[i]!.clause && breath === tokens[i]!.breath);
  return tokens.slice(opening, negator).some(({ word }) => IF.has(word)) && i - negator > 1 && tokens[i + 2]?.clause === tokens[i]!.clause;
}

const PLACES = new Set(['in', 'under', 'near', 'beside', 'against']);
const DOES = /^(flower|bloom|blossom|fruit|crop|ripen|thrive|stay|do|set|recover|come|work|take|establish|root|produce|last|survive)(s|ing)?$/;

const SITES = new Set(['shade', 'sun', 'pot', 'pots', 'tub', 'container', 'greenhouse', 'clay', 'sand']);

const FOR_HOW_LONG = new Set(['in', 'for', 'these']);
const SPANS = new Set(['year', 'years', 'season', 'seasons', 'summers', 'winters']);

/** "Never a fruit | in eight years": for how long it failed to is not denied. */
const isForHowLong = (tokens: readonly Token[], i: number): boolean =>
  FOR_HOW_LONG.has(tokens[i]!.word) && tokens.slice(i + 1, i + 4).some(({ word, clause }) => clause === tokens[i]!.clause && SPANS.has(word));

/** "Will not stay green | in the shade", "no flowers | in its pot": where it fails to is not denied, nor for how long. */
export function tellsWhereOrHowLong(tokens: readonly Token[], negator: number, i: number): boolean {
  if (i > negator + 1 && isForHowLong(tokens, i)) return true;
  if (!PLACES.has(tokens[i]!.word) || i === negator + 1) return false;
  const { word } = tokens[negator]!;
  return word === 'not' ? DOES.test(tokens[negator + 1]!.word) : word === 'no' && tokens.slice(i + 1, i + 3).some((token) => SITES.has(token.word));
}
