import { useState } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { DueWindow } from '@sounding/core/season/report.ts';
import { sayShortDay } from '../../app/dates.ts';
import { Button } from '../../ui/controls.tsx';

export const Due = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 128px minmax(0, 1fr);
    gap: 12px;
    padding: 5px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    line-height: 1.3;
  }
  b {
    font-weight: 600;
  }
  small {
    display: block;
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
  .when {
    color: ${({ theme }) => theme.brass};
    font-weight: 600;
  }
`;

/** Shown of each turn before "and more". */
const SHOWN = 9;

/** "opens 17 Jun", "ends today". */
export function when({ turn, inDays, timing }: Pick<DueWindow, 'turn' | 'inDays' | 'timing'>): string {
  const day = turn === 'opens' ? timing.from : timing.to;
  const date = day ? sayShortDay(day) : '';
  if (turn === 'opens') return inDays === 0 ? 'opens today' : `opens ${date}`;
  return inDays === 0 ? 'ends today' : `until ${date}`;
}

/** Windows that stand at one turn, with what is done in them. */
export function Turns({ title, rows }: { title: string; rows: readonly DueWindow[] }) {
  const [all, setAll] = useState(false);
  if (rows.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <Due>
        {rows.slice(0, all ? undefined : SHOWN).map((row) => (
          <li key={`${row.cause} ${row.timing.window}`}>
            <span className="when">
              {when(row)}
              {row.timing.fromBand && row.timing.fromBand[0] !== row.timing.fromBand[1] && (
                <small>
                  {sayShortDay(row.timing.fromBand[0])} – {sayShortDay(row.timing.fromBand[1])}, 8 in 10 years
                </small>
              )}
            </span>
            <span>
              <Link to={`/library/cause/${row.cause}`}>
                <b>{row.causeName}</b>
              </Link>
              : {row.timing.name}
              <small>
                {row.options.join('; ')} · {row.timing.basis}
              </small>
            </span>
          </li>
        ))}
      </Due>
      {rows.length > SHOWN && !all && (
        <p>
          <Button weight="quiet" onPress={() => setAll(true)}>
            and {rows.length - SHOWN} more
          </Button>
        </p>
      )}
    </>
  );
}
