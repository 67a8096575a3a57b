import type { CareTask } from '@sounding/core/edition/care.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { worksOfItsSort } from '@sounding/core/season/works.ts';

/** Months of the northern year that words of a line of care mean, the narrower words first. */
const SEASONS: [RegExp, number[]][] = [
  [/\b(late|end of) winter|winter's end\b/, [2, 3]],
  [/\bearly spring\b/, [2, 3, 4]],
  [/\blate spring\b/, [5, 6]],
  [/\bspring\b/, [3, 4, 5]],
  [/\bearly summer\b/, [5, 6, 7]],
  [/\blate summer\b/, [8, 9]],
  [/\b(mid)?summer\b/, [6, 7, 8]],
  [/\bearly autumn\b/, [8, 9, 10]],
  [/\bautumn\b/, [9, 10, 11]],
  [/\bwinter\b/, [12, 1, 2]],
];
const MONTHS = 'january february march april may june july august september october november december'.split(' ');
const NOT_DONE = /^(never|not)\b/;

/** Months a line of care names; none for one that is never done, null where it names no time. */
export function monthsOf(line: string): ReadonlySet<number> | null {
  let said = line.toLowerCase();
  if (NOT_DONE.test(said)) return new Set();
  const found = new Set<number>();
  for (const [season, months] of SEASONS) {
    if (season.test(said)) for (const month of months) found.add(month);
    said = said.replace(new RegExp(season, 'g'), '');
  }
  // "may" is a month only where something is done in it
  MONTHS.forEach((name, i) => new RegExp(`\\b(in|from|to|until|or|and) ${name}\\b`).test(said) && found.add(i + 1));
  return found.size > 0 ? found : null;
}

const monthOf = (day: string): number => Number(day.slice(0, 2));

/** Months of the usual window of a work, or null where it hangs on frosts alone. */
function monthsOfWork({ window }: CareTask): number[] | null {
  const usual = window.calendar?.default;
  if (!usual) return null;
  const [from, to] = [monthOf(usual.from), monthOf(usual.to)];
  return MONTHS.map((_, i) => i + 1).filter((month) => (from <= to ? from <= month && month <= to : month >= from || month <= to));
}

/** Where a work meant for plants of a sort falls in no month that a plant's own card names for it. */
export function lintCare(edition: Edition, say: (task: string, text: string) => void): void {
  for (const plant of edition.plants)
    for (const work of worksOfItsSort(edition, plant)) {
      const line = plant.care[work.topic];
      const named = line === undefined ? null : monthsOf(line);
      const done = monthsOfWork(work);
      if (done && named && !done.some((month) => named.has(month))) say(work.id, `is dated otherwise than ${plant.id}'s card has it: "${line}"`);
    }
}
