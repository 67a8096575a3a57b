import { createHash } from 'node:crypto';
import { join } from 'node:path';
import type {
  Cause,
  CauseRate,
  Edition,
  Finding,
  HostSelector,
  Inspection,
  Lexicon,
  Mark,
  Plant,
  Provenance,
  RateWord,
  TreatmentOption,
  Window,
} from '@sounding/core/edition/edition.ts';
import { RATE_VALUES } from '@sounding/core/edition/edition.ts';
import { inWordOrder } from '@sounding/core/edition/phraseLines.ts';
import { readFolder, readRows, type Complaint, type Place, type Placed } from './read.ts';
import { careOf, overForm, windowsUsed, type WholeCause } from './forms.ts';
import {
  activeRow,
  careFormRow,
  careTaskRow,
  careTopicRow,
  causeRow,
  familyRow,
  findingRow,
  formRow,
  heardRow,
  inspectionRow,
  lexiconFile,
  plantRow,
  schoolRow,
  sharedOptionRow,
  sharedWindowRow,
  sourceRow,
  workRow,
  type CauseRow,
  type FindingRow,
  type FormRow,
  type SharedOptionRow,
} from './schema.ts';
import { telling, toldByCause } from './told.ts';
import { worksByCause } from './works.ts';
import type { z } from 'zod';

/** The name under which editions of this knowledge are published; the digest of the contents is added. */
const EDITION_NAME = '2026.11';

export interface Compiled {
  edition: Edition;
  complaints: Complaint[];
  /** What every plant of a family must answer for; only the lint reads it. */
  families: Placed<z.infer<typeof familyRow>>[];
  /** Standard works to check an entry against, cited, by cause id. */
  works: ReadonlyMap<string, string[]>;
  places: Record<'causes' | 'plants' | 'findings' | 'inspections', Map<string, Place>>;
}

/** Leaves keys out instead of carrying `undefined`, so that equal knowledge gives equal bytes. */
function provenanceOf(
  row: { mark?: Provenance['mark'] | undefined; source?: string | undefined; note?: string | undefined },
  otherwise: Provenance['mark'],
): Provenance {
  return { mark: row.mark ?? otherwise, ...(row.source ? { source: row.source } : {}), ...(row.note ? { note: row.note } : {}) };
}

function toFinding(row: FindingRow): Finding {
  const entries = Object.entries(row.answers);
  const given = entries.reduce((sum, [, a]) => sum + (a.share ?? 0), 0);
  const open = entries.filter(([, a]) => a.share === undefined).length;
  const each = open === 0 ? 0 : Math.max(1 - given, 0.01 * open) / open;
  const total = given + each * open;
  return {
    id: row.id,
    name: row.name,
    organ: row.organ,
    kind: row.kind,
    ask: row.ask,
    ...(row.check ? { check: row.check } : {}),
    answers: entries.map(([id, a]) => ({
      id,
      say: a.say,
      words: a.words.map(inWordOrder),
      background: (a.share ?? each) / total,
      ...(a['up-to'] ? { upTo: a['up-to'] } : {}),
    })),
    ...(row.absent ? { absent: row.absent } : {}),
    ...(row.some.length > 0 ? { some: row.some } : {}),
    ...(row.family ? { family: row.family } : {}),
    ...(row.only ? { only: row.only } : {}),
    ...(row.scale ? { scale: row.scale } : {}),
    phoneSeconds: row.phone,
    tableSeconds: row.table,
    ...(row.reliability ? { reliability: row.reliability } : {}),
  };
}

const RATE_META = new Set(['mark', 'source', 'note']);

function toRate(finding: string, row: Record<string, unknown>, cause: WholeCause, say: (text: string) => void): CauseRate {
  const answers: Record<string, RateWord> = {};
  for (const [answer, word] of Object.entries(row)) {
    if (RATE_META.has(answer)) continue;
    if (typeof word === 'string' && word in RATE_VALUES) answers[answer] = word as RateWord;
    else say(`findings.${finding}.${answer}: "${String(word)}" is not one of ${Object.keys(RATE_VALUES).join(', ')}`);
  }
  return { finding, answers, ...provenanceOf(row, cause.mark) };
}

/** What the rows of the other files are looked up in. */
interface Shared {
  options: Map<string, SharedOptionRow>;
  windows: Map<string, z.infer<typeof sharedWindowRow>>;
  actives: Map<string, z.infer<typeof activeRow>>;
  heard: Map<string, z.infer<typeof heardRow>>;
  lexicon: Lexicon;
}

function activesOf(ids: readonly string[], shared: Shared, say: (text: string) => void): string[] {
  return ids.flatMap((id) => {
    const active = shared.actives.get(id);
    if (!active) say(`there is no active ingredient "${id}"`);
    return active ? [`${active.name} (${active.group})`] : [];
  });
}

