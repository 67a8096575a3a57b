import { z } from 'zod';
import { COMMONNESS_VALUES, RATE_VALUES, type Commonness, type RateWord } from '@sounding/core/edition/causes.ts';
import { CLIMATES } from '@sounding/core/edition/climates.ts';
import { ORGANS, SCALES } from '@sounding/core/edition/findings.ts';
import { INSPECTION_FIGURES, INSPECTION_PLACES } from '@sounding/core/edition/inspections.ts';
import { ACTS, COSTS, EFFORTS } from '@sounding/core/edition/options.ts';
import { FROST_TURNS } from '@sounding/core/edition/windows.ts';
import { CUTOFFS, DEGREE_DAY_METHODS, INDEX_IDS } from '@sounding/core/edition/bases.ts';
import { excludedShorthand, hostShorthand, likeShorthand, rateShorthand } from './shorthand.ts';

/** The shape of the YAML files, one schema a kind of row. Rows are strict: a misspelt key is an error, not a silence. */
const id = z.string().regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, 'ids are lower-case words joined by hyphens');
const words = z.array(z.string().min(1)).default([]);
const mark = z.enum(['published', 'common-practice', 'memory']);
const provenance = { mark: mark.optional(), source: id.optional(), note: z.string().optional() };
const monthDay = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'dates are MM-DD');

const rateWord = z.enum(Object.keys(RATE_VALUES) as [RateWord, ...RateWord[]]);
const commonness = z.enum(Object.keys(COMMONNESS_VALUES) as [Commonness, ...Commonness[]]);

const selectorKeys = {
  any: z.literal(true).optional(),
  family: z.string().optional(),
  genus: z.string().optional(),
  group: id.optional(),
  plant: id.optional(),
};
const oneSelector = (value: Record<string, unknown>) =>
  ['any', 'family', 'genus', 'group', 'plant'].filter((key) => value[key] !== undefined).length === 1;
const selector = z.strictObject(selectorKeys).refine(oneSelector, 'name exactly one of any, family, genus, group, plant');
const weightedSelector = z
  .strictObject({ ...selectorKeys, weight: z.number().positive().max(3).default(1), note: z.string().optional() })
  .refine(oneSelector, 'name exactly one of any, family, genus, group, plant');

/** Months as a list, or as "4-9"; "11-2" runs over the new year. */
const months = z
  .union([z.array(z.number().int().min(1).max(12)), z.string().regex(/^\d{1,2}-\d{1,2}$/)])
  .transform((value) => {
    if (typeof value !== 'string') return value;
    const [from = 1, to = 12] = value.split('-').map(Number);
    const out: number[] = [];
    for (let m = from; ; m = (m % 12) + 1) {
      out.push(m);
      if (m === to) return out;
    }
  })
  .default([]);

export const plantRow = z.strictObject({
  id,
  name: z.string(),
  latin: z.string(),
  also: words,
  family: z.string(),
  groups: z.array(id).default([]),
  /** A plant nobody has named more closely, such as "house plant"; a closer name in the same talk goes first. */
  generic: z.boolean().default(false),
  /** Lowest winter temperature it usually stands in the open ground, °C. */
  'hardy-c': z.number().min(-60).max(20).optional(),
  /** Usual height in metres at each stage; sizes far outside are asked back. */
  sizes: z
    .array(
      z.strictObject({
        what: z.string().optional(),
        words: z.array(z.string()).default([]),
        metres: z.tuple([z.number().positive(), z.number().positive()]),
      }),
    )
    .default([]),
  /** Needles in a bundle, for pines and their kin. */
  needles: z.number().int().min(1).max(5).optional(),
  normal: z.array(z.strictObject({ what: z.string(), when: z.string().optional(), varieties: z.string().optional() })).default([]),
  poisonous: z.string().optional(),
  /** A care form to start from; the plant's own care lines go over it. */
  'care-as': id.optional(),
  care: z.record(id, z.string()).default({}),
  mark: mark.default('memory'),
});

