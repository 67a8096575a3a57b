import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { SUMS, sumOf, workOut } from './all.ts';
import { hearSum } from './hearSum.ts';
import { gallonsAnAcre, stockNeeded } from './mixing.ts';
import { readNeighbours } from './plants.ts';
import { potLitres, SULPHUR_G_M2 } from './soil.ts';
import { readParts } from './soilMixes.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { sumsFor } from './suggest.ts';
import { SumFault, type Entered } from './sum.ts';
import { leachingShare, relativeYield, SALT_TOLERANCE, wettingMm } from './water.ts';
import { sodiumRatio } from './waterPlan.ts';

const work = (id: string, entered: Entered = {}) => workOut(sumOf(id)!, entered);
const lines = (id: string, entered: Entered = {}) => work(id, entered).lines.join(' | ');
const amount = (value: string, unit: string) => ({ value, unit }) as Entered[string];

describe('sums against worked examples and handbook figures', () => {
  it('leaching requirement 0.226 at ECw 1.2 and ECe 1.3 (Ayers & Westcot 1985, FAO-29)', () => expect(leachingShare(1.2, 1.3)).toBeCloseTo(0.226, 3));
  it('salt tolerance is a line broken at the threshold (Maas & Hoffman 1977)', () => {
    expect(relativeYield(2.5, SALT_TOLERANCE.tomato)).toBe(100);
    expect(relativeYield(3.5, SALT_TOLERANCE.tomato)).toBeCloseTo(90.1, 9);
    expect(relativeYield(40, SALT_TOLERANCE.bean)).toBe(0);
  });
  it('1/128 of an acre: ounces caught on 340 sq ft are gallons an acre', () => {
    // 43,560 ÷ 128 = 340.3: the rule of 340 is the identity rounded
    expect(gallonsAnAcre(20, 43_560 / 128)).toBeCloseTo(20, 12);
    expect(gallonsAnAcre(20, 340)).toBeCloseTo(20.02, 2);
  });
  it('1,000 sq ft × 1 in = 623 US gal; a 55 gal barrel under a quarter of that roof is full after about 0.35 in; it weighs 459 lb (practice.md)', () => {
    expect(lines('roof')).toContain('623 US gal');
    expect(lines('roof', { roof: amount('250', 'sqft') })).toContain('0.353 in');
    expect(lines('roof')).toContain('459 lb');
    expect(lines('roof')).toContain('9.81 kPa (1.42 psi)');
  });
  it('10 lb on 5,000 sq ft are 2.4 lb on 1,200 (practice.md)', () => expect(lines('granules')).toMatch(/^2\.4 lb \(1\.09 kg\)/));
  it('a 6-inch succulent pot in winter rest: 42 to 60 days (practice.md)', () => expect(lines('succulent')).toMatch(/^42 to 60 days/));
  it('a wound of 3 in on a trunk of 5 in takes 19 % of the girth by the arc', () => {
    expect(3 / (Math.PI * 5)).toBeCloseTo(0.19, 2);
    expect(lines('wound')).toMatch(/^19 % of the girth \| it will close over/);
  });
  it('a barrier stands 2 to 3 cm proud and the fungus takes a year a metre (practice.md)', () => {
    expect(lines('barrier')).toContain('2.88 m² of pond liner, standing 2 to 3 cm above');
    expect(lines('barrier')).toContain('3 years or more');
    expect(work('barrier', { depth: amount('30', 'cm') }).cautions.join(' ')).toContain('Shallower than 45 cm');
  });
  it('tells each neighbour its years, in metres or feet', () => {
    expect(lines('barrier', { others: 'rose 5, plum 8 m, 20 ft privet' })).toContain('then rose in 5, plum in 8, privet in 6.1 years');
    expect(readNeighbours('4')).toEqual([{ name: 'plant 2', m: 4 }]);
    expect(() => work('barrier', { others: 'rose, plum 8' })).toThrow('"rose" has no distance');
  });
  it('litres to depth is the way back from depth to litres', () => {
    // 20 mm on half-dry loam at 75 mm a metre wet 26.7 cm
    expect(lines('depth-reached')).toMatch(/^about 26\.7 cm .* deep \| enough for flowers/);
    for (const texture of ['sand', 'loam', 'clay'] as const) {
      const litres = wettingMm(texture, 60) * 2;
      expect(lines('depth-reached', { given: amount(String(litres), 'l'), texture })).toMatch(/^about 60 cm .* enough for a tree, a shrub, flowers/);
    }
    expect(lines('depth-reached', { given: amount('5', 'l') })).toContain('too shallow even for flowers');
  });
  it('depth targets by kind of plant: 60–90, 30–60, 15–30 cm (practice.md)', () => {
    expect(lines('water-depth')).toContain('60 to 90 cm');
    expect(lines('water-depth', { plant: 'shrub' })).toContain('30 to 60 cm');
    expect(lines('water-depth', { plant: 'flower' })).toContain('15 to 30 cm');
    expect(wettingMm('loam', 60)).toBeCloseTo(45, 9);
  });
  it('a peony needs 14 to 18 cold weeks, its eyes 2.5 to 5 cm of soil (practice.md)', () => {
    expect(lines('chill-weeks')).toBe('6 to 10 weeks more');
    expect(lines('planting-depth')).toMatch(/^too deep by 3 cm/);
    expect(lines('planting-depth', { soil: amount('1.5', 'in') })).toBe('just right');
  });
  it('chlorine is gone after 24 hours (practice.md)', () => expect(lines('dechlorinate', { hours: '20' })).toContain('4 hours more'));
  it('water by FAO-29 table 1: with care from EC 0.7, ratio 3, chloride 4 meq/l; harm above 3, 9, 10 (Ayers & Westcot 1985)', () => {
    const soft = { calcium: '60', magnesium: '12' };
    expect(lines('water-quality')).toMatch(/^good for garden plants \| not for bog plants/);
    expect(lines('water-quality', { ...soft, ec: '0.7' })).toContain('to be used with care: salt 0.7 dS/m');
    expect(lines('water-quality', { ...soft, ec: '3.1' })).toContain('it harms: salt 3.1 dS/m');
    // 4 meq/l of chloride are 141.8 mg/l
    expect(lines('water-quality', { chloride: '141' })).toContain('good for garden plants');
    expect(lines('water-quality', { chloride: '142' })).toContain('with care: chloride 4.01 meq/l');
    expect(lines('water-quality', { chloride: '360', ec: '1' })).toMatch(/it harms: chloride 10.2 meq\/l \| with care besides: salt 1 dS\/m/);
    expect(lines('water-quality', { ec: '0.02', sodium: '2', chloride: '3', calcium: '1', magnesium: '0' })).toContain('good for bog plants too');
  });
  it('sodium ratio: 10 meq/l of sodium on 2 of calcium and 2 of magnesium is 10 ÷ √2 (USDA Handbook 60)', () =>
    expect(sodiumRatio(229.9, 40.08, 24.3)).toBeCloseTo(10 / Math.SQRT2, 9));
  it('a cool-season lawn in mild humid weather uses 7 × 3 × 0.95 = 19.95 mm (FAO-56 tables 2 and 12)', () => {
    expect(lines('week-water', { rain: '0', area: amount('1', 'm2') })).toMatch(/^19\.9 litres/);
    expect(lines('week-water', { rain: '30' })).toMatch(/^the rain is enough/);
  });
  it('phosphate is 43.6 % phosphorus, potash 83.0 % potassium (atomic weights)', () => {
    expect(lines('fertiliser', { nutrient: 'p', wanted: '10' })).toContain('is 4.36 g a m² of phosphorus');
    expect(lines('fertiliser', { nutrient: 'k', wanted: '10' })).toContain('is 8.3 g a m² of potassium');
    expect(lines('fertiliser')).not.toContain('of phosphorus');
  });
  it('four emitters of 4 litres an hour give 40 litres in two and a half hours', () => expect(lines('emitters')).toMatch(/^2 h 30 min \| 16 litres/));
  it('walking 20 m in 30 s with a swath of 1 m at 600 ml a minute: 15 ml a m², and the rule of 340 agrees', () => {
    expect(lines('walk')).toMatch(/^15 ml a m² \(150 litres a hectare\) \| 5 litres do for 333 m²/);
    const flOz = 300 / 29.5735295625;
    expect(gallonsAnAcre(flOz, 20 / 0.09290304) * 9.353958).toBeCloseTo(150, 1);
  });
  it('a mix of 3, 2 and 1 fills 120 litres with 15 % more loose stuff, in whole bags', () => {
    expect(lines('soil-mix')).toBe(
      'compost: 69 litres (18.2 US gal), 2 bags | topsoil: 46 litres (12.2 US gal), 2 bags | sharp sand: 23 litres (6.08 US gal), 1 bag',
    );
    expect(readParts('half grit and 2 parts of leaf mould')).toEqual([
      { parts: 0.5, name: 'grit' },
      { parts: 2, name: 'leaf mould' },
    ]);
    expect(() => readParts('compost')).toThrow('two parts or more');
    expect(() => readParts('3 compost, 2')).toThrow('says of nothing');
    expect(() => readParts('3 compost, 0 sand')).toThrow('more than nothing');
  });
  it('5 t a ha of pure lime is 500 g a m²; a lime of 90 % wants a ninth more', () => {
    expect(lines('lime-lab', { value: '100' })).toContain('500 g a m², in 2 turns');
    expect(lines('lime-lab')).toContain('556 g a m², in 3 turns');
    expect(lines('lime-lab', { depth: amount('7.5', 'cm'), value: '100' })).toMatch(/250 g a m²$/);
    expect(() => work('lime-lab', { depth: amount('15', 'ft') })).toThrow('was another unit meant?');
  });
  it('half a per cent weight in volume is 5 g a litre; of a powder of 80 % it takes 6.25 g', () => {
    expect(lines('by-weight', { volume: amount('1', 'l') })).toMatch(/^6\.25 g .* of the product \| 5 g /);
    expect(lines('by-weight', { holds: '100', volume: amount('1', 'l') })).toMatch(/^5 g /);
  });
  it('a hose-end jar holds product and water in the share of wanted to drawn', () => {
    // 4 ml wanted, 16 ml drawn a litre: a quarter of the 320 ml that 20 litres draw
    expect(lines('hose-end')).toMatch(/^80 ml .* into the jar, and 240 ml /);
    expect(lines('hose-end', { product: amount('16', 'ml') })).toMatch(/^320 ml .* into the jar as it is/);
    expect(() => work('hose-end', { product: amount('20', 'ml') })).toThrow('the jar cannot be stronger than the product');
    // 2 tbsp a gallon by a dial of 2 tbsp a gallon: two gallons empty 4 tbsp, 2 US fl oz
    const us = {
      product: amount('2', 'tbsp-us'),
      per: amount('1', 'gal-us'),
      drawn: amount('2', 'tbsp-us'),
      drawnPer: amount('1', 'gal-us'),
      spray: amount('2', 'gal-us'),
    };
    expect(lines('hose-end', us)).toMatch(/^2 US fl oz/);
  });
  it('C₁V₁ = C₂V₂, and a weak product is never made strong', () => {
    expect(stockNeeded(50, 2, 5000)).toBeCloseTo(200, 9);
    expect(() => stockNeeded(2, 15, 5000)).toThrow('more of a weak product is not a strong one');
  });
  it('a cone cut off at the bottom is a cylinder when it is not cut', () =>
    expect(potLitres(20, 20, 10)).toBeCloseTo((Math.PI * 100 * 10) / 1000, 9));
  it('sulphur grows with clay, and is divided when it is much', () => {
    expect(SULPHUR_G_M2.sand).toBeLessThan(SULPHUR_G_M2.clay);
    expect(lines('soil-ph', { from: '7.8', to: '6.5', texture: 'clay', area: amount('4', 'm2') })).toContain('in 2 turns');
  });
  it('one pound of nitrogen on 1,000 square feet is 4.88 g a m²: more is said to burn', () => {
    expect(453.59237 / (1000 * 0.09290304)).toBeCloseTo(4.88, 2);
    expect(work('fertiliser', { wanted: '6' }).cautions[0]).toContain('more nitrogen than a lawn takes');
    expect(lines('fertiliser')).toMatch(/^2\.5 kg/);
  });
  it('degree-days of three days by the single sine', () =>
    expect(lines('degree-days', { base: '10', days: '12/20, 10/24' })).toMatch(/^13\.0 degree-days/));
  it('dry evening air means frost, moist air not', () => {
    expect(lines('frost', { temp: '5', humidity: '50' })).toContain('frost is likely');
    expect(lines('frost', { temp: '14', humidity: '80' })).toContain('no frost');
  });
});

