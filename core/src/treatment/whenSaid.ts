import { longDate } from '../season/calendar.ts';
import type { WindowStanding } from '../season/windows.ts';

/** When a thing is to be done, to be read out: "from about 24 April to 5 June". */
export function whenSaid(timing: WindowStanding): string {
  switch (timing.state) {
    case 'any-time':
      return 'at any time';
    case 'open':
      return timing.to ? `now, until about ${longDate(timing.to)}` : 'now';
    case 'closing':
      return timing.to ? `now – the time ends about ${longDate(timing.to)}` : 'now';
    case 'not-yet':
      return timing.from ? `from about ${longDate(timing.from)}${timing.to ? ` to ${longDate(timing.to)}` : ''}` : 'later';
    case 'closed':
      return timing.nextFrom ? `too late this season; note ${longDate(timing.nextFrom)}` : 'too late this season';
    case 'unknown':
      return timing.basis;
  }
}
