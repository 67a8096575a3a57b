import { useState } from 'react';
import { styled } from 'styled-components';
import type { OutcomeBody, QuestionView } from '@sounding/contract/api.ts';
import type { Standing } from '@sounding/core/consult/consult.ts';
import { CARE_ONLY } from '@sounding/core/edition/care.ts';
import { UNLISTED } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { sayDay } from '../../app/dates.ts';
import { problemText, useConfirmOutcomeMutation, useDropOutcomeMutation } from '../../store/api.ts';
import { Button, Notice } from '../../ui/controls.tsx';

const Strip = styled.form`
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 5px 20px;
  background: ${({ theme }) => theme.wash};
  border-top: 1px solid ${({ theme }) => theme.rule};
  font-size: 14.5px;
  select {
    font: inherit;
    max-width: 320px;
    padding: 3px 6px;
    border: 1px solid ${({ theme }) => theme.rule};
    border-radius: 3px;
    background: ${({ theme }) => theme.sheet};
    color: ${({ theme }) => theme.ink};
  }
`;

const CONFIRMED_WORDS: Record<OutcomeBody['confirmedBy'], string> = {
  laboratory: 'a laboratory said so',
  bench: 'seen at the bench',
  'in-hand': 'seen in the hand',
  outcome: 'it went as foretold',
};
const LIKELIEST = 6;

/** What an answered question turned out to be. Only what is set down here is ever learned from. */
export function OutcomeStrip({ question, standing, edition }: { question: QuestionView; standing: Standing; edition: Edition }) {
  const [confirm, confirming] = useConfirmOutcomeMutation();
  const [drop, dropping] = useDropOutcomeMutation();
  const likely = standing.candidates.filter((c) => c.cause !== UNLISTED).slice(0, LIKELIEST);
  const [causeId, setCauseId] = useState(question.advice?.causeId ?? likely[0]?.cause ?? '');
  const [confirmedBy, setConfirmedBy] = useState<OutcomeBody['confirmedBy']>('outcome');
  if (!question.advice || question.advice.causeId === CARE_ONLY) return null;
  const { outcome } = question;
  const error = confirming.error ?? dropping.error;
  const name = (id: string) => edition.causes.find((cause) => cause.id === id)?.name ?? id;
  const others = edition.causes.filter((cause) => !likely.some((c) => c.cause === cause.id)).sort((a, b) => a.name.localeCompare(b.name));
  return (
    <Strip
      aria-label="What it turned out to be"
      onSubmit={(event) => {
        event.preventDefault();
        void confirm({ questionId: question.id, body: { id: crypto.randomUUID(), causeId, confirmedBy, note: '' } });
      }}
    >
      {outcome ? (
        <>
          <span>
            Turned out to be <b>{name(outcome.causeId)}</b>: {CONFIRMED_WORDS[outcome.confirmedBy]}, {outcome.by}, {sayDay(outcome.on)}.
          </span>
          <Button weight="quiet" onPress={() => void drop(question.id)}>
            take back
          </Button>
        </>
      ) : (
        <>
          <label>
            Turned out to be{' '}
            <select value={causeId} onChange={(event) => setCauseId(event.target.value)}>
              <optgroup label="as it stands">
                {likely.map((c) => (
                  <option key={c.cause} value={c.cause}>
                    {c.name}
                  </option>
                ))}
              </optgroup>
              <optgroup label="all others">
                {others.map((cause) => (
                  <option key={cause.id} value={cause.id}>
                    {cause.name}
                  </option>
                ))}
              </optgroup>
            </select>
          </label>
          <label>
            because{' '}
            <select value={confirmedBy} onChange={(event) => setConfirmedBy(event.target.value as OutcomeBody['confirmedBy'])}>
              {Object.entries(CONFIRMED_WORDS).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <Button type="submit">Confirm</Button>
        </>
      )}
      {error && (
        <Notice $tone="danger" role="alert">
          {problemText(error)}
        </Notice>
      )}
    </Strip>
  );
}