/** Care that many plants share, named once; `like` is another form whose lines hold where this one has none. */
export const careFormRow = z.strictObject({ id, like: id.optional(), care: z.record(id, z.string()) });

export const findingRow = z.strictObject({
  id,
  name: z.string(),
  organ: z.enum(ORGANS),
  kind: z.enum(['symptom', 'sign', 'pattern', 'history', 'test', 'site']),
  ask: z.string(),
  check: z.string().optional(),
  absent: id.optional(),
  /** What a plain yes, no or "fine" says to the question: an answer, "not:" and an answer, or null for nothing at all. */
  plain: z.partialRecord(z.enum(['yes', 'no', 'fine']), z.string().nullable()).optional(),
  /** Phrases that say no more than that it is there: "spots on the leaves". */
  some: words,
  /** Findings that see the same thing from several sides share a family. */
  family: id.optional(),
  /** Groups of plants it can be seen on at all. */
  only: z.array(id).optional(),
  /** Findings of which something must have been told before it is asked. */
  after: z.array(id).optional(),
  phone: z.number().positive().nullable(),
  table: z.number().positive(),
  reliability: z
    .partialRecord(z.enum(['caller-unsure', 'caller', 'caller-looked', 'photo', 'in-hand', 'bench', 'laboratory']), z.number().min(0.3).max(1))
    .optional(),
  /** What a number said of it is read on, and the questions that ask for it; `up-to` is where an answer's stretch of the scale ends. */
  scale: z.strictObject({ of: z.enum(SCALES), asked: z.array(z.string()) }).optional(),
  answers: z.record(
    id,
    z.strictObject({
      say: z.string(),
      denied: z.string().optional(),
      share: z.number().min(0.001).max(1).optional(),
      'up-to': z.number().positive().optional(),
      words,
    }),
  ),
});

const rateRow = z.union([rateShorthand, z.object(provenance).catchall(z.union([rateWord, z.string()]))]);
const calendarSpan = z.strictObject({ from: monthDay, to: monthDay });
const windowRow = z.strictObject({
  name: z.string(),
  'degree-days': z
    .strictObject({
      'base-c': z.number(),
      'upper-c': z.number().optional(),
      method: z.enum(DEGREE_DAY_METHODS).optional(),
      cutoff: z.enum(CUTOFFS).optional(),
      generations: z.strictObject({ every: z.number().positive(), most: z.number().int().min(2).max(8) }).optional(),
      biofix: monthDay,
      from: z.number().min(0),
      to: z.number().positive(),
    })
    .optional(),
  /** Days from a frost of the station's own years. */
  frost: z.strictObject({ at: z.enum(FROST_TURNS), from: z.number().int(), to: z.number().int() }).optional(),
  /** The weather rule that opens it, within the calendar's span. */
  infection: z.enum(INDEX_IDS).optional(),
  calendar: z.partialRecord(z.enum([...CLIMATES, 'default']), calendarSpan).optional(),
  event: z.string().optional(),
  'event-days': z.number().int().positive().optional(),
  'any-time': z.boolean().optional(),
  outdoors: z.boolean().optional(),
  ...provenance,
});

/** A window many causes share, named once; a cause uses it by naming it in an option. */
export const sharedWindowRow = windowRow.extend({ id });

