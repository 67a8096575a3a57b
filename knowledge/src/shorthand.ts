import { z } from 'zod';
import { RATE_VALUES, type RateWord } from '@sounding/core/edition/causes.ts';

/**
 * The short ways of writing a row, each turned into the long one by the schema:
 * rates `"holes often, none seldom"`, hosts `"genus Pyrus 2, plant quince .6"`, look-alikes `"slugs-snails by insects-seen: Slugs leave slime."`.
 */
const SELECTORS = ['any', 'family', 'genus', 'group', 'plant'] as const;
const isRate = (word: string): word is RateWord => word in RATE_VALUES;

const issue = (ctx: z.RefinementCtx, message: string) => {
  ctx.addIssue({ code: 'custom', message });
  return z.NEVER;
};

const parts = (text: string): string[][] =>
  text
    .split(',')
    .map((part) => part.trim().split(/\s+/))
    .filter((words) => words[0] !== '');

/** `"answer rate, answer rate"` as a map of answers. */
export const rateShorthand = z.string().transform((text, ctx) => {
  const answers: Record<string, RateWord> = {};
  const pairs = parts(text);
  if (pairs.length === 0) return issue(ctx, 'a finding without an answer says nothing: leave it out');
  for (const [answer, rate, ...rest] of pairs) {
    if (!answer || !rate || rest.length > 0 || !isRate(rate))
      return issue(ctx, `"${text}": wants "answer rate" pairs with commas between; rates are ${Object.keys(RATE_VALUES).join(', ')}`);
    answers[answer] = rate;
  }
  return answers;
});

/** `"genus Pyrus 2, any .2"` as a list of selectors with weights. */
export const hostShorthand = z.string().transform((text, ctx) => {
  const hosts: ({ weight: number } & Partial<Record<(typeof SELECTORS)[number], string | true>>)[] = [];
  for (const words of parts(text)) {
    const key = SELECTORS.find((selector) => selector === words[0]);
    const name = key === 'any' ? true : words[1];
    const weight = words[key === 'any' ? 1 : 2];
    if (!key || !name || words.length > 3 || (weight !== undefined && !(Number(weight) > 0 && Number(weight) <= 3)))
      return issue(ctx, `"${words.join(' ')}": wants any, family, genus, group or plant, then its name and a weight above 0 up to 3`);
    hosts.push({ [key]: name, weight: weight === undefined ? 1 : Number(weight) });
  }
  return hosts;
});

/** The same without weights: plants that are no hosts. */
export const excludedShorthand = hostShorthand.transform((hosts) =>
  hosts.map(
    (host) =>
      Object.fromEntries(Object.entries(host).filter(([key]) => key !== 'weight')) as Partial<Record<(typeof SELECTORS)[number], string | true>>,
  ),
);

/** `"other-cause by finding, finding: What to say."` */
export const likeShorthand = z.string().transform((text, ctx) => {
  const match = /^([a-z0-9-]+) by ([a-z0-9, -]+): (.+)$/.exec(text.trim());
  if (!match) return issue(ctx, `"${text}": wants "cause by finding, finding: what to say"`);
  const [, cause = '', by = '', say = ''] = match;
  return { cause, by: by.split(',').map((id) => id.trim()), say };
});
