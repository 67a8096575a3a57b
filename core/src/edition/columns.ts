import type { Cause, CauseRate } from './causes.ts';
import type { Edition } from './edition.ts';
import type { Answer, Finding } from './findings.ts';
import type { Plant } from './plants.ts';
import { packHosts, unpackHosts } from './hostLines.ts';
import { packPhrases, phraseWords, unpackPhrases } from './phraseLines.ts';
import { Places } from './places.ts';
import { packRates, unpackRates, type RateSets } from './rateSets.ts';
import { fromPlaces, recurringIn, withPlaces } from './recurring.ts';
import { bagWords, packBag, unpackBag } from './wordBags.ts';
import { WordCode, wordList } from './wordList.ts';

/** Rows of one kind laid out by field; null where a row has no such field. */
export interface Columns {
  rows: number;
  fields: Record<string, unknown[]>;
}

/**
 * An edition as it travels: like beside like packs 6 % smaller than row after row; callers' words and the phrases of answers are places in a list of words.
 * Rows within rows, look-alikes and answers, stand by themselves.
 */
export type EditionColumns = Omit<Edition, 'causes' | 'plants' | 'findings'> & {
  causes: Columns;
  plants: Columns;
  findings: Columns;
  lookAlikes: NestedColumns;
  answers: NestedColumns;
  /** Rates of causes; where a cause carries what these cannot hold its rates stand with it. */
  rates: RateSets;
  /** Rows that recur in fields of causes and plants, by field: there stands only their place. */
  recurring: Record<string, object[]>;
  /** The list callers' words and phrases are packed by. */
  words: string;
};

/** A field of lists of rows, laid out by field once more: how many rows each list has, null where there is no list. */
interface NestedColumns extends Columns {
  counts: (number | null)[];
}

/** Fields of a cause and of a finding that pack better so; others, of rows that are more alike than their fields, do not. */
const NESTED = 'lookAlikes';
const ANSWERS = 'answers';

/** Fields of a cause that pack better when they stand in this order, like beside like; the others follow. */
const FIRST = ['heard', 'told', 'rates', 'hosts', 'id', 'name', 'also', 'latin', 'worth', 'replyLine', 'story', 'options'];

/** Fields of causes, and of plants, whose rows recur: shared options, windows and care. */
const RECURRING = { causes: ['options', 'windows'], plants: ['care'] } as const;

/** The one field whose null says something: a finding that nobody can tell on the telephone. */
const NOT_BY_PHONE: Pick<Finding, 'phoneSeconds'> = { phoneSeconds: null };

/** Takes what recurs out of some fields, into a list for each. */
function takeRecurring({ rows, fields }: Columns, names: readonly string[], into: Record<string, object[]>): Columns {
  const shorter = { ...fields };
  for (const name of names) {
    const field = fields[name];
    if (!field) continue;
    into[name] = recurringIn(field);
    shorter[name] = withPlaces(field, into[name]);
  }
  return { rows, fields: shorter };
}

function giveBack({ rows, fields }: Columns, names: readonly string[], recurring: Record<string, object[]>): Columns {
  const whole = { ...fields };
  for (const name of names) if (fields[name]) whole[name] = fromPlaces(fields[name], recurring[name] ?? []);
  return { rows, fields: whole };
}

const inOrder = (fields: Record<string, unknown[]>): Record<string, unknown[]> => ({
  ...Object.fromEntries(FIRST.flatMap((field) => (fields[field] ? [[field, fields[field]]] : []))),
  ...fields,
});

/** Fields of a cause that are only words and how often callers say them. */
const BAGS = ['heard', 'told'] as const;

function toColumns(rows: readonly object[]): Columns {
  const fields: Record<string, unknown[]> = {};
  rows.forEach((row, at) => {
    for (const [field, value] of Object.entries(row)) (fields[field] ??= Array.from({ length: rows.length }, () => null))[at] = value ?? null;
  });
  return { rows: rows.length, fields };
}

function toRows(columns: Columns): object[] {
  const fields = Object.entries(columns.fields);
  return Array.from({ length: columns.rows }, (_, at) =>
    Object.fromEntries(fields.filter(([, values]) => values[at] !== null).map(([field, values]) => [field, values[at]])),
  );
}