describe('every sum', () => {
  it('works from what stands in its fields at first, and says its figures with their marks', () => {
    for (const sum of SUMS) {
      const result = workOut(sum, {});
      expect(result.lines.length).toBeGreaterThan(0);
      expect(result.steps.length).toBeGreaterThan(0);
      expect(result.reply).toMatch(/\.$/);
      for (const { what, mark } of result.figures)
        expect([what !== '', ['published', 'common-practice', 'memory'].includes(mark)]).toEqual([true, true]);
      expect([...result.lines, ...result.steps, result.reply].join(' ')).not.toMatch(/NaN|undefined|Infinity/);
    }
  });
  it('names the field of what cannot be', () => {
    for (const sum of SUMS)
      for (const field of sum.fields) {
        if (field.kind === 'choice') continue;
        for (const wrong of ['', 'lots', '-3']) {
          if (field.start === wrong) continue; // may be left empty
          if (field.id === 'days' || (wrong === '-3' && field.kind === 'number' && (field.least === undefined || field.least <= -3))) continue;
          let caught: unknown = null;
          try {
            workOut(sum, { [field.id]: field.kind === 'amount' ? { ...field.start, value: wrong } : wrong });
          } catch (error) {
            caught = error;
          }
          expect(caught).toBeInstanceOf(SumFault);
          expect((caught as SumFault).field).toBe(field.id);
        }
      }
  });
  it('gives finite answers for anything that passes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SUMS),
        fc.array(fc.double({ min: 0.01, max: 1000, noNaN: true }), { minLength: 5, maxLength: 5 }),
        (sum, numbers) => {
          const entered: Entered = {};
          sum.fields.forEach((field, i) => {
            const value = numbers[i % 5]!.toFixed(2);
            if (field.kind === 'amount') entered[field.id] = { ...field.start, value };
            else if (field.kind === 'number' && field.id !== 'days') entered[field.id] = value;
          });
          try {
            expect(workOut(sum, entered).lines.join(' ')).not.toMatch(/NaN|Infinity/);
          } catch (error) {
            expect(error).toBeInstanceOf(SumFault);
          }
        },
      ),
    );
  });
});

