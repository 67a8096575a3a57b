import type { Cause } from '../edition/causes.ts';
import type { Hemisphere } from '../edition/climates.ts';
import type { Plant } from '../edition/plants.ts';
import type { CalendarSpan } from '../edition/windows.ts';
import { occurrence, yearOf, type DatedSpan, type IsoDate } from '../season/calendar.ts';
import type { Amount } from '../quantities/units.ts';

/** How strong a product's acute hazard is. EPA words by 40 CFR 156.62; GHS knows two. */
export const SIGNAL_WORDS = { EPA: ['DANGER', 'WARNING', 'CAUTION', 'none'], GHS: ['Danger', 'Warning', 'none'] } as const;
export type SignalScheme = keyof typeof SIGNAL_WORDS;

export interface LabelActive {
  /** ISO common name. */
  name: string;
  /** As printed: "40 g/l", "1.5 %". */
  concentration: string;
  /** FRAC, IRAC or HRAC code, or "not grouped". */
  group: string;
}

/** What a rate is measured against. `trunk` is a length round or through the trunk, as `of` says. */
export const RATE_PER = ['volume', 'area', 'plant', 'trunk-diameter', 'trunk-girth', 'pot-volume'] as const;
export type RatePer = (typeof RATE_PER)[number];

/** One line of the label: what it may be used on, against what, how much, how often, and how long to wait. All are limits. */
export interface LabelUse {
  id: string;
  /** The line as it is printed: what a refusal quotes. */
  line: string;
  method: 'spray' | 'drench' | 'granules' | 'paint';
  /** Plant ids, groups, families or genera of the edition; `*` any. */
  crops: string[];
  /** Cause ids or kinds of the edition; `*` any. */
  pests: string[];
  /** So much product … */
  rate: Amount;
  /** … to so much water, area, trunk or pot; left out for "per plant". */
  per: RatePer;
  of: Amount | null;
  /** Least share of the rate that still works, if the label gives a range. */
  leastShare: number | null;
  /** Finished spray for an area, at most: "1 litre on 10 m²". */
  carrier: { amount: Amount; on: Amount } | null;
  mostPerUse: Amount | null;
  mostPerYear: Amount | null;
  mostUses: number;
  intervalDays: number;
  reentryHours: number;
  preHarvestDays: number | null;
  /** Only between these days of the year, MM-DD, northern hemisphere: "while dormant". */
  season: CalendarSpan | null;
}

export interface Label {
  id: string;
  name: string;
  registration: string;
  actives: LabelActive[];
  formulation: string;
  signalWord: { scheme: SignalScheme; word: string };
  /** Only licensed people may buy or use it. */
  restricted: boolean;
  homeUse: boolean;
  /** Where it may be used, as the desk names its jurisdictions; `*` anywhere. */
  jurisdictions: string[];
  validFrom: IsoDate;
  validUntil: IsoDate | null;
  gear: string[];
  /** Pack sizes it is sold in. */
  packs: Amount[];
  limits: {
    /** °C; at the upper one and above not, below the lower one not. */
    fromC: number | null;
    belowC: number | null;
    mostWindMs: number | null;
    rainFreeHours: number | null;
    /** Not on plants in flower, nor where bees fly. */
    bees: boolean;
    waterDistanceM: number | null;
  };
  uses: LabelUse[];
}

/** A rule of a jurisdiction: forbids an active, or one way of using it. Dated, and only as good as its date. */
export interface JurisdictionRule {
  id: string;
  jurisdiction: string;
  /** ISO common name, or a mode-of-action group. */
  forbids: string;
  /** Only for this: "outdoors", "spray", "systemic drench"; empty = altogether. */
  method: LabelUse['method'] | null;
  reason: string;
  asOf: IsoDate;
}

const names = (plant: Plant): string[] => [plant.id, plant.genus, plant.family, ...plant.groups];
/** Whether a line names the plant, by itself or by a group it belongs to. */
export const coversPlant = (use: LabelUse, plant: Plant): boolean => use.crops.some((crop) => crop === '*' || names(plant).includes(crop));
export const coversCause = (use: LabelUse, cause: Cause): boolean =>
  use.pests.some((pest) => pest === '*' || pest === cause.id || pest === cause.kind);

/** Where and for whom a product is to be used. */
export interface LabelContext {
  today: IsoDate;
  jurisdiction: string;
  rules: readonly JurisdictionRule[];
  hemisphere: Hemisphere;
}

/** Why nothing may be measured out: the reason in words, and the line of the label or the rule that says so. */
export interface Refusal {
  why: string;
  line: string;
  /** Licensed work: the answer is a referral, not another amount. */
  refer: boolean;
}

/** What forbids a product altogether here and today; null = nothing does. */
export function refusedLabel(label: Label, { today, jurisdiction, rules }: LabelContext): Refusal | null {
  const no = (why: string, line: string, refer = false): Refusal => ({ why, line, refer });
  if (label.restricted || !label.homeUse)
    return no('only a licensed applicator may use it, so no amount is given', `${label.name}: restricted use`, true);
  if (label.validUntil !== null && label.validUntil < today)
    return no(`its approval ended on ${label.validUntil}`, `${label.name}: valid until ${label.validUntil}`);
  if (label.validFrom > today) return no(`it is approved only from ${label.validFrom} on`, `${label.name}: valid from ${label.validFrom}`);
  if (!label.jurisdictions.includes('*') && !label.jurisdictions.includes(jurisdiction))
    return no(`it is not approved in ${jurisdiction}`, `${label.name}: for use in ${label.jurisdictions.join(', ')}`);
  const rule = rules.find((r) => r.method === null && forbidden(r, label, jurisdiction));
  return rule ? no(rule.reason, ruleLine(rule)) : null;
}

const forbidden = (rule: JurisdictionRule, label: Label, jurisdiction: string): boolean =>
  rule.jurisdiction === jurisdiction && label.actives.some(({ name, group }) => name === rule.forbids || group === rule.forbids);
const ruleLine = (rule: JurisdictionRule): string =>
  `${rule.jurisdiction}, as of ${rule.asOf}: ${rule.forbids}${rule.method ? `, ${rule.method}` : ''} forbidden`;

/** The run of a line's season that holds a day or comes next; null when the line knows no season. */
export function seasonOf(use: LabelUse, on: IsoDate, hemisphere: Hemisphere): DatedSpan | null {
  const { season } = use;
  if (!season) return null;
  const runs = [-1, 0, 1].map((shift) => occurrence(season, yearOf(on) + shift, hemisphere));
  return runs.find(({ to }) => on <= to) ?? null;
}

/** What forbids one line of a label here. */
export function refusedUse(label: Label, use: LabelUse, context: LabelContext): Refusal | null {
  const whole = refusedLabel(label, context);
  if (whole) return whole;
  const rule = context.rules.find((r) => r.method === use.method && forbidden(r, label, context.jurisdiction));
  if (rule) return { why: rule.reason, line: ruleLine(rule), refer: false };
  const season = seasonOf(use, context.today, context.hemisphere);
  return season && context.today < season.from
    ? { why: `it is the wrong time of the year: again from ${season.from}`, line: use.line, refer: false }
    : null;
}

/** The lines of a label that cover both plant and cause; without one the product may not be used on it. */
export const usesFor = (label: Label, plant: Plant, cause: Cause): LabelUse[] =>
  label.uses.filter((use) => coversPlant(use, plant) && coversCause(use, cause));
