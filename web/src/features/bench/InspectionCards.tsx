import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { styled } from 'styled-components';
import type { Channel } from '@sounding/core/edition/findings.ts';
import type { Inspection, InspectionPlace } from '@sounding/core/edition/inspections.ts';
import { addDays } from '@sounding/core/season/calendar.ts';
import { useDesk } from '../../app/routes.tsx';
import { sayDay } from '../../app/dates.ts';
import { Choice } from '../../ui/choice.tsx';
import { Button, Key, Notice, TextField } from '../../ui/controls.tsx';
import { useKeys } from '../../ui/useKeys.ts';
import { CHANNEL_WORDS } from '../case/words.ts';
import { MARK_WORDS } from '../library/parts.tsx';
import { useCaseQueryText } from './BenchTabs.tsx';
import { InspectionFigure } from './InspectionFigure.tsx';
import { channelOf, writesOf } from './inspectionWrites.ts';
import { Small } from './layout.ts';
import { backToCase, type CaseAtHand } from './useCaseAtHand.ts';
import { useCountdown } from './useCountdown.ts';

const Card = styled.section`
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr);
  gap: 8px 28px;
  align-items: center;
  min-height: 188px;
  margin-top: 12px;
  padding: 14px 20px;
  background: ${({ theme }) => theme.sheet};
  border: 1px solid ${({ theme }) => theme.rule};
  border-left: 4px solid ${({ theme }) => theme.brass};
  &:focus-visible {
    outline: 2.5px solid ${({ theme }) => theme.focus};
  }
  @media (max-width: 620px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Said = styled.p`
  font:
    500 25px/1.25 'Alegreya',
    serif;
`;
const Steps = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  margin-top: 8px;
  font-size: 14px;
  color: ${({ theme }) => theme.inkSoft};
`;
const Clock = styled.span`
  font:
    600 30px/1 'Source Sans 3',
    sans-serif;
  font-variant-numeric: tabular-nums;
  margin-right: 12px;
`;
const Results = styled.ol`
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 4px 16px;
  button {
    width: 100%;
    text-align: left;
    white-space: normal;
    font-weight: 400;
  }
  button[aria-pressed='true'] {
    background: ${({ theme }) => theme.wash};
    font-weight: 600;
  }
`;
const Heading = styled.h2`
  margin-top: 18px;
`;
const Do = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 20px;
`;
const Outcome = styled.section`
  display: grid;
  gap: 8px;
  margin-top: 14px;
  padding-left: 14px;
  border-left: 4px solid ${({ theme }) => theme.brass};
  .means {
    font-size: 20px;
    font-weight: 600;
    line-height: 1.25;
  }
