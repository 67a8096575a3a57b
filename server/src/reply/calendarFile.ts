import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import type { PlanBody } from '@sounding/contract/plan.ts';
import { dayNumber } from '@sounding/core/season/calendar.ts';
import type { IsoDate } from '@sounding/core/season/calendar.ts';

export interface CalendarInput {
  desk: string;
  /** "Box: box psyllid". */
  about: string;
  plan: PlanBody | null;
  /** Names of products by id. */
  products: Record<string, string>;
  /** A day to note for next year, and why. */
  noteFor: { on: IsoDate; why: string } | null;
  followUpOn: IsoDate | null;
  caution: string;
  stamp: Date;
}

const DAY_MS = 86_400_000;
/** Reminded the evening before, at six. */
const ALARM_BEFORE_S = 6 * 3600;

/** A plan as an iCalendar file (RFC 5545): days without a clock, so that they are the same days wherever they are read. */
export function calendarFile(input: CalendarInput): string {
  const calendar = ical({
    name: `${input.desk}: ${input.about}`,
    prodId: { company: 'sounding', product: 'plan' },
    method: ICalCalendarMethod.PUBLISH,
  });
  const day = (id: string, on: IsoDate, summary: string, description: string) => {
    const start = new Date(dayNumber(on) * DAY_MS);
    const event = calendar.createEvent({ id: `${id}@sounding`, start, allDay: true, summary, description, stamp: input.stamp });
    event.createAlarm({ type: ICalAlarmType.display, triggerBefore: ALARM_BEFORE_S, description: summary });
  };
  for (const a of input.plan?.applications ?? []) {
    if (a.state === 'skipped') continue;
    const hours = a.hours
      ? ` Best between ${a.hours.replace('–', ' and ')} o’clock by the sun.`
      : ' Look at the weather first: no rain, no wind, no heat.';
    day(a.id, a.on, `${input.about}: ${input.products[a.labelId] ?? 'treat'}`, `${a.say}.${hours} ${input.caution}`);
  }
  for (const check of input.plan?.checks ?? []) day(check.id, check.on, `${input.about}: ${check.what}`, check.why);
  if (input.noteFor) day(`note-${input.noteFor.on}`, input.noteFor.on, input.about, input.noteFor.why);
  if (input.followUpOn) day(`call-${input.followUpOn}`, input.followUpOn, `Ring the ${input.desk}: ${input.about}`, 'Say how it went.');
  return calendar.toString();
}
