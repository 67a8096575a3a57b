import { useState } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { InstrumentReadingView, InstrumentView } from '@sounding/contract/instruments.ts';
import { readingText } from '@sounding/core/consult/words.ts';
import { instrumentSays, SOILS, type Soil } from '@sounding/core/instruments/says.ts';
import type { InstrumentKind } from '@sounding/core/instruments/line.ts';
import { sayDay, sayTime } from '../../app/dates.ts';
import { problemText, useAssignReadingMutation, useInstrumentsQuery, useTakeReadingMutation } from '../../store/api.ts';
import { Choice } from '../../ui/choice.tsx';
import { Button, Notice } from '../../ui/controls.tsx';
import { MARK_WORDS, useLibrary } from '../library/parts.tsx';
import { BenchTabs } from './BenchTabs.tsx';
import { Side, Small, View, Work } from './layout.ts';
import { backToCase, useCaseAtHand, type CaseAtHand } from './useCaseAtHand.ts';

const One = styled.section`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  padding: 8px 0;
  border-bottom: 1px solid ${({ theme }) => theme.rule};
  h2 {
    font-size: 20px;
    min-width: 120px;
  }
  > span {
    flex: 1;
    color: ${({ theme }) => theme.inkSoft};
  }
`;
const Soils = styled.div`
  margin: 14px 0 4px;
`;
const Taken = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 60px minmax(0, 1fr) auto;
    gap: 2px 14px;
    align-items: center;
    padding: 7px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    font-variant-numeric: tabular-nums;
  }
  li.newest {
    border-left: 4px solid ${({ theme }) => theme.brass};
    padding-left: 14px;
    background: ${({ theme }) => theme.sheet};
  }
  li.newest .figures {
    font-size: 21px;
    font-weight: 600;
  }
  small {
    display: block;
    font-size: 13.5px;
    color: ${({ theme }) => theme.inkSoft};
  }
`;

const STATE_WORDS: Record<InstrumentView['state'], string> = { connected: 'connected', lost: 'lost, being called', 'never-seen': 'not there yet' };
export const INSTRUMENT_WORDS: Record<InstrumentKind, string> = { 'soil-probe': 'Soil probe', 'ph-pen': 'pH pen', scale: 'Scale' };
const SOIL_CHOICES = SOILS.map((id) => ({ id, say: id }));
const POLL_MS = 1000;

/** Takes a reading into the case: its figures as a statement of the instrument, and what they say as bench readings. */
function useTakeIn(atHand: CaseAtHand | null, soil: Soil) {
  const [assign] = useAssignReadingMutation();
  return (reading: InstrumentReadingView) => {
    if (!atHand) return;
    const { lines, readings } = instrumentSays(reading.measured, soil);
    const statementId = crypto.randomUUID();
    const name = INSTRUMENT_WORDS[reading.instrument];
    const taken = readings.map((one) => ({ ...one, id: crypto.randomUUID(), channel: 'bench' as const, from: name, statementId }));
    atHand.write({
      kind: 'statement',
      questionId: atHand.question.id,
      body: { id: statementId, said: lines.join(', '), asked: name, by: 'instrument', readings: taken },
    });
    void assign({ id: reading.id, questionId: atHand.question.id });
  };
}

function Reading({ reading, soil, newest, atHand }: { reading: InstrumentReadingView; soil: Soil; newest: boolean; atHand: CaseAtHand | null }) {
  const { edition } = useLibrary();
  const takeIn = useTakeIn(atHand, soil);
  const { lines, readings, figures } = instrumentSays(reading.measured, soil);
  return (
    <li className={newest ? 'newest' : ''}>
      <span>{sayTime(reading.takenAt)}</span>
      <div>
        <span className="figures">{lines.join(', ')}</span>
        <small>
          {INSTRUMENT_WORDS[reading.instrument]}
          {edition && readings.map((r) => ` · ${readingText(edition, r.finding, r.answer)}`)}
        </small>
        {newest &&
          figures.map(({ what, mark, source }) => (
            <small key={what}>
              {what} – {MARK_WORDS[mark]}, {source}
            </small>
          ))}
      </div>
      {reading.questionId !== null ? (
        <small>{reading.questionId === atHand?.question.id ? 'in this case' : 'in a case'}</small>
      ) : (
        atHand && (
          <Button weight={newest ? 'act' : 'plain'} onPress={() => takeIn(reading)}>
            Take it in
          </Button>
        )
      )}
    </li>
  );
}

/** The instruments at the table: whether they are there, what they have measured, and into the case with it. */
export function InstrumentsPage() {
  const atHand = useCaseAtHand();
  const { data, error } = useInstrumentsQuery(undefined, { pollingInterval: POLL_MS });
  const [take, { error: refused }] = useTakeReadingMutation();
  const [soil, setSoil] = useState<Soil>('loam');
  const fault = error ?? refused;
  const readings = data?.readings ?? [];
  const waiting = readings.find(({ questionId }) => questionId === null);
  return (
    <View>
      <Side aria-label="Instruments">
        <BenchTabs />
        <Small>A reading stays in the instrument until it is stored here: pull the plug, and it comes when the plug is back.</Small>
      </Side>
      <Work>
        <h1>At the table</h1>
        {fault && (
          <Notice $tone="danger" role="alert">
            {problemText(fault)}
          </Notice>
        )}
        {data?.instruments.length === 0 && <Notice>No instrument is set up at this desk.</Notice>}
        {(data?.instruments ?? []).map(({ address, state, kind, serial, name, trouble }) => (
          <One key={address} aria-label={kind ? INSTRUMENT_WORDS[kind] : address}>
            <h2>{kind ? INSTRUMENT_WORDS[kind] : address}</h2>
            <span>
              {STATE_WORDS[state]}
              {serial && ` · ${serial}`}
              {name && kind && name.toLowerCase() !== INSTRUMENT_WORDS[kind].toLowerCase() && ` · ${name}`}
              {trouble && <Notice $tone={state === 'connected' ? 'note' : 'danger'}>{trouble}</Notice>}
            </span>
            <Button isDisabled={state !== 'connected' || serial === null} onPress={() => void take(serial ?? '')}>
              Measure
            </Button>
          </One>
        ))}
        <Soils>
          <Choice label="probe is in" options={SOIL_CHOICES} value={soil} onChange={(value) => setSoil(value ?? soil)} />
        </Soils>
        <Taken aria-label="Measured, newest first">
          {readings.map((reading) => (
            <Reading key={reading.id} reading={reading} soil={soil} newest={reading.id === waiting?.id} atHand={atHand} />
          ))}
        </Taken>
        {readings.length > 0 && <Small>Last on {sayDay(readings[0]?.takenAt ?? '')}.</Small>}
        {atHand && (
          <p>
            <Link to={backToCase(atHand)}>Back to the case of {atHand.view.caller.name}</Link>
          </p>
        )}
      </Work>
    </View>
  );
}
