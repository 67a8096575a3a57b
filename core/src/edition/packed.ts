import { asColumns, asRows, type EditionColumns } from './columns.ts';
import type { Edition } from './edition.ts';
import { inOneForm, inOwnForms } from './oneForm.ts';
import { countWords } from './wordList.ts';

/** An edition as it is sent: its columns as JSON, in which the words that recur most are one sign each. */
export interface PackedEdition {
  /** The words by the place of their sign, with a comma between. */
  words: string;
  /** The JSON with its words in one form, double and single quotes exchanged: as a text within JSON it would otherwise hold a backslash before each. */
  text: string;
}

/** Asked for with the edition, which browsers keep for ever: another number where it is packed in another way. */
export const PACKED_FORM = 13;

/** Signs that weigh two bytes; texts hold hardly any of them. */
const FIRST_SIGN = 0x100;
const SIGNS = 0x700;
/** Before a sign that stands for itself. */
const ITSELF = '\u0080';
const WORD = / ?[A-Za-z-]+/g;
const WORD_OR_SIGN = / ?[A-Za-z-]+|[\u0080\u0100-\u07ff]/g;
const SIGN_ALONE = /^[\u0080\u0100-\u07ff]$/;
const SIGN = /\u0080(.)|[\u0100-\u07ff]/g;
/** What a sign and its place in the list cost, in letters. */
const COST = 1.5;

const exchangeQuotes = (text: string): string => text.replace(/["']/g, (quote) => (quote === '"' ? "'" : '"'));

/** The words, most frequent first, for which a sign saves most. */
function wordsOf(text: string): string[] {
  const counts = countWords(text.match(WORD) ?? []);
  const saved = (word: string) => counts.get(word)! * (word.length - COST);
  return [...counts.keys()]
    .filter((word) => word.length > 2 && counts.get(word)! > 2)
    .sort((a, b) => saved(b) - saved(a))
    .slice(0, SIGNS)
    .sort((a, b) => counts.get(b)! - counts.get(a)!);
}

/** Any text with these words as signs; {@link written} gives it back. */
export function signed(text: string, words: readonly string[]): string {
  const signs = new Map(words.map((word, place) => [word, String.fromCharCode(FIRST_SIGN + place)]));
  return text.replace(WORD_OR_SIGN, (found) => signs.get(found) ?? (SIGN_ALONE.test(found) ? ITSELF + found : found));
}

export const written = (text: string, words: readonly string[]): string =>
  text.replace(SIGN, (sign, itself?: string) => itself ?? words[sign.charCodeAt(0) - FIRST_SIGN]!);

export function packEdition(edition: Edition): PackedEdition {
  const text = inOneForm(exchangeQuotes(JSON.stringify(asColumns(edition))));
  const words = wordsOf(text);
  return { words: words.join(','), text: signed(text, words) };
}

/** The edition again. A field that was null comes back missing. */
export const unpackEdition = ({ words, text }: PackedEdition): Edition =>
  asRows(JSON.parse(exchangeQuotes(inOwnForms(written(text, words.split(','))))) as EditionColumns);
