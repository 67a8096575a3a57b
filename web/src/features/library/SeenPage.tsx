import { Link, useParams } from 'react-router';
import { styled } from 'styled-components';
import { RATE_VALUES } from '@sounding/core/edition/causes.ts';
import { KindMark } from '../case/KindMark.tsx';
import { FindingFigure } from './FindingFigure.tsx';
import { Aside, Crumb, Lines, NotThere, RATE_WORDS, Sheet, useLibrary } from './parts.tsx';

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px 120px;
  gap: 12px;
  align-items: baseline;
`;

/** One thing seen: how to ask for it, how to look, and the causes that show it, those that nearly always do first. */
export function SeenPage() {
  const { edition, waiting } = useLibrary();
  const { finding: findingId, answer: answerId } = useParams();
  if (!edition) return <Sheet>{waiting}</Sheet>;
  const finding = edition.findings.find((f) => f.id === findingId);
  const answer = finding?.answers.find((a) => a.id === answerId);
  if (!finding || !answer) return <NotThere what="finding" />;
  const showing = edition.causes
    .flatMap((cause) => {
      const word = cause.rates.find((r) => r.finding === finding.id)?.answers[answer.id];
      return word && RATE_VALUES[word] >= RATE_VALUES.sometimes ? [{ cause, word }] : [];
    })
    .sort((a, b) => RATE_VALUES[b.word] - RATE_VALUES[a.word] || a.cause.name.localeCompare(b.cause.name));
  return (
    <Sheet>
      <Crumb to="/library">Library</Crumb>
      <h1>{answer.say}</h1>
      <Aside>{finding.name}</Aside>
      <FindingFigure finding={finding.id} answer={answer.id} />
      <p>Ask: “{finding.ask}”</p>
      {finding.check && <p>How to look: {finding.check}</p>}
      <h2>
        Causes that show it <small>{showing.length}</small>
      </h2>
      <Lines>
        {showing.map(({ cause, word }) => (
          <Row key={cause.id}>
            <Link to={`/library/cause/${cause.id}`}>{cause.name}</Link>
            <KindMark kind={cause.kind} />
            <small>{RATE_WORDS[word]}</small>
          </Row>
        ))}
      </Lines>
    </Sheet>
  );
}