/** Look-alikes with their references to causes and findings in another form: places as they travel, ids in a row. */
function referringBy<From, To>(nested: NestedColumns, causeAs: (cause: From) => To, findingAs: (finding: From) => To): NestedColumns {
  if (nested.rows === 0) return nested;
  const { cause, separate, ...fields } = nested.fields as { cause: From[]; separate: From[][] };
  return { ...nested, fields: { cause: cause.map(causeAs), separate: separate.map((findings) => findings.map(findingAs)), ...fields } };
}

function toNested(lists: readonly (readonly object[] | null)[]): NestedColumns {
  return { ...toColumns(lists.flatMap((list) => list ?? [])), counts: lists.map((list) => list?.length ?? null) };
}

function fromNested(nested: NestedColumns): (object[] | null)[] {
  const rows = toRows(nested);
  let from = 0;
  return nested.counts.map((count) => (count === null ? null : rows.slice(from, (from += count))));
}

/** Answers with their phrases in another form. */
function phrased<From, To>(answers: NestedColumns, as: (phrases: From) => To): NestedColumns {
  const { words, ...fields } = answers.fields;
  return words ? { ...answers, fields: { words: (words as From[]).map(as), ...fields } } : answers;
}

export function asColumns(edition: Edition): EditionColumns {
  const causes = toColumns(edition.causes);
  const { [NESTED]: lists = [], ...others } = causes.fields;
  const bags = BAGS.flatMap((field) => (others[field] ?? []) as (string | null)[]);
  const phrases = edition.findings.flatMap(({ answers }) => answers.map(({ words }) => words));
  const list = wordList([...bags.flatMap(bagWords), ...phrases.flatMap(phraseWords)]);
  const code = new WordCode(list);
  for (const field of BAGS) if (others[field]) others[field] = (others[field] as (string | null)[]).map((text) => packBag(text, code));
  const { sets, left } = packRates(edition.causes, edition.findings);
  if (others.rates) others.rates = left;
  if (others.hosts) others.hosts = (others.hosts as Cause['hosts'][]).map(packHosts);
  const findings = toColumns(edition.findings);
  const { [ANSWERS]: answers = [], ...ofFinding } = findings.fields;
  const recurring: Record<string, object[]> = {};
  const ofCauses = new Places(edition.causes.map(({ id }) => id));
  const ofFindings = new Places(edition.findings.map(({ id }) => id));
  const plants = takeRecurring(toColumns(edition.plants), RECURRING.plants, recurring);
  return {
    // in the order that packs best
    words: list.join(' '),
    [ANSWERS]: phrased(toNested(answers as Answer[][]), (words: string[]) => packPhrases(words, code)),
    rates: sets,
    ...edition,
    causes: takeRecurring({ ...causes, fields: inOrder(others) }, RECURRING.causes, recurring),
    [NESTED]: referringBy(toNested(lists as (object[] | null)[]), ofCauses.of, ofFindings.of),
    findings: { ...findings, fields: ofFinding },
    plants,
    recurring,
  };
}

/** The edition again. A field that was null comes back missing, but for that of a finding nobody can tell on the telephone. */
export function asRows(columns: EditionColumns): Edition {
  const { words, causes, plants, rates, recurring, [NESTED]: nested, [ANSWERS]: answers, findings: ofFinding, ...rest } = columns;
  const code = new WordCode(words.split(' '));
  const ofCauses = new Places((causes.fields.id ?? []) as string[]);
  const ofFindings = new Places((ofFinding.fields.id ?? []) as string[]);
  const answerLists = fromNested(phrased(answers, (packed: string | string[]) => unpackPhrases(packed, code)));
  const findings = toRows({ ...ofFinding, fields: { ...ofFinding.fields, [ANSWERS]: answerLists } }).map((row) => ({
    ...NOT_BY_PHONE,
    ...row,
  })) as Finding[];
  const lists = fromNested(referringBy(nested, ofCauses.id, ofFindings.id));
  const fields: Record<string, unknown[]> = { ...giveBack(causes, RECURRING.causes, recurring).fields, [NESTED]: lists };
  for (const field of BAGS) if (fields[field]) fields[field] = (fields[field] as (string | null)[]).map((bag) => unpackBag(bag, code));
  if (fields.rates) fields.rates = unpackRates(rates, fields.rates as (CauseRate[] | null)[], findings);
  if (fields.hosts) fields.hosts = (fields.hosts as (string | Cause['hosts'])[]).map(unpackHosts);
  return {
    ...rest,
    causes: toRows({ rows: causes.rows, fields }) as Cause[],
    findings,
    plants: toRows(giveBack(plants, RECURRING.plants, recurring)) as Plant[],
  };
}
