import type { Finding } from '@sounding/core/edition/findings.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import type { Lexicon } from '@sounding/core/edition/lexicon.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import type { z } from 'zod';
import { provenanceOf } from './provenance.ts';
import type { FindingRow, inspectionRow, lexiconFile, plantRow } from './schema.ts';
import { withoutSpareWords } from './spareWords.ts';

/** @param lexicon whose classes and irregular words the phrases are written with */
export function toFinding(row: FindingRow, lexicon: Lexicon): Finding {
  const phrase = (words: string) => withoutSpareWords(words, lexicon);
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
      ...(a.denied ? { denied: a.denied } : {}),
      words: a.words.map(phrase),
      background: (a.share ?? each) / total,
      ...(a['up-to'] ? { upTo: a['up-to'] } : {}),
    })),
    ...(row.absent ? { absent: row.absent } : {}),
    ...(row.plain ? { plain: row.plain } : {}),
    ...(row.some.length > 0 ? { some: row.some.map(phrase) } : {}),
    ...(row.family ? { family: row.family } : {}),
    ...(row.only ? { only: row.only } : {}),
    ...(row.after ? { after: row.after } : {}),
    ...(row.scale ? { scale: row.scale } : {}),
    phoneSeconds: row.phone,
    tableSeconds: row.table,
    ...(row.reliability ? { reliability: row.reliability } : {}),
  };
}

export function toPlant(row: z.infer<typeof plantRow>, care: Record<string, string>): Plant {
  return {
    id: row.id,
    name: row.name,
    latin: row.latin,
    also: [...row.also].sort(), // an edition that is sorted packs better
    genus: row.latin.split(' ')[0] ?? row.latin,
    family: row.family,
    groups: [...row.groups].sort(),
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

export function toLexicon(row: z.infer<typeof lexiconFile>): Lexicon {
  return {
    classes: row.classes,
    irregular: row.irregular,
    negators: row.negators,
    notNegating: row['not-negating'],
    deniedBefore: row['denied-before'],
    granting: row.granting,
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
    everyday: row.everyday.split(/\s+/).filter(Boolean),
    seenNotNamed: row['seen-not-named'],
    naming: row.naming,
  };
}

export const EMPTY_LEXICON: Lexicon = {
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

export function toInspection({
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
  only,
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
    ...(only ? { only } : {}),
    cautions,
    steps: steps.map(({ say, figure, seconds }) => ({ say, ...(figure ? { figure } : {}), ...(seconds ? { seconds } : {}) })),
    results: results.map(({ say, means, read, again }) => ({ say, means, readings: readingsOf(read), ...(again ? { again } : {}) })),
    ...(sum ? { sum } : {}),
    ...provenanceOf({ mark, source, note }, 'memory'),
  };
}
