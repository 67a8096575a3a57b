import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { Standing } from '@sounding/core/consult/consult.ts';
import type { OptionStanding } from '@sounding/core/treatment/decide.ts';
import { isWorkable } from '@sounding/core/season/windows.ts';
import { sayDay } from '../../app/dates.ts';
import { Key } from '../../ui/controls.tsx';
import { ACT_WORDS, decisionText, timingText } from './words.ts';

const Box = styled.section<{ $firm: boolean }>`
  border-top: 2px solid ${({ theme, $firm }) => ($firm ? theme.brass : theme.rule)};
  padding-top: 8px;
  .plan {
    float: right;
    font-size: 14px;
    padding: 3px 0 0 12px;
  }
  h4 {
    margin: 0 0 2px;
    font:
      600 20px/1.15 'Alegreya',
      serif;
    color: ${({ theme, $firm }) => ($firm ? theme.brass : theme.inkSoft)};
  }
`;
const Options = styled.ul`
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 215px;
    gap: 10px;
    padding: 4px 0;
    border-top: 1px solid ${({ theme }) => theme.rule};
    font-size: 14.5px;
    line-height: 1.3;
  }
  .when {
    color: ${({ theme }) => theme.inkSoft};
  }
  .now {
    font-weight: 600;
    color: ${({ theme }) => theme.ink};
  }
  .basis {
    display: block;
    font-weight: 400;
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
`;

const MARK_WORDS = { published: 'published', 'common-practice': 'common practice', memory: 'from memory' } as const;

/** Whether to act, what and when; what is advised first, then the other options from gentle to strong, each with where its time stands and what that rests on. */
export function DecisionPanel({ standing, planHref }: { standing: Standing; planHref: string }) {
  const { decision } = standing;
  const isAdvised = ({ option }: OptionStanding) => option.id === decision.option;
  const options = [...standing.options.filter(isAdvised), ...standing.options.filter((one) => !isAdvised(one))];
  return (
    <Box $firm={decision.firm} aria-label="What to do">
      <Link className="plan" to={planHref}>
        Plan it: amounts and days <Key>Alt</Key>
        <Key>P</Key>
      </Link>
      <h4>{decisionText(standing)}</h4>
      <p>{decision.why}</p>
      {decision.noteFor && <p>Note in the calendar: {sayDay(decision.noteFor)}.</p>}
      <Options>
        {options.map(({ option, timing, against }) => (
          <li key={option.id}>
            <span>
              {option.id === decision.option ? <b>{option.title}</b> : option.title}
              <span className="basis">
                {against[0] ?? `${ACT_WORDS[option.act].toLowerCase()}, ${option.effect} effect, ${MARK_WORDS[option.mark]}`}
              </span>
            </span>
            <span className={isWorkable(timing.state) ? 'now' : 'when'}>
              {timingText(timing)}
              {timing.state !== 'any-time' && timing.state !== 'unknown' && (
                <span className="basis">
                  {timing.basis}, {MARK_WORDS[timing.mark]}
                </span>
              )}
            </span>
          </li>
        ))}
      </Options>
    </Box>
  );
}