function toOption(
  row: WholeCause['options'][number],
  place: string,
  cause: WholeCause,
  shared: Shared,
  say: (text: string) => void,
): TreatmentOption | null {
  const base = row.use === undefined ? undefined : shared.options.get(row.use);
  if (row.use !== undefined && !base) {
    say(`${place}: there is no shared option "${row.use}"`);
    return null;
  }
  const act = row.act ?? base?.act;
  const title = row.title ?? base?.title;
  const how = row.how ?? base?.how;
  const id = row.id ?? row.use;
  if (!act || !title || !how || !id) {
    say(`${place}: needs id, act, title and how, or a shared option to use`);
    return null;
  }
  const repeat = row.repeat ?? base?.repeat;
  const school = row.school ?? base?.school;
  const window = row.window ?? base?.window;
  const effort = row.effort ?? base?.effort;
  const cost = row.cost ?? base?.cost;
  const activeIds = row.actives ?? base?.actives ?? [];
  const actives = activesOf(activeIds, shared, say);
  const leastToxic =
    row['least-toxic'] ?? base?.['least-toxic'] ?? (activeIds.length > 0 && activeIds.every((active) => shared.actives.get(active)?.['least-toxic']));
  return {
    id,
    act,
    title,
    how,
    ...(window ? { window } : {}),
    ...(repeat ? { repeat } : {}),
    not: [...(base?.not ?? []), ...(row.not ?? [])],
    cautions: [...(base?.cautions ?? []), ...(row.cautions ?? [])],
    effect: row.effect ?? base?.effect ?? 'fair',
    ...(effort ? { effort } : {}),
    ...(cost ? { cost } : {}),
    ...(row.prefer || cause.prefer === id ? { preferred: true } : {}),
    ...(school ? { school } : {}),
    ...(actives.length > 0 ? { actives } : {}),
    ...(leastToxic ? { leastToxic: true as const } : {}),
    ...provenanceOf({ ...base, ...row }, cause.mark),
  };
}

function onHosts(
  { hosts, ...row }: WholeCause['host-options'][number],
  cause: WholeCause,
  shared: Shared,
  say: (text: string) => void,
): TreatmentOption[] {
  const option = toOption({ ...row, prefer: true }, `host-options ${row.id}`, cause, shared, say);
  return option ? [{ ...option, hosts: hosts as HostSelector[] }] : [];
}

function toWindow(id: string, row: CauseRow['windows'][string], mark: Mark): Window {
  const dd = row['degree-days'];
  return {
    id,
    name: row.name,
    ...(dd
      ? {
          degreeDays: {
            baseC: dd['base-c'],
            ...(dd['upper-c'] === undefined ? {} : { upperC: dd['upper-c'] }),
            ...(dd.method ? { method: dd.method } : {}),
            ...(dd.cutoff ? { cutoff: dd.cutoff } : {}),
            ...(dd.generations ? { generations: dd.generations } : {}),
            biofix: dd.biofix,
            from: dd.from,
            to: dd.to,
          },
        }
      : {}),
    ...(row.frost ? { frost: row.frost } : {}),
    ...(row.infection ? { infection: row.infection } : {}),
    ...(row.calendar ? { calendar: row.calendar } : {}),
    ...(row.event ? { event: row.event } : {}),
    ...(row['event-days'] ? { eventDays: row['event-days'] } : {}),
    ...(row['any-time'] ? { anyTime: true } : {}),
    ...(row.outdoors ? { outdoors: true } : {}),
    ...provenanceOf(row, mark),
  };
}

function toCause(placed: Placed<CauseRow>, forms: Map<string, FormRow>, shared: Shared, complaints: Complaint[]): Cause | null {
  const say = (text: string) => void complaints.push({ ...placed.place, level: 'error', text: `${placed.id}: ${text}` });
  const row = overForm(placed, forms, say);
  if (!row) return null;
  const callers = shared.heard.get(row.id);
  const heard = row.heard ?? callers?.heard;
  const windows = [...Object.entries(row.windows), ...windowsUsed(row, shared.options, shared.windows)];
  return {
    id: row.id,
    name: row.name,
    ...(row.latin ? { latin: row.latin } : {}),
    also: [...new Set([...row.also, ...(callers?.also ?? [])])].filter((name) => name !== row.name),
    kind: row.kind,
    story: row.story.trim(),
    ...(heard ? { heard: telling(heard, shared.lexicon) } : {}),
    commonness: row.common,
    hosts: { include: row.hosts as Cause['hosts']['include'], exclude: row['not-hosts'] as HostSelector[] },
    climates: row.climates,
    months: row.months,
    rates: Object.entries(row.findings).map(([finding, rates]) => toRate(finding, rates, row, say)),
    lookAlikes: row.like.map((like) => ({ cause: like.cause, separate: like.by, say: like.say })),
    windows: windows.map(([id, window]) => toWindow(id, window, row.mark)),
    options: [
      ...row['host-options'].flatMap((option) => onHosts(option, row, shared, say)),
      ...row.options.flatMap((option, i) => toOption(option, `options[${i}]`, row, shared, say) ?? []),
    ],
    leaveWhen: row['leave-when'],
    worth: row.worth,
    cautions: row.cautions,
    notifiable: row.notifiable,
    ...(row.index ? { index: row.index } : {}),
    replyLine: row.reply,
    ...provenanceOf(row, row.mark),
  };
}

