import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { QuestionView } from '@sounding/contract/api.ts';
import type { Standing } from '@sounding/core/consult/consult.ts';
import { sayDay } from '../../app/dates.ts';
import { percent } from './words.ts';

const Strip = styled.p`
  padding: 5px 20px;
  background: ${({ theme }) => theme.wash};
  font-size: 14.5px;
`;
/** Rounding of a stored probability; anything larger is another answer. */
const SAME = 1e-6;

/** For an answered question: when, with which knowledge, and whether the engine says the same again. */
export function Reproduced({ caseId, question, standing }: { caseId: string; question: QuestionView; standing: Standing }) {
  const { advice, snapshot } = question;
  if (!advice) return null;
  const now = standing.candidates[0];
  const then = snapshot?.standing.find((s) => s.cause === now?.cause);
  const same = !!now && !!then && Math.abs(then.probability - now.probability) < SAME;
  return (
    <Strip>
      Answered {sayDay(question.openedOn)} by {advice.by} with knowledge {advice.edition}.{' '}
      {same
        ? 'Reckoned again just now: the same standing.'
        : snapshot
          ? `Since then readings have changed: it was ${percent(advice.probability)} %.`
          : ''}{' '}
      <Link to={`/case/${caseId}/reply/${question.id}`}>The reply</Link>
    </Strip>
  );
}
