import { describe, expect, it } from '@jest/globals';
import { drawLeaf, type DrawnLeaf, type DrawnSpot } from '../testing/drawnLeaf.ts';
import { generator } from '../numbers/random.ts';
import { COLOUR_CLASSES, type ColourClass } from './classes.ts';
import type { Rgb } from './colour.ts';
import { insideCircle, insideOutline } from './mask.ts';
import { findSpots, measureLeaf, severityClass } from './measure.ts';
import { coinFrom, mmPerPixel, woundShare } from './scale.ts';
import { meanAffected, meanSaid, percentSaid, photoSays } from './says.ts';
import { NO_LEAF, segment, type SegmentOptions } from './segment.ts';

const BROWN: Rgb = [118, 78, 44];
const YELLOW: Rgb = [214, 202, 84];
const BLACK: Rgb = [40, 32, 30];
const RUST: Rgb = [196, 104, 38];
const POWDER: Rgb = [206, 211, 204];
const GREENS: Record<string, Rgb> = { mid: [76, 124, 54], dark: [38, 70, 34], light: [142, 178, 92], grey: [96, 126, 98] };

/** Spots that keep clear of each other and of the edge, so that they can be counted. */
function spotsOf(count: number, radius: [number, number], colour: Rgb, seed: number): DrawnSpot[] {
  const random = generator(seed);
  const spots: DrawnSpot[] = [];
  while (spots.length < count) {
    const spot = { x: 40 + 220 * random(), y: 40 + 120 * random(), radius: radius[0] + (radius[1] - radius[0]) * random(), colour };
    const inside = ((spot.x - 150) / (120 - spot.radius)) ** 2 + ((spot.y - 100) / (75 - spot.radius)) ** 2 < 0.94;
    if (inside && spots.every((other) => Math.hypot(other.x - spot.x, other.y - spot.y) > other.radius + spot.radius + 4)) spots.push(spot);
  }
  return spots;
}
const leaf = (colour: Rgb = GREENS['mid']!, spots: DrawnSpot[] = [], extra: Partial<DrawnLeaf> = {}): DrawnLeaf => ({
  width: 300,
  height: 200,
  background: [243, 242, 238],
  leaf: { cx: 150, cy: 100, rx: 120, ry: 75, colour },
  spots,
  ...extra,
});
const OPTIONS: SegmentOptions = { classes: COLOUR_CLASSES, keep: [], leaveOut: [], coin: null };
const measure = (drawn: DrawnLeaf, options: Partial<SegmentOptions> = {}) => {
  const { picture, affected } = drawLeaf(drawn);
  const merged = { ...OPTIONS, ...options };
  const cut = segment(picture, merged);
  return { ...measureLeaf(cut, merged.classes), spots: findSpots(cut, merged.classes), background: cut.background, truth: affected };
};
/** Points of per cent between what was measured and what is true. */
const error = ({ affected, truth }: { affected: number | null; truth: number }) => Math.abs((affected ?? 9) - truth) * 100;
const withWhite: ColourClass[] = COLOUR_CLASSES.map((one) => ({ ...one, on: one.id === 'white' || (one.on && one.id !== 'glare') }));

describe('share of a leaf, on drawn leaves of known area', () => {
  const inks = { brown: BROWN, yellow: YELLOW, black: BLACK, rust: RUST };
  for (const [green, colour] of Object.entries(GREENS))
    it.each(Object.entries(inks))(`%s spots on a ${green} leaf: within 2 points`, (_ink, ink) =>
      expect(error(measure(leaf(colour, spotsOf(14, [5, 13], ink, 7))))).toBeLessThan(2),
    );
  it.each([0, 1, 24])('%d spots: within 2 points', (count) =>
    expect(error(measure(leaf(GREENS['mid'], spotsOf(count, [5, 13], BROWN, count + 3))))).toBeLessThan(2),
  );
  it('half a leaf yellow', () => {
    const half = measure(leaf(GREENS['mid'], [{ x: 270, y: 100, radius: 121, colour: YELLOW }]));
    expect(half.truth).toBeGreaterThan(0.4);
    expect(error(half)).toBeLessThan(2);
  });
  it('white coating, once it is asked for', () => {
    const coated = leaf(GREENS['mid'], spotsOf(12, [7, 13], POWDER, 5));
    expect(error(measure(coated, { classes: withWhite }))).toBeLessThan(2);
    expect(measure(coated).shares['glare']).toBeGreaterThan(0.05);
  });
  it('names the class of each spot', () => {
    const { shares, truth } = measure(leaf(GREENS['mid'], spotsOf(10, [6, 12], RUST, 2)));
    expect(shares['orange']).toBeGreaterThan(0.8 * truth);
  });
  it('grey or blue paper as background; on black paper the rim of the leaf reads a little dark', () => {
    const spots = spotsOf(9, [6, 12], BROWN, 4);
    const on = (background: Rgb) => error(measure(leaf(GREENS['mid'], spots, { background })));
    expect(on([150, 150, 152])).toBeLessThan(2);
    expect(on([60, 90, 150])).toBeLessThan(2);
    expect(on([22, 22, 24])).toBeLessThan(3);
  });
});

