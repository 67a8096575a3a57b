import { describe, expect, it } from '@jest/globals';
import type { Cause } from '../edition/causes.ts';
import type { TreatmentOption } from '../edition/options.ts';
import type { School } from '../edition/provenance.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { NOTHING_KNOWN, settled, type Circumstances } from './circumstances.ts';
import { actOf, decide, optionsOn, optionStandings, overruled, preferredAmong, type Sureness } from './decide.ts';
import { withHouseLines } from './houseLines.ts';
import { verdictsOf } from './verdicts.ts';

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
const sure = (stated: number, sober = stated) => ({ stated, sober });
const decideOn = (c: Cause, date: string, p: number | Sureness = 0.9, known: Circumstances = NOTHING_KNOWN) =>
  decide(c, typeof p === 'number' ? sure(p) : p, verdictsOf(c, optionStandings(c, on(date)), known), known);

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
  it('puts what is released first where it stays, and not out of doors', () => {
    const mites: Cause = { ...cause, options: [...cause.options, option('predators', 'biological', { underGlass: true })] };
    const at = (underGlass: boolean | null) => decideOn(mites, '2026-04-10', 0.9, { ...NOTHING_KNOWN, underGlass });
    expect(at(true)).toMatchObject({
      act: 'biological',
      option: 'predators',
      why: 'Under glass what is released stays, and keeps it down: predators.',
    });
    expect(at(null)).toMatchObject({ option: 'spray' });
    const verdicts = verdictsOf(mites, optionStandings(mites, on('2026-04-10')), { ...NOTHING_KNOWN, underGlass: false });
    expect(verdicts.find((v) => v.option.id === 'predators')?.against).toEqual(['out of doors what is released does not stay']);
  });
  it('answers a young plant with what it cannot carry, and a grown one as ever', () => {
    const grubs: Cause = { ...cause, options: [option('nothing', 'leave', { preferred: true }), option('pick', 'physical', { young: true })] };
    const at = (young: boolean | null) => decideOn(grubs, '2026-04-10', 0.9, { ...NOTHING_KNOWN, young });
    expect(at(true)).toMatchObject({ act: 'physical', option: 'pick', why: 'A young plant cannot carry what a grown one does: pick.' });
    expect([at(false).act, at(null).act]).toEqual(['leave', 'leave']);
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
  it('speaks of no later day where something gentle can be done now', () => {
    const now = {
      ...cause,
      options: [option('nothing', 'leave', { preferred: true }), option('Wash', 'physical'), option('Clip', 'physical', { window: 'april' })],
    };
    expect(decideOn(now, '2026-06-10')).toMatchObject({ act: 'leave', noteFor: null, why: 'It spreads.' });
  });
  it('leaves alone while it is the time for that, whatever is preferred, unless it is to be gone or the plant is one of the house', () => {
    const late = {
      ...cause,
      windows: [
        ...cause.windows,
        { id: 'late', name: 'late', mark: 'memory' as const, outdoors: true, calendar: { default: { from: '09-10', to: '11-30' } } },
      ],
      options: [option('pick', 'physical', { preferred: true }), option('season ends', 'leave', { window: 'late' })],
    };
    expect(decideOn(late, '2026-08-20')).toMatchObject({ act: 'physical' });
    expect(decideOn(late, '2026-09-20')).toMatchObject({ act: 'leave', option: 'season ends', why: 'season ends' });
    expect(decideOn(late, '2026-09-20', 0.9, { ...NOTHING_KNOWN, wish: 'wants-gone' })).toMatchObject({ act: 'physical' });
    const indoors = optionStandings(late, { ...on('2026-09-20'), indoors: true });
    expect(decide(late, sure(0.9), verdictsOf(late, indoors, NOTHING_KNOWN))).toMatchObject({ act: 'physical' });
  });
  it.each(['physical', 'culture', 'biological'] as const)('advises gentle work (%s) ahead of its time, with the day for it', (act) => {
    const autumn = { ...cause, options: [option('bands', act, { window: 'april', preferred: true }), option('rake', 'culture', { effect: 'fair' })] };
    const decision = decideOn(autumn, '2026-02-10');
    expect(decision).toMatchObject({ act, option: 'bands', noteFor: '2026-04-01' });
    expect(decision.why).toMatch(/Too early for that yet; note 1 April 2026 for: bands\. Until then: rake\./);
  });
  it('puts what hands can do well today before what is due next year', () => {
    const bags = {
      ...cause,
      options: [option('bacillus', 'biological', { window: 'april', preferred: true }), option('pick', 'physical', { effect: 'good' })],
    };
    expect(decideOn(bags, '2026-07-20')).toMatchObject({ act: 'physical', option: 'pick', noteFor: '2027-04-01' });
    const fair = { ...bags, options: [bags.options[0]!, option('pick', 'physical', { effect: 'fair' })] };
    expect(decideOn(fair, '2026-07-20')).toMatchObject({ act: 'biological', option: 'bacillus' });
  });
  it('refers when nothing on record explains it', () => expect(decide(null, sure(0.6), [])).toMatchObject({ act: 'refer', firm: true }));
  it('is not firm below even odds', () => {
    expect(decideOn(cause, '2026-04-10', 0.49).firm).toBe(false);
    expect(decideOn(cause, '2026-04-10', 0.5).firm).toBe(true);
  });
  it('is firm where the way it was put says it plainly, but never with what is hard to take back', () => {
    const harmless = { ...cause, options: [option('nothing', 'leave', { preferred: true })] };
    expect(decideOn(harmless, '2026-06-10', sure(0.7, 0.3))).toMatchObject({ act: 'leave', firm: true });
    expect(decideOn(harmless, '2026-06-10', sure(0.69, 0.49)).firm).toBe(false);
    expect(decideOn(cause, '2026-04-10', sure(0.99, 0.49))).toMatchObject({ act: 'contact', firm: false });
    expect(decideOn(cause, '2026-06-10', sure(0.99, 0.49))).toMatchObject({ act: 'physical', noteFor: '2027-04-01', firm: false });
  });
});

