import { describe, expect, it } from '@jest/globals';
import type { RateWord } from '../edition/causes.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { hostWeight, strayWeight } from '../edition/hosts.ts';
import { answerDistribution, modelForSituation, priorWeight, UNLISTED_PRIOR } from './model.ts';

const [oak, bean] = smallEdition.plants;
const [mildew, beetle, cold] = smallEdition.causes;
const at = (month: number | null, hemisphere: 'N' | 'S' = 'N') => ({ plant: oak!, month, climate: null, hemisphere, setting: 'phone' }) as const;

describe('hosts', () => {
  it('excludes a cause from a plant it cannot strike', () => {
    expect(hostWeight(beetle!, oak!)).toBe(0);
    expect(hostWeight(beetle!, bean!)).toBe(1);
  });
  it('lets a narrower selector override a wider one, and an exclusion as narrow end it', () => {
    const picky = {
      ...mildew!,
      hosts: {
        include: [
          { any: true as const, weight: 1 },
          { genus: 'Quercus', weight: 3 },
        ],
        exclude: [{ any: true as const }],
      },
    };
    expect(hostWeight(picky, oak!)).toBe(3);
    expect(hostWeight(picky, bean!)).toBe(0);
  });
  it('takes the heavier of two as narrow, in whatever order', () => {
    const include = [
      { group: 'tree', weight: 0.3 },
      { group: 'hedge', weight: 0.8 },
    ];
    const both = { ...oak!, groups: ['tree', 'hedge'] };
    for (const order of [include, [...include].reverse()]) expect(hostWeight({ hosts: { include: order, exclude: [] } }, both)).toBe(0.8);
  });
  it('keeps a narrow cause possible but unlikely while the plant is unknown', () => {
    expect(hostWeight(beetle!, null)).toBeGreaterThan(0);
    expect(hostWeight(beetle!, null)).toBeLessThan(hostWeight(mildew!, null));
  });
});

describe('hosts nobody wrote down', () => {
  const families = ['Rosaceae', 'Poaceae', 'Lamiaceae', 'Apiaceae', 'Malvaceae', 'Rutaceae', 'Vitaceae', 'Solanaceae', 'Liliaceae'];
  const rotOn = (count: number, exclude: (typeof beetle & object)['hosts']['exclude'] = []) => {
    const rot = { ...beetle!, id: 'rot', hosts: { include: families.slice(0, count).map((family) => ({ family, weight: 1 })), exclude } };
    const plants = families.map((family) => ({ ...bean!, id: family.toLowerCase(), genus: family, family }));
    const edition = { ...smallEdition, plants: [...smallEdition.plants, ...plants], causes: [rot] };
    return { rot, edition };
  };
  it('lets a cause at home on nine families take another now and then, one of eight never', () => {
    const nine = rotOn(9);
    expect(strayWeight(nine.rot, oak!, nine.edition)).toBeGreaterThan(0);
    expect(strayWeight(nine.rot, oak!, nine.edition)).toBeLessThan(0.2);
    expect(modelForSituation(nine.edition, at(5)).causes).toContain('rot');
    const eight = rotOn(8);
    expect(strayWeight(eight.rot, oak!, eight.edition)).toBe(0);
  });
  it('keeps it off excluded plants, off turf, and says nothing of a plant not yet named', () => {
    const { rot, edition } = rotOn(9, [{ genus: 'Quercus' }]);
    expect(strayWeight(rot, oak!, edition)).toBe(0);
    expect(strayWeight(rot, { ...bean!, groups: ['turf'] }, edition)).toBe(0);
    expect(strayWeight(rot, bean!, edition)).toBeGreaterThan(0);
    expect(strayWeight(rot, null, edition)).toBe(0);
  });
  it('keeps what befalls one kind of plant to that kind, of however many families', () => {
    const { rot, edition } = rotOn(9);
    const ofOneKind = { ...rot, hosts: { include: [{ group: 'succulent', weight: 1 }], exclude: [] } };
    const plants = edition.plants.map((plant) => (plant.id === oak!.id ? plant : { ...plant, groups: ['succulent'] }));
    expect(strayWeight(ofOneKind, oak!, { ...edition, plants, causes: [ofOneKind] })).toBe(0);
  });
  it('never lets a normal state of many plants stray to one that has no such thing', () => {
    const { rot, edition } = rotOn(9);
    const bloom = { ...rot, kind: 'normal' as const };
    expect(strayWeight(bloom, oak!, { ...edition, causes: [bloom] })).toBe(0);
  });
});

describe('prior', () => {
  it('lowers a cause out of season and turns the year round in the south', () => {
    expect(priorWeight(cold!, at(5))).toBeGreaterThan(priorWeight(cold!, at(6)));
    expect(priorWeight(cold!, at(6))).toBeGreaterThan(priorWeight(cold!, at(9)));
    expect(priorWeight(cold!, at(11, 'S'))).toBeCloseTo(priorWeight(cold!, at(5)));
  });
  it('knows no season in the tropical highlands', () => {
    expect(priorWeight(cold!, { ...at(9), climate: 'tropical-highland' })).toBe(priorWeight(cold!, { ...at(5), climate: 'tropical-highland' }));
  });
  it('gives the unlisted its own share and makes all of it sum to one', () => {
    const model = modelForSituation(smallEdition, at(5));
    const prior = model.logPrior.map(Math.exp);
    expect(prior.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    expect(prior.at(-1)).toBeCloseTo(UNLISTED_PRIOR, 12);
    expect(model.causes.at(-1)).toBe('unlisted');
    expect(model.causes).not.toContain('beetle');
  });
  it('is all unlisted when nothing known can strike the plant', () => {
    const model = modelForSituation({ ...smallEdition, causes: [beetle!] }, at(5));
    expect(model.causes).toEqual(['unlisted']);
    expect(model.logPrior[0]).toBeCloseTo(0, 12);
  });
});

describe('answer distribution', () => {
  const coating = smallEdition.findings[0]!;
  it('gives a mentioned answer its number and shares the rest by background', () => {
    const p = answerDistribution(coating, { white: 'always' });
    expect(p[1]).toBeCloseTo(0.97, 9);
    expect(p[0]! / p[2]!).toBeCloseTo(0.9 / 0.02, 9);
  });
  it('sums to one for every mixture of words', () => {
    const mixtures: Record<string, RateWord>[] = [
      { white: 'often', black: 'often' },
      { white: 'always', black: 'always', none: 'always' },
      { white: 'never' },
      {},
    ];
    for (const words of mixtures) expect(answerDistribution(coating, words).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
  });
});