describe('hard pictures', () => {
  const spotted = (extra: Partial<DrawnLeaf>) => measure(leaf(GREENS['mid'], spotsOf(10, [6, 12], BROWN, 7), extra));
  it('half in shade, with the edge of the shade across leaf and paper', () => {
    for (const depth of [0.5, 0.25]) {
      const shade = (x: number) => (x > 140 ? depth : 1);
      expect(error(spotted({ light: (x) => [shade(x), shade(x), shade(x)] }))).toBeLessThan(2);
    }
  });
  it('light that falls off from one corner to the other', () =>
    expect(error(spotted({ light: (x, y) => [1, 1, 1].map((c) => c * (1 - 0.0016 * x - 0.0012 * y)) as [number, number, number] }))).toBeLessThan(2));
  it('under a warm lamp and in blue shade, with white paper to tell the light by', () => {
    expect(error(spotted({ light: () => [1, 0.82, 0.55] }))).toBeLessThan(2);
    expect(error(spotted({ light: () => [0.6, 0.72, 0.9] }))).toBeLessThan(2);
  });
  it('glare is left out and said', () => {
    const shiny = spotted({ glare: (x, y) => (((x - 110) / 34) ** 2 + ((y - 80) / 14) ** 2 < 1 ? 0.92 : 0) });
    expect(shiny.leftOut).toBeGreaterThan(0.03);
    expect(error(shiny)).toBeLessThan(2);
  });
  it('glare with a soft edge', () => {
    const soft = spotted({ glare: (x, y) => 0.95 * Math.exp(-(((x - 190) / 26) ** 2 + ((y - 110) / 16) ** 2)) });
    expect(error(soft)).toBeLessThan(3);
  });
  it('a grainy picture', () => expect(error(spotted({ noise: 16 }))).toBeLessThan(2));
  it('a background of many colours is not taken for plain; an outline drawn round the leaf settles it', () => {
    const motley = {
      ...leaf(GREENS['mid'], spotsOf(10, [6, 12], BROWN, 7)),
      light: (x: number, y: number) => {
        const on = ((x - 150) / 120) ** 2 + ((y - 100) / 75) ** 2 <= 1;
        return on
          ? ([1, 1, 1] as const)
          : (
              [
                [1, 0.2, 0.1],
                [0.1, 0.3, 1],
                [0.2, 0.8, 0.1],
              ] as const
            )[(Math.floor(x / 9) + Math.floor(y / 9)) % 3]!;
      },
    };
    expect(measure(motley).background).toBe('unclear');
    const outline = Array.from({ length: 72 }, (_, i) => ({
      x: 150 + 119 * Math.cos((i * Math.PI) / 36),
      y: 100 + 74 * Math.sin((i * Math.PI) / 36),
    }));
    const drawn = measure(motley, { keep: [outline] });
    expect(drawn.background).toBe('drawn');
    expect(error(drawn)).toBeLessThan(2);
  });
});