describe('is it worth doing?', () => {
  const insect: Cause = {
    ...cause,
    kind: 'insect',
    options: [
      option('nothing', 'leave'),
      option('jet', 'physical', { effect: 'fair' }),
      option('soap', 'contact', { preferred: true, leastToxic: true }),
      option('drench', 'systemic'),
    ],
  };
  const known = (some: Partial<Circumstances>) => settled(some, {});
  const decided = (some: Partial<Circumstances>) => decideOn(insect, '2026-04-10', 0.9, known(some));
  it('sprays when nothing is known against it', () => expect(decided({}).option).toBe('soap'));
  it.each<[string, Partial<Circumstances>, string]>([
    ['a pest that has left', { culprit: 'gone' }, 'the culprit has left'],
    ['a pest nobody has found', { culprit: 'not-found' }, 'no living one was found'],
    ['damage that has stopped', { damage: 'stopped' }, 'the damage has stopped'],
    ['a caller who will not spray', { wish: 'no-spray' }, 'the caller will not spray'],
    ['what spoils only the looks', { atStake: 'looks' }, 'only its looks are at stake'],
    ['the end of the season', { seasonLeft: 'little' }, 'the season is nearly over'],
    ['a plant in flower', { inBloom: true }, 'it would hit bees'],
    ['a tree nobody can reach', { heightM: 9 }, '9 m is out of reach'],
    ['a plant that carries it', { plantIs: 'strong' }, 'the plant carries it'],
    ['treating that costs more than a new plant', { costAYear: 30, costToReplace: 60 }, 'cost more than a new plant'],
  ])('not for %s: something gentle instead, and why', (_what, some, why) => {
    const decision = decided(some);
    expect(decision).toMatchObject({ act: 'physical', option: 'jet' });
    expect(decision.why).toContain(why);
  });
  it('still sprays a strong plant that has it every year, or whose owner wants it gone', () => {
    expect(decided({ plantIs: 'strong', recurs: 'every-year' }).option).toBe('soap');
    expect(decided({ plantIs: 'strong', wish: 'wants-gone' }).option).toBe('soap');
  });
  it('gives the least toxic where that is asked, and no systemic near water or on what is eaten', () => {
    expect(decided({ wish: 'least-toxic' }).option).toBe('soap');
    const verdicts = verdictsOf(insect, optionStandings(insect, on('2026-04-10')), known({ wish: 'least-toxic', nearWater: true, edible: true }));
    expect(verdicts.find((v) => v.option.id === 'drench')!.against).toHaveLength(3);
  });
  it('is overruled by the advisor with a word why, and says what it would have advised', () => {
    const verdicts = verdictsOf(insect, optionStandings(insect, on('2026-04-10')), NOTHING_KNOWN);
    const first = decide(insect, sure(0.9), verdicts);
    expect(overruled(first, verdicts, { option: 'jet', why: 'one twig only' })).toMatchObject({
      act: 'physical',
      option: 'jet',
      why: 'one twig only',
    });
    expect(overruled(first, verdicts, { option: null, why: 'she moves next week' })).toMatchObject({ act: 'leave', option: null });
  });
});

