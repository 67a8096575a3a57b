import type { Answer, Cause, CauseRate, Edition, Finding, Plant } from './edition.ts';
import { packHosts, unpackHosts } from './hostLines.ts';
import { packPhrases, phraseWords, unpackPhrases } from './phraseLines.ts';
import { Places } from './places.ts';
import { packRates, unpackRates } from './rateLines.ts';
import { fromPlaces, recurringIn, withPlaces } from './recurring.ts';
import { bagWords, packBag, unpackBag } from './wordBags.ts';
import { WordCode, wordList } from './wordList.ts';

/** Rows of one kind laid out by field; null where a row has no such field. */
export interface Columns {
  rows: number;
  fields: Record<string, unknown[]>;
}

type PackedFinding = Omit<Finding, 'answers'> & { answers: (Omit<Answer, 'words'> & { words: string | readonly string[] })[] };

/** An edition as it travels: like beside like packs 6 % smaller than row after row; callers' words and the phrases of findings are places in a list of words. */
export type EditionColumns = Omit<Edition, 'causes' | 'plants' | 'findings'> & {
  causes: Columns;
  plants: Columns;
  findings: PackedFinding[];
  lookAlikes: NestedColumns;
  /** Rows that recur in fields of causes and plants, by field: there stands only their place. */
  recurring: Record<string, object[]>;
  /** The list callers' words and phrases are packed by. */
  words: string;
};

/** A field of lists of rows, laid out by field once more: how many rows each list has, null where there is no list. */
interface NestedColumns extends Columns {
  counts: (number | null)[];
}

/** A field of a cause that packs better so; others, of rows that are more alike than their fields, do not. */
const NESTED = 'lookAlikes';

/** Fields of a cause that pack better when they stand in this order, like beside like; the others follow. */
const FIRST = ['heard', 'told', 'rates', 'hosts', 'id', 'name', 'also', 'latin', 'worth', 'replyLine', 'story', 'options'];

/** Fields of causes, and of plants, whose rows recur: shared options, windows and care. */
const RECURRING = { causes: ['options', 'windows'], plants: ['care'] } as const;

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

const withPhrases = <From, To>(findings: readonly { answers: readonly { words: From }[] }[], of: (words: From) => To) =>
  findings.map((finding) => ({ ...finding, answers: finding.answers.map((answer) => ({ ...answer, words: of(answer.words) })) }));

export function asColumns(edition: Edition): EditionColumns {
  const causes = toColumns(edition.causes);
  const { [NESTED]: lists = [], ...others } = causes.fields;
  const bags = BAGS.flatMap((field) => (others[field] ?? []) as (string | null)[]);
  const phrases = edition.findings.flatMap(({ answers }) => answers.map(({ words }) => words));
  const list = wordList([...bags.flatMap(bagWords), ...phrases.flatMap(phraseWords)]);
  const code = new WordCode(list);
  for (const field of BAGS) if (others[field]) others[field] = (others[field] as (string | null)[]).map((text) => packBag(text, code));
  if (others.rates) others.rates = (others.rates as CauseRate[][]).map(packRates);
  if (others.hosts) others.hosts = (others.hosts as Cause['hosts'][]).map(packHosts);
  const recurring: Record<string, object[]> = {};
  const ofCauses = new Places(edition.causes.map(({ id }) => id));
  const ofFindings = new Places(edition.findings.map(({ id }) => id));
  const plants = takeRecurring(toColumns(edition.plants), RECURRING.plants, recurring);
  return {
    ...edition,
    causes: takeRecurring({ ...causes, fields: inOrder(others) }, RECURRING.causes, recurring),
    findings: withPhrases(edition.findings, (words) => packPhrases(words, code)) as PackedFinding[],
    [NESTED]: referringBy(toNested(lists as (object[] | null)[]), ofCauses.of, ofFindings.of),
    plants,
    recurring,
    words: list.join(' '),
  };
}

/** The edition again. A field that was null comes back missing. */
export function asRows({ words, causes, plants, findings, recurring, [NESTED]: nested, ...rest }: EditionColumns): Edition {
  const code = new WordCode(words.split(' '));
  const ofCauses = new Places((causes.fields.id ?? []) as string[]);
  const ofFindings = new Places(findings.map(({ id }) => id));
  const lists = fromNested(referringBy(nested, ofCauses.id, ofFindings.id));
  const fields: Record<string, unknown[]> = { ...giveBack(causes, RECURRING.causes, recurring).fields, [NESTED]: lists };
  for (const field of BAGS) if (fields[field]) fields[field] = (fields[field] as (string | null)[]).map((bag) => unpackBag(bag, code));
  if (fields.rates) fields.rates = (fields.rates as (string | CauseRate[])[]).map(unpackRates);
  if (fields.hosts) fields.hosts = (fields.hosts as (string | Cause['hosts'])[]).map(unpackHosts);
  return {
    ...rest,
    causes: toRows({ rows: causes.rows, fields }) as Cause[],
    findings: withPhrases(findings, (packed) => unpackPhrases(packed as string | string[], code)) as Finding[],
    plants: toRows(giveBack(plants, RECURRING.plants, recurring)) as Plant[],
  };
}
