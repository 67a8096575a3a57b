import { styled } from 'styled-components';
import type { PlanBody } from '@sounding/contract/plan.ts';
import { addDays, daysBetween } from '@sounding/core/season/calendar.ts';
import type { WeatherDay } from '@sounding/core/season/weather.ts';
import { sayShortDay } from '../../app/dates.ts';

const Chart = styled.svg`
  width: 100%;
  height: auto;
  display: block;
  text {
    font:
      400 12.5px 'Source Sans 3',
      sans-serif;
    fill: ${({ theme }) => theme.inkSoft};
  }
  .rule {
    stroke: ${({ theme }) => theme.rule};
  }
  .window {
    fill: ${({ theme }) => theme.wash};
  }
  .rain {
    fill: ${({ theme }) => theme.inkSoft};
  }
  .warm {
    stroke: ${({ theme }) => theme.ink};
    stroke-width: 2;
  }
  .blocked {
    stroke: ${({ theme }) => theme.chalk};
    stroke-width: 1.5;
  }
  .apply {
    fill: ${({ theme }) => theme.brass};
  }
  .done {
    fill: ${({ theme }) => theme.ink};
  }
  .harvest {
    fill: none;
    stroke: ${({ theme }) => theme.ink};
    stroke-width: 1.5;
  }
  .today {
    stroke: ${({ theme }) => theme.brass};
    stroke-width: 2;
  }
  .strong {
    fill: ${({ theme }) => theme.ink};
    font-weight: 600;
  }
`;
const WIDTH = 840;
const LEFT = 6;
const HEIGHT = 128;
const LINE = 66;

interface Props {
  from: string;
  to: string;
  today: string;
  window: { from: string; to: string } | null;
  forecast: readonly WeatherDay[];
  applications: PlanBody['applications'];
  blocked: readonly { on: string; why: string }[];
  harvests: readonly string[];
}

/** The weeks ahead on one line: the window, the week's weather, what is laid into it, and the pickings it must keep clear of. */
export function Timeline({ from, to, today, window, forecast, applications, blocked, harvests }: Props) {
  const span = Math.max(14, daysBetween(from, to));
  const step = (WIDTH - 2 * LEFT) / span;
  const x = (on: string) => LEFT + Math.max(0, Math.min(span, daysBetween(from, on))) * step;
  const weeks = Array.from({ length: Math.floor(span / 7) + 1 }, (_, i) => addDays(from, i * 7));
  const inside = (on: string) => on >= from && on <= addDays(from, span);
  const warmest = 36;
  const y = (c: number) => LINE - 8 - (Math.max(-2, Math.min(warmest, c)) / warmest) * 40;
  const said = applications.map(({ on, state }) => `${state} ${on}`).join(', ') || 'nothing laid out';
  return (
    <Chart viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={`From ${from} to ${to}: ${said}`}>
      {window && <rect className="window" x={x(window.from)} y={LINE - 52} width={Math.max(3, x(window.to) - x(window.from))} height="52" />}
      <line className="rule" x1={LEFT} x2={WIDTH - LEFT} y1={LINE} y2={LINE} />
      {weeks.map((on) => (
        <g key={on}>
          <line className="rule" x1={x(on)} x2={x(on)} y1={LINE} y2={LINE + 6} />
          <text x={Math.min(x(on), WIDTH - 44)} y={LINE + 20}>
            {sayShortDay(on)}
          </text>
        </g>
      ))}
      {forecast
        .filter(({ on }) => inside(on))
        .map(({ on, minC, maxC, rainMm }) => (
          <g key={on}>
            {minC !== null && maxC !== null && <line className="warm" x1={x(on) + step / 2} x2={x(on) + step / 2} y1={y(minC)} y2={y(maxC)} />}
            {(rainMm ?? 0) > 0.4 && (
              <rect
                className="rain"
                x={x(on) + 1}
                width={Math.max(2, step - 2)}
                y={LINE - Math.min(26, rainMm ?? 0)}
                height={Math.min(26, rainMm ?? 0)}
                opacity="0.35"
              />
            )}
          </g>
        ))}
      {blocked
        .filter(({ on }) => inside(on))
        .map(({ on, why }) => (
          <path key={on} className="blocked" d={`M${x(on) + step / 2 - 3} ${LINE + 26}l6 6m-6 0l6 -6`}>
            <title>{`${on}: ${why}`}</title>
          </path>
        ))}
      {harvests.filter(inside).map((on) => (
        <g key={on}>
          <circle className="harvest" cx={x(on) + step / 2} cy={LINE + 46} r="5" />
          <text x={Math.min(x(on) + step / 2 + 9, WIDTH - 60)} y={LINE + 50}>
            picking
          </text>
        </g>
      ))}
      {applications
        .filter((a) => a.state !== 'skipped' && inside(a.on))
        .map(({ id, on, state }) => (
          <g key={id}>
            <path className={state === 'done' ? 'done' : 'apply'} d={`M${x(on) + step / 2} ${LINE}l-7 -13h14z`} />
            <text className="strong" textAnchor="middle" x={Math.max(24, Math.min(WIDTH - 24, x(on) + step / 2))} y={LINE - 54 < 10 ? 10 : LINE - 56}>
              {sayShortDay(on)}
            </text>
          </g>
        ))}
      {inside(today) && <line className="today" x1={x(today)} x2={x(today)} y1={LINE - 52} y2={LINE + 8} />}
    </Chart>
  );
}
