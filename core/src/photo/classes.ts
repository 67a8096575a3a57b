import type { Rgb } from './colour.ts';

/** What a part of a leaf may look like, with colours to know it by. */
export interface ColourClass {
  id: string;
  name: string;
  counts: 'sound' | 'affected' | 'left-out';
  /** Off: no pixel is read as this. */
  on: boolean;
  colours: readonly Rgb[];
  /** Above 1 it takes in more of what lies between it and the others, below 1 less. */
  reach: number;
}

/** Colours of leaves and their damage in daylight, picked by eye; a picture's own colours are added to them. Mark: memory. */
export const COLOUR_CLASSES: readonly ColourClass[] = [
  {
    id: 'green',
    name: 'green',
    counts: 'sound',
    on: true,
    colours: [
      [72, 120, 52],
      [112, 152, 72],
      [42, 80, 36],
      [150, 188, 100],
      [80, 120, 92],
      [30, 52, 26],
    ],
    reach: 1,
  },
  {
    id: 'yellow',
    name: 'yellow',
    counts: 'affected',
    on: true,
    colours: [
      [210, 200, 80],
      [226, 214, 120],
      [196, 186, 60],
    ],
    reach: 1,
  },
  {
    id: 'brown',
    name: 'brown',
    counts: 'affected',
    on: true,
    colours: [
      [120, 80, 45],
      [160, 115, 70],
      [90, 60, 40],
      [190, 150, 104],
    ],
    reach: 1,
  },
  {
    id: 'dark',
    name: 'black',
    counts: 'affected',
    on: true,
    colours: [
      [38, 31, 28],
      [58, 48, 44],
    ],
    reach: 1,
  },
  {
    id: 'orange',
    name: 'orange or rust',
    counts: 'affected',
    on: true,
    colours: [
      [200, 110, 40],
      [176, 84, 34],
    ],
    reach: 1,
  },
  {
    id: 'purple',
    name: 'red or purple',
    counts: 'affected',
    on: true,
    colours: [
      [110, 50, 80],
      [132, 40, 52],
    ],
    reach: 1,
  },
  {
    id: 'white',
    name: 'white coating',
    counts: 'affected',
    on: false,
    colours: [
      [214, 218, 210],
      [190, 196, 190],
    ],
    reach: 1,
  },
  {
    id: 'glare',
    name: 'glare',
    counts: 'left-out',
    on: true,
    colours: [
      [250, 251, 250],
      [232, 236, 232],
    ],
    reach: 1,
  },
];
