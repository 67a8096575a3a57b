import { useState } from 'react';
import { styled } from 'styled-components';
import type { Standing } from '@sounding/core/consult/consult.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Overrule } from '@sounding/core/treatment/decide.ts';
import { reasonsInWords, type Verdict } from '@sounding/core/treatment/verdicts.ts';
import { sayDay } from '../../app/dates.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { ACT_WORDS, decisionText } from '../case/words.ts';
import { Rung } from './Rung.tsx';

const Verdict_ = styled.div`
  border-left: 4px solid ${({ theme }) => theme.brass};
  padding: 2px 0 2px 14px;
  margin-bottom: 10px;
  h2 {
    font-size: 27px;
    color: ${({ theme }) => theme.brass};
  }
  p + p {
    margin-top: 3px;
  }
  .soft {
    color: ${({ theme }) => theme.inkSoft};
    font-size: 14px;
  }
`;
const Rungs = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  > li {
    border-top: 1px solid ${({ theme }) => theme.rule};
    padding: 6px 0;
    display: grid;
    grid-template-columns: minmax(0, 1fr) 190px 92px;
    gap: 12px;
    font-size: 14.5px;
    line-height: 1.3;
  }
  > li button {
    margin-top: -6px;
  }
  .no {
    color: ${({ theme }) => theme.inkSoft};
  }
  b {
    font-size: 15.5px;
  }
  small {
    display: block;
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
  .against {
    color: ${({ theme }) => theme.chalk};
    font-size: 13.5px;
  }
  summary {
    width: fit-content;
    font-size: 13.5px;
    color: ${({ theme }) => theme.inkSoft};
    cursor: pointer;
  }
  .school {
    margin-top: 4px;
    padding-left: 10px;
    border-left: 2px solid ${({ theme }) => theme.rule};
    font-size: 13.5px;
  }
`;
const Why = styled.form`
  display: flex;
  gap: 8px;
  align-items: end;
  margin-top: 6px;
  > :first-child {
    flex: 1;
  }
`;

interface Props {
  standing: Standing;
  edition: Edition;
  overrule: Overrule | null;
  onOverrule: (overrule: Overrule | null) => void;
}

/** The decision with its reasons, and the ladder it stands on: what each rung needs, what speaks against it here, what others say. */
export function LadderPanel({ standing, edition, overrule, onOverrule }: Props) {
  const { decision, advised, options } = standing;
  const [instead, setInstead] = useState<Verdict | 'leave' | null>(null);
  const [why, setWhy] = useState('');
  const reasons = reasonsInWords(standing.circumstances, standing.options);
  const confirm = () => {
    if (instead === null || why.trim() === '') return;
    onOverrule({ option: instead === 'leave' ? null : instead.option.id, why: why.trim() });
    setInstead(null);
    setWhy('');
  };
  return (
    <section aria-label="Whether and what">
      <Verdict_>
        <h2>{decisionText(standing)}</h2>
        <p>{decision.why}</p>
        {decision.noteFor && <p>Note in the calendar: {sayDay(decision.noteFor)}.</p>}
        {reasons.length > 0 && <p className="soft">Reckoned with: {reasons.join('; ')}.</p>}
        {overrule && advised && (
          <p className="soft">
            The advisor’s own decision. Sounding would say: {ACT_WORDS[advised.act].toLowerCase()}.{' '}
            <Button weight="quiet" onPress={() => onOverrule(null)}>
              Go back to that
            </Button>
          </p>
        )}
      </Verdict_>
      {instead !== null && (
        <Why
          onSubmit={(event) => {
            event.preventDefault();
            confirm();
          }}
        >
          <TextField
            autoFocus
            label={`${instead === 'leave' ? 'Leave it alone' : instead.option.title} instead, because`}
            value={why}
            onChange={setWhy}
            onKeyDown={(event) => event.key === 'Escape' && setInstead(null)}
          />
          <Button type="submit" isDisabled={why.trim() === ''}>
            Decide so
          </Button>
          <Button weight="quiet" onPress={() => setInstead(null)}>
            Never mind
          </Button>
        </Why>
      )}
      <Rungs aria-label="Options, gentlest first">
        {options.map((verdict) => (
          <Rung
            key={verdict.option.id}
            verdict={verdict}
            taken={verdict.option.id === decision.option}
            school={edition.schools.find(({ id }) => id === verdict.option.school)}
            onInstead={() => setInstead(verdict)}
          />
        ))}
        {decision.act !== 'leave' && options.every(({ option }) => option.act !== 'leave') && (
          <li>
            <span>Leave it alone</span>
            <span />
            <Button weight="quiet" onPress={() => setInstead('leave')}>
              Rather this
            </Button>
          </li>
        )}
      </Rungs>
      {options.length === 0 && <Notice>Nothing on record explains this: refer it before treating anything.</Notice>}
    </section>
  );
}