describe('options for certain hosts', () => {
  const [oak, bean] = smallEdition.plants;
  const mildew: Cause = {
    ...cause,
    options: [
      option('leave-oak', 'leave', { preferred: true, hosts: [{ genus: 'Quercus' }], how: 'A tree carries it.' }),
      option('pick', 'physical', { preferred: true }),
    ],
  };
  const decidedOn = (plant: typeof oak | null) => {
    const standings = optionStandings(mildew, on('2026-04-10'), plant);
    return { ...decide(mildew, sure(0.9), verdictsOf(mildew, standings, NOTHING_KNOWN)), rung: actOf(mildew, standings) };
  };
  it('go before what is preferred everywhere, and speak for themselves', () =>
    expect(decidedOn(oak)).toMatchObject({ act: 'leave', option: 'leave-oak', why: 'A tree carries it.', rung: 'leave' }));
  it('are not there on other plants, nor while nobody has named the plant', () => {
    expect(decidedOn(bean)).toMatchObject({ act: 'physical', why: 'It spreads.', rung: 'physical' });
    expect(decidedOn(null)).toMatchObject({ act: 'physical' });
    expect(optionsOn(mildew, bean!).map(({ id }) => id)).toEqual(['pick']);
  });
  it('stand in place of the same work as it is done everywhere', () => {
    const twice = { ...mildew, options: [...mildew.options, option('leave', 'leave', { title: 'leave-oak' })] };
    expect(optionsOn(twice, oak!).map(({ id }) => id)).toEqual(['leave-oak', 'pick']);
    expect(optionsOn(twice, bean!).map(({ id }) => id)).toEqual(['pick', 'leave']);
  });
  it('carry the cautions this plant wants, and all of them while nobody has named the plant', () => {
    const cutOut = option('cut', 'physical', {
      cautions: ['Clean the blade.'],
      cautionsOn: { hosts: [{ genus: 'Quercus' }], say: ['From the ground only.'] },
    });
    const cautionsOn = (plant: typeof oak | null) => optionsOn({ ...cause, options: [cutOut] }, plant ?? null).map(({ cautions }) => cautions);
    expect(cautionsOn(oak)).toEqual([['Clean the blade.', 'From the ground only.']]);
    expect(cautionsOn(bean)).toEqual([['Clean the blade.']]);
    expect(cautionsOn(null)).toEqual([['Clean the blade.', 'From the ground only.']]);
  });
  it('leave the first there is where nothing is preferred', () => {
    expect(preferredAmong([option('a', 'leave'), option('b', 'leave')], (o) => o)?.id).toBe('a');
    expect(preferredAmong([], (o: TreatmentOption) => o)).toBeUndefined();
  });
  it('stay when a desk follows a view everywhere', () => {
    const school: School = { id: 's', question: '?', views: [{ say: 'Pick', because: '', options: ['pick'] }], ours: '', mark: 'memory' };
    const disputed = { ...mildew, options: mildew.options.map((o) => (o.id === 'pick' ? { ...o, school: 's' } : o)) };
    const here = withHouseLines(disputed, [school], { s: 0 });
    expect(here.options.filter((o) => o.preferred).map(({ id }) => id)).toEqual(['leave-oak', 'pick']);
  });
});

describe('house lines', () => {
  const school: School = {
    id: 'mildew',
    question: 'What against it?',
    views: [
      { say: 'Milk', because: 'gentle', options: ['milk'] },
      { say: 'Sulphur', because: 'sure', options: ['sulphur'] },
    ],
    ours: 'Milk.',
    mark: 'common-practice',
  };
  const disputed: Cause = {
    ...cause,
    options: [option('milk', 'contact', { preferred: true, school: 'mildew' }), option('sulphur', 'contact', { school: 'mildew' })],
  };
  it('put the options of the view first and mark the others', () => {
    const sulphurDesk = withHouseLines(disputed, [school], { mildew: 1 });
    const decision = decideOn(sulphurDesk, '2026-04-10');
    expect(decision.option).toBe('sulphur');
    const verdicts = verdictsOf(sulphurDesk, optionStandings(sulphurDesk, on('2026-04-10')), NOTHING_KNOWN);
    expect(verdicts.find((v) => v.option.id === 'milk')!.against).toEqual(['this desk follows another line: sulphur']);
  });
  it('leave a cause alone that has no side to take', () => expect(withHouseLines(cause, [school], { mildew: 1 })).toBe(cause));
});
