import { describe, expect, it } from '@jest/globals';
import type { Cause, TreatmentOption } from '../edition/edition.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { decide, optionStandings } from './decide.ts';

const option = (id: string, act: TreatmentOption['act'], extra: Partial<TreatmentOption> = {}): TreatmentOption => ({
  id,
  act,
  title: id,
  how: id,
  not: [],
  cautions: [],
  effect: 'good',
  mark: 'memory',
  ...extra,
});
const cause: Cause = {
  ...smallEdition.causes[0]!,
  worth: 'It spreads.',
  windows: [{ id: 'april', name: 'April', mark: 'memory', calendar: { default: { from: '04-01', to: '04-30' } } }],
  options: [option('spray', 'contact', { window: 'april', preferred: true }), option('pick', 'physical'), option('nothing', 'leave')],
};
const on = (date: string) => ({ date, climate: null, hemisphere: 'N', weather: null }) as const;
const decideOn = (c: Cause, date: string, p = 0.9) => decide(c, p, optionStandings(c, on(date)));

describe('decision', () => {
  it('orders options from gentle to strong', () =>
    expect(optionStandings(cause, on('2026-04-10')).map((o) => o.option.id)).toEqual(['nothing', 'pick', 'spray']));
  it('takes the preferred option while its window is open', () =>
    expect(decideOn(cause, '2026-04-10')).toMatchObject({ act: 'contact', option: 'spray', noteFor: null }));
  it('says too late, notes next year, and offers what can be done by hand meanwhile', () => {
    const late = decideOn(cause, '2026-06-10');
    expect(late).toMatchObject({ act: 'physical', option: 'pick', noteFor: '2027-04-01' });
    expect(late.why).toContain('Too late for that this season');
  });
  it('says too early before the window', () => expect(decideOn(cause, '2026-02-10').why).toContain('Too early'));
  it('leaves alone when nothing gentle is left', () =>
    expect(decideOn({ ...cause, options: cause.options.filter((o) => o.id !== 'pick') }, '2026-06-10')).toMatchObject({
      act: 'leave',
      noteFor: '2027-04-01',
    }));
  it('refers a notifiable cause at any time of the year', () => {
    const notifiable = { ...cause, notifiable: true, options: [option('authority', 'refer', { preferred: true })] };
    expect(decideOn(notifiable, '2026-12-10').act).toBe('refer');
    expect(decideOn(notifiable, '2026-12-10').why).toContain('plant health authority');
  });
  it('tells who minds a harmless thing when something gentle would next make sense', () => {
    const harmless = { ...cause, options: [option('nothing', 'leave', { preferred: true }), option('Clip', 'physical', { window: 'april' })] };
    expect(decideOn(harmless, '2026-06-10')).toMatchObject({
      act: 'leave',
      noteFor: '2027-04-01',
      why: 'It spreads. If it bothers you: clip, from about 1 April 2027.',
    });
    expect(decideOn(harmless, '2026-04-10').noteFor).toBeNull();
  });
  it('refers when nothing on record explains it', () => expect(decide(null, 0.6, [])).toMatchObject({ act: 'refer', firm: true }));
  it('is not firm below even odds', () => {
    expect(decideOn(cause, '2026-04-10', 0.49).firm).toBe(false);
    expect(decideOn(cause, '2026-04-10', 0.5).firm).toBe(true);
  });
});
