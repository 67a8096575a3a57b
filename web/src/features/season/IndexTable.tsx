import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { Cause } from '@sounding/core/edition/causes.ts';
import type { Outlooks } from '@sounding/core/season/indices/outlook.ts';
import type { IndexRun } from '@sounding/core/season/report.ts';
import { sayShortDay } from '../../app/dates.ts';
import { VisuallyHidden } from '../../ui/controls.tsx';
import { MARK_WORDS } from '../library/parts.tsx';

const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
  font-size: 13px;
  th {
    text-align: left;
    font-weight: 400;
    color: ${({ theme }) => theme.inkSoft};
  }
  th.name {
    width: 330px;
    color: ${({ theme }) => theme.ink};
    font-size: 14.5px;
    padding: 4px 10px 4px 0;
    line-height: 1.2;
  }
  td {
    height: 30px;
    text-align: center;
    border-left: 1px solid ${({ theme }) => theme.paper};
    border-bottom: 1px solid ${({ theme }) => theme.rule};
  }
  td.off {
    background: repeating-linear-gradient(135deg, transparent 0 5px, ${({ theme }) => theme.rule} 5px 6px);
  }
  td.low {
    background: ${({ theme }) => theme.wash};
  }
  td.risk {
    background: ${({ theme }) => theme.brass};
    color: ${({ theme }) => theme.brassInk};
    font-weight: 600;
  }
  td.high {
    background: ${({ theme }) => theme.chalk};
    color: ${({ theme }) => theme.paper};
    font-weight: 600;
  }
  .ahead {
    font-style: italic;
  }
  th.day {
    text-align: center;
    font-size: 12px;
    white-space: nowrap;
    overflow: hidden;
  }
  .next {
    font-variant-numeric: tabular-nums;
  }
  small {
    display: block;
    color: ${({ theme }) => theme.inkSoft};
  }
`;
const SIGNS = { none: '', low: '·', risk: '!', high: '!!' } as const;

/** The weather rules of the great diseases over the last days and the next: a sign and a word, never a colour alone. */
export function IndexTable({ runs, causes = [], outlooks }: { runs: readonly IndexRun[]; causes?: readonly Cause[]; outlooks: Outlooks | null }) {
  const days = runs[0]?.days ?? [];
  const causeOf = (run: IndexRun) => causes.find(({ index }) => index === run.id)?.id;
  return (
    <Table>
      <thead>
        <tr>
          <th className="name" />
          {days.map(({ on, foretold }, i) => (
            <th key={on} className={`day ${foretold ? 'ahead' : ''}`}>
              {i === 0 || on.endsWith('-01') ? sayShortDay(on) : Number(on.slice(8))}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {runs.map((run) => {
          const next = run.inSight ? null : outlooks?.[run.id].next;
          return (
            <tr key={run.id}>
              <th className="name" scope="row" title={`${run.cite}; ${MARK_WORDS[run.mark]}`}>
                {causeOf(run) ? <Link to={`/library/cause/${causeOf(run)}`}>{run.name}</Link> : run.name}
                <small>{run.holds}</small>
                {next && (
                  <small className="next" title={`from ${next.years} years of this station`}>
                    expected next {sayShortDay(next.on)} ({sayShortDay(next.early)} to {sayShortDay(next.late)} in 8 of 10 years)
                  </small>
                )}
              </th>
              {run.days.map((day) => (
                <td
                  key={day.on}
                  className={`${day.inSeason ? day.level : 'off'} ${day.foretold ? 'ahead' : ''}`}
                  title={`${sayShortDay(day.on)}: ${day.inSeason ? day.note || 'quiet' : 'out of its season'}${day.foretold ? ' (foretold)' : ''}`}
                >
                  <span aria-hidden="true">{SIGNS[day.level]}</span>
                  <VisuallyHidden>{day.inSeason ? day.level : 'out of season'}</VisuallyHidden>
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