function toPlant(row: z.infer<typeof plantRow>, care: Record<string, string>): Plant {
  return {
    id: row.id,
    name: row.name,
    latin: row.latin,
    also: row.also,
    genus: row.latin.split(' ')[0] ?? row.latin,
    family: row.family,
    groups: row.groups,
    ...(row.generic ? { generic: true } : {}),
    ...(row['hardy-c'] === undefined ? {} : { hardyC: row['hardy-c'] }),
    ...(row.sizes.length > 0 ? { sizes: row.sizes.map(({ what, ...size }) => ({ ...(what ? { what } : {}), ...size })) } : {}),
    ...(row.needles ? { needles: row.needles } : {}),
    normal: row.normal.map((n) => ({ what: n.what, ...(n.when ? { when: n.when } : {}), ...(n.varieties ? { varieties: n.varieties } : {}) })),
    ...(row.poisonous ? { poisonous: row.poisonous } : {}),
    care,
    mark: row.mark,
  };
}

function toLexicon(row: z.infer<typeof lexiconFile>): Lexicon {
  return {
    classes: row.classes,
    irregular: row.irregular,
    negators: row.negators,
    notNegating: row['not-negating'],
    deniedBefore: row['denied-before'],
    shortForms: row['short-forms'],
    doubts: row.doubts,
    nearby: row.nearby,
    nearbyAfter: row['nearby-after'],
    likened: row.likened,
    goods: row.goods,
    remedies: row.remedies,
    noPlant: row['no-plant'],
    organs: row.organs,
    stopWords: row['stop-words'].split(/\s+/).filter(Boolean),
    seenNotNamed: row['seen-not-named'],
  };
}

const EMPTY_LEXICON: Lexicon = {
  classes: {},
  irregular: {},
  negators: [],
  notNegating: [],
  doubts: [],
  nearby: [],
  nearbyAfter: [],
  likened: [],
  goods: [],
  remedies: [],
  noPlant: [],
  organs: {},
  stopWords: [],
};

function toInspection({
  mark,
  source,
  note,
  steps,
  results,
  sum,
  id,
  name,
  settles,
  where,
  needs,
  cautions,
}: z.infer<typeof inspectionRow>): Inspection {
  const readingsOf = (read: string) =>
    read
      .split(' ')
      .filter(Boolean)
      .map((pair) => {
        const [finding = '', answer = ''] = pair.split('=');
        return { finding, answer };
      });
  return {
    id,
    name,
    settles,
    where,
    needs,
    cautions,
    steps: steps.map(({ say, figure, seconds }) => ({ say, ...(figure ? { figure } : {}), ...(seconds ? { seconds } : {}) })),
    results: results.map(({ say, means, read, again }) => ({ say, means, readings: readingsOf(read), ...(again ? { again } : {}) })),
    ...(sum ? { sum } : {}),
    ...provenanceOf({ mark, source, note }, 'memory'),
  };
}

const byId = <T extends { id: string }>(rows: readonly T[]): Map<string, T> => new Map(rows.map((row) => [row.id, row]));

/** Kinds of entries a desk may write itself. */
export const ENTRY_KINDS = ['plants', 'findings', 'causes'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];
/** One entry a desk has written: a YAML row that stands in place of the one with its id, or is new. */
export interface DeskEntry {
  kind: EntryKind;
  id: string;
  text: string;
}

/** Rows of the folder with those of the desk over them; places of the desk's are "desk/kind/id". */
function withDesk<S extends z.ZodType>(
  root: string,
  kind: EntryKind,
  schema: S,
  desk: readonly DeskEntry[],
  complaints: Complaint[],
): Placed<z.infer<S> & { id: string }>[] {
  const own = desk.filter((entry) => entry.kind === kind);
  const replaced = new Set(own.map((entry) => entry.id));
  const rows = readFolder(root, kind, schema, complaints) as Placed<z.infer<S> & { id: string }>[];
  const written = own.flatMap(({ id, text }) => {
    const place = `desk/${kind}/${id}`;
    const read = readRows(place, text, schema, complaints) as Placed<z.infer<S> & { id: string }>[];
    if (read.length > 1) complaints.push({ file: place, line: 1, level: 'error', text: 'wants one entry, not a list' });
    return read.filter((row) => {
      if (row.id !== id) complaints.push({ file: place, line: 1, level: 'error', text: `the id is "${row.id}", wanted "${id}"` });
      return row.id === id;
    });
  });
  return [...rows.filter((row) => !replaced.has(row.id)), ...written];
}

