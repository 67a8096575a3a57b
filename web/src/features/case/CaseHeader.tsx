import { memo } from 'react';
import { styled } from 'styled-components';
import type { CaseView, QuestionView, SessionView } from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { sayDay } from '../../app/dates.ts';
import { UNNUMBERED } from '../../store/writes.ts';
import { Button } from '../../ui/controls.tsx';
import { HostPicker } from './HostPicker.tsx';

const Head = styled.header`
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 18px;
  padding: 8px 20px;
  border-bottom: 1.5px solid ${({ theme }) => theme.ink};
  h1 {
    font-size: 24px;
  }
  p {
    font-size: 14px;
    color: ${({ theme }) => theme.inkSoft};
  }
  span {
    white-space: nowrap;
  }
`;
/** As wide as its lines, where there is room beside the questions. */
const Caller = styled.div`
  flex: 1 1 220px;
  max-width: max-content;
`;
const Tabs = styled.div`
  display: flex;
  gap: 4px;
  margin-left: auto;
`;
const Select = styled.select`
  min-height: 34px;
  padding: 4px 6px;
  border: 1px solid ${({ theme }) => theme.rule};
  border-radius: 3px;
  background: ${({ theme }) => theme.sheet};
`;
interface Props {
  view: CaseView;
  question: QuestionView;
  edition: Edition;
  session: SessionView;
  date: string;
  /** Name of the plant that was noted when the call came in. */
  noted: string | null;
  onQuestion: (id: string) => void;
  onAddQuestion: () => void;
  onChange: (patch: { hostId?: string | null; stationId?: string | null; setting?: 'phone' | 'table' }) => void;
}

/** Who calls, about which plant, from where; one tab for each question of the call. */
export const CaseHeader = memo(function CaseHeader({ view, question, edition, session, date, noted, onQuestion, onAddQuestion, onChange }: Props) {
  const plantName = (id: string | null) => edition.plants.find((p) => p.id === id)?.name;
  return (
    <Head>
      <Caller>
        <h1>{view.caller.name}</h1>
        <p>
          {view.number === UNNUMBERED ? 'no number yet' : `#${view.number}`}
          {view.caller.place ? ` · ${view.caller.place}` : ''}
          {view.caller.phone ? ` · ${view.caller.phone}` : ''}
          {view.caller.email ? ` · ${view.caller.email}` : ''} · <span>{sayDay(date)}</span>
        </p>
      </Caller>
      <HostPicker key={`${question.id}-${question.hostId}`} hostId={question.hostId} noted={noted} plants={edition.plants} onPick={onChange} />
      <Select aria-label="Station" value={question.stationId ?? ''} onChange={(event) => onChange({ stationId: event.target.value || null })}>
        {session.stations.map((station) => (
          <option key={station.id} value={station.id}>
            {station.name}, {station.altitudeM} m
          </option>
        ))}
        <option value="">no station</option>
      </Select>
      <Select
        aria-label="How the plant is seen"
        value={question.setting}
        onChange={(event) => onChange({ setting: event.target.value === 'table' ? 'table' : 'phone' })}
      >
        <option value="phone">{view.channel === 'email' ? 'in writing' : 'on the telephone'}</option>
        <option value="table">plant on the table</option>
      </Select>
      <Tabs role="group" aria-label="Questions of this call">
        {view.questions.map((q, i) => (
          <Button key={q.id} weight={q.id === question.id ? 'plain' : 'quiet'} aria-pressed={q.id === question.id} onPress={() => onQuestion(q.id)}>
            {i + 1}. {plantName(q.hostId) ?? 'question'}
          </Button>
        ))}
        <Button weight="quiet" onPress={onAddQuestion} aria-label="Another question">
          + question
        </Button>
      </Tabs>
    </Head>
  );
});