const optionFields = {
  act: z.enum(ACTS),
  title: z.string(),
  how: z.string(),
  repeat: z.string().optional(),
  not: words,
  cautions: words,
  /** On certain hosts only. */
  'cautions-on': z.strictObject({ hosts: z.union([excludedShorthand, z.array(selector).min(1)]), say: z.array(z.string().min(1)).min(1) }).optional(),
  effect: z.enum(['good', 'fair', 'poor']).default('fair'),
  effort: z.enum(EFFORTS).optional(),
  cost: z.enum(COSTS).optional(),
  school: id.optional(),
  /** Active ingredients by id, see actives.yaml. */
  actives: z.array(id).default([]),
  /** Said outright where no active of actives.yaml says it. */
  'least-toxic': z.literal(true).optional(),
  'under-glass': z.literal(true).optional(),
  young: z.literal(true).optional(),
  ...provenance,
};
/** A treatment many causes share, named once. */
export const sharedOptionRow = z.strictObject({ id, window: id.optional(), ...optionFields });
const causeOptionFields = z.strictObject({
  use: id.optional(),
  id: id.optional(),
  window: id.optional(),
  prefer: z.boolean().optional(),
  ...z.strictObject(optionFields).partial().shape,
  // a default here would hide the shared option's own value
  not: z.array(z.string()).optional(),
  cautions: z.array(z.string()).optional(),
  actives: z.array(id).optional(),
  effect: z.enum(['good', 'fair', 'poor']).optional(),
});
/** What certain hosts are answered with: it goes before what the cause prefers, and `how` speaks for itself. */
const hostOptionRow = causeOptionFields.omit({ prefer: true }).extend({
  id,
  how: z.string(),
  hosts: z.union([excludedShorthand, z.array(selector).min(1)]),
});
const causeOptionRow = z.union([id.transform((use): z.infer<typeof causeOptionFields> => ({ use })), causeOptionFields]);

const kind = z.enum([
  'normal',
  'fungus',
  'oomycete',
  'bacterium',
  'virus',
  'nematode',
  'insect',
  'mite',
  'mollusc',
  'animal',
  'plant',
  'nutrient',
  'water',
  'temperature',
  'light',
  'chemical',
  'mechanical',
  'cultural',
]);

/** What causes of one form have in common; a cause's own rows go over it, finding by finding. */
const sharedByForm = {
  kind: kind.optional(),
  mark: mark.optional(),
  findings: z.record(id, rateRow).default({}),
  windows: z.record(id, windowRow).default({}),
  options: z.array(causeOptionRow).optional(),
  /** Id of the option this cause is answered with when its window allows. */
  prefer: id.optional(),
  'leave-when': z.string().optional(),
  worth: z.string().optional(),
  cautions: words,
};
/** `also` of a form goes to every cause of it: what people call all of that kind. */
export const formRow = z.strictObject({ id, also: words, ...sharedByForm });

export const causeRow = z.strictObject({
  id,
  /** How it passes to other plants, where its kind says it wrongly. */
  spreads: z.string().optional(),
  form: id.optional(),
  name: z.string(),
  latin: z.string().optional(),
  also: words,
  common: commonness,
  story: z.string().min(40),
  /** How callers put it, in phrases of their own; stands in heard.yaml for the shipped causes. */
  heard: z.string().optional(),
  hosts: z.union([hostShorthand, z.array(weightedSelector).min(1)]),
  'not-hosts': z.union([excludedShorthand, z.array(selector)]).default([]),
  climates: z.array(z.enum(CLIMATES)).default([]),
  months,
  like: z.array(z.union([likeShorthand, z.strictObject({ cause: id, by: z.array(id).min(1), say: z.string() })])).default([]),
  notifiable: z.boolean().default(false),
  index: z.enum(INDEX_IDS).optional(),
  'host-options': z.array(hostOptionRow).default([]),
  /** How options it shares with others are carried out here, by the option's id. */
  how: z.record(id, z.string().min(20)).default({}),
  reply: z.string(),
  ...provenance,
  ...sharedByForm,
});

/** How callers put a cause, and what else it is called. */
export const heardRow = z.strictObject({ id, heard: z.string().min(20), also: words });

/** What is read of a practice call for its words; docs/formats.md has the whole of it. */
export const toldCall = z.object({
  opening: z.string(),
  host: z.string().nullish(),
  facts: z.array(z.object({ say: z.string() })).default([]),
  cause: z.string().nullish(),
  also: z.array(z.string()).default([]),
});

