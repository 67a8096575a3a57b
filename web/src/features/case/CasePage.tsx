import { useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import { ENGINE_VERSION } from '@sounding/core/consult/consult.ts';
import type { Finding } from '@sounding/core/edition/edition.ts';
import { useDesk } from '../../app/routes.tsx';
import { useHeard } from '../../engine/engine.ts';
import { problemText, useAddQuestionMutation } from '../../store/api.ts';
import { Notice } from '../../ui/controls.tsx';
import { CaseHeader } from './CaseHeader.tsx';
import { Dock } from './Dock.tsx';
import { Reproduced } from './Reproduced.tsx';
import { SoundingLine } from './SoundingLine.tsx';
import { StandingPanel } from './StandingPanel.tsx';
import { useCaseWork } from './useCaseWork.ts';
import { useQuestionStanding } from './useQuestionStanding.ts';
import { WordsPanel } from './WordsPanel.tsx';

const View = styled.div`
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  @media (max-width: 900px) {
    height: auto;
    grid-template-rows: auto auto auto;
  }
`;
const Columns = styled.div`
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(250px, 27fr) minmax(270px, 27fr) minmax(420px, 46fr);
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    > :nth-child(2) {
      min-height: 380px;
    }
    > :nth-child(3) {
      grid-column: 1 / -1;
    }
  }
`;
const Wait = styled.div`
  padding: 40px 24px;
`;
const YES_NO = /^(yes|yeah|yep|no|nope|nah|a bit|a little|not really|definitely)\b/i;

/** The heart of the desk: one call, from the caller's words to a cause and a dated recommendation. */
export function CasePage() {
  const { caseId = '' } = useParams();
  const session = useDesk();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const { view, error, write } = useCaseWork(caseId);
  const question = view?.questions.find((q) => q.id === search.get('q')) ?? view?.questions[0];
  const [mark, setMark] = useState<{ question: string; taken: number } | null>(null);
  const [place, setPlace] = useState(0);
  const [draft, setDraft] = useState('');
  const entry = useRef<HTMLInputElement>(null);
  const [addQuestion] = useAddQuestionMutation();
  const at = mark && mark.question === question?.id ? mark.taken : null;
  const { edition, date, taken, standing, shown } = useQuestionStanding(question, session, at);
  const open = standing?.questions ?? [];
  const next = open[Math.min(place, open.length - 1)];
  const finding: Finding | null = edition?.findings.find((f) => f.id === next?.finding) ?? null;
  const asked = finding && YES_NO.test(draft.trim()) ? finding.ask : null;
  const heard = useHeard(edition, draft, asked, question?.hostId ?? null);
  const everything = useHeard(
    edition,
    [view?.opening ?? '', ...(question?.statements ?? []).map((s) => s.said)].join('. '),
    null,
    question?.hostId ?? null,
  );

  if (error) {
    return (
      <Wait>
        <Notice $tone="danger" role="alert">
          {problemText(error)}
        </Notice>
      </Wait>
    );
  }
  if (!view || !question || !edition || !standing || !shown) {
    return (
      <Wait>
        <Notice>Opening the case …</Notice>
      </Wait>
    );
  }

  const answerWith = (answer: string) => {
    if (!finding) return;
    const channel = question.setting === 'table' ? 'in-hand' : 'caller-looked';
    write({
      kind: 'reading',
      questionId: question.id,
      body: { id: crypto.randomUUID(), finding: finding.id, answer, channel, from: finding.ask, statementId: null },
    });
    setPlace(0);
    setMark(null);
    entry.current?.focus();
  };
  const untouched = question.statements.length === 0 && question.readings.length === 0;
  const opening = question.position === 1 && untouched ? view.opening : '';
  const askPlant = question.hostId === null && place === 0 && !standing.enough.enough;
  const takeIn = () => {
    if (!heard) return;
    const statementId = crypto.randomUUID();
    const readings = heard.readings.map(({ finding: id, answer, channel, from }) => ({
      id: crypto.randomUUID(),
      finding: id,
      answer,
      channel,
      from,
      statementId,
    }));
    write({ kind: 'statement', questionId: question.id, body: { id: statementId, said: draft.trim(), asked, readings } });
    if (heard.host && !question.hostId) write({ kind: 'question', questionId: question.id, body: { hostId: heard.host.id } });
    setDraft('');
    setPlace(0);
    setMark(null);
  };
  const reply = () => {
    write({
      kind: 'snapshot',
      questionId: question.id,
      body: {
        id: crypto.randomUUID(),
        edition: edition.version,
        engine: ENGINE_VERSION,
        standing: standing.candidates.map(({ cause, probability }) => ({ cause, probability })),
        readings: taken.map((r) => r.id),
      },
    });
    void navigate(`/case/${view.id}/reply/${question.id}`);
  };
  const step = (by: number) => {
    const to = Math.max(0, Math.min(taken.length, (at ?? taken.length) + by));
    setMark(to === taken.length ? null : { question: question.id, taken: to });
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') setDraft('');
    if (event.key === 'Enter') {
      if (draft.trim()) takeIn();
      else if (opening) setDraft(opening);
      else if (standing.enough.enough) reply();
      return;
    }
    if (draft !== '' || event.ctrlKey || event.metaKey || event.altKey) return;
    const digit = /^Digit(\d)$/.exec(event.code)?.[1] ?? (/^\d$/.test(event.key) ? event.key : undefined);
    const answer =
      askPlant || digit === undefined ? undefined : digit === '0' ? 'unknown' : finding?.answers[Number(digit) - 1 + (event.shiftKey ? 9 : 0)]?.id;
    const act: Record<string, () => void> = {
      '[': () => step(-1),
      ']': () => step(1),
      ArrowDown: () => setPlace(Math.min(place + 1, open.length - 1)),
      ArrowUp: () => setPlace(Math.max(0, place - 1)),
    };
    const chosen = answer ? () => answerWith(answer) : act[event.key];
    if (!chosen) return;
    event.preventDefault();
    chosen();
  };
  const shownTaken = taken.slice(0, at ?? taken.length);
  return (
    <View>
      <CaseHeader
        view={view}
        question={question}
        edition={edition}
        session={session}
        date={date}
        onQuestion={(id) => setSearch({ q: id })}
        onAddQuestion={() => {
          const id = crypto.randomUUID();
          void addQuestion({ caseId: view.id, id }).then((result) => {
            if (!('error' in result)) setSearch({ q: id });
          });
        }}
        onChange={(body) => write({ kind: 'question', questionId: question.id, body })}
      />
      <Columns>
        <WordsPanel
          question={question}
          edition={edition}
          care={everything?.careAnswers ?? []}
          opening={question.position === 1 ? view.opening : ''}
          shownIds={new Set(shownTaken.map((r) => r.id))}
          onWithdraw={(reading, withdrawn) => write({ kind: 'withdrawal', questionId: question.id, readingId: reading.id, body: { withdrawn } })}
        />
        <SoundingLine
          marks={standing.sounding}
          readings={taken}
          edition={edition}
          at={at ?? taken.length}
          onStep={(to) => setMark(to === taken.length ? null : { question: question.id, taken: to })}
        />
        <StandingPanel
          standing={shown}
          edition={edition}
          taken={shownTaken}
          backAt={at}
          hostName={edition.plants.find((p) => p.id === question.hostId)?.name.toLowerCase() ?? 'plants'}
        />
      </Columns>
      <div>
        <Reproduced question={question} standing={standing} />
        <Dock
          ref={entry}
          edition={edition}
          standing={standing}
          finding={finding}
          place={place}
          askPlant={askPlant}
          opening={opening}
          draft={draft}
          heard={heard}
          onDraft={setDraft}
          onKeyDown={onKeyDown}
          onAnswer={answerWith}
          onReply={reply}
        />
      </div>
    </View>
  );
}
