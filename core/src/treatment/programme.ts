import { dayNumber, daysBetween, isoOfDay, type DayNumber, type IsoDate } from '../season/calendar.ts';
import { SPRAYING_DEPRESSION_C, wetBulbDepressionC } from '../season/air.ts';
import { estimatedHours, type WeatherHour } from '../season/hourly.ts';
import type { WeatherDay } from '../season/weather.ts';
import type { Hemisphere } from '../edition/climates.ts';
import { seasonOf, type Label, type LabelUse } from './label.ts';

/** A product that may be used here, with the line of its label. */
export interface Candidate {
  label: Label;
  use: LabelUse;
  /** How often it has been used on the plant this year, and last when. */
  timesUsed: number;
  lastOn: IsoDate | null;
}

export interface ProgrammeInput {
  candidates: readonly Candidate[];
  /** Days on which work in the window makes sense. */
  window: { from: IsoDate; to: IsoDate };
  today: IsoDate;
  /** How many applications are wanted; labels may allow fewer. */
  wanted: number;
  /** Least days between two, besides the labels'. */
  intervalDays: number;
  /** Forecast days from today on, as far as there are any. */
  forecast: readonly WeatherDay[];
  latDegrees: number;
  hemisphere: Hemisphere;
  /** Days of picking, known or every so many days from the first on. */
  harvests: readonly IsoDate[];
  /** In flower now: then only what may be used on flowers, and never while bees fly. */
  inBloom: boolean;
  /** Applications already made or moved by hand stay where they are. */
  fixed: readonly { on: IsoDate; labelId: string }[];
}

export interface PlannedApplication {
  on: IsoDate;
  labelId: string;
  group: string;
  /** Solar hours of the day in which it can be done, "6–9"; null = beyond the forecast, to be looked at again. */
  hours: string | null;
  fixed: boolean;
}
export interface BlockedDay {
  on: IsoDate;
  why: string;
}
export interface Programme {
  applications: PlannedApplication[];
  /** Days inside the window that are passed over, and why. */
  blocked: BlockedDay[];
  /** Why fewer are planned than were wanted; null = all are. */
  short: string | null;
}

/** No more than this many applications running from one mode-of-action group where another is at hand (common practice: resistance). */
const MOST_RUNNING = 1;
/** Work is done between these solar hours. */
const WORKING_HOURS = { from: 5, to: 21 } as const;

const groupOf = ({ label }: Candidate): string => label.actives.map(({ group }) => group).join(' + ') || 'not grouped';

/** Every `every` days from `first` on, until `until`: fruit that is picked every three weeks. */
export function harvestsEvery(first: IsoDate, every: number, until: IsoDate): IsoDate[] {
  const days: IsoDate[] = [];
  for (let day = dayNumber(first); day <= dayNumber(until); day += Math.max(1, every)) days.push(isoOfDay(day));
  return days;
}

/** Hours of a forecast day that suit the label, or what forbids them. */
function suitableHours({ label }: Candidate, day: WeatherDay, hours: readonly WeatherHour[], rainAfter: number): { hours: string } | { why: string } {
  const { fromC, belowC, mostWindMs, rainFreeHours } = label.limits;
  if (mostWindMs !== null && day.windMs !== null && day.windMs > mostWindMs)
    return { why: `wind of ${day.windMs} m/s, the label allows ${mostWindMs}` };
  if (rainFreeHours !== null && (day.rainMm ?? 0) >= 0.5) return { why: `rain of ${day.rainMm} mm; ${rainFreeHours} dry hours are needed` };
  if (rainFreeHours !== null && rainFreeHours > 12 && rainAfter >= 0.5) return { why: `rain the day after; ${rainFreeHours} dry hours are needed` };
  const warm = hours.filter(({ hour }) => hour >= WORKING_HOURS.from && hour < WORKING_HOURS.to);
  const right = warm.filter(({ tempC }) => (fromC === null || tempC >= fromC) && (belowC === null || tempC < belowC));
  if (right.length === 0) {
    const [least, most] = [Math.min(...warm.map((h) => h.tempC)), Math.max(...warm.map((h) => h.tempC))];
    return { why: `${least.toFixed(0)} to ${most.toFixed(0)} °C; the label wants ${fromC ?? '–'} to under ${belowC ?? '–'} °C` };
  }
  const airs = right.filter(({ tempC, humidityPct }) => {
    const depression = wetBulbDepressionC(tempC, humidityPct);
    return depression >= SPRAYING_DEPRESSION_C.least && depression <= SPRAYING_DEPRESSION_C.most;
  });
  const [first, last] = runOf(airs.length > 0 ? airs : right);
  return { hours: `${first}–${last + 1}` };
}