/** `verbs` are what a caller asks whether, when or how to do: "should I … cut". */
export const careTopicRow = z.strictObject({
  id,
  name: z.string(),
  /** What is answered when no plant is named. */
  general: z.string().optional(),
  verbs: z.array(z.string()).default([]),
  /** Phrases that point to the topic where something is asked; a single word only in what is asked itself. */
  words: z.array(z.string()).min(1),
  /** Phrases that ask without a question: "the orchid's flowers have all dropped". */
  told: z.array(z.string()).default([]),
});
export const sourceRow = z.strictObject({ id, cite: z.string() });
/** A standard work to check entries against: on the causes it names, and on those of its forms and kinds that live mostly on its hosts. */
export const workRow = z.strictObject({
  id,
  cite: z.string().regex(/\(\d{4}\)/, 'a work is cited with its year in brackets'),
  causes: z.array(id).default([]),
  forms: z.array(id).default([]),
  kinds: z.array(kind).default([]),
  hosts: hostShorthand.optional(),
});
export const lexiconFile = z.strictObject({
  classes: z.record(z.string(), z.array(z.string())),
  irregular: z.record(z.string(), z.string()),
  negators: z.array(z.string()),
  'not-negating': z.array(z.string()),
  'denied-before': z.array(z.string()),
  granting: z.array(z.string()),
  'short-forms': z.record(z.string(), z.string()),
  doubts: z.array(z.string()),
  nearby: z.array(z.string()),
  'nearby-after': z.array(z.string()),
  likened: z.array(z.string()),
  /** Words after a plant's name that make it something else: "tomato food". */
  goods: z.array(z.string()),
  /** What people put on plants. */
  remedies: z.array(z.string()),
  /** Phrases that hold a plant's name and name none: "wood ash". */
  'no-plant': z.array(z.string()),
  organs: z.partialRecord(z.enum(ORGANS), z.array(z.string())),
  'stop-words': z.string(),
  everyday: z.string().default(''),
  'seen-not-named': z.array(z.string()).default([]),
  naming: z.array(z.string()).min(1),
});

/** An active ingredient by its ISO common name, with its mode-of-action group. */
export const activeRow = z.strictObject({ id, name: z.string(), group: z.string(), 'least-toxic': z.boolean().default(false) });
/** What is to be done through the year for a plant that is well. */
export const careTaskRow = z.strictObject({
  id,
  topic: id,
  name: z.string(),
  how: z.string(),
  hosts: hostShorthand,
  'not-hosts': excludedShorthand.default([]),
  window: windowRow,
});
const days = z.number().int().positive().max(120);
/** A test to walk a caller through. `read` holds what a result says, as finding=answer words. */
export const inspectionRow = z.strictObject({
  id,
  name: z.string(),
  settles: z.string(),
  where: z.array(z.enum(INSPECTION_PLACES)).min(1),
  needs: z.string(),
  only: z.array(id).optional(),
  cautions: words,
  steps: z
    .array(
      z.strictObject({ say: z.string(), figure: z.enum(INSPECTION_FIGURES).optional(), seconds: z.number().int().positive().max(600).optional() }),
    )
    .min(2),
  results: z
    .array(
      z.strictObject({
        say: z.string(),
        means: z.string(),
        read: z.string().regex(/^([a-z0-9-]+=[a-z0-9-]+( |$))*$/, 'readings are finding=answer, with blanks between'),
        again: z
          .tuple([days, days])
          .refine(([from, to]) => from <= to, 'the first day comes first')
          .optional(),
      }),
    )
    .min(1),
  sum: id.optional(),
  ...provenance,
});
/** The problems every plant of a family is expected to answer for; the lint asks for them. */
export const familyRow = z.strictObject({ family: z.string(), causes: z.array(id).min(1) });
/** A question on which the trade disagrees, with our default and its reason. */
export const schoolRow = z.strictObject({
  id,
  question: z.string(),
  views: z.array(z.strictObject({ say: z.string(), because: z.string(), options: z.array(id).optional() })).min(2),
  ours: z.string(),
  mark: mark.default('common-practice'),
});

export type CauseRow = z.infer<typeof causeRow>;
export type FormRow = z.infer<typeof formRow>;
export type FindingRow = z.infer<typeof findingRow>;
export type SharedOptionRow = z.infer<typeof sharedOptionRow>;
