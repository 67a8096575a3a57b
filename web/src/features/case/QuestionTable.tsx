import { useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import type { CaseView, QuestionView, SessionView } from '@sounding/contract/api.ts';
import type { Finding } from '@sounding/core/edition/findings.ts';
import { inSentence } from '@sounding/core/edition/names.ts';
import { readingText } from '@sounding/core/consult/words.ts';
import { testsFor } from '@sounding/core/consult/tests.ts';
import { addsNothing } from '@sounding/core/language/dialogue.ts';
import { useHeard } from '../../engine/engine.ts';
import { useInspectionsQuery } from '../../store/api.ts';
import { CarePanel } from './CarePanel.tsx';
import { CaseHeader } from './CaseHeader.tsx';
import { Dock } from './Dock.tsx';
import { isPlanKey, Opening } from './Opening.tsx';
import { OutcomeStrip } from './OutcomeStrip.tsx';
import { Reproduced } from './Reproduced.tsx';
import { SoundingLine } from './SoundingLine.tsx';
import { StandingPanel } from './StandingPanel.tsx';
import type { NewWrite } from './useCaseWork.ts';
import { useQuestionStanding } from './useQuestionStanding.ts';
import { useAsking } from './useAsking.ts';
import { useCaseCare } from './useCaseCare.ts';
import { useLine } from './useLine.ts';
import { useOwnQuestion } from './useOwnQuestion.ts';
import { useTakeDown } from './useTakeDown.ts';
import { WordsPanel } from './WordsPanel.tsx';
import { answersShown } from './words.ts';

const View = styled.div`
  height: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
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
const NO_CARE: never[] = [];

interface Props {
  view: CaseView;
  question: QuestionView;
  session: SessionView;
  write: (write: NewWrite) => void;
}

/** One question of a call on the table: words and readings, sounding line, standing, and the dock to ask from. */
export function QuestionTable({ view, question, session, write }: Props) {
  const navigate = useNavigate();
  const [, setSearch] = useSearchParams();
  const entry = useRef<HTMLInputElement>(null);
  /** The mark stepped back to: how many readings count; null = all. */
  const [mark, setMark] = useState<number | null>(null);
  const { edition, trouble, date, taken, weighed, standing, shown } = useQuestionStanding(question, session, mark);
  const plant = edition?.plants.find((p) => p.id === question.hostId) ?? null;
  // who took the call may have noted what it is about
  const noted = useHeard(edition, plant === null && question.position === 1 ? view.opening : '', null, null)?.host ?? null;
  const down = useTakeDown(question, plant, noted, write);
  const openQuestion = useOwnQuestion(view, question, session, write);

  const care = useCaseCare(view, question, edition, standing, date);
  const { first, next, asks, move, toTheTop } = useAsking(standing, question.hostId !== null, care.only);
  const finding: Finding | null = edition?.findings.find((f) => f.id === next?.finding) ?? null;
  // "there, kind not said" is no answer to ask about again: the question itself asks for the kind
  const before = next?.again ? weighed.filter((r) => r.finding === next.finding && !r.answer.startsWith('not:')).at(-1) : undefined;
  const line = useLine({
    caseId: view.id,
    edition,
    question,
    plant,
    noted,
    finding: asks ? finding : null,
    onHere: (said, heard) => {
      down.words(said, heard);
      if (first && heard.readings.length === 0 && addsNothing(said)) move(1);
    },
    onApart: (said, heard) => openQuestion({ said, heard }),
  });

  const at = mark === null ? taken.length : Math.min(mark, taken.length);
  const shownTaken = useMemo(() => taken.slice(0, at), [taken, at]);
  const shownIds = useMemo(() => new Set(shownTaken.map((r) => r.id)), [shownTaken]);
  const shownWeighed = useMemo(() => (mark === null ? weighed : weighed.slice(0, at)), [weighed, mark, at]);
  const branches = useMemo(() => {
    if (!edition) return [];
    return question.readings
      .filter((r) => r.withdrawnAt !== null && r.answer !== 'unknown')
      .map((r) => ({ after: taken.filter((t) => t.takenAt < r.takenAt).length, said: readingText(edition, r.finding, r.answer) }));
  }, [question.readings, taken, edition]);
  const count = taken.length;
  const stepTo = useCallback((to: number) => setMark(to >= count ? null : Math.max(0, to)), [count]);
  const { data: tests } = useInspectionsQuery();
  const test = useMemo(() => {
    if (!edition || !standing || !tests) return null;
    const answered = new Set(weighed.map((r) => r.finding));
    return testsFor(edition, { tests, plant, candidates: standing.candidates, answered, asked: finding?.id ?? null })[0] ?? null;
  }, [edition, tests, plant, standing, weighed, finding]);
  const onQuestion = useCallback((id: string) => setSearch({ q: id }), [setSearch]);
  const onAddQuestion = useCallback(() => openQuestion(), [openQuestion]);

  const planHref = `/case/${view.id}/plan/${question.id}`;
  if (!edition || !standing || !shown) {
    return <Opening caseId={view.id} trouble={trouble} planHref={planHref} />;
  }

  const apart = line.apart && {
    other: line.apart.other.name,
    here: line.apart.here.name,
    number: view.questions.length + 1,
    words: line.apart.from > 0 ? line.draft.trim().slice(line.apart.from) : null,
  };
  const untouched = question.statements.length === 0 && question.readings.length === 0;
  const opening = question.position === 1 && untouched ? view.opening : '';
  const goOn = () => {
    toTheTop();
    setMark(null);
    entry.current?.focus();
  };
  const answerWith = (given: string) => {
    if (!finding) return;
    down.answer(finding, given);
    goOn();
  };
  const takeIn = (belongs?: 'here' | 'apart', words?: string) => {
    line.takeIn(belongs, words);
    goOn();
  };
  const testHref = test && `/bench/tests/${test.id}?case=${view.id}&question=${question.id}`;
  const reply = () => {
    if (!care.only) down.snapshot(edition.version, standing, taken);
    void navigate(`/case/${view.id}/reply/${question.id}`);
  };
  const onEnter = () => {
    if (line.draft.trim()) takeIn(line.apart ? 'apart' : undefined);
    else if (opening) takeIn('here', opening);
    else if (standing.enough.enough || care.only) reply();
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (line.apart && event.altKey && event.code === 'KeyK') {
      event.preventDefault();
      takeIn('here');
      return;
    }
    if (isPlanKey(event)) {
      event.preventDefault();
      void navigate(planHref);
      return;
    }
    if (event.altKey && event.code === 'KeyT' && testHref) {
      event.preventDefault();
      void navigate(testHref);
      return;
    }
    if (event.key === 'Escape') line.writeIn('');
    if (event.key === 'Enter' && event.ctrlKey && (taken.length > 0 || care.only)) reply();
    else if (event.key === 'Enter') onEnter();
    if (line.draft !== '' || event.ctrlKey || event.metaKey || event.altKey) return;
    const digit = /^Digit(\d)$/.exec(event.code)?.[1] ?? (/^\d$/.test(event.key) ? event.key : undefined);
    const ranked = standing.questions.find((q) => q.finding === finding?.id);
    const onKeys = finding && ranked ? answersShown(finding, ranked) : [];
    const answer = !asks || digit === undefined ? undefined : digit === '0' ? 'unknown' : onKeys[Number(digit) - 1 + (event.shiftKey ? 9 : 0)]?.id;
    const keys: Record<string, () => void> = {
      '[': () => stepTo(at - 1),
      ']': () => stepTo(at + 1),
      ArrowDown: () => move(1),
      ...(first && { '0': () => move(1) }),
      ArrowUp: () => move(-1),
    };
    const chosen = answer ? () => answerWith(answer) : keys[event.key];
    if (!chosen) return;
    event.preventDefault();
    chosen();
  };

  return (
    <View>
      <CaseHeader
        view={view}
        question={question}
        edition={edition}
        session={session}
        date={date}
        noted={noted?.name ?? null}
        onQuestion={onQuestion}
        onAddQuestion={onAddQuestion}
        onChange={down.change}
      />
      <Columns>
        <WordsPanel
          caseId={view.id}
          question={question}
          edition={edition}
          care={care.only ? NO_CARE : care.answers}
          card={care.wholeCard ? plant : null}
          opening={question.position === 1 ? view.opening : ''}
          shownIds={shownIds}
          onWithdraw={down.withdraw}
        />
        <SoundingLine
          marks={standing.sounding}
          readings={weighed}
          edition={edition}
          at={Math.min(at, weighed.length)}
          branches={branches}
          onStep={stepTo}
        />
        {care.only ? (
          <CarePanel care={care} edition={edition} plant={plant} />
        ) : (
          <StandingPanel
            standing={shown}
            edition={edition}
            taken={shownWeighed}
            backAt={mark === null ? null : at}
            planHref={planHref}
            hostName={plant ? inSentence(plant.name) : 'plants'}
          />
        )}
      </Columns>
      <div>
        <Reproduced caseId={view.id} question={question} standing={standing} />
        <OutcomeStrip question={question} standing={standing} edition={edition} />
        <Dock
          ref={entry}
          edition={edition}
          standing={standing}
          finding={finding}
          asks={asks}
          first={first}
          onlyCare={care.only}
          eaten={[...care.answers, ...(line.heard?.careAnswers ?? [])].some(({ urgent }) => urgent)}
          opening={opening}
          takenBefore={before && edition ? readingText(edition, before.finding, before.answer) : null}
          draft={line.draft}
          heard={line.heard}
          apart={apart}
          onBelongs={takeIn}
          onDraft={line.writeIn}
          onSense={line.sense}
          onKeyDown={onKeyDown}
          onAnswer={answerWith}
          onReply={reply}
          test={test && testHref ? { name: test.name, href: testHref } : null}
        />
      </div>
    </View>
  );
}
