import type { CauseRate, RateWord } from './edition.ts';

/** A letter for each word of a rate, written behind the answer it belongs to. */
const LETTERS: Record<RateWord, string> = { always: 'A', usually: 'U', often: 'O', sometimes: 'S', seldom: 'L', never: 'N' };
const WORDS = Object.fromEntries(Object.entries(LETTERS).map(([word, letter]) => [letter, word])) as Record<string, RateWord>;
/** Behind the finding; most rates are from memory and carry none. */
const COMMON_PRACTICE = '*';

/** True for what a line can hold: no note, and names without the signs between them. */
const fits = ({ finding, answers, mark, ...others }: CauseRate): boolean =>
  Object.keys(others).length === 0 &&
  (mark === 'memory' || mark === 'common-practice') &&
  [finding, ...Object.keys(answers)].every((name) => /^[a-z0-9-]+$/.test(name));

const lineOf = ({ finding, answers, mark }: CauseRate): string =>
  [finding + (mark === 'memory' ? '' : COMMON_PRACTICE), ...Object.entries(answers).map(([answer, word]) => answer + LETTERS[word])].join(' ');

function fromLine(line: string): CauseRate {
  const [head = '', ...answers] = line.split(' ');
  const marked = head.endsWith(COMMON_PRACTICE);
  return {
    finding: marked ? head.slice(0, -1) : head,
    answers: Object.fromEntries(answers.map((answer) => [answer.slice(0, -1), WORDS[answer.slice(-1)]!])),
    mark: marked ? 'common-practice' : 'memory',
  };
}

/** The rates of a cause in one line, "side* tipsA,leaf-drop noneU manyS", or as they are where one of them carries more than that. */
export const packRates = (rates: readonly CauseRate[]): string | readonly CauseRate[] =>
  rates.length > 0 && rates.every(fits) ? rates.map(lineOf).join(',') : rates;

export const unpackRates = (packed: string | CauseRate[]): CauseRate[] => (typeof packed === 'string' ? packed.split(',').map(fromLine) : packed);
