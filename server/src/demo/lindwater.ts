import type { StationClimate } from '../standins/weather.ts';

/** The invented town of the demo: its stations, people and callers. Nobody and nothing here exists. */
export const DEMO_DAY = '2026-06-14';
export const DEMO_DESK = { name: 'Lindwater Garden Advice Desk', climate: 'continental', hemisphere: 'N' } as const;

const valley = { meanC: 9.9, swingC: 9.8, wetAfterDry: 0.27, wetAfterWet: 0.58, meanRainMm: 6.4 };
export const DEMO_STATIONS: { name: string; lat: number; lon: number; climate: StationClimate }[] = [
  { name: 'Harbour', lat: 47.08, lon: 8.71, climate: { ...valley, seed: 4701, altitudeM: 401 } },
  { name: 'Castle Hill', lat: 47.1, lon: 8.74, climate: { ...valley, seed: 4702, altitudeM: 520 } },
  { name: 'Upper Moor', lat: 47.05, lon: 8.82, climate: { ...valley, seed: 4703, altitudeM: 780, meanRainMm: 8 } },
];

export const DEMO_PEOPLE = [
  { name: 'Ada Fennlin', role: 'advisor' },
  { name: 'Corvin Halloway-Brisk', role: 'coordinator' },
  { name: 'Mirelle Tanbark', role: 'volunteer' },
];

export interface DemoCase {
  caller: string;
  phone: string;
  email: string;
  place: string;
  channel: 'telephone' | 'email' | 'table';
  opening: string;
  /** Days before the demo day, and minutes of the morning. */
  daysAgo: number;
  minute: number;
  /** What was said, when the call has been answered. */
  said?: (string | { ask: string; say: string })[];
  /** What it turned out to be, set down the day after. */
  confirmed?: { cause: string; by: 'in-hand' | 'bench' | 'laboratory' | 'outcome' };
  station?: number;
}

export const DEMO_CASES: DemoCase[] = [
  {
    caller: 'Odalie Marsh',
    phone: '0555 0101',
    email: '',
    place: 'Orchard Lane, orchard meadow',
    channel: 'telephone',
    opening: 'Orange spots on a young pear tree',
    daysAgo: 0,
    minute: 512,
  },
  {
    caller: 'Teodor Quill',
    phone: '0555 0117',
    email: '',
    place: 'Harbour Steps, balcony',
    channel: 'telephone',
    opening: 'Balcony geraniums going yellow',
    daysAgo: 0,
    minute: 519,
  },
  {
    caller: 'Perrin Ashdown',
    phone: '',
    email: 'perrin@lindwater.example',
    place: 'Allotment 14',
    channel: 'email',
    opening:
      'The tips of my box hedge are all cupped like little cabbages. Is it the caterpillar everybody talks about? The plant looks healthy otherwise.',
    daysAgo: 0,
    minute: 480,
  },
  {
    caller: 'Ilse Varga-Thorn',
    phone: '0555 0123',
    email: '',
    place: 'Castle nursery road',
    channel: 'telephone',
    opening: 'Quince shoots as if burnt',
    daysAgo: 0,
    minute: 524,
  },
  {
    caller: 'Brother Anselm',
    phone: '',
    email: 'garden@moor-priory.example',
    place: 'Upper Moor priory',
    channel: 'email',
    opening: 'There are silver patches along the veins of our courgette leaves. They do not rub off. Should we cut the leaves?',
    daysAgo: 1,
    minute: 600,
  },
  {
    caller: 'Nell Okonjo',
    phone: '0555 0130',
    email: '',
    place: 'Market hall table',
    channel: 'table',
    opening: 'A bag with a twig: hydrangea without flowers',
    daysAgo: 1,
    minute: 630,
  },
  {
    caller: 'Wanda Pell',
    phone: '0555 0142',
    email: '',
    place: 'Allotment 3',
    channel: 'telephone',
    opening: 'Potatoes',
    daysAgo: 3,
    minute: 560,
    said: ['All my potatoes have dark wet patches on the leaves', 'it spread within days after all that rain, the stems are turning brown'],
    confirmed: { cause: 'late-blight', by: 'laboratory' },
  },
  {
    caller: 'Jory Lindqvist-Bane',
    phone: '0555 0143',
    email: '',
    place: 'Lake Road 8',
    channel: 'telephone',
    opening: 'Box hedge eaten',
    daysAgo: 4,
    minute: 545,
    said: ['My box hedge is being eaten bare, there are webs inside and green droppings'],
  },
  {
    caller: 'Hester Vane',
    phone: '',
    email: 'hester@lindwater.example',
    place: 'Castle Hill 2',
    channel: 'email',
    opening: 'Peach leaves red and blistered',
    daysAgo: 6,
    minute: 610,
    said: ['The leaves of our peach on the wall are thick, red and blistered', 'no insects inside'],
    station: 1,
  },
  {
    caller: 'Silvan Roke',
    phone: '0555 0155',
    email: '',
    place: 'Allotment 22',
    channel: 'telephone',
    opening: 'Twisted tomato leaves',
    daysAgo: 7,
    minute: 570,
    said: [
      'the new leaves on my tomatoes and the grapes are all twisted and narrow like ferns',
      'the neighbour sprayed weedkiller on his drive last week',
    ],
  },
  {
    caller: 'Dorte Amsel',
    phone: '0555 0160',
    email: '',
    place: 'Upper Moor, last house',
    channel: 'telephone',
    opening: 'Everything black after the night',
    daysAgo: 30,
    minute: 500,
    said: ['all the young shoots on the grapevine went black and mushy overnight, the hydrangea too', 'there was a frost'],
    station: 2,
  },
  {
    caller: 'Oswin Tarn',
    phone: '0555 0171',
    email: '',
    place: 'Harbour Steps 5',
    channel: 'table',
    opening: 'Oleander with lumps',
    daysAgo: 9,
    minute: 615,
    said: ['my oleander has lumpy warts on the stems, otherwise it flowers well'],
    confirmed: { cause: 'oleander-gall', by: 'in-hand' },
  },
  {
    caller: 'Maud Ellery-Finch',
    phone: '0555 0178',
    email: '',
    place: 'Orchard Lane 11',
    channel: 'telephone',
    opening: 'Cabbages hang at noon',
    daysAgo: 2,
    minute: 530,
    said: ['my cabbages wilt in the midday sun and recover at night', 'when I pulled one the roots were all swollen and lumpy'],
    confirmed: { cause: 'clubroot', by: 'in-hand' },
  },
  {
    caller: 'Benno Strack',
    phone: '0555 0181',
    email: '',
    place: 'Lake Road 30',
    channel: 'telephone',
    opening: 'Rose leaves red',
    daysAgo: 12,
    minute: 555,
    said: ['the young leaves of my roses come out dark red, the bush is growing well', 'no insects'],
  },
  {
    caller: 'Leopold Grane',
    phone: '0555 0192',
    email: '',
    place: 'Castle Row 8',
    channel: 'telephone',
    opening: 'Tulip leaves',
    daysAgo: 11,
    minute: 548,
    said: ['my tulips have finished flowering, when can I take the leaves off'],
  },
  {
    caller: 'Hettie Brandle',
    phone: '',
    email: 'hettie@lindwater.example',
    place: 'Mill Yard, gable wall',
    channel: 'email',
    opening: 'Our wisteria sends out long whips everywhere. What do we do with them?',
    daysAgo: 0,
    minute: 551,
  },
];