/** First and last hour of the first unbroken run. */
function runOf(hours: readonly WeatherHour[]): [number, number] {
  const first = hours[0]?.hour ?? 0;
  let last = first;
  for (const { hour } of hours) if (hour === last + 1) last = hour;
  return [first, last];
}

/** What of the label, harvest or flower forbids a day, whatever the weather. */
function forbiddenBy(candidate: Candidate, on: IsoDate, input: ProgrammeInput, done: readonly PlannedApplication[]): string | null {
  const { label, use } = candidate;
  const times = candidate.timesUsed + done.filter((a) => a.labelId === label.id).length;
  if (times >= use.mostUses) return `${label.name} may be used ${use.mostUses} times a year`;
  const lasts = [candidate.lastOn, ...done.filter((a) => a.labelId === label.id).map((a) => a.on)].filter((day): day is IsoDate => day !== null);
  for (const last of lasts) {
    const apart = Math.abs(daysBetween(last, on));
    if (apart < use.intervalDays) return `${label.name} again after ${use.intervalDays} days at the earliest`;
  }
  const season = seasonOf(use, on, input.hemisphere);
  if (season && on < season.from) return `${label.name} only from ${season.from} on`;
  if (label.validUntil !== null && on > label.validUntil) return `${label.name} is approved until ${label.validUntil}`;
  if (use.preHarvestDays !== null) {
    const next = input.harvests.find((harvest) => harvest >= on);
    if (next && daysBetween(on, next) < use.preHarvestDays) return `picking on ${next}: ${use.preHarvestDays} days of waiting`;
  }
  if (input.inBloom && label.limits.bees) return `in flower: ${label.name} is not for plants that bees visit`;
  return null;
}

/**
 * Lays applications into a window: the earliest days that labels, intervals, harvest waits and the forecast allow, changing the mode of
 * action from one to the next. Days beyond the forecast are taken as they come and marked to be looked at again. Planning anew when the
 * forecast has changed is calling it again.
 */
export function planProgramme(input: ProgrammeInput): Programme {
  const applications: PlannedApplication[] = [];
  const blocked: BlockedDay[] = [];
  for (const { on, labelId } of input.fixed) {
    const candidate = input.candidates.find(({ label }) => label.id === labelId);
    applications.push({ on, labelId, group: candidate ? groupOf(candidate) : '', hours: null, fixed: true });
  }
  const hoursOf = new Map<IsoDate, WeatherHour[]>();
  for (const hour of estimatedHours(input.forecast, input.latDegrees)) hoursOf.set(hour.on, [...(hoursOf.get(hour.on) ?? []), hour]);
  const forecast = new Map(input.forecast.map((day) => [day.on, day]));
  const start: DayNumber = Math.max(dayNumber(input.today), dayNumber(input.window.from));
  for (let day = start; day <= dayNumber(input.window.to) && applications.length < input.wanted; day++) {
    const on = isoOfDay(day);
    const near = applications.find((a) => Math.abs(daysBetween(a.on, on)) < input.intervalDays);
    if (near) continue;
    const reasons: string[] = [];
    const last = [...applications].filter((a) => a.on < on).sort((a, b) => b.on.localeCompare(a.on));
    const ran = last.slice(0, MOST_RUNNING).map(({ group }) => group);
    const rotated = [...input.candidates].sort((a, b) => Number(ran.includes(groupOf(a))) - Number(ran.includes(groupOf(b))));
    for (const candidate of rotated) {
      const no = forbiddenBy(candidate, on, input, applications);
      if (no) {
        reasons.push(no);
        continue;
      }
      const weather = forecast.get(on);
      const fit = weather ? suitableHours(candidate, weather, hoursOf.get(on) ?? [], forecast.get(isoOfDay(day + 1))?.rainMm ?? 0) : { hours: null };
      if ('why' in fit) {
        reasons.push(fit.why);
        continue;
      }
      applications.push({ on, labelId: candidate.label.id, group: groupOf(candidate), hours: fit.hours, fixed: false });
      reasons.length = 0;
      break;
    }
    if (reasons.length > 0) blocked.push({ on, why: [...new Set(reasons)].join('; ') });
  }
  applications.sort((a, b) => a.on.localeCompare(b.on));
  return { applications, blocked, short: shortOf(input, applications, blocked) };
}

function shortOf(input: ProgrammeInput, applications: readonly PlannedApplication[], blocked: readonly BlockedDay[]): string | null {
  if (applications.length >= input.wanted) return null;
  if (input.candidates.length === 0) return 'No product of this desk is labelled for it.';
  const why = blocked[blocked.length - 1]?.why ?? 'the window ends before';
  return `${applications.length} of ${input.wanted} fit: ${why}.`;
}
