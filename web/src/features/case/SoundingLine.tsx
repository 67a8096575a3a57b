import { memo, useLayoutEffect, useRef, useState } from 'react';
import { styled } from 'styled-components';
import type { ReadingView } from '@sounding/contract/api.ts';
import { readingText } from '@sounding/core/consult/words.ts';
import type { SoundingMark } from '@sounding/core/diagnosis/sounding.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { Key } from '../../ui/controls.tsx';
import { depthOf, halvings, spreadLabels } from './lineLayout.ts';
import { movedText } from './words.ts';

const Panel = styled.section`
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  padding: 12px 0 8px;
  border-inline: 1px solid ${({ theme }) => theme.rule};
  background: ${({ theme }) => theme.sheet};
`;
const Heading = styled.h2`
  font-size: 17px;
  padding: 0 14px;
`;
const Chart = styled.div`
  position: relative;
  min-height: 0;
  overflow: hidden;
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
  .tick {
    stroke: ${({ theme }) => theme.rule};
  }
  .tick-label {
    fill: ${({ theme }) => theme.inkSoft};
    font-size: 12px;
  }
  .trace {
    stroke: ${({ theme }) => theme.ink};
    stroke-width: 2;
    fill: none;
    stroke-linejoin: round;
  }
  .leader {
    stroke: ${({ theme }) => theme.inkSoft};
    stroke-width: 0.8;
    fill: none;
  }
  .knot {
    fill: ${({ theme }) => theme.sheet};
    stroke: ${({ theme }) => theme.ink};
    stroke-width: 1.8;
  }
  .knot.at {
    fill: ${({ theme }) => theme.brass};
    stroke: ${({ theme }) => theme.brass};
  }
  .branch {
    stroke: ${({ theme }) => theme.inkSoft};
    stroke-width: 1.4;
    stroke-dasharray: 3 2;
    fill: none;
  }
  .later {
    opacity: 0.35;
  }
`;
const Step = styled.button<{ $later: boolean; $at: boolean }>`
  position: absolute;
  left: 92px;
  right: 8px;
  border: 0;
  border-left: 2px solid ${({ theme, $at }) => ($at ? theme.brass : 'transparent')};
  background: transparent;
  padding: 0 4px 0 6px;
  text-align: left;
  cursor: pointer;
  font-size: 13.5px;
  line-height: 1.18;
  height: 34px;
  overflow: hidden;
  opacity: ${({ $later }) => ($later ? 0.5 : 1)};
  b {
    font-weight: 600;
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  span {
    color: ${({ theme }) => theme.inkSoft};
    display: flex;
    gap: 4px;
    white-space: nowrap;
  }
  /* the name gives way, never the change */
  i {
    font-style: normal;
    overflow: hidden;
    text-overflow: ellipsis;
  }
`;
const Foot = styled.p`
  font-size: 13px;
  color: ${({ theme }) => theme.inkSoft};
  padding: 4px 14px 0;
`;

const AXIS_X = 46;
const SWING = 12;
const TOP = 22;
const FOOT = 26;
const LABEL_GAP = 37;

/** What a reading changed: the cause it moved most, and to where. */
function Change({ moved, name }: { moved: SoundingMark['moved']; name: (cause: string) => string }) {
  if (!moved) return <span>changed little</span>;
  return (
    <span>
      <i>{name(moved.cause)}</i> {movedText(moved.by, moved.to)}
    </span>
  );
}

interface Props {
  marks: readonly SoundingMark[];
  readings: readonly ReadingView[];
  edition: Edition;
  /** The mark looked at: number of readings taken by then. */
  at: number;
  /** Readings taken back, each with how many standing ones had been taken before it: short branches off the line. */
  branches: readonly { after: number; said: string }[];
  onStep: (taken: number) => void;
}

