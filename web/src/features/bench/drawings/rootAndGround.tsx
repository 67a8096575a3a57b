import { Arrow, Leaf, dots, Hand, ground, Trunk, ruler, POT } from './parts.tsx';

/** What is looked at on trunk, root and ground. */
export const ROOT_AND_GROUND = {
  probe: (
    <>
      <path d="M66 60V22M66 22C40 20 30 4 66 2C102 4 92 20 66 22" />
      {ground(60)}
      <path className="shade" d="M6 60H194V92C150 98 60 96 6 90Z" />
      <path className="act" d="M118 18V90M108 18H128" />
      <path className="thin" d="M136 60V90M132 60H140M132 90H140" />
      <text x="144" y="80">
        wet
      </text>
      <text x="144" y="110">
        dry
      </text>
    </>
  ),
  finger: (
    <>
      <path d={POT} />
      <path className="shade" d="M54 56H146L140 108H60Z" />
      <path className="white" d="M92 10V76C92 84 104 84 104 76V38H122V10" />
      <path className="thin" d="M92 44H104M92 60H104" />
      <text x="152" y="60">
        5 cm
      </text>
      <path className="thin act" d="M150 56H146M150 82H146M148 56V82" />
    </>
  ),
  'knock-out': (
    <>
      <path d="M58 20H142L134 74H66Z" />
      <path d="M60 76H140" />
      <Hand x={40} y={84} turn={0} />
      <path d="M100 84C98 100 104 104 98 116M104 92L116 104" />
      <Arrow x={150} y={30} />
    </>
  ),
  'root-ball': (
    <>
      <path className="thin" d="M58 22H142L134 98H66Z" strokeDasharray="3 3" />
      <path d="M70 30C60 50 80 60 70 92M90 28C96 50 84 66 92 94M110 30C104 52 118 64 108 92M128 28C122 50 136 66 126 90" />
      <path d="M100 22V6M100 12L90 4M100 12L110 4" />
      <path d="M158 60C170 54 176 60 172 68C180 70 180 80 170 80" />
      <text x="154" y="100">
        smell it
      </text>
    </>
  ),
  lift: (
    <>
      {ground(74)}
      <path d="M100 74V30M100 50L78 34M100 44L122 26" />
      <path d="M100 74L88 96M100 74L112 98M100 74V102" strokeDasharray="2 5" />
      <Hand x={44} y={58} />
      <Arrow x={134} y={66} turn={180} />
    </>
  ),
  flare: (
    <>
      <Trunk x={84} wide={30} foot={84} />
      <path d="M70 84C60 92 44 94 30 102M128 84C138 92 154 94 172 102" />
      <path className="shade" d="M6 72C26 72 44 76 60 88L30 104H6ZM194 72C174 72 156 76 138 88L172 104H194Z" />
      <path className="act" d="M40 62L62 80M62 80L54 79M62 80L61 71" />
    </>
  ),
  collar: (
    <>
      <Trunk x={76} wide={46} foot={96} />
      {ground(104)}
      <path className="white" d="M88 72L104 68L108 92L90 94Z" />
      <path className="shade" d="M104 68L122 58L126 80L108 92Z" />
      <path className="act" d="M150 60L126 74M150 60L170 46L176 54L154 66Z" />
      <text x="128" y="92">
        a stamp’s size
      </text>
    </>
  ),
  'trunk-look': (
    <>
      <Trunk x={84} wide={32} />
      {ground(112)}
      <path className="act" d="M66 30C60 40 60 54 66 62M66 62L60 56M66 62L70 55M134 30C140 40 140 54 134 62" />
      <path className="thin" d="M158 20V112M154 20H162M154 112H162" />
      <text x="164" y="66">
        shoulder
      </text>
    </>
  ),
  'hole-shapes': (
    <>
      {dots([[34, 34]], 12)}
      <path className="solid" d="M86 22H118C118 50 86 50 86 22Z" />
      <ellipse className="solid" cx="164" cy="34" rx="18" ry="9" />
      <text x="20" y="66">
        round
      </text>
      <text x="84" y="66">
        D-shaped
      </text>
      <text x="152" y="66">
        oval
      </text>
      {ruler(20, 84, 160)}
    </>
  ),
  'egg-pits': (
    <>
      <path d="M8 34C70 28 130 30 192 36M8 92C70 96 130 96 192 90" />
      {[
        [40, 58],
        [82, 50],
        [118, 68],
        [156, 54],
      ].map(([x, y]) => (
        <path key={x} className="solid" d={`M${x} ${y}l14 -3l2 5l-14 4Z`} />
      ))}
      <path className="thin" d="M20 44H40M60 80H90M130 84H160M100 40H124" />
    </>
  ),
  torch: (
    <>
      <path d="M16 20L44 12L50 26L20 34Z" />
      <path className="act" d="M50 14L180 34M52 28L150 96" strokeDasharray="4 4" />
      <Leaf x={112} y={60} size={1.1} turn={12}>
        {dots(
          [
            [16, -2],
            [34, 4],
          ],
          4,
          'white',
        )}
      </Leaf>
      <path d="M120 92C130 82 148 84 154 92H120ZM154 92C158 88 158 84 156 80M154 92C160 90 162 86 161 82" />
      {ground(104)}
      <path d="M178 8C170 10 170 22 178 24C172 28 162 24 162 16C162 8 172 4 178 8Z" />
    </>
  ),
  'dig-size': (
    <>
      <rect x="20" y="14" width="120" height="92" strokeDasharray="4 4" />
      {[
        [44, 36],
        [96, 30],
        [70, 70],
        [116, 82],
        [38, 88],
      ].map(([x, y]) => (
        <ellipse key={`${x}`} className="shade" cx={x} cy={y} rx="10" ry="7" />
      ))}
      <circle cx="172" cy="42" r="12" />
      {dots(
        [
          [168, 38],
          [176, 38],
          [172, 45],
          [166, 46],
          [178, 46],
        ],
        1.2,
      )}
      <text x="150" y="72">
        golf ball
      </text>
      <text x="56" y="118">
        1 m
      </text>
    </>
  ),
  ridges: (
    <>
      <path d="M6 52C30 52 34 36 52 36C70 36 72 52 98 52C122 52 124 36 142 36C160 36 164 52 194 52" />
      <path className="thin" d="M20 52V44M60 36V28M110 50V42M150 36V28M180 52V44" />
      <path d="M28 100C40 78 68 78 80 100Z" />
      <path className="shade" d="M28 100C40 78 68 78 80 100Z" />
      <path d="M112 104C124 92 134 108 146 94C156 86 170 98 186 90" />
      <text x="22" y="116">
        heap
      </text>
      <text x="130" y="116">
        run
      </text>
    </>
  ),
  wound: (
    <>
      <Trunk x={70} wide={56} />
      <path className="shade" d="M72 40C88 34 104 36 112 44L110 84C98 92 84 90 73 84Z" />
      <path className="act" d="M72 62C86 68 100 68 112 62M72 62L80 60M72 62L79 69M112 62L104 60M112 62L105 69" />
      <text x="136" y="58">
        across,
      </text>
      <text x="136" y="72">
        with the bark
      </text>
    </>
  ),
  girth: (
    <>
      <Trunk x={70} wide={56} />
      <ellipse className="act" cx="98" cy="60" rx="32" ry="10" />
      <path className="act" d="M130 60L166 52L172 60" />
      <text x="140" y="84">
        all round
      </text>
    </>
  ),
  depth: (
    <>
      <path className="shade" d="M6 50H76V94H6ZM124 50H194V94H124Z" />
      <path d="M76 50V92H124V50" />
      <path d="M44 50H160" className="act" />
      <path d="M100 92L92 82M100 92L108 82M100 92V78" />
      <path className="act thin" d="M100 50V78M96 54L100 50L104 54M96 74L100 78L104 74" />
      <text x="112" y="42">
        stick at soil level
      </text>
    </>
  ),
  pace: (
    <>
      <path d="M20 104V62M20 62C6 60 2 40 20 36C38 40 34 60 20 62" />
      {[52, 78, 104, 130].map((x, i) => (
        <ellipse key={x} className="solid" cx={x} cy={i % 2 ? 98 : 108} rx="8" ry="3.4" />
      ))}
      <path d="M158 104V74H186V104" />
      <path className="thin" d="M158 80C166 84 178 84 186 80" />
      {ground(116)}
      <text x="60" y="80">
        a step is a metre
      </text>
      <text x="156" y="68">
        stump
      </text>
    </>
  ),
  cores: (
    <>
      <ellipse cx="76" cy="70" rx="66" ry="36" strokeDasharray="4 4" />
      <path d="M76 70V36M76 36C58 34 56 16 76 12C96 16 94 34 76 36" />
      {dots(
        [
          [34, 60],
          [46, 90],
          [70, 98],
          [104, 92],
          [120, 70],
          [104, 52],
          [52, 48],
          [28, 76],
          [88, 84],
          [58, 76],
        ],
        3,
        'act-fill',
      )}
      <path d="M152 70H192L186 110H158ZM152 70C160 56 184 56 192 70" />
    </>
  ),
  'sun-hours': (
    <>
      {ground(100)}
      <path className="thin" d="M20 100C40 20 160 20 180 100" strokeDasharray="4 4" />
      {dots(
        [
          [34, 66],
          [100, 40],
          [166, 66],
        ],
        8,
        'act-fill',
      )}
      <path d="M100 100V78M100 78C90 76 88 64 100 60C112 64 110 76 100 78" />
      <text x="14" y="114">
        from
      </text>
      <text x="168" y="114">
        to
      </text>
    </>
  ),
  squeeze: (
    <>
      <path d="M20 52C32 40 56 40 64 52C66 64 56 74 42 74C28 74 18 64 20 52Z" className="shade" />
      <path d="M30 74C28 82 26 86 30 90C34 86 32 82 30 74ZM50 74C48 82 46 86 50 90C54 86 52 82 50 74Z" className="act" />
      <circle cx="100" cy="58" r="17" className="shade" />
      <path className="thin" d="M96 46L102 58L97 70" />
      {dots(
        [
          [146, 54],
          [154, 62],
          [164, 56],
          [158, 48],
          [172, 66],
          [148, 68],
          [166, 72],
          [178, 56],
        ],
        3,
      )}
      <text x="28" y="110">
        wet
      </text>
      <text x="86" y="110">
        right
      </text>
      <text x="152" y="110">
        dry
      </text>
    </>
  ),
};
