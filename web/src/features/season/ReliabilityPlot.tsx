import { styled } from 'styled-components';
import { reliability, type Stated } from '@sounding/core/diagnosis/calibration.ts';

const Plot = styled.svg`
  width: 100%;
  max-width: 300px;
  height: auto;
  display: block;
  text {
    font:
      400 12px 'Source Sans 3',
      sans-serif;
    fill: ${({ theme }) => theme.inkSoft};
  }
  .rule {
    stroke: ${({ theme }) => theme.rule};
  }
  .even {
    stroke: ${({ theme }) => theme.inkSoft};
    stroke-dasharray: 3 4;
  }
  circle {
    fill: ${({ theme }) => theme.ink};
    fill-opacity: 0.75;
  }
`;
const SIZE = 220;
const PAD = 34;

/** What was said against what was so: on the dashed line a word means what it says. Larger dots rest on more cases. */
export function ReliabilityPlot({ stated }: { stated: readonly Stated[] }) {
  const bins = reliability(stated).filter(({ cases }) => cases > 0);
  const x = (p: number) => PAD + p * SIZE;
  const y = (p: number) => PAD / 2 + (1 - p) * SIZE;
  return (
    <Plot
      viewBox={`0 0 ${SIZE + PAD + 16} ${SIZE + PAD + 16}`}
      role="img"
      aria-label={bins.map((b) => `said ${Math.round(b.said * 100)}, was ${Math.round(b.was * 100)} of 100 in ${b.cases} cases`).join('; ')}
    >
      {[0, 0.25, 0.5, 0.75, 1].map((p) => (
        <g key={p}>
          <line className="rule" x1={x(0)} x2={x(1)} y1={y(p)} y2={y(p)} />
          <text x={4} y={y(p) + 4}>
            {Math.round(p * 100)}
          </text>
          <text x={x(p)} y={y(0) + 18} textAnchor="middle">
            {Math.round(p * 100)}
          </text>
        </g>
      ))}
      <line className="even" x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} />
      {bins.map((b) => (
        <circle key={b.from} cx={x(b.said)} cy={y(b.was)} r={3 + Math.min(9, 2 * Math.sqrt(b.cases))}>
          <title>{`${b.cases} cases: said ${Math.round(b.said * 100)} %, so in ${Math.round(b.was * 100)} %`}</title>
        </circle>
      ))}
    </Plot>
  );
}