`;

const PLACE_WORDS: Record<InspectionPlace, string> = { phone: 'on the phone', table: 'at the table', site: 'in the garden' };
const CHANNELS = (['caller-looked', 'in-hand', 'bench'] as const).map((id) => ({ id, say: CHANNEL_WORDS[id] }));
function Timer({ seconds, at }: { seconds: number; at: string }) {
  const { left, state, start } = useCountdown(seconds, at);
  return (
    <Steps as="div">
      <Clock role="timer" aria-label="time left">
        {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
      </Clock>
      {state === 'running' ? (
        <span role="status">watching …</span>
      ) : (
        <Button autoFocus onPress={start}>
          {state === 'over' ? 'Once more' : 'Start the clock'}
        </Button>
      )}
      {state === 'over' && <span role="status">Time is up: what do you see?</span>}
    </Steps>
  );
}

/** One test as cards to read out, its results on the number keys, and what becomes of them in the case. */
export function InspectionCards({ inspection, atHand }: { inspection: Inspection; atHand: CaseAtHand | null }) {
  const { desk } = useDesk();
  const navigate = useNavigate();
  const query = useCaseQueryText();
  const card = useRef<HTMLElement>(null);
  const [at, setAt] = useState(0);
  const [picked, setPicked] = useState<number | null>(null);
  const [chosen, setChannel] = useState<Channel | null>(null);
  const [againOn, setAgainOn] = useState('');
  useEffect(() => card.current?.focus(), []);
  const channel = chosen ?? channelOf(atHand?.question.setting ?? 'phone');
  const { steps, results } = inspection;
  const step = steps[at] ?? steps[0];
  const result = picked === null ? undefined : results[picked];
  const pick = (index: number) => {
    const found = results[index];
    if (!found) return;
    setPicked(index);
    setAgainOn(found.again ? addDays(desk.today, found.again[0]) : '');
  };
  const takeIn = () => {
    if (!result || !atHand) return;
    const found = { inspection, result, channel, againOn: againOn === '' ? null : againOn };
    for (const write of writesOf(found, atHand.view, atHand.question, () => crypto.randomUUID())) atHand.write(write);
    void navigate(backToCase(atHand));
  };
  useKeys((event) => {
    const inField = event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement;
    if (inField || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'ArrowRight') setAt(Math.min(at + 1, steps.length - 1));
    else if (event.key === 'ArrowLeft') setAt(Math.max(at - 1, 0));
    else if (/^[1-9]$/.test(event.key)) pick(Number(event.key) - 1);
    else return;
    event.preventDefault();
  });
  return (
    <div>
      <h1>{inspection.name}</h1>
      <p>
        {inspection.settles} {inspection.needs} <i>{inspection.where.map((place) => PLACE_WORDS[place]).join(', ')}</i>
      </p>
      {inspection.cautions.map((caution) => (
        <Notice key={caution} $tone="danger">
          {caution}
        </Notice>
      ))}
      <Card ref={card} tabIndex={0} aria-label={`Step ${at + 1} of ${steps.length}`}>
        <InspectionFigure figure={step?.figure ?? steps.slice(0, at).findLast(({ figure }) => figure)?.figure} />
        <div>
          <Said>{step?.say}</Said>
          {step?.seconds && <Timer seconds={step.seconds} at={`${inspection.id} ${at}`} />}
          <Steps>
            Step {at + 1} of {steps.length}
            <Button weight="quiet" isDisabled={at === 0} onPress={() => setAt(at - 1)}>
              <Key>←</Key> back
            </Button>
            <Button weight="quiet" isDisabled={at === steps.length - 1} onPress={() => setAt(at + 1)}>
              <Key>→</Key> next
            </Button>
          </Steps>
        </div>
      </Card>
      <Heading>What came of it?</Heading>
      <Results>
        {results.map(({ say }, i) => (
          <li key={say}>
            <Button aria-pressed={picked === i} onPress={() => pick(i)}>
              <Key>{i + 1}</Key> {say}
            </Button>
          </li>
        ))}
      </Results>
      {result && (
        <Outcome aria-label="Result">
          <p className="means" role="status">
            {result.means}
          </p>
          {result.again && !atHand && (
            <p>
              Look again between {sayDay(addDays(desk.today, result.again[0]))} and {sayDay(addDays(desk.today, result.again[1]))}.
            </p>
          )}
          {inspection.sum && (
            <p>
              <Link to={`/bench${query}${query ? '&' : '?'}sum=${inspection.sum}`}>Work the figures out on the bench</Link>
            </p>
          )}
          {atHand && (
            <>
              <Choice label="known by" options={CHANNELS} value={channel} onChange={(value) => setChannel(value ?? channel)} />
              {result.again && (
                <div>
                  <TextField label="look again on; empty = not" type="date" value={againOn} onChange={setAgainOn} />
                </div>
              )}
              <Do>
                <Button key={picked} autoFocus weight="act" onPress={takeIn}>
                  Take it into the case of {atHand.view.caller.name} <Key>Enter</Key>
                </Button>
                <Link to={backToCase(atHand)}>Back without</Link>
              </Do>
            </>
          )}
        </Outcome>
      )}
      <Small>{MARK_WORDS[inspection.mark]}</Small>
    </div>
  );
}