describe('typed as it was heard', () => {
  const hear = (line: string) => {
    const heard = hearSum(line);
    return heard && { sum: heard.sum.id, ...heard.entered };
  };
  it.each<[string, object]>([
    [
      '1200 sq ft at 10 lb per 5000',
      { sum: 'granules', area: { value: '1200', unit: 'sqft' }, rate: { value: '10', unit: 'lb' }, per: { value: '5000', unit: 'sqft' } },
    ],
    [
      '3 tbsp per gallon, 2 gal sprayer',
      { sum: 'dilution', product: { value: '3', unit: 'tbsp-us' }, per: { value: '1', unit: 'gal-us' }, water: { value: '2', unit: 'gal-us' } },
    ],
    [
      'wound 3 by 5 inches on a 5 inch maple',
      { sum: 'wound', width: { value: '3', unit: 'in' }, height: { value: '5', unit: 'in' }, trunk: { value: '5', unit: 'in' } },
    ],
    ['6 inch pot cactus winter', { sum: 'succulent', pot: { value: '6', unit: 'in' } }],
    ['1000 sq ft roof, 1 inch', { sum: 'roof', roof: { value: '1000', unit: 'sqft' }, rain: { value: '1', unit: 'in' } }],
    ['pH 7.8 to 6.5 clay 4 m2', { sum: 'soil-ph', from: '7.8', to: '6.5', texture: 'clay', area: { value: '4', unit: 'm2' } }],
    [
      '20 ml to a litre, I want 12 litres',
      { sum: 'dilution', product: { value: '20', unit: 'ml' }, per: { value: '1', unit: 'l' }, water: { value: '12', unit: 'l' } },
    ],
    ['mulch 6 m2 5 cm deep', { sum: 'layer', area: { value: '6', unit: 'm2' }, depth: { value: '5', unit: 'cm' } }],
    ['1:1 milk and water, 2 litres', { sum: 'parts', one: '1', other: '1', total: { value: '2', unit: 'l' } }],
    ['barrier 8 m long 45 cm deep', { sum: 'barrier', length: { value: '8', unit: 'm' }, depth: { value: '45', unit: 'cm' } }],
    [
      '1,200 square feet, 10 pounds per 5,000 square feet',
      { sum: 'granules', area: { value: '1200', unit: 'sqft' }, per: { value: '5000', unit: 'sqft' } },
    ],
    ['40 litres with 4 emitters of 2 l/h', { sum: 'emitters', wanted: { value: '40', unit: 'l' }, count: '4', each: '2' }],
    [
      'lawn 50 m2 this week, 6 mm of rain, hot',
      { sum: 'week-water', planting: 'cool-lawn', warmth: 'hot', rain: '6', area: { value: '50', unit: 'm2' } },
    ],
    ['3 compost, 2 topsoil, 1 grit to fill 200 litres', { sum: 'soil-mix', mix: '3 compost, 2 topsoil, 1 grit', total: { value: '200', unit: 'l' } }],
    ['10 m2 of plugs 30 cm apart', { sum: 'plugs', area: { value: '10', unit: 'm2' }, spacing: { value: '30', unit: 'cm' } }],
  ])('%s', (line, expected) => expect(hear(line)).toMatchObject(expected));
  it('asks which gallon and which ounce, and guesses neither in silence', () => {
    expect(hearSum('3 tbsp per gallon, 2 gal sprayer')!.doubts).toEqual([
      { field: 'per', heard: 'gallon', options: ['gal-us', 'gal-imp'] },
      { field: 'water', heard: 'gal', options: ['gal-us', 'gal-imp'] },
    ]);
    expect(hearSum('20 ml to a litre, 5 litres')!.doubts).toEqual([]);
  });
  it('the heard line gives the practice figures when it is worked out', () => {
    const granules = hearSum('1200 sq ft at 10 lb per 5000')!;
    expect(workOut(granules.sum, granules.entered).lines[0]).toBe('2.4 lb (1.09 kg)');
    const cactus = hearSum('6 inch pot cactus winter')!;
    expect(workOut(cactus.sum, cactus.entered).lines[0]).toBe('42 to 60 days between waterings');
  });
  it('means nothing by talk without figures', () => {
    expect(hearSum('my roses look sad')).toBeNull();
    expect(hearSum('it is about 5')).toBeNull();
  });
});

describe('the natural next sum', () => {
  const cause = (id: string) => ({ ...smallEdition.causes[0]!, id });
  it('comes from the cause in the lead, and from the plant', () => {
    expect(sumsFor(cause('honey-fungus'), null).map(({ id }) => id)).toEqual(['barrier']);
    expect(sumsFor(cause('mower-wound'), null).map(({ id }) => id)).toEqual(['wound']);
    expect(sumsFor(cause('mildew'), { ...smallEdition.plants[0]!, groups: ['succulent'] }).map(({ id }) => id)).toEqual(['succulent']);
    expect(sumsFor(null, null)).toEqual([]);
  });
});
