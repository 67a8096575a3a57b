import { forwardRef, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { Standing } from '@sounding/core/consult/consult.ts';
import { ASK_OPENLY } from '@sounding/core/consult/openly.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Finding } from '@sounding/core/edition/findings.ts';
import type { Heard } from '../../engine/engine.worker.ts';
import { Button, Key } from '../../ui/controls.tsx';
import { FindingFigure } from '../library/FindingFigure.tsx';
import { Answers, Ask, Band, Note, Question, Urgent } from './dockParts.ts';
import { Entry } from './Entry.tsx';
import { Understood } from './Understood.tsx';
import type { AskedFirst } from './useAsking.ts';
import { WhereBelongs, type Apart } from './WhereBelongs.tsx';
import { answersShown, percent, reasonText } from './words.ts';

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
const EnoughBar = styled.div`
  display: flex;
  align-items: center;
  gap: 14px;
  font-size: 16px;
`;
const ENOUGH_WORDS = {
  'one-stands-out': 'Enough to answer: one cause stands out.',
  'same-advice': 'Enough to answer: everything still likely leads to the same advice.',
  'nothing-left-to-ask': 'No question left would tell much. Answer with what there is, or refer.',
} as const;
/** Where the advice is firm all the same. */
const FIRM_WORDS = 'Enough to answer: no question left would tell much more.';

interface Props {
  edition: Edition;
  standing: Standing;
  finding: Finding | null;
  /** True where the question on that finding is put. */
  asks: boolean;
  /** What comes before anything particular: the plant, or what is seen at all. */
  first: AskedFirst | null;
  /** Nothing wrong has been told: the answer is on the table, and there is nothing to find out. */
  onlyCare: boolean;
  /** Set where somebody or an animal ate of a plant. */
  eaten: boolean;
  /** What was noted when the call came in, while nothing has been taken in yet. */
  opening: string;
  /** What was taken before of the finding asked about, in words: the question is then for a second look. */
  takenBefore: string | null;
  draft: string;
  heard: Heard | null;
  /** Set while the words in the line are about another plant. */
  apart: Apart | null;
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
    asks,
    first,
    onlyCare,
    eaten,
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
  const { enough, decision } = standing;
  const done = onlyCare || enough.enough;
  const doneWords = onlyCare
    ? `A question of care: read the answer out${first === 'plant' ? ', or name the plant for its own' : ''}.`
    : enough.enough &&
      `${enough.because === 'nothing-left-to-ask' && decision.firm ? FIRM_WORDS : ENOUGH_WORDS[enough.because]} ${standing.candidates[0]?.name}, ${percent(standing.candidates[0]?.probability ?? 0)}\u00a0%.`;
  const at = standing.questions.findIndex((q) => q.finding === finding?.id);
  const question = standing.questions[at];
  const reason = standing.reasons[at];
  const asItStands = (
    <>
      {' '}
      · <Key>Ctrl Enter</Key>{' '}
      <button type="button" onClick={onReply}>
        reply as it stands
      </button>
    </>
  );
  return (
    <Band aria-label="Ask">
      {eaten && (
        <Urgent role="alert">
          <b>Eaten or chewed: first the poison centre, for an animal the vet.</b> They ring now, with the plant’s own name and a piece of it in hand.
        </Urgent>
      )}
      {apart && <WhereBelongs apart={apart} onBelongs={onBelongs} />}
      {done && !apart && (
        <EnoughBar role="status">
          <Question>{doneWords}</Question>
          <Button weight="act" onPress={onReply}>
            Write the reply <Key>Enter</Key>
          </Button>
          {!asks && (
            <Note>
              <Key>↓</Key> ask on all the same
            </Note>
          )}
        </EnoughBar>
      )}
      {apart ? null : first && !onlyCare ? (
        <Ask>
          <Question>{first === 'plant' ? 'Which plant is it – and which variety, if you know?' : ASK_OPENLY[first]}</Question>
          <AsItStands>
            Type {first === 'plant' ? 'its name' : 'what they say, in their words,'} below{opening ? ', or press ' : '. '}
            {opening && (
              <>
                <Key>Enter</Key> to take in what is noted: “{opening}”.{' '}
              </>
            )}
            <Key>0</Key> <Key>↓</Key> {first === 'plant' ? 'asks on without a name.' : 'asks for particulars'}
            {first !== 'plant' && standing.enough.because !== 'no-readings' && asItStands}
          </AsItStands>
        </Ask>
      ) : finding && question && asks ? (
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
            {!done && asItStands}
          </AsItStands>
        </Ask>
      ) : null}
      <div>
        <Entry ref={entry} draft={draft} onDraft={onDraft} onKeyDown={onKeyDown} />
        <Understood heard={heard} edition={edition} onSense={onSense} />
      </div>
    </Band>
  );
});