/** The trace that sinks as doubt falls. Every mark is a reading; choosing one shows the standing at that moment. */
export const SoundingLine = memo(function SoundingLine({ marks, readings, edition, at, branches, onStep }: Props) {
  const chart = useRef<HTMLDivElement>(null);
  const [height, setHeight] = useState(420);
  useLayoutEffect(() => {
    const box = chart.current;
    if (!box || typeof ResizeObserver === 'undefined') return undefined;
    const observer = new ResizeObserver(() => setHeight(Math.max(160, box.clientHeight)));
    observer.observe(box);
    return () => observer.disconnect();
  }, []);
  const surface = marks[0]?.bits ?? 0;
  const span = height - TOP - FOOT;
  const y = (bits: number) => TOP + depthOf(bits, surface) * span;
  const x = (i: number) => AXIS_X + (i === 0 ? 0 : i % 2 === 0 ? -SWING / 3 : SWING / 3);
  const room = Math.max(1, Math.floor((height - TOP) / LABEL_GAP));
  const firstLabel = Math.max(0, marks.length - room);
  const shown = marks.slice(firstLabel);
  const labels = spreadLabels(
    shown.map((mark) => y(mark.bits) - 16),
    LABEL_GAP,
    4,
    height - 36,
  );
  const name = (cause: string) => edition.causes.find((c) => c.id === cause)?.name ?? 'Not on our list';
  return (
    <Panel aria-label="Sounding line">
      <Heading>Sounding</Heading>
      <Chart ref={chart}>
        <svg aria-hidden="true">
          {halvings(surface).map(({ left, depth }) => (
            <g key={left}>
              <line className="tick" x1={AXIS_X - 16} x2={AXIS_X + 16} y1={TOP + depth * span} y2={TOP + depth * span} />
              <text className="tick-label" x={AXIS_X - 20} y={TOP + depth * span + 4} textAnchor="end">
                {left}
              </text>
            </g>
          ))}
          <polyline
            className="trace"
            points={marks
              .slice(0, at + 1)
              .map((mark, i) => `${x(i)},${y(mark.bits)}`)
              .join(' ')}
          />
          <polyline
            className="trace later"
            points={marks
              .slice(at)
              .map((mark, i) => `${x(at + i)},${y(mark.bits)}`)
              .join(' ')}
          />
          {branches.map(({ after, said }, i) => {
            const mark = marks[Math.min(after, marks.length - 1)];
            if (!mark) return null;
            const [bx, by] = [x(mark.taken), y(mark.bits)];
            return (
              <path key={i} className="branch" d={`M${bx},${by} l-13,11 m-3,-3 l6,6 m0,-6 l-6,6`}>
                <title>taken back: {said}</title>
              </path>
            );
          })}
          {shown.map((mark, i) => (
            <g key={mark.taken} className={mark.taken > at ? 'later' : ''}>
              <path
                className="leader"
                d={`M${x(mark.taken) + 5},${y(mark.bits)} L${AXIS_X + 26},${y(mark.bits)} L${AXIS_X + 42},${(labels[i] ?? 0) + 16}`}
              />
              {mark.taken === at ? (
                <path className="knot at" d={`M${x(mark.taken) - 4},${y(mark.bits) - 8} h8 l3,14 h-14 z`} />
              ) : (
                <circle className="knot" cx={x(mark.taken)} cy={y(mark.bits)} r={4} />
              )}
            </g>
          ))}
        </svg>
        {shown.map((mark, i) => {
          const reading = readings[mark.taken - 1];
          return (
            <Step
              key={mark.taken}
              type="button"
              style={{ top: labels[i] ?? 0 }}
              $later={mark.taken > at}
              $at={mark.taken === at}
              aria-current={mark.taken === at ? 'step' : undefined}
              onClick={() => onStep(mark.taken)}
            >
              <b>{reading ? readingText(edition, reading.finding, reading.answer) : 'Before any reading'}</b>
              {reading ? <Change moved={mark.moved} name={name} /> : <span>about {Math.round(2 ** mark.bits)} possibilities</span>}
            </Step>
          );
        })}
      </Chart>
      <Foot>
        possibilities left; <Key>[</Key>
        <Key>]</Key> step along{branches.length > 0 && `; ${branches.length} taken back`}
      </Foot>
    </Panel>
  );
});
