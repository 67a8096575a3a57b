import { sayAmount } from '../quantities/units.ts';
import { bothLengths, bothVolumes, round3, said, SumFault, type SumDefinition } from './sum.ts';

/** What to expect by the share of girth lost (memory: arborists' working classes). */
const OUTLOOK: readonly { below: number; say: string }[] = [
  { below: 0.25, say: 'it will close over; the tree carries it' },
  { below: 0.5, say: 'it will live, weakened for years; watch it' },
  { below: 0.75, say: 'doubtful; a young tree is better replaced' },
  { below: Infinity, say: 'as good as girdled: replace it' },
];

/** What becomes of a trunk that has lost this share of its girth, 0..1. */
export const outlookOf = (share: number): string => OUTLOOK.find(({ below }) => share < below)!.say;

const wound: SumDefinition = {
  id: 'wound',
  name: 'Wound to girth',
  group: 'plants',
  asks: 'Will it live with this wound?',
  fields: [
    { id: 'width', label: 'wound across', kind: 'amount', dimension: 'length', start: { value: '3', unit: 'in' } },
    { id: 'height', label: 'wound high', kind: 'amount', dimension: 'length', start: { value: '5', unit: 'in' } },
    { id: 'trunk', label: 'trunk across', kind: 'amount', dimension: 'length', start: { value: '5', unit: 'in' } },
  ],
  work(v) {
    const [width, high, trunk] = [v.amount('width'), v.amount('height'), v.amount('trunk')];
    // a width taken with a tape lies along the bark: it is the arc itself
    const share = width / (Math.PI * trunk);
    if (share > 1)
      throw new SumFault('width', `a wound ${sayAmount(v.written('width'))} wide goes more than round a trunk of ${sayAmount(v.written('trunk'))}`);
    const outlook = outlookOf(share);
    return {
      lines: [`${Math.round(share * 100)} % of the girth`, outlook],
      steps: [
        `${sayAmount(v.written('width'))} ÷ (π × ${sayAmount(v.written('trunk'))})`,
        `${said(bothLengths(high), v.unit('height'))} high: that hardly matters, sap goes up and down beside it`,
      ],
      figures: [{ what: 'outlook by share of girth: a quarter, a half, three quarters', mark: 'memory' }],
      cautions: ['No wound paint. Trim loose bark to sound, water in drought, mulch clear of the trunk, watch for borers.'],
      reply: `The wound takes ${Math.round(share * 100)} % of the trunk’s girth: ${outlook}.`,
    };
  },
};

/** Neighbours with how far off they stand: "rose 5, plum 8 m". @throws SumFault naming the one that has no distance */
export function readNeighbours(text: string): { name: string; m: number }[] {
  return text
    .split(/[,;]/)
    .filter((piece) => piece.trim() !== '')
    .map((piece, i) => {
      const [, before = '', number = '', unit = '', after = ''] = /^(.*?)(\d+(?:\.\d+)?)\s*(m|ft|feet)?\b(.*)$/i.exec(piece) ?? [];
      const far = Number(number) * (/^f/i.test(unit) ? 0.3048 : 1);
      if (!(far > 0)) throw new SumFault('others', `"${piece.trim()}" has no distance: a name and metres are wanted, rose 5`);
      return { name: `${before}${after}`.trim() || `plant ${i + 2}`, m: far };
    });
}

const barrier: SumDefinition = {
  id: 'barrier',
  name: 'Root barrier',
  group: 'plants',
  asks: 'How much liner, how much digging, and how long have the neighbours?',
  fields: [
    { id: 'length', label: 'length', kind: 'amount', dimension: 'length', start: { value: '6', unit: 'm' } },
    { id: 'depth', label: 'depth', kind: 'amount', dimension: 'length', start: { value: '45', unit: 'cm' } },
    { id: 'trench', label: 'trench wide', kind: 'amount', dimension: 'length', start: { value: '20', unit: 'cm' } },
    { id: 'next', label: 'next plant away', kind: 'amount', dimension: 'length', start: { value: '3', unit: 'm' } },
    { id: 'others', label: 'further plants: rose 5, plum 8 m', kind: 'number', start: '' },
  ],
  work(v) {
    const depthCm = v.amount('depth');
    const linerM2 = (v.amount('length') * (depthCm + 3)) / 10_000;
    const spoil = v.amount('length') * depthCm * v.amount('trench');
    const years = v.amount('next') / 100;
    const others = readNeighbours(v.text('others'));
    return {
      lines: [
        `${round3(linerM2)} m² of pond liner, standing 2 to 3 cm above the soil`,
        `${said(bothVolumes(spoil), v.unit('length'))} to dig out`,
        `it may reach the next plant in ${round3(years)} years or more`,
        ...(others.length > 0 ? [`then ${others.map(({ name, m }) => `${name} in ${round3(m)}`).join(', ')} years`] : []),
      ],
      steps: [
        `${sayAmount(v.written('length'))} × (${sayAmount(v.written('depth'))} + 3 cm)`,
        `${said(bothLengths(v.amount('next')), v.unit('next'))} at 1 m a year at most`,
      ],
      figures: [
        { what: 'pond liner 45 cm deep standing 2 to 3 cm above the ground', mark: 'common-practice' },
        { what: 'rhizomorphs advance up to 1 m a year', mark: 'common-practice' },
      ],
      cautions: [...(depthCm < 45 ? ['Shallower than 45 cm it is grown under.'] : []), 'Ask where pipes and cables lie before digging.'],
      reply: `A barrier needs ${round3(linerM2)} m² of liner, ${sayAmount(v.written('depth'))} deep and 2 to 3 cm above the soil; without it the fungus may reach the next plant in ${round3(years)} years.`,
    };
  },
};

