import { forwardRef, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { Standing } from '@sounding/core/consult/consult.ts';
import { readingText } from '@sounding/core/consult/words.ts';
import type { Edition, Finding } from '@sounding/core/edition/edition.ts';
import type { Heard } from '../../engine/engine.worker.ts';
import { Button, Key } from '../../ui/controls.tsx';
import { FindingFigure } from '../library/FindingFigure.tsx';
import { answersShown, percent, reasonText } from './words.ts';

const Band = styled.section`
  background: ${({ theme }) => theme.deep};
  color: ${({ theme }) => theme.deepInk};
  padding: 12px 20px 14px;
  display: grid;
  gap: 10px;
`;
const Ask = styled.div`
  display: grid;
  gap: 7px;
  min-height: 96px;
  align-content: center;
`;
const Question = styled.p`
  font:
    500 24px/1.2 'Alegreya',
    serif;
`;
const Note = styled.span`
  font-size: 14px;
  color: ${({ theme }) => theme.deepSoft};
  a {
    color: inherit;
  }
`;
const AsItStands = styled(Note)`
  button {
    border: 0;
    padding: 0;
    background: transparent;
    color: inherit;
    text-decoration: underline;
    cursor: pointer;
  }
`;
const Answers = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  button {
    background: transparent;
    color: ${({ theme }) => theme.deepInk};
    border: 1px solid ${({ theme }) => theme.deepSoft};
    border-radius: 3px;
    padding: 3px 10px 3px 5px;
    font-size: 15px;
    line-height: 1.25;
    cursor: pointer;
    text-align: left;
  }
  button:hover {
    background: ${({ theme }) => theme.ink};
    color: ${({ theme }) => theme.sheet};
  }
`;
const EnoughBar = styled.div`
  display: flex;
  align-items: center;
  gap: 14px;
  font-size: 16px;
`;
const Entry = styled.input`
  width: 100%;
  font-size: 18px;
  padding: 8px 12px;
  border-radius: 3px;
  border: 1px solid ${({ theme }) => theme.deepSoft};
  background: ${({ theme }) => theme.sheet};
  color: ${({ theme }) => theme.ink};
  &::placeholder {
    color: ${({ theme }) => theme.inkSoft};
  }
  &:focus-visible {
    outline: 3px solid ${({ theme }) => theme.focus};
    outline-offset: 0;
  }
`;
const Preview = styled.p`
  min-height: 22px;
  font-size: 14.5px;
  color: ${({ theme }) => theme.deepSoft};
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  b {
    color: ${({ theme }) => theme.deepInk};
    font-weight: 600;
  }
  button {
    font: inherit;
    border: 0;
    padding: 0 0 0 6px;
    background: none;
    color: inherit;
    text-decoration: underline;
    cursor: pointer;
  }
  .open {
    text-decoration: underline wavy;
    text-underline-offset: 3px;
  }
`;

const ENOUGH_WORDS = {
  'one-stands-out': 'Enough to answer: one cause stands out.',
  'same-advice': 'Enough to answer: everything still likely leads to the same advice.',
  'nothing-left-to-ask': 'No question left would tell much. Answer with what there is, or refer.',
} as const;

interface UnderstoodProps {
  heard: Heard | null;
  edition: Edition;
  /** Takes another sense of the words for the one read first. */
  onSense: (finding: string, answer: string) => void;
}

/** What has been read from the line while it is typed; another sense of the same words is one press away. */
function Understood({ heard, edition, onSense }: UnderstoodProps) {
  if (!heard) return <Preview>&nbsp;</Preview>;
  const parts = heard.readings.map((r) => (
    <span key={r.finding}>
      {' · '}
      {readingText(edition, r.finding, r.answer)}
      {r.channel === 'caller-unsure' ? ' (not sure)' : ''}
      {r.choices.map((answer) => (
        <button key={answer} type="button" onMouseDown={(event) => event.preventDefault()} onClick={() => onSense(r.finding, answer)}>
          or {readingText(edition, r.finding, answer).replace(/^.*?: /, '')}
        </button>
      ))}
    </span>
  ));
  const doubts = heard.measurements.flatMap((m) => m.doubt ?? []);
  return (
    <Preview role="status">
      {doubts.length > 0 && <b>{doubts.join(' ')} </b>}
      {heard.host && <b>{heard.host.name}</b>}
      {parts}
      {heard.care.length > 0 && ' · a question of care'}
      {heard.notUnderstood.length > 0 && (
        <>
          {' '}
          · only weighed as wording: <span className="open">{heard.notUnderstood.join(', ')}</span>
        </>
      )}
    </Preview>
  );
}

interface Props {
  edition: Edition;
  standing: Standing;
  finding: Finding | null;
  place: number;
  /** The plant comes first: ask for it before anything else. */
  askPlant: boolean;
  /** Nothing wrong has been told: the answer is on the table, and there is nothing to find out. */
  onlyCare: boolean;
  /** What was noted when the call came in, while nothing has been taken in yet. */
  opening: string;
  /** What was taken before of the finding asked about, in words: the question is then for a second look. */
  takenBefore: string | null;
  draft: string;
  heard: Heard | null;
  /** The words in the line are about another plant than this one: where do they belong? `number` is that of the question it would be. */
  apart: { other: string; here: string; number: number } | null;
  onBelongs: (belongs: 'here' | 'apart') => void;
  onDraft: (text: string) => void;
  onSense: (finding: string, answer: string) => void;
  onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
  onAnswer: (answer: string) => void;
  onReply: () => void;
  /** The test that would tell most now, and where its cards are. */
  test: { name: string; href: string } | null;
}

/** Always in sight: the one question to read out, its answers on the number keys, and the line the words go in. */
export const Dock = forwardRef<HTMLInputElement, Props>(function Dock(
  {
    edition,
    standing,
    finding,
    place,
    askPlant,
    onlyCare,
    opening,
    takenBefore,
    draft,
    heard,
    apart,
    onBelongs,
    onDraft,
    onSense,
    onKeyDown,
    onAnswer,
    onReply,
    test,
  },
  entry,
) {
  const { enough } = standing;
  const done = onlyCare || enough.enough;
  const doneWords = onlyCare
    ? `A question of care: read the answer out${askPlant ? ', or name the plant for its own' : ''}.`
    : enough.enough && `${ENOUGH_WORDS[enough.because]} ${standing.candidates[0]?.name}, ${percent(standing.candidates[0]?.probability ?? 0)} %.`;
  const at = standing.questions.findIndex((q) => q.finding === finding?.id);
  const question = standing.questions[at];
  const reason = standing.reasons[at];
  return (
    <Band aria-label="Ask">
      {apart && (
        <Ask role="alert">
          <Question>
            {apart.other}: a question of its own, or about the {apart.here.toLowerCase()}?
          </Question>
          <Answers role="group" aria-label="Where the words belong">
            <button type="button" onClick={() => onBelongs('apart')}>
              <Key>Enter</Key> question {apart.number}: {apart.other}
            </button>
            <button type="button" onClick={() => onBelongs('here')}>
              <Key>Alt K</Key> keep it with the {apart.here.toLowerCase()}
            </button>
          </Answers>
        </Ask>
      )}
      {done && !apart && (
        <EnoughBar role="status">
          <Question>{doneWords}</Question>
          <Button weight="act" onPress={onReply}>
            Write the reply <Key>Enter</Key>
          </Button>
          {place === 0 && (
            <Note>
              <Key>↓</Key> ask on all the same
            </Note>
          )}
        </EnoughBar>
      )}
      {apart ? null : askPlant && !onlyCare ? (
        <Ask>
          <Question>Which plant is it – and which variety, if you know?</Question>
          <Note>
            Type its name below{opening ? ', or press ' : '. '}
            {opening && (
              <>
                <Key>Enter</Key> to take in what is noted: “{opening}”.{' '}
              </>
            )}
            <Key>↓</Key> asks on without a name.
          </Note>
        </Ask>
      ) : finding && question && !(done && place === 0) ? (
        <Ask>
          <Question>{takenBefore ? `Told: “${takenBefore}”. Is it so when they look again?` : finding.ask}</Question>
          {(takenBefore ?? finding.check ?? test) && (
            <Note>
              {takenBefore && `${finding.ask} `}
              {finding.check}{' '}
              {test && (
                <Link to={test.href}>
                  {test.name}, step by step <Key>Alt T</Key>
                </Link>
              )}
            </Note>
          )}
          <Answers role="group" aria-label="Answers">
            {answersShown(finding, question).map((answer, i) => (
              <button key={answer.id} type="button" onClick={() => onAnswer(answer.id)}>
                <Key>{i < 9 ? i + 1 : `⇧${i - 8}`}</Key> <FindingFigure finding={finding.id} answer={answer.id} small />
                {answer.say}
              </button>
            ))}
            <button type="button" onClick={() => onAnswer('unknown')}>
              <Key>0</Key> cannot say
            </button>
          </Answers>
          <AsItStands>
            {answersShown(finding, question).length < finding.answers.length && 'something else: type it · '}
            {reason && `${reasonText(reason, edition)} · `}about {question.seconds} s · <Key>↓</Key>
            <Key>↑</Key> other questions
            {!done && (
              <>
                {' '}
                · <Key>Ctrl Enter</Key>{' '}
                <button type="button" onClick={onReply}>
                  reply as it stands
                </button>
              </>
            )}
          </AsItStands>
        </Ask>
      ) : null}
      <div>
        <Entry
          ref={entry}
          value={draft}
          onChange={(event) => onDraft(event.target.value)}
          onKeyDown={onKeyDown}
          aria-label="What the caller says"
          placeholder="Type what the caller says, Enter to take it in"
          autoComplete="off"
          spellCheck={false}
          autoFocus
        />
        <Understood heard={heard} edition={edition} onSense={onSense} />
      </div>
    </Band>
  );
});
