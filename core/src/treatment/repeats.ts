/** How often and how far apart an option's own words ask for it: "four times every 10–12 days", "every 3 days, 3 times", "weekly". */
export interface Repeats {
  times: number;
  intervalDays: number;
}

const NUMBERS: Record<string, number> = { once: 1, twice: 2, three: 3, four: 4, five: 5, six: 6 };
const WEEK = 7;

/** Reads an option's `repeat`; what it does not say is one application, two weeks apart. */
export function repeatsOf(text: string | undefined): Repeats {
  const words = (text ?? '').toLowerCase();
  const interval =
    /(\d+)\s*(?:–|-|to)\s*\d+\s*(days?|weeks?)/.exec(words) ??
    /every\s+(\d+)\s*(days?|weeks?)/.exec(words) ??
    /after\s+(\d+)\s*(days?|weeks?)/.exec(words);
  const intervalDays = interval ? Number(interval[1]) * (interval[2]!.startsWith('week') ? WEEK : 1) : words.includes('weekly') ? WEEK : 2 * WEEK;
  const counted = /(?:up to )?(\d+)\s*times/.exec(words)?.[1] ?? /up to (\d+)\b/.exec(words)?.[1];
  const spelt = /\b(once|twice|three|four|five|six)\b/.exec(words)?.[1];
  const times = counted ? Number(counted) : spelt ? (NUMBERS[spelt] ?? 1) : text ? 2 : 1;
  return { times, intervalDays };
}