const shade: SumDefinition = {
  id: 'shade',
  name: 'Shade cloth',
  group: 'plants',
  asks: 'Which cloth for how much light?',
  fields: [
    { id: 'now', label: 'sun now', kind: 'number', start: '9', unit: 'hours', least: 0.5, most: 18 },
    { id: 'wanted', label: 'it likes', kind: 'number', start: '6', unit: 'hours', least: 0.5, most: 18 },
  ],
  work(v) {
    const percentCloth = Math.max(0, 1 - v.number('wanted') / v.number('now')) * 100;
    const sold = [20, 30, 40, 50].find((p) => p >= percentCloth - 2.5) ?? 50;
    return {
      lines: percentCloth === 0 ? ['no cloth is needed'] : [`cloth of ${sold} %`],
      steps: [`1 − ${v.number('wanted')} ÷ ${v.number('now')} = ${round3(percentCloth)} %`],
      figures: [{ what: 'shade cloth of 20 to 50 %, not touching the plant', mark: 'common-practice' }],
      cautions: [...(percentCloth > 52 ? ['More than half: move it rather.'] : []), 'Over the hottest hours, on a frame, not on the leaves.'],
      reply: percentCloth === 0 ? 'It needs no shade cloth.' : `A cloth of ${sold} % on a frame over the hottest hours will do.`,
    };
  },
};

const plugs: SumDefinition = {
  id: 'plugs',
  name: 'Plugs and spacing',
  group: 'plants',
  asks: 'How many plants, and when do they meet?',
  fields: [
    { id: 'area', label: 'area', kind: 'amount', dimension: 'area', start: { value: '10', unit: 'm2' } },
    { id: 'spacing', label: 'apart', kind: 'amount', dimension: 'length', start: { value: '30', unit: 'cm' } },
    { id: 'spread', label: 'each spreads in a week of growth', kind: 'amount', dimension: 'length', start: { value: '2', unit: 'cm' } },
  ],
  work(v) {
    const m = v.amount('spacing') / 100;
    const count = Math.ceil(v.amount('area') / m ** 2);
    const weeks = v.amount('spacing') / 2 / v.amount('spread');
    return {
      lines: [`${count} plugs`, `they meet after about ${Math.round(weeks)} weeks of growth`],
      steps: [`${sayAmount(v.written('area'))} ÷ (${sayAmount(v.written('spacing'))})²`, 'each has half the gap to grow'],
      figures: [{ what: 'plugs 6 to 12 in (15 to 30 cm) apart; a warm-season grass stands still in a cool summer', mark: 'common-practice' }],
      cautions: [],
      reply: `You need ${count} plugs; in warm weather they meet after about ${Math.round(weeks)} weeks.`,
    };
  },
};

/** How deep things belong, cm of soil above (peony and flare: common practice; the rest memory). */
export const PLANTING_DEPTH = {
  peony: { low: 2.5, high: 5, what: 'eyes of a peony' },
  tree: { low: 0, high: 2, what: 'root flare of a tree' },
  tulip: { low: 12, high: 20, what: 'tulip bulbs' },
  iris: { low: 0, high: 1, what: 'rhizome of a bearded iris' },
  potato: { low: 10, high: 15, what: 'seed potatoes' },
} as const;

const planting: SumDefinition = {
  id: 'planting-depth',
  name: 'Planting depth',
  group: 'plants',
  asks: 'Does it stand too deep?',
  fields: [
    {
      id: 'plant',
      label: 'what',
      kind: 'choice',
      options: Object.entries(PLANTING_DEPTH).map(([id, { what }]) => ({ id, say: what })),
      start: 'peony',
    },
    { id: 'soil', label: 'soil above it', kind: 'amount', dimension: 'length', start: { value: '8', unit: 'cm' } },
  ],
  work(v) {
    const id = v.choice<keyof typeof PLANTING_DEPTH>('plant');
    const { low, high, what } = PLANTING_DEPTH[id];
    const cm = v.amount('soil');
    const verdict =
      cm > high
        ? `too deep by ${said(bothLengths(cm - high), v.unit('soil'))}`
        : cm < low
          ? `too shallow by ${said(bothLengths(low - cm), v.unit('soil'))}`
          : 'just right';
    return {
      lines: [verdict],
      steps: [`${what}: ${low} to ${high} cm of soil above`],
      figures: [{ what: `${what} ${low} to ${high} cm down`, mark: id === 'peony' || id === 'tree' ? 'common-practice' : 'memory' }],
      cautions: [],
      reply: `${what.charAt(0).toUpperCase()}${what.slice(1)} belong ${low} to ${high} cm down: this one stands ${verdict}.`,
    };
  },
};

export const PLANTS: readonly SumDefinition[] = [wound, barrier, shade, plugs, planting];