describe('classes that are set by hand', () => {
  it('a colour taken from the picture makes a strange leaf readable', () => {
    const copper: Rgb = [128, 62, 66];
    const spots = spotsOf(8, [7, 12], [226, 190, 150], 9);
    const strange = leaf(copper, spots);
    expect(error(measure(strange))).toBeGreaterThan(20);
    const taught = COLOUR_CLASSES.map((one) => (one.id === 'green' ? { ...one, colours: [...one.colours, copper] } : one));
    expect(error(measure(strange, { classes: taught }))).toBeLessThan(2);
  });
  it('one that reaches further takes in at least as much', () => {
    const faded = leaf(GREENS['light'], spotsOf(10, [8, 13], [182, 190, 88], 3));
    const yellowAt = (reach: number) =>
      measure(faded, { classes: COLOUR_CLASSES.map((one) => (one.id === 'yellow' ? { ...one, reach } : one)) }).shares['yellow'] ?? 0;
    expect(yellowAt(1.5)).toBeGreaterThanOrEqual(yellowAt(1));
    expect(yellowAt(1)).toBeGreaterThanOrEqual(yellowAt(0.6));
  });
  it('one that is off reads nothing', () => {
    const off = COLOUR_CLASSES.map((one) => ({ ...one, on: one.id === 'green' }));
    expect(measure(leaf(GREENS['mid'], spotsOf(6, [8, 12], BROWN, 1)), { classes: off }).affected).toBe(0);
  });
  it('none on, and no picture, are refused', () => {
    const { picture } = drawLeaf(leaf());
    expect(() => segment(picture, { ...OPTIONS, classes: COLOUR_CLASSES.map((one) => ({ ...one, on: false })) })).toThrow('at least one');
    expect(() => segment({ width: 0, height: 0, data: new Uint8ClampedArray() }, OPTIONS)).toThrow('nothing to measure');
  });
});

describe('spots', () => {
  it.each([1, 5, 17])('%d are counted, and their size is right to a pixel', (count) => {
    const spots = spotsOf(count, [5, 12], BROWN, count);
    const { spots: found } = measure(leaf(GREENS['mid'], spots));
    expect(found.count).toBe(count);
    const true_ = spots.map(({ radius }) => 2 * radius).sort((a, b) => b - a);
    found.acrossPx.forEach((across, i) => expect(Math.abs(across - true_[i]!)).toBeLessThan(1.2));
  });
  it('are none on a sound leaf, and specks of noise are none', () => expect(measure(leaf(GREENS['mid'], [], { noise: 10 })).spots.count).toBe(0));
  it('a coin is no leaf', () => {
    const coin: DrawnSpot = { x: 90, y: 100, radius: 22, colour: [150, 105, 70] };
    const picture = leaf(GREENS['mid'], [coin, { x: 200, y: 100, radius: 10, colour: BROWN }]);
    const without = measure(picture, {
      coin: coinFrom([
        { x: 67, y: 100 },
        { x: 113, y: 100 },
      ]),
    });
    expect(without.spots.count).toBe(1);
  });
});

describe('size', () => {
  const at = (x: number, y = 0) => ({ x, y });
  it('comes from two ends a known length apart', () => expect(mmPerPixel([at(10), at(210)], 50)).toBeCloseTo(0.25));
  it('is refused from ends too close, or a length of nothing', () => {
    expect(() => mmPerPixel([at(0), at(5)], 20)).toThrow('too close');
    expect(() => mmPerPixel([at(0), at(50)], 0)).toThrow('more than nothing');
  });
  it('a wound seen as a chord is more of the girth than its width alone', () => {
    // half the diameter as a chord spans sixty degrees: a sixth of the girth
    expect(woundShare([at(0), at(50)], [at(0), at(100)])).toBeCloseTo(1 / 6);
    expect(woundShare([at(0), at(100)], [at(0), at(100)])).toBeCloseTo(1 / 2);
    expect(() => woundShare([at(0), at(101)], [at(0), at(100)])).toThrow('wider than the trunk');
    expect(() => woundShare([at(0), at(0)], [at(0), at(0)])).toThrow('no width');
  });
});

