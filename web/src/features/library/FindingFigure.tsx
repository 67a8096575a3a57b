import type { ReactNode } from 'react';
import { styled } from 'styled-components';

/** Small drawings for words that are easily misunderstood on the telephone. Each is drawn in the ink of the text around it. */
const Drawing = styled.svg<{ $small?: boolean }>`
  width: ${({ $small }) => ($small ? 40 : 66)}px;
  height: ${({ $small }) => ($small ? 26 : 48)}px;
  vertical-align: middle;
  flex: none;
  stroke: currentColor;
  fill: none;
  stroke-width: 1.6;
  stroke-linecap: round;
  stroke-linejoin: round;
  .shade {
    fill: currentColor;
    fill-opacity: 0.42;
    stroke: none;
  }
  .solid {
    fill: currentColor;
    stroke: none;
  }
  .paper {
    fill: ${({ theme }) => theme.paper};
  }
  .thin {
    stroke-width: 0.9;
  }
`;

const OUTLINE = 'M6 24C14 7 42 5 60 24C42 43 14 41 6 24Z';
const SIDE_VEINS = 'M18 24L26 12M18 24L26 36M30 24L39 11M30 24L39 37M42 24L49 16M42 24L49 32';
const MIDRIB = 'M2 24H60';
const BETWEEN = [
  'M16 20L24 12 29 12 24 22Z',
  'M16 28L24 36 29 36 24 26Z',
  'M29 21L35 11 42 12 36 22Z',
  'M29 27L35 37 42 36 36 26Z',
  'M42 21L46 15 52 19 46 23Z',
  'M42 27L46 33 52 29 46 25Z',
];

function Leaf({ children, veins = true, under }: { children?: ReactNode; veins?: boolean; under?: ReactNode }) {
  return (
    <>
      {under}
      <path d={OUTLINE} />
      <path d={MIDRIB} />
      {veins && <path className="thin" d={SIDE_VEINS} />}
      {children}
    </>
  );
}
const dots = (at: readonly (readonly [number, number])[], r: number, className = 'solid') =>
  at.map(([x, y]) => <circle key={`${x} ${y}`} className={className} cx={x} cy={y} r={r} />);
const trunk = (
  <>
    <path d="M16 2C18 16 18 32 14 46M50 2C48 16 48 32 52 46" />
    <path className="thin" d="M24 6V14M42 32V42M26 36V44M40 6V12" />
  </>
);
const MARGIN = <path className="shade" fillRule="evenodd" d={`${OUTLINE}M12 24C18 12 40 11 50 24C40 37 18 36 12 24Z`} />;

