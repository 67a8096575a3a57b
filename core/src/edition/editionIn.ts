import type { Cause } from './causes.ts';
import type { Hemisphere } from './climates.ts';
import type { Edition } from './edition.ts';
import type { Plant } from './plants.ts';

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];
/** "June drop" is a name, not a time; "May be" is no month. */
const MONTH = new RegExp(`\\b(${MONTHS.join('|')})\\b(?! (?:drop|bugs?|beetles?|be|have|need)\\b)`, 'g');

/** A text with the months it names moved by six: "gather them in June" is December's work in the south. */
export const monthsTurned = (text: string): string => text.replace(MONTH, (month) => MONTHS[(MONTHS.indexOf(month) + 6) % 12]!);

/** Any value with every text in it turned. */
function turned<T>(value: T): T {
  if (typeof value === 'string') return monthsTurned(value) as T;
  if (Array.isArray(value)) return value.map(turned) as T;
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, turned(inner)])) as T;
}

/** Names stay, and so do the sources of figures: what was counted from 1 January was counted so. */
const causeIn = (cause: Cause): Cause => ({
  ...cause,
  story: turned(cause.story),
  worth: turned(cause.worth),
  replyLine: turned(cause.replyLine),
  leaveWhen: turned(cause.leaveWhen),
  ...(cause.spreads === undefined ? {} : { spreads: turned(cause.spreads) }),
  cautions: turned(cause.cautions),
  lookAlikes: cause.lookAlikes.map((like) => ({ ...like, say: turned(like.say) })),
  windows: cause.windows.map((window) => ({ ...window, name: turned(window.name) })),
  options: cause.options.map((option) => ({
    ...option,
    title: turned(option.title),
    how: turned(option.how),
    ...(option.repeat === undefined ? {} : { repeat: turned(option.repeat) }),
    cautions: turned(option.cautions),
    ...(option.cautionsOn ? { cautionsOn: { ...option.cautionsOn, say: turned(option.cautionsOn.say) } } : {}),
  })),
});

const plantIn = (plant: Plant): Plant => ({ ...plant, normal: turned(plant.normal), care: turned(plant.care) });

const turnedOnce = new WeakMap<Edition, Edition>();

/**
 * An edition as it is read in a hemisphere. Its texts are written for the north; in the south every month that they name is the one half a year later.
 * Calendars and months of causes are figures, turned where they are reckoned with, and stay as they are. The same edition is turned once.
 */
export function editionIn(edition: Edition, hemisphere: Hemisphere): Edition {
  if ((edition.readIn ?? 'N') === hemisphere) return edition;
  const known = turnedOnce.get(edition);
  if (known) return known;
  const other: Edition = {
    ...edition,
    readIn: hemisphere,
    causes: edition.causes.map(causeIn),
    plants: edition.plants.map(plantIn),
    ...(edition.careTasks ? { careTasks: edition.careTasks.map((task) => ({ ...task, name: turned(task.name), how: turned(task.how) })) } : {}),
  };
  turnedOnce.set(edition, other);
  return other;
}
