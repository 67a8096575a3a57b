import { styled } from 'styled-components';
import { daysBetween } from '@sounding/core/season/calendar.ts';

const Strip = styled.svg`
  width: 100%;
  height: auto;
  display: block;
  text {
    font:
      400 13px 'Source Sans 3',
      sans-serif;
    fill: ${({ theme }) => theme.inkSoft};
  }
  text.name {
    fill: ${({ theme }) => theme.ink};
    font-size: 14px;
  }
  .grid {
    stroke: ${({ theme }) => theme.rule};
  }
  .bar {
    fill: ${({ theme }) => theme.ink};
  }
  .today {
    stroke: ${({ theme }) => theme.brass};
    stroke-width: 2;
  }
  .today-word {
    fill: ${({ theme }) => theme.brass};
    font-weight: 600;
  }
`;
const NAMES = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const LEFT = 4;
const WIDTH = 620;
const TOP = 36;
const ROW = 40;

export interface YearSpan {
  id: string;
  name: string;
  from: string;
  to: string;
  basis: string;
}

/** Windows of one year as bars under its months, with the desk's day across them. Spans over the new year are cut in two. */
export function YearStrip({ spans, today }: { spans: readonly YearSpan[]; today: string }) {
  const year = Number(today.slice(0, 4));
  const x = (date: string) => LEFT + (Math.min(365, Math.max(0, daysBetween(`${year}-01-01`, date))) / 365) * (WIDTH - 2 * LEFT);
  const height = TOP + spans.length * ROW + 6;
  const said = spans.map((span) => `${span.name}: ${span.from} to ${span.to}`).join('; ');
  return (
    <Strip viewBox={`0 0 ${WIDTH} ${height}`} role="img" aria-label={`${said}. Today ${today}.`}>
      {NAMES.map((name, i) => {
        const at = x(`${year}-${String(i + 1).padStart(2, '0')}-01`);
        return (
          <g key={name}>
            <line className="grid" x1={at} x2={at} y1={TOP - 12} y2={height} />
            <text x={at + 5} y={TOP - 16}>
              {name}
            </text>
          </g>
        );
      })}
      {spans.map((span, row) => {
        const y = TOP + row * ROW;
        const wraps = span.to.slice(0, 4) > String(year);
        const early = span.from.slice(0, 4) < String(year);
        const pieces: [string, string][] = wraps
          ? [
              [span.from, `${year}-12-31`],
              [`${year}-01-01`, `${year}${span.to.slice(4)}`],
            ]
          : early
            ? [
                [`${year}-01-01`, span.to],
                [`${year}${span.from.slice(4)}`, `${year}-12-31`],
              ]
            : [[span.from, span.to]];
        return (
          <g key={span.id}>
            <text className="name" x={LEFT + 2} y={y + 12}>
              {span.name}
            </text>
            {pieces.map(([from, to]) => (
              <rect key={from} className="bar" x={x(from)} y={y + 19} width={Math.max(3, x(to) - x(from))} height="9" rx="1.5" />
            ))}
          </g>
        );
      })}
      <line className="today" x1={x(today)} x2={x(today)} y1={TOP - 12} y2={height} />
      <text className="today-word" x={Math.min(x(today) + 4, WIDTH - 40)} y={TOP - 2}>
        today
      </text>
    </Strip>
  );
}
