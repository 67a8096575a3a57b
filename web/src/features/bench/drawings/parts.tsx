import type { ReactNode } from 'react';

// what the drawings of tests are put together from

const ARROW_DOWN = 'M0 0V16M-5 10L0 16L5 10';
export const Arrow = ({ x, y, turn = 0 }: { x: number; y: number; turn?: number }) => (
  <path className="act" transform={`translate(${x} ${y}) rotate(${turn})`} d={ARROW_DOWN} />
);
const LEAF = 'M0 0C8 -17 36 -19 54 0C36 19 8 17 0 0Z';
export const Leaf = ({ x, y, turn = 0, size = 1, children }: { x: number; y: number; turn?: number; size?: number; children?: ReactNode }) => (
  <g transform={`translate(${x} ${y}) rotate(${turn}) scale(${size})`}>
    <path d={LEAF} />
    <path className="thin" d="M-8 0H54M14 0L22 -10M14 0L22 10M28 0L36 -9M28 0L36 9" />
    {children}
  </g>
);
export const dots = (at: readonly (readonly [number, number])[], r: number, className = 'solid') =>
  at.map(([x, y]) => <circle key={`${x} ${y}`} className={className} cx={x} cy={y} r={r} />);
const HAND = 'M0 0C10 -8 26 -10 36 -4L50 -3C54 -3 54 3 50 3H34L42 8C45 12 40 15 36 12L26 8C18 12 8 12 0 10Z';
export const Hand = ({ x, y, turn = 0 }: { x: number; y: number; turn?: number }) => (
  <path transform={`translate(${x} ${y}) rotate(${turn})`} className="white" d={HAND} />
);
export const ground = (y: number) => <path d={`M6 ${y}H194`} />;
export const Trunk = ({ x, wide, top = 6, foot = 112 }: { x: number; wide: number; top?: number; foot?: number }) => (
  <>
    <path
      d={`M${x} ${top}C${x + 3} 50 ${x + 1} ${foot - 24} ${x - 14} ${foot}M${x + wide} ${top}C${x + wide - 3} 50 ${x + wide - 1} ${foot - 24} ${x + wide + 14} ${foot}`}
    />
    <path
      className="thin"
      d={`M${x + wide * 0.3} ${top + 8}V${top + 26}M${x + wide * 0.6} ${top + 34}V${top + 56}M${x + wide * 0.35} ${top + 60}V${top + 72}`}
    />
  </>
);
export const ruler = (x: number, y: number, long: number) => (
  <g transform={`translate(${x} ${y})`}>
    <rect className="white" width={long} height="13" />
    <path className="thin" d={Array.from({ length: Math.floor(long / 6) }, (_, i) => `M${(i + 1) * 6} 0V${i % 5 === 4 ? 8 : 5}`).join('')} />
  </g>
);
export const POT = 'M52 44H148L140 108H60Z';
