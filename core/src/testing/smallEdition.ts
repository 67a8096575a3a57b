import type { Cause, Edition, Finding, Plant, RateWord } from '../edition/edition.ts';

/** A tiny invented edition for tests: two plants, three causes, four findings. */
const finding = (id: string, answers: Record<string, [share: number, ...words: string[]]>, extra: Partial<Finding> = {}): Finding => ({
  id,
  name: id,
  organ: 'leaf',
  kind: 'symptom',
  ask: `what about ${id}?`,
  answers: Object.entries(answers).map(([answer, [background, ...words]]) => ({ id: answer, say: answer, words, background })),
  phoneSeconds: 10,
  tableSeconds: 5,
  ...extra,
});

const cause = (id: string, hosts: Cause['hosts']['include'], rates: Record<string, Record<string, RateWord>>, extra: Partial<Cause> = {}): Cause => ({
  id,
  name: id,
  also: [],
  kind: 'fungus',
  story: '',
  commonness: 'common',
  hosts: { include: hosts, exclude: [] },
  climates: [],
  months: [],
  rates: Object.entries(rates).map(([f, answers]) => ({ finding: f, answers, mark: 'memory' })),
  lookAlikes: [],
  windows: [],
  options: [{ id: 'leave', act: 'leave', title: 'leave', how: 'nothing', not: [], cautions: [], effect: 'good', preferred: true, mark: 'memory' }],
  leaveWhen: '',
  worth: 'worth',
  cautions: [],
  notifiable: false,
  replyLine: '',
  mark: 'memory',
  ...extra,
});

const plant = (id: string, genus: string, family: string, also: string[] = []): Plant => ({
  id,
  name: id,
  latin: `${genus} exemplaris`,
  also,
  genus,
  family,
  groups: [],
  normal: [],
  care: { prune: 'in winter' },
  mark: 'memory',
});

export const smallEdition: Edition = {
  version: 'small-1',
  plants: [plant('oak', 'Quercus', 'Fagaceae', ['oak tree']), plant('bean', 'Phaseolus', 'Fabaceae', ['runner bean', 'beans'])],
  findings: [
    finding('coating', { none: [0.9, 'nothing on leaf'], white: [0.08, 'white {powder}', '{powder}'], black: [0.02, 'black soot'] }, { absent: 'none' }),
    finding('holes', { none: [0.8], some: [0.2, '{leaf} hole|holes', 'hole|holes'] }, { absent: 'none' }),
    finding('frost', { yes: [0.2, 'frost'], no: [0.8] }, { absent: 'no', organ: 'surroundings' }),
    finding('test', { positive: [0.1], negative: [0.9] }, { phoneSeconds: null, tableSeconds: 60 }),
  ],
  causes: [
    cause('mildew', [{ any: true, weight: 1 }], { coating: { white: 'always' }, holes: { none: 'usually' }, test: { positive: 'always' } }),
    cause('beetle', [{ genus: 'Phaseolus', weight: 1 }], { holes: { some: 'always' }, coating: { none: 'usually' } }, { kind: 'insect' }),
    cause('cold', [{ any: true, weight: 1 }], { frost: { yes: 'always' }, coating: { none: 'always' } }, { kind: 'temperature', months: [4, 5] }),
  ],
  careTopics: [{ id: 'prune', name: 'Pruning', words: ['when prune'] }],
  lexicon: {
    classes: { leaf: ['leaf', 'leaves'], powder: ['powder', 'flour'] },
    irregular: { leaves: 'leaf' },
    negators: ['no', 'not', 'without'],
    notNegating: ['not only'],
    doubts: ['maybe', 'i think'],
    stopWords: ['the', 'my', 'on', 'has', 'have', 'are', 'is', 'a', 'and', 'there', 'only', 'but', 'in', 'it', 'i', 'should', 'yes', 'to', 'that', 'see', 'can', 'any'],
    nearby: ['next', 'neighbour'],
    organs: { leaf: ['leaf', 'leaves'], fruit: ['fruit'] },
  },
  sources: [],
};
