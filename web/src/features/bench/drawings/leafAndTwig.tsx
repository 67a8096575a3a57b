import { Arrow, Leaf, dots, Hand } from './parts.tsx';

/** What is looked at on leaf and twig, and sent away. */
export const LEAF_AND_TWIG = {
  paper: (
    <>
      <path d="M20 22C60 12 120 14 182 26" />
      <Leaf x={66} y={17} turn={38} size={0.6} />
      <Leaf x={112} y={16} turn={48} size={0.6} />
      <Hand x={150} y={8} turn={10} />
      <path className="white" d="M30 92L150 84L184 106L56 116Z" />
      {dots(
        [
          [78, 98],
          [100, 94],
          [92, 104],
          [122, 100],
          [134, 95],
          [112, 108],
        ],
        1.5,
      )}
      <Arrow x={92} y={62} />
    </>
  ),
  smear: (
    <>
      <path className="white" d="M20 96L140 84L184 106L56 116Z" />
      <path className="act" strokeWidth="4" d="M86 100C98 97 108 97 120 96" />
      {dots(
        [
          [74, 102],
          [80, 98],
        ],
        1.6,
      )}
      <Hand x={176} y={66} turn={160} />
    </>
  ),
  'three-leaves': (
    <>
      <Leaf x={14} y={58} size={0.95}>
        {dots(
          [
            [14, -3],
            [22, 6],
            [30, -6],
            [36, 4],
            [44, -2],
            [26, -2],
          ],
          3,
        )}
      </Leaf>
      <Leaf x={78} y={58} size={0.95}>
        {dots(
          [
            [24, -4],
            [36, 4],
          ],
          3,
        )}
      </Leaf>
      <Leaf x={142} y={58} size={0.95} />
      <text x="24" y="96">
        bad
      </text>
      <text x="80" y="96">
        beginning
      </text>
      <text x="150" y="96">
        sound
      </text>
    </>
  ),
  lens: (
    <>
      <path d="M22 36C30 24 50 24 58 36C50 46 30 46 22 36Z" />
      {dots([[40, 35]], 4.5)}
      <circle className="white act" cx="84" cy="46" r="20" />
      <path className="act" d="M97 61L112 82" />
      <Leaf x={106} y={44} turn={6} size={1.4}>
        {dots(
          [
            [16, 4],
            [22, -6],
            [30, 6],
          ],
          2,
        )}
      </Leaf>
      <text x="16" y="108">
        lens to the eye, leaf to the lens
      </text>
    </>
  ),
  rub: (
    <>
      <Leaf x={30} y={68} size={2.5} />
      <ellipse className="shade" cx="88" cy="56" rx="20" ry="10" />
      <Hand x={180} y={28} turn={158} />
      <path className="act" d="M96 34C104 30 112 30 118 34M118 34L112 28M118 34L111 38" />
    </>
  ),
  light: (
    <>
      <circle className="act" cx="168" cy="34" r="14" />
      <path className="act" d="M168 8V14M168 54V60M142 34H148M188 34H194M150 16L154 20M150 52L154 48" />
      <path d="M40 112V20M40 60L86 40M40 84L84 70" />
      <Leaf x={84} y={40} turn={-14} size={0.7} />
      <Leaf x={84} y={70} turn={-10} size={0.7} />
      <path className="thin" d="M50 55L84 46M56 53L86 64M60 78L90 48" />
      <path d="M8 54C12 48 20 48 24 54C20 59 12 59 8 54Z" />
    </>
  ),
  webs: (
    <>
      <path d="M60 114V58M60 58L30 18M60 58L92 16" />
      <path className="shade" d="M60 58L45 38C52 32 68 32 75 37Z" />
      <path d="M146 114V50M146 50L120 22M146 50L176 20" />
      <path className="shade" d="M160 36L182 10 190 26 168 46Z" />
      <text x="44" y="10">
        fork
      </text>
      <text x="160" y="8">
        end
      </text>
    </>
  ),
  sticky: (
    <>
      <Leaf x={24} y={34} size={1.9} turn={4} />
      <path className="act" d="M70 54C68 62 66 66 70 70C74 66 72 62 70 54ZM96 60C94 68 92 72 96 76C100 72 98 68 96 60Z" />
      <path d="M14 104C20 92 40 88 56 92L86 94C92 94 94 102 92 106H22C16 106 12 106 14 104Z" />
      {dots(
        [
          [50, 91],
          [70, 93],
          [82, 94],
        ],
        2.4,
        'act-fill',
      )}
      <Hand x={176} y={24} turn={166} />
    </>
  ),
  scratch: (
    <>
      <path d="M10 84L190 30M14 96L192 42" />
      <path className="shade" d="M120 52L146 44L148 54L122 62Z" />
      <path className="act" d="M133 49L160 8L172 14L140 48Z" />
      <path className="thin" d="M40 78L42 86M74 68L76 76" />
      <text x="120" y="84">
        tip first,
      </text>
      <text x="120" y="98">
        then back
      </text>
      <Arrow x={112} y={72} turn={70} />
    </>
  ),
  needles: (
    <>
      <path d="M60 96C50 66 40 40 22 14M60 96C64 64 76 38 96 14" />
      <path strokeWidth="6" d="M60 112V94" />
      <path d="M146 96C128 70 116 50 104 34M146 96C138 66 132 40 128 16M146 96V12M146 96C154 66 160 40 164 16M146 96C164 70 176 50 188 34" />
      <path strokeWidth="6" d="M146 112V94" />
      <text x="54" y="10">
        2
      </text>
      <text x="142" y="8">
        5
      </text>
    </>
  ),
  margin: (
    <>
      <Leaf x={22} y={62} size={2.7} />
      <path className="shade" d="M22 62C36 30 66 20 96 22C90 48 92 76 96 102C66 104 36 94 22 62Z" />
      <path className="act" d="M82 10V114" strokeDasharray="5 4" />
      <path className="act" d="M116 10V114" strokeDasharray="5 4" />
      <text x="30" y="14">
        dead
      </text>
      <text x="132" y="14">
        sound
      </text>
    </>
  ),
  'lab-bag': (
    <>
      <path d="M30 30L42 22H94L82 30V104H30ZM82 30L94 22V96L82 104" />
      <path d="M40 56H72M40 66H72M40 76H60" className="thin" />
      <path d="M124 36H176V100H124ZM124 36L134 28H166L176 36" className="thin" />
      <path className="thin" d="M132 50C140 60 160 60 168 50M134 80C142 90 158 90 166 80" />
      <path className="act" strokeWidth="4" d="M122 30L178 104M178 30L122 104" />
      <text x="38" y="118">
        paper
      </text>
      <text x="134" y="118">
        plastic
      </text>
    </>
  ),
  'cut-shoot': (
    <>
      <path d="M16 44L110 38L122 66L20 72Z" />
      <ellipse cx="116" cy="52" rx="8" ry="15" transform="rotate(-24 116 52)" />
      <ellipse className="act" cx="116" cy="52" rx="4.5" ry="9" transform="rotate(-24 116 52)" />
      <path className="act" d="M140 16L124 44M152 20L128 44M140 16C146 8 156 12 152 20" />
      <text x="120" y="92">
        ring or streaks?
      </text>
    </>
  ),
};