/**
 * Reads a knowledge folder and makes one edition of it. Faults come back as complaints; nothing is thrown for them.
 * @param desk entries of a desk that go over those of the folder
 */
export function compile(root: string, desk: readonly DeskEntry[] = []): Compiled {
  const complaints: Complaint[] = [];
  const plants = withDesk(root, 'plants', plantRow, desk, complaints);
  const findings = withDesk(root, 'findings', findingRow, desk, complaints);
  const causes = withDesk(root, 'causes', causeRow, desk, complaints);
  const forms = byId(readFolder(root, 'forms.yaml', formRow, complaints));
  const heard = readFolder(root, 'heard.yaml', heardRow, complaints);
  const lexicon = readFolder(root, 'lexicon.yaml', lexiconFile, complaints)[0];
  const shared: Shared = {
    lexicon: lexicon ? toLexicon(lexicon) : EMPTY_LEXICON,
    options: byId(readFolder(root, 'options.yaml', sharedOptionRow, complaints)),
    windows: byId(readFolder(root, 'windows.yaml', sharedWindowRow, complaints)),
    actives: byId(readFolder(root, 'actives.yaml', activeRow, complaints)),
    heard: byId(heard),
  };
  const careForms = byId(readFolder(root, 'care-forms.yaml', careFormRow, complaints));
  const families = readFolder(root, 'families.yaml', familyRow, complaints);
  const schools = readFolder(root, 'schools.yaml', schoolRow, complaints);
  const topics = readFolder(root, 'care.yaml', careTopicRow, complaints);
  const tasks = readFolder(root, 'care-tasks.yaml', careTaskRow, complaints);
  const inspections = readFolder(root, 'inspections.yaml', inspectionRow, complaints);
  const sources = readFolder(root, 'sources.yaml', sourceRow, complaints);
  const standardWorks = readFolder(root, 'works.yaml', workRow, complaints);
  const contents = {
    plants: plants.map((row) => toPlant(row, careOf(row, careForms, complaints))),
    findings: findings.map(toFinding),
    causes: causes.flatMap((row) => toCause(row, forms, shared, complaints) ?? []),
    careTopics: topics.map(({ id, name, general, verbs, words, told }) => ({
      id,
      name,
      ...(general ? { general } : {}),
      verbs,
      words,
      ...(told.length > 0 ? { told } : {}),
    })),
    careTasks: tasks.map(({ id, topic, name, how, hosts, window }) => ({
      id,
      topic,
      name,
      how,
      hosts: { include: hosts as Cause['hosts']['include'], exclude: [] },
      window: toWindow(id, window, 'memory'),
    })),
    inspections: inspections.map(toInspection),
    lexicon: shared.lexicon,
    sources: sources.map(({ id, cite }) => ({ id, cite })),
    schools: schools.map(({ id, question, views, ours, mark }) => ({ id, question, views, ours, mark })),
  };
  const told = toldByCause(join(root, '../callers/practice.jsonl'), { version: EDITION_NAME, ...contents }, complaints);
  contents.causes = contents.causes.map((cause) => ({ ...cause, ...(told.has(cause.id) ? { told: told.get(cause.id)! } : {}) }));
  const formOf = new Map(causes.map(({ id, form }) => [id, form]));
  const works = worksByCause(
    standardWorks,
    contents.causes.map((cause) => ({ cause, form: formOf.get(cause.id) })),
    contents.plants,
    complaints,
  );
  const digest = createHash('sha256').update(JSON.stringify(contents)).digest('hex').slice(0, 8);
  const placesOf = (rows: Placed<{ id: string }>[]) => new Map(rows.map((row) => [row.id, row.place]));
  const places = { causes: placesOf(causes), plants: placesOf(plants), findings: placesOf(findings), inspections: placesOf(inspections) };
  const known = new Set(causes.map((row) => row.id));
  for (const row of heard)
    if (!known.has(row.id)) complaints.push({ ...row.place, level: 'error', text: `callers' words for "${row.id}", which is no cause` });
  for (const [kind, rows] of Object.entries({ plant: plants, finding: findings, cause: causes, inspection: inspections })) {
    const seen = new Map<string, Place>();
    for (const row of rows) {
      const first = seen.get(row.id);
      if (first) complaints.push({ ...row.place, level: 'error', text: `${kind} "${row.id}" stands already at ${first.file}:${first.line}` });
      seen.set(row.id, row.place);
    }
  }
  return { edition: { version: `${EDITION_NAME}-${digest}`, ...contents }, complaints, families, works, places };
}
