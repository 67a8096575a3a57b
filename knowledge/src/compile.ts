import { createHash } from 'node:crypto';
import type { Cause } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import { inFindingOrder } from '@sounding/core/edition/rateSets.ts';
import type { z } from 'zod';
import { toCause, toWindow, type Shared } from './causes.ts';
import { withDesk, type DeskEntry } from './desk.ts';
import { EMPTY_LEXICON, toFinding, toInspection, toLexicon, toPlant } from './rows.ts';
import { inCommonForms } from './commonForms.ts';
import { careOf } from './forms.ts';
import { inPackingOrder, likeBesideLike } from './packingOrder.ts';
import { readFolder, type Complaint, type Place, type Placed } from './read.ts';
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
} from './schema.ts';
import { callsBeside } from './calls.ts';
import { tellingBy, toldByCause } from './told.ts';
import { worksByCause } from './works.ts';

/** The name under which editions of this knowledge are published; the digest of the contents is added. */
const EDITION_NAME = '2026.11';

export interface Compiled {
  edition: Edition;
  complaints: Complaint[];
  /** What every plant of a family must answer for; only the lint reads it. */
  families: Placed<z.infer<typeof familyRow>>[];
  /** Standard works to check an entry against, cited, by cause id. */
  works: ReadonlyMap<string, string[]>;
  /** Tests that are read out step by step. Neither they nor the works travel in the edition. */
  inspections: Inspection[];
  places: Record<'causes' | 'plants' | 'findings' | 'inspections' | 'tasks', Map<string, Place>>;
}

const byId = <T extends { id: string }>(rows: readonly T[]): Map<string, T> => new Map(rows.map((row) => [row.id, row]));

/**
 * Reads a knowledge folder and makes one edition of it. Faults come back as complaints; nothing is thrown for them.
 * @param desk entries of a desk that go over those of the folder
 */
export function compile(root: string, desk: readonly DeskEntry[] = []): Compiled {
  const complaints: Complaint[] = [];
  const plants = withDesk(root, 'plants', plantRow, desk, complaints);
  const findings = withDesk(root, 'findings', findingRow, desk, complaints);
  const causes = withDesk(root, 'causes', causeRow, desk, complaints);
  const forms = readFolder(root, 'forms.yaml', formRow, complaints);
  const options = readFolder(root, 'options.yaml', sharedOptionRow, complaints);
  const windows = readFolder(root, 'windows.yaml', sharedWindowRow, complaints);
  const actives = readFolder(root, 'actives.yaml', activeRow, complaints);
  const heard = readFolder(root, 'heard.yaml', heardRow, complaints);
  const formsById = byId(forms);
  const lexicon = readFolder(root, 'lexicon.yaml', lexiconFile, complaints)[0];
  const spoken = lexicon ? toLexicon(lexicon) : EMPTY_LEXICON;
  const shared: Shared = {
    telling: tellingBy(spoken, plants),
    options: byId(options),
    windows: byId(windows),
    actives: byId(actives),
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
  const asked = findings.map((finding) => toFinding(finding, spoken));
  const written = {
    plants: plants.map((row) => toPlant(row, careOf(row, careForms, complaints))),
    findings: asked,
    causes: likeBesideLike(inPackingOrder(causes.flatMap((row) => toCause(row, formsById, shared, complaints) ?? [])), 'kind', 'rates', 'id').map(
      (cause) => ({ ...cause, rates: inFindingOrder(cause.rates, asked) }),
    ),
    careTopics: topics.map(({ id, name, general, verbs, words, told }) => ({
      id,
      name,
      ...(general ? { general } : {}),
      verbs,
      words,
      ...(told.length > 0 ? { told } : {}),
    })),
    careTasks: tasks.map(({ id, topic, name, how, hosts, 'not-hosts': notHosts, window }) => ({
      id,
      topic,
      name,
      how,
      hosts: { include: hosts as Cause['hosts']['include'], exclude: notHosts as Cause['hosts']['exclude'] },
      window: toWindow(id, window, 'memory'),
    })),
    lexicon: spoken,
    sources: sources.map(({ id, cite }) => ({ id, cite })),
    schools: schools.map(({ id, question, views, ours, mark }) => ({ id, question, views, ours, mark })),
  };
  // with rows missing nothing would be told of the right cause, and what comes of it is thrown away anyway
  const isWhole = !complaints.some(({ level }) => level === 'error');
  const told = isWhole ? toldByCause(callsBeside(root), { version: EDITION_NAME, ...written }, complaints) : new Map<string, string>();
  const contents = inCommonForms({
    ...written,
    causes: written.causes.map((cause) => ({ ...cause, ...(told.has(cause.id) ? { told: told.get(cause.id)! } : {}) })),
  });
  const formOf = new Map(causes.map(({ id, form }) => [id, form]));
  const works = worksByCause(
    standardWorks,
    contents.causes.map((cause) => ({ cause, form: formOf.get(cause.id) })),
    contents.plants,
    complaints,
  );
  const digest = createHash('sha256').update(JSON.stringify(contents)).digest('hex').slice(0, 8);
  const placesOf = (rows: Placed<{ id: string }>[]) => new Map(rows.map((row) => [row.id, row.place]));
  const places = {
    causes: placesOf(causes),
    plants: placesOf(plants),
    findings: placesOf(findings),
    inspections: placesOf(inspections),
    tasks: placesOf(tasks),
  };
  const known = new Set(causes.map((row) => row.id));
  for (const row of heard)
    if (!known.has(row.id)) complaints.push({ ...row.place, level: 'error', text: `callers' words for "${row.id}", which is no cause` });
  for (const [kind, rows] of Object.entries({
    plant: plants,
    finding: findings,
    cause: causes,
    inspection: inspections,
    form: forms,
    option: options,
    window: windows,
    active: actives,
    "callers' words for": heard,
  })) {
    const seen = new Map<string, Place>();
    for (const row of rows) {
      const first = seen.get(row.id);
      if (first) complaints.push({ ...row.place, level: 'error', text: `${kind} "${row.id}" stands already at ${first.file}:${first.line}` });
      seen.set(row.id, row.place);
    }
  }
  return {
    edition: { version: `${EDITION_NAME}-${digest}`, ...contents },
    complaints,
    families,
    works,
    inspections: inspections.map(toInspection),
    places,
  };
}
