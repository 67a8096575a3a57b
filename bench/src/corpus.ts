import { readFileSync } from 'node:fs';
import type { Understander } from '@sounding/core/language/understand.ts';

/** One statement of our own writing and the readings a careful advisor would take from it. */
export interface CorpusLine {
  say: string;
  readings: string[];
  /** Readings that are right besides, and need not be taken. */
  may: string[];
}

/** Findings that see one thing from two sides: "red beetles" is a creature seen and its look. Either counts for the other. */
const TWO_SIDES: [RegExp, RegExp][] = [
  [/^beetle-look=/, /^insects-seen=beetles$/],
  [/^caterpillar-look=/, /^insects-seen=(caterpillars|sawfly-larvae)$/],
  [/^eggs-seen=/, /^leaf-underside=eggs$/],
  [/^inside-fruit=(maggots|caterpillar)$/, /^fruit-signs=maggots$/],
  [/^set-and-form=(small-drop|none-sets)$/, /^fruit-signs=drops-small$/],
  [/^seedlings=leggy$/, /^growth-form=leggy$/],
  [/^seedlings=fell-over$/, /^stem-base=pinched-dark$/],
  [/^seedlings=cut-off$/, /^stem-base=cut-through$/],
  [/^lawn-signs=heaps$/, /^animal-signs=mole-ridges$/],
  [/^lawn-signs=dug-up$/, /^animal-signs=/],
  [/^lawn-signs=toadstool-rings$/, /^mushrooms-at-base=ring$/],
  [/^insects-seen=ants$/, /^ant-traffic=yes$/],
  [/^insects-seen=brown-bumps$/, /^(stem-signs=white-shelled|leaf-underside=brown-shields)$/],
  [/^insects-seen=white-wool$/, /^stem-signs=woolly-patches$/],
  [/^insects-seen=/, /^leaf-underside=(small-insects|white-scales)$/],
  [/^soil-surface=white-crust$/, /^salt-source=yes$/],
  [/^shoot-tips=/, /^side=tips$/],
  [/^leaf-burn=one-sided$/, /^age-of-leaf=one-branch$/],
  [/^bark-holes=with-gum$/, /^stem-signs=gum$/],
  [/^animal-signs=gnawed-collar$/, /^stem-base=gnawed$/],
  [/^sun-shade-lower-branches=/, /^side=/],
  [/^collar-peel=white-sheet$/, /^smell=mushroom$/],
  [/^underground=/, /^(roots|pest-in-crown)=/],
  [/^leaf-burn=/, /^leaf-yellowing=bleached$/],
  [/^leaf-coating=grey-fur$/, /^fruit-signs=grey-fur$/],
  [/^leaf-coating=white-powder$/, /^fruit-signs=powdery$/],
  [/^leaf-shape=hanging-limp$/, /^(wilting-time|shoot-tips)=/],
  [/^(leaf-drop=inner-old|leaf-tint=old-purple)$/, /^age-of-leaf=older-lower$/],
  [/^(leaf-tint=young-bronze|shoot-tips=)/, /^age-of-leaf=newest$/],
  [/^pest-in-crown=/, /^insects-seen=caterpillars$/],
  [/^knocked=yes$/, /^stem-signs=wound$/],
];

const sameThing = (a: string, b: string): boolean =>
  a === b || TWO_SIDES.some(([one, other]) => (one.test(a) && other.test(b)) || (one.test(b) && other.test(a)));

/** Statements used for mending, and those put aside before any tuning: only the latter are a measure. */
export type CorpusPart = 'readings' | 'readings-aside';

/** Reads a part of the corpus; comment lines begin with "#", a reading that need not be taken with "?". */
export function loadCorpus(part: CorpusPart): CorpusLine[] {
  return readFileSync(new URL(`../../knowledge/callers/${part}.tsv`, import.meta.url), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => {
      const [say = '', readings = ''] = line.split('\t');
      const all = readings.split(' ').filter(Boolean);
      return { say, readings: all.filter((r) => !r.startsWith('?')), may: all.filter((r) => r.startsWith('?')).map((r) => r.slice(1)) };
    });
}

export interface CorpusScore {
  lines: number;
  /** Of the readings taken, the share that is right. */
  precision: number;
  /** Of the right readings, the share that was taken. */
  recall: number;
  millisecondsALine: number;
  wrong: { say: string; missed: string[]; extra: string[] }[];
}

/** Micro-averaged over readings. A reading is right when finding and answer are; one that need not be taken counts neither way. */
export function scoreCorpus(understander: Understander, lines: readonly CorpusLine[]): CorpusScore {
  let right = 0;
  let rightlyTaken = 0;
  let taken = 0;
  let wanted = 0;
  const wrong: CorpusScore['wrong'] = [];
  const began = performance.now();
  for (const { say, readings, may } of lines) {
    const got = understander.understand([say]).readings.map(({ finding, answer }) => `${finding}=${answer}`);
    const missed = readings.filter((reading) => !got.some((taken) => sameThing(reading, taken)));
    const counted = got.filter((taken) => !may.includes(taken) || readings.includes(taken));
    const extra = counted.filter((taken) => !readings.some((reading) => sameThing(reading, taken)));
    rightlyTaken += counted.length - extra.length;
    right += readings.length - missed.length;
    taken += counted.length;
    wanted += readings.length;
    if (missed.length + extra.length > 0) wrong.push({ say, missed, extra });
  }
  return {
    lines: lines.length,
    precision: taken === 0 ? 0 : rightlyTaken / taken,
    recall: wanted === 0 ? 0 : right / wanted,
    millisecondsALine: (performance.now() - began) / lines.length,
    wrong,
  };
}
