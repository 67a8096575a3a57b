import { describe, expect, it } from '@jest/globals';
import { daysSaid, everyDaysSaid } from './durations.ts';

describe('stretches of time', () => {
  it.each([
    ['three days ago', 3],
    ['about two weeks', 14],
    ['a fortnight', 14],
    ['a couple of months now', 60.8],
    ['two summers', 730],
    ['must be twenty years', 7300],
    ['twenty five years', 9125],
    ['half a year', 182.5],
    ['half an hour', 1 / 48],
    ['six good weeks', 42],
    ['two or three days', 2],
    ['several weeks', 35],
    ['an hour', 1 / 24],
    ['less than a year', 255.5],
    ['over two years', 949],
    ['for ages', null],
  ])('"%s" is %s days', (say, days) => (days === null ? expect(daysSaid(say)).toBeNull() : expect(daysSaid(say)).toBeCloseTo(days, 6)));
  it.each([
    ['every day', 1],
    ['every other day', 2],
    ['every third week', 21],
    ['every ten days', 10],
    ['each morning', 1],
    ['once a week', 7],
    ['twice a week', 3.5],
    ['three times a day', 1 / 3],
    ['once in a fortnight', 14],
    ['fortnightly', 14],
    ['daily', 1],
    ['when I remember', null],
  ])('"%s" is once in %s days', (say, days) =>
    days === null ? expect(everyDaysSaid(say)).toBeNull() : expect(everyDaysSaid(say)).toBeCloseTo(days, 6),
  );
});
