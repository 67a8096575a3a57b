import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { CauseNames } from '@sounding/core/consult/causeNames.ts';
import { hostWeight } from '@sounding/core/edition/hosts.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Lexicon } from '@sounding/core/edition/lexicon.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { likeliest } from '@sounding/core/language/claims.ts';
import { comparedBy } from '@sounding/core/language/likeness.ts';
import { PlantNames } from '@sounding/core/language/plants.ts';
import { tokenise } from '@sounding/core/language/tokens.ts';
import { callLines, type CallLine } from './calls.ts';
import type { Complaint } from './read.ts';
import { toldCall } from './schema.ts';

/**
 * The words of a text that tell something, as often as they stand there. Their order says nothing to the model they are for
 * (core/src/language/likeness.ts), so it is that of the alphabet, in which an edition packs smallest.
 */
export function tellingBy(lexicon: Lexicon, plants: readonly Pick<Plant, 'name' | 'also'>[]): (text: string) => string {
  const isCompared = comparedBy(lexicon, plants);
  return (text) =>
    tokenise(text, lexicon.irregular)
      .filter(isCompared)
      .map(({ word }) => word)
      .sort()
      .join(' ');
}

interface ToldCall {
  /** All that was said, opening and answers. */
  words: string;
  cause: string;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** The calls whose cause the edition knows: of those it may mean and that befall the plant spoken of, the one named first, and the likeliest of a name. */
function callsOf(lines: readonly CallLine[], edition: Edition, complaints: Complaint[]): ToldCall[] {
  const names = new CauseNames(edition);
  const plants = new PlantNames(edition, () => false);
  const resolved = new Map<string, Plant | null>();
  const plantOf = (name: string): Plant | null => {
    if (!resolved.has(name)) resolved.set(name, plants.resolve(name));
    return resolved.get(name)!;
  };
  const byId = new Map(edition.causes.map((cause) => [cause.id, cause]));
  return lines.flatMap(({ file, line, text }): ToldCall[] => {
    const call = toldCall.safeParse(parsed(text));
    if (!call.success) {
      complaints.push({ file, line, level: 'error', text: `no practice call: ${call.error.issues[0]!.message}` });
      return [];
    }
    const { opening, host, facts, cause, also } = call.data;
    const plant = host ? plantOf(host) : null;
    const given = [...(cause ? [cause] : []), ...also];
    const meant = names
      .forPractice(given, plant)
      .map((id) => byId.get(id)!)
      .filter((one) => hostWeight(one, plant) > 0);
    const named = given.map((name) => names.find([name])).map((ids) => meant.filter(({ id }) => ids.includes(id)));
    const taught = likeliest(named.find((ones) => ones.length > 0) ?? meant, plant);
    return taught ? [{ words: [opening, ...facts.map(({ say }) => say)].join(' . '), cause: taught.id }] : [];
  });
}

/** A word of fewer of a cause's calls than this is no way of putting it, however many it was called about. */
const LEAST_SHARE = 0.02;

/**
 * How often a word counts by the calls that used it, of all about a cause: a word of one call is one caller's and counts for nothing, two calls make
 * it a way of putting the cause, and every doubling counts once more.
 */
const weightOf = (calls: number, all: number): number => (calls < LEAST_SHARE * all ? 0 : Math.floor(Math.log2(calls)));

/** What decides what calls teach: the calls, the share that counts, the names and hosts of causes and what is heard of them, the plants, and how words are spelt. */
function taughtBy(lines: readonly CallLine[], { causes, plants, lexicon }: Edition): string {
  const named = causes.map(({ id, name, latin, also, hosts, kind, commonness, heard }) => [id, name, latin, also, hosts, kind, commonness, heard]);
  return createHash('sha256')
    .update(lines.map(({ text }) => text).join('\n'))
    .update(JSON.stringify([LEAST_SHARE, named, plants, lexicon]))
    .digest('hex');
}

interface Taught {
  by: string;
  told: ReadonlyMap<string, string>;
  complaints: readonly Complaint[];
}

/** What was taught last: an entry a desk changes seldom changes a name, and finding out takes seconds. */
let last: Taught | null = null;

const keptTold = z.object({ by: z.string(), told: z.record(z.string(), z.string()) });
/** Where what the calls of a folder teach is kept beside the edition made of it. */
const keptBeside = (calls: string): string => join(calls, '../../dist/told.json');

function kept(calls: string): Taught | null {
  const path = keptBeside(calls);
  const read = existsSync(path) ? keptTold.safeParse(parsed(readFileSync(path, 'utf8'))) : null;
  return read?.success ? { by: read.data.by, told: new Map(Object.entries(read.data.told)), complaints: [] } : null;
}

/** Keeps what the calls of a folder taught, so that the first entry a desk changes need not wait for it either. Nothing is kept of calls with complaints. */
export function keepTold(calls: string): void {
  if (last?.complaints.length === 0) writeFileSync(keptBeside(calls), JSON.stringify({ by: last.by, told: Object.fromEntries(last.told) }));
}

/**
 * Words callers used on more than one practice call, by cause: those its `heard` does not have, as often as they count, with spaces between. They teach
 * how a cause is put (core/src/language/likeness.ts); a call that may mean several causes teaches one of them.
 * @param calls the folder of practice calls (calls.ts)
 */
export function toldByCause(calls: string, edition: Edition, complaints: Complaint[]): ReadonlyMap<string, string> {
  const lines = callLines(calls);
  if (lines.length === 0) return new Map();
  const by = taughtBy(lines, edition);
  last ??= kept(calls);
  if (last?.by !== by) {
    const own: Complaint[] = [];
    last = { by, told: taught(lines, edition, own), complaints: own };
  }
  complaints.push(...last.complaints);
  return last.told;
}

function taught(lines: readonly CallLine[], edition: Edition, complaints: Complaint[]): Map<string, string> {
  const { irregular } = edition.lexicon;
  const isCompared = comparedBy(edition.lexicon, edition.plants);
  const stemsOf = (text: string) => new Set(tokenise(text, irregular).map(({ stem }) => stem));
  const heard = new Map(edition.causes.map((cause) => [cause.id, stemsOf(cause.heard ?? '')]));
  const told = new Map<string, Map<string, { word: string; calls: number }>>();
  const callsAbout = new Map<string, number>();
  for (const { words, cause: id } of callsOf(lines, edition, complaints)) {
    callsAbout.set(id, (callsAbout.get(id) ?? 0) + 1);
    const bag = told.get(id) ?? new Map<string, { word: string; calls: number }>();
    told.set(id, bag);
    const inCall = new Set<string>();
    for (const { word, stem } of tokenise(words, irregular).filter(isCompared)) {
      if (heard.get(id)?.has(stem) || inCall.has(stem)) continue;
      inCall.add(stem);
      bag.set(stem, { word: bag.get(stem)?.word ?? word, calls: (bag.get(stem)?.calls ?? 0) + 1 });
    }
  }
  const byCause = [...told].map(([id, bag]): [string, string[]] => [
    id,
    [...bag.values()].flatMap(({ word, calls }) => Array<string>(weightOf(calls, callsAbout.get(id)!)).fill(word)),
  ]);
  return new Map(byCause.filter(([, words]) => words.length > 0).map(([id, words]) => [id, words.sort().join(' ')]));
}
