import { COLOUR_CLASSES, type ColourClass } from '@sounding/core/photo/classes.ts';
import type { Rgb } from '@sounding/core/photo/colour.ts';
import type { Pixels, Point } from '@sounding/core/photo/mask.ts';
import { coinFrom, mmPerPixel, woundShare } from '@sounding/core/photo/scale.ts';
import type { SegmentOptions } from '@sounding/core/photo/segment.ts';

export type Ends = readonly [Point, Point];
/** What the pointer does on the picture. */
export const TOOLS = ['keep', 'leave-out', 'ruler', 'coin', 'wound', 'trunk', 'colour'] as const;
export type Tool = (typeof TOOLS)[number];

/** What has been drawn on one picture. */
export interface Drawn {
  keep: readonly (readonly Point[])[];
  leaveOut: readonly (readonly Point[])[];
  ruler: Ends | null;
  coin: Ends | null;
  wound: Ends | null;
  trunk: Ends | null;
}
export const NOTHING_DRAWN: Drawn = { keep: [], leaveOut: [], ruler: null, coin: null, wound: null, trunk: null };

/** A picture on which a wound or a trunk was drawn is of a trunk, not of a leaf. */
export const showsTrunk = ({ wound, trunk }: Drawn): boolean => wound !== null || trunk !== null;

/** An outline of fewer points, or a line shorter than this, was a slip of the hand. */
const LEAST_OUTLINE = 6;
const LEAST_LINE_PX = 4;

/** The drawing after a stroke of a tool; a stroke too small to mean anything changes nothing. */
export function drawnWith(drawn: Drawn, tool: Tool, stroke: readonly Point[]): Drawn {
  const [first] = stroke;
  const last = stroke.at(-1);
  if (!first || !last) return drawn;
  switch (tool) {
    case 'keep':
      return stroke.length < LEAST_OUTLINE ? drawn : { ...drawn, keep: [...drawn.keep, stroke] };
    case 'leave-out':
      return stroke.length < LEAST_OUTLINE ? drawn : { ...drawn, leaveOut: [...drawn.leaveOut, stroke] };
    case 'ruler':
    case 'coin':
    case 'wound':
    case 'trunk': {
      if (Math.hypot(last.x - first.x, last.y - first.y) < LEAST_LINE_PX) return drawn;
      const ends: Ends = [first, last];
      // one thing of known size is enough, and two could disagree
      const other = tool === 'ruler' ? { coin: null } : tool === 'coin' ? { ruler: null } : {};
      return { ...drawn, ...other, [tool]: ends };
    }
    case 'colour':
      return drawn;
  }
}

const AROUND = 2;
/** The middle colour of a few pixels round a place. */
export function colourAt({ width, height, data }: Pixels, { x, y }: Point): Rgb {
  const around: number[][] = [[], [], []];
  for (let dy = -AROUND; dy <= AROUND; dy++)
    for (let dx = -AROUND; dx <= AROUND; dx++) {
      const [px, py] = [Math.round(x) + dx, Math.round(y) + dy];
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      around.forEach((channel, c) => channel.push(data[(py * width + px) * 4 + c] ?? 0));
    }
  const middle = (channel: number[]) => channel.sort((a, b) => a - b)[Math.floor(channel.length / 2)] ?? 0;
  return [middle(around[0]!), middle(around[1]!), middle(around[2]!)];
}

export const START_CLASSES: readonly ColourClass[] = COLOUR_CLASSES;

/** Changes one class; white coating and glare look alike, so that one of them is on at a time. */
export function changedClass(classes: readonly ColourClass[], id: string, change: Partial<ColourClass>): ColourClass[] {
  const rival = change.on ? { white: 'glare', glare: 'white' }[id] : undefined;
  return classes.map((one) => (one.id === id ? { ...one, ...change } : one.id === rival ? { ...one, on: false } : one));
}

export const optionsOf = (drawn: Drawn, classes: readonly ColourClass[]): SegmentOptions => ({
  classes,
  keep: drawn.keep,
  leaveOut: drawn.leaveOut,
  coin: drawn.coin ? coinFrom(drawn.coin) : null,
});

export type Known<T> = { value: T | null; fault: string | null };
function known<T>(work: () => T | null): Known<T> {
  try {
    return { value: work(), fault: null };
  } catch (error) {
    if (error instanceof RangeError) return { value: null, fault: error.message };
    throw error;
  }
}

/** Millimetres a pixel from what was drawn and its length as it was typed. */
export function scaleOf({ ruler, coin }: Drawn, typedMm: string): Known<number> {
  const ends = ruler ?? coin;
  return known(() => {
    if (!ends) return null;
    const mm = Number(typedMm.replace(',', '.'));
    if (typedMm.trim() === '' || !Number.isFinite(mm)) throw new RangeError(`“${typedMm}” is not a number of millimetres`);
    return mmPerPixel(ends, mm);
  });
}

export const woundOf = ({ wound, trunk }: Drawn): Known<number> => known(() => (wound && trunk ? woundShare(wound, trunk) : null));