const FIGURES: Record<string, ReactNode> = {
  'leaf-yellowing.between-veins': (
    <Leaf
      under={BETWEEN.map((d) => (
        <path key={d} className="shade" d={d} />
      ))}
    />
  ),
  'leaf-burn.dry-between-veins': (
    <Leaf
      under={BETWEEN.map((d) => (
        <path key={d} className="solid" d={d} />
      ))}
    />
  ),
  'leaf-yellowing.along-veins': <Leaf under={<path d={`${SIDE_VEINS}${MIDRIB}`} strokeWidth="6" strokeOpacity="0.3" />} />,
  'leaf-yellowing.veins-yellow': <Leaf under={<path d={`${SIDE_VEINS}${MIDRIB}`} strokeWidth="4" strokeOpacity="0.4" />} />,
  'leaf-yellowing.edges-first': <Leaf under={MARGIN} />,
  'leaf-yellowing.wedge-from-margin': <Leaf under={<path className="shade" d="M28 8L34 23 44 10Z" />} />,
  'leaf-burn.tip-and-edge': (
    <Leaf under={MARGIN}>
      <path className="solid" d="M60 24C54 18 50 16 47 14L47 34C50 32 54 30 60 24Z" />
    </Leaf>
  ),
  'leaf-burn.middle-of-blade': <Leaf under={<path className="shade" d="M22 20C28 12 40 14 42 22C40 30 28 32 22 28Z" />} />,
  'leaf-burn.one-sided': <Leaf under={<path className="shade" d="M6 24C14 7 42 5 60 24Z" />} />,
  'leaf-shape.cupped-inward': (
    <>
      <path d="M6 14C10 40 54 40 58 14" />
      <path className="thin" d="M12 22C20 30 44 30 52 22" />
      <path d="M32 34V46" />
    </>
  ),
  'leaf-shape.curled-down': (
    <>
      <path d="M6 36C10 8 54 8 58 36" />
      <path className="thin" d="M13 28C22 18 42 18 51 28" />
      <path d="M32 15V46" />
    </>
  ),
  'leaf-shape.rolled-lengthwise': (
    <>
      <path d="M6 18H54M6 32H54" />
      <ellipse cx="54" cy="25" rx="5" ry="7" />
      <path d="M54 21C51 22 51 28 55 28" />
      <path d="M6 18C2 22 2 28 6 32" />
    </>
  ),
  'leaf-shape.hanging-limp': (
    <>
      <path d="M12 46V8C12 4 20 4 22 8" />
      <path d="M22 8C16 20 20 36 28 42C34 34 34 18 22 8Z" />
      <path className="thin" d="M22 8C26 20 28 32 28 42" />
    </>
  ),
  'leaf-shape.twisted-narrow': <path d="M8 40C20 36 14 22 26 22C38 22 30 10 56 6M8 40C24 42 22 28 32 27C42 26 38 16 56 6" />,
  'leaves-eaten.holes': (
    <Leaf veins={false}>
      {dots(
        [
          [22, 17],
          [35, 31],
          [44, 20],
          [26, 31],
        ],
        4,
        'paper',
      )}
    </Leaf>
  ),
  'leaves-eaten.tiny-round': (
    <Leaf veins={false}>
      {dots(
        [
          [16, 20],
          [20, 30],
          [25, 15],
          [28, 28],
          [33, 18],
          [37, 33],
          [40, 22],
          [45, 29],
          [48, 20],
          [30, 36],
        ],
        1.4,
      )}
    </Leaf>
  ),
  'leaves-eaten.edge-notches': (
    <>
      <path d="M6 24C8 20 11 17 14 15C15 19 20 17 19 12.5C22 11 25 10.5 28 10C29 14.5 34 14.5 35 10C39 10.5 43 11.5 46 13.5C45 18 50 20 53 17.5C56 19.5 58 21.5 60 24C42 43 14 41 6 24Z" />
      <path d={MIDRIB} />
    </>
  ),
  'leaves-eaten.neat-circles': (
    <>
      <path d="M6 24C9 17 15 13 21 11C23 19 35 19 36 10C46 12 54 17 60 24C55 29 50 33 44 35.5C41 29 32 29 31 38C20 38 10 34 6 24Z" />
      <path d={MIDRIB} />
    </>
  ),
  'leaves-eaten.lace': (
    <>
      <path className="thin" d={OUTLINE} strokeDasharray="2 3" />
      <path d={MIDRIB} />
      <path d={SIDE_VEINS} />
      <path className="thin" d="M22 18L34 18M22 30L34 30M34 17L45 19M34 31L45 29" />
    </>
  ),
  'leaf-bumps.winding-tunnels': (
    <Leaf veins={false}>
      <path strokeWidth="3" strokeOpacity="0.55" d="M14 26C18 16 24 34 28 24C31 16 36 34 40 25C43 19 48 28 50 23" />
    </Leaf>
  ),
  'leaf-bumps.blotch-blister': (
    <Leaf>
      <path className="shade" d="M22 16C28 11 38 13 38 20C36 26 26 24 22 16Z" />
    </Leaf>
  ),
  'leaf-bumps.pimples': (
    <Leaf veins={false}>
      {dots(
        [
          [18, 20],
          [24, 30],
          [30, 16],
          [36, 28],
          [44, 22],
          [28, 24],
        ],
        2.4,
      )}
    </Leaf>
  ),
  'webbing.tents': (
    <>
      <path d="M18 46V26L6 8M18 26L30 8" />
      <path className="shade" d="M18 26L11 15C15 12 21 12 25 15Z" />
      <path d="M46 46V22L58 6M46 22L38 10" />
      <path className="shade" d="M50 17L60 2 64 12 54 20Z" />
    </>
  ),
  'bark-holes.tiny-round': (
    <>
      {trunk}
      {dots(
        [
          [28, 14],
          [36, 20],
          [30, 26],
          [40, 30],
          [34, 38],
          [26, 20],
          [38, 12],
        ],
        1.3,
      )}
    </>
  ),
  'bark-holes.pencil-round': (
    <>
      {trunk}
      {dots([[33, 24]], 5)}
    </>
  ),
  'bark-holes.oval': (
    <>
      {trunk}
      <ellipse className="solid" cx="33" cy="24" rx="7" ry="4" />
    </>
  ),
  'bark-holes.d-shaped': (
    <>
      {trunk}
      <path className="solid" d="M27 20H39C39 30 27 30 27 20Z" />
    </>
  ),
  'bark-holes.rows': (
    <>
      {trunk}
      {dots(
        [
          [22, 18],
          [27, 18.5],
          [32, 19],
          [37, 18.5],
          [42, 18],
          [22, 27],
          [27, 27.5],
          [32, 28],
          [37, 27.5],
          [42, 27],
        ],
        1.5,
      )}
    </>
  ),
  'stem-signs.wound': (
    <>
      {trunk}
      <path className="shade" d="M17.5 20C26 24 38 24 48.5 20L48.5 31C38 35 26 35 17.3 31Z" />
    </>
  ),
  'age-of-leaf.newest': (
    <>
      <path d="M33 46V8" />
      <path d="M33 40C24 40 18 36 16 30C24 30 30 34 33 40ZM33 32C42 32 48 28 50 22C42 22 36 26 33 32Z" />
      <path className="shade" d="M33 18C26 17 23 12 23 6C29 7 32 11 33 18ZM33 16C40 15 43 10 43 4C37 5 34 9 33 16Z" />
    </>
  ),
  'age-of-leaf.older-lower': (
    <>
      <path d="M33 46V8" />
      <path className="shade" d="M33 40C24 40 18 36 16 30C24 30 30 34 33 40ZM33 36C42 36 48 32 50 26C42 26 36 30 33 36Z" />
      <path d="M33 20C26 19 23 14 23 8C29 9 32 13 33 20ZM33 16C40 15 43 10 43 4C37 5 34 9 33 16Z" />
    </>
  ),
  'growth-form.witches-broom': <path d="M33 46V30M33 30L14 6M33 30L20 4M33 30L27 3M33 30V2M33 30L39 3M33 30L46 4M33 30L52 6" />,
};

/** The drawing of one answer, or nothing when the words are plain enough. */
export function FindingFigure({ finding, answer, small = false }: { finding: string; answer: string; small?: boolean }) {
  const figure = FIGURES[`${finding}.${answer}`];
  return figure ? (
    <Drawing viewBox="0 0 66 48" $small={small} aria-hidden="true">
      {figure}
    </Drawing>
  ) : null;
}

/** A bundle of pine needles: how many spring from one sheath. */
export function NeedleFigure({ needles }: { needles: number }) {
  const spread = Array.from({ length: needles }, (_, i) => 33 + (needles === 1 ? 0 : (i / (needles - 1) - 0.5) * 44));
  return (
    <Drawing viewBox="0 0 66 48" role="img" aria-label={`${needles} ${needles === 1 ? 'needle' : 'needles'} in a bundle`}>
      {spread.map((x) => (
        <path key={x} d={`M33 42Q33 24 ${x} 3`} />
      ))}
      <path strokeWidth="4" d="M33 46V38" />
    </Drawing>
  );
}
