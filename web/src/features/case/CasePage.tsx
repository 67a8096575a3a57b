import { useParams, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import { useDesk } from '../../app/routes.tsx';
import { isAway } from '../../store/again.ts';
import { problemText } from '../../store/api.ts';
import { Notice } from '../../ui/controls.tsx';
import { Opening } from './Opening.tsx';
import { QuestionTable } from './QuestionTable.tsx';
import { useCaseWork } from './useCaseWork.ts';

const Wait = styled.div`
  padding: 40px 24px;
`;

/** The heart of the desk: one call, from the caller's words to a cause and a dated recommendation. */
export function CasePage() {
  const { caseId = '' } = useParams();
  const session = useDesk();
  const [search] = useSearchParams();
  const { view, error, write } = useCaseWork(caseId);
  const question = view?.questions.find((q) => q.id === search.get('q')) ?? view?.questions[0];
  if (view && question) return <QuestionTable key={question.id} view={view} question={question} session={session} write={write} />;
  if (!error || isAway(error)) return <Opening caseId={caseId} trouble={error} />;
  return (
    <Wait>
      <Notice $tone="danger" role="alert">
        {problemText(error)}
      </Notice>
    </Wait>
  );
}