describe('outlines', () => {
  it('hold the area of a square and of a ring', () => {
    const square = [
      { x: 10, y: 10 },
      { x: 30, y: 10 },
      { x: 30, y: 30 },
      { x: 10, y: 30 },
    ];
    expect(insideOutline(square, 50, 50).reduce((a, b) => a + b, 0)).toBe(400);
    expect(insideOutline(square.slice(0, 2), 50, 50).reduce((a, b) => a + b, 0)).toBe(0);
    expect(insideCircle({ x: 25, y: 25 }, 20, 50, 50).reduce((a, b) => a + b, 0)).toBeCloseTo(Math.PI * 400, -1.3);
  });
  it('outside the picture do no harm', () => {
    const wide = [
      { x: -9, y: -9 },
      { x: 99, y: -9 },
      { x: 99, y: 99 },
      { x: -9, y: 99 },
    ];
    expect(insideOutline(wide, 10, 10).reduce((a, b) => a + b, 0)).toBe(100);
  });
  it('what is left out is no leaf', () => {
    const { picture } = drawLeaf(leaf());
    const all = [
      { x: 0, y: 0 },
      { x: 300, y: 0 },
      { x: 300, y: 200 },
      { x: 0, y: 200 },
    ];
    const cut = segment(picture, { ...OPTIONS, leaveOut: [all] });
    expect(cut.labels.every((label) => label === NO_LEAF)).toBe(true);
    expect(measureLeaf(cut, COLOUR_CLASSES).affected).toBeNull();
  });
});

// Horsfall & Barratt (1945): 0, 0–3, 3–6, 6–12, 12–25, 25–50, 50–75, 75–88, 88–94, 94–97, 97–100, 100
describe('severity class', () => {
  it.each([
    [0, 1, 0, 0],
    [0.001, 2, 0, 3],
    [0.03, 2, 0, 3],
    [0.031, 3, 3, 6],
    [0.12, 4, 6, 12],
    [0.2, 5, 12, 25],
    [0.5, 6, 25, 50],
    [0.51, 7, 50, 75],
    [0.88, 8, 75, 88],
    [0.9, 9, 88, 94],
    [0.96, 10, 94, 97],
    [0.99, 11, 97, 100],
    [1, 12, 100, 100],
  ])('%d is class %d, %d to %d %%', (affected, grade, from, to) =>
    expect(severityClass(affected)).toMatchObject({ grade, from: expect.closeTo(from, 3), to }),
  );
  it('refuses what is no share', () => expect(() => severityClass(1.2)).toThrow('0 to 1'));
});

describe('in words', () => {
  const found = (affected: number | null, extra: object = {}) => ({
    leaf: { leafPixels: 1000, affected, shares: { brown: affected ?? 0, dark: 0.001, glare: 0.03 }, leftOut: 0.03 },
    spots: { count: 3, acrossPx: [40, 20, 10] },
    mmPerPx: 0.25,
    wound: null,
    ...extra,
  });
  it('the share first, with its class; then colours, spots and what could not be judged', () =>
    expect(photoSays(found(0.18), COLOUR_CLASSES)).toEqual([
      '18 % of the leaf is affected',
      'Class 5 of 12 (12 to 25 %); brown 18 %',
      '3 spots: the largest 10 mm across, the middle one 5.0 mm',
      '3 % glares and is not counted',
    ]));
  it('no size without something of known size', () =>
    expect(photoSays(found(0.18, { mmPerPx: null }), COLOUR_CLASSES)[2]).toBe('3 spots; their size wants a coin or a ruler in the picture'));
  it('a sound leaf, and a picture without a leaf', () => {
    expect(photoSays(found(0), COLOUR_CLASSES)[0]).toBe('Nothing of the leaf is affected');
    expect(photoSays(found(null), COLOUR_CLASSES)).toEqual([]);
    expect(photoSays(found(null, { leaf: null, wound: 0.2 }), COLOUR_CLASSES)[0]).toMatch(/^The wound takes 20 % of the girth: /);
  });
  it.each([
    [0, 'none'],
    [0.0004, 'under 0.1 %'],
    [0.0123, '1.2 %'],
    [0.126, '13 %'],
  ])('%d is said as %s', (share, said) => expect(percentSaid(share)).toBe(said));
  it('the mean of several leaves counts each the same, and leaves out pictures without one', () => {
    expect(meanAffected([found(0.1).leaf, found(0.3).leaf, found(null).leaf, null])).toBeCloseTo(0.2);
    expect(meanAffected([null])).toBeNull();
    expect(meanSaid([found(0.1).leaf, found(0.3).leaf, null])).toBe('Mean of 2 leaves: 20 %');
    expect(meanSaid([found(0.1).leaf, null])).toBeNull();
  });
});
