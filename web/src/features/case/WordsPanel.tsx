import { memo } from 'react';
import { inSentence } from '@sounding/core/edition/names.ts';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { QuestionView, ReadingView } from '@sounding/contract/api.ts';
import { readingText } from '@sounding/core/consult/words.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import type { CareAnswer } from '@sounding/core/consult/careAnswers.ts';
import { Button, VisuallyHidden } from '../../ui/controls.tsx';
import { useNewest } from '../../ui/useNewest.ts';
import { CasePicture } from './CasePicture.tsx';
import { CHANNEL_WORDS } from './words.ts';

const Panel = styled.section`
  min-height: 0;
  overflow: auto;
  padding: 0 16px 12px 20px;
`;
/** Stays in sight while what was said scrolls by. */
const Heading = styled.h2`
  position: sticky;
  top: 0;
  padding: 12px 0 6px;
  background: ${({ theme }) => theme.paper};
  font-size: 17px;
`;
const Ways = styled.span`
  float: right;
  display: flex;
  gap: 10px;
  font:
    400 14px/1.6 'Source Sans 3',
    sans-serif;
  a {
    color: ${({ theme }) => theme.inkSoft};
  }
`;
/** Other ways than words for something to come into the case. */
const WAYS = [
  { to: '/bench/tests', say: 'test' },
  { to: '/bench/picture', say: 'picture' },
  { to: '/bench/instruments', say: 'instrument' },
] as const;
const Said = styled.blockquote`
  margin: 10px 0 4px;
  font:
    italic 400 17.5px/1.25 'Alegreya',
    serif;
`;
/** What a test, an instrument or a picture has shown: nobody's words, so without quotation marks. */
const Found = styled.p`
  margin: 10px 0 4px;
  font-size: 15px;
  b {
    display: block;
    font:
      500 16px/1.25 'Alegreya',
      serif;
  }
`;
const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0 0 0 12px;
  border-left: 2px solid ${({ theme }) => theme.rule};
`;
const Row = styled.li<{ $withdrawn: boolean; $after: boolean }>`
  display: flex;
  align-items: baseline;
  gap: 6px;
  font-size: 14.5px;
  line-height: 1.3;
  padding: 1px 0;
  opacity: ${({ $after }) => ($after ? 0.55 : 1)};
  text-decoration: ${({ $withdrawn }) => ($withdrawn ? 'line-through' : 'none')};
  span.channel {
    color: ${({ theme }) => theme.inkSoft};
    font-size: 13px;
    white-space: nowrap;
  }
  button {
    margin-left: auto;
    padding: 0 6px;
    min-height: 24px;
    font-size: 13px;
    text-decoration: none;
  }
`;
const Care = styled.div`
  margin: 12px 0 0;
  padding: 8px 12px;
  background: ${({ theme }) => theme.wash};
  font-size: 14.5px;
  h3 {
    font-size: 16px;
  }
`;
const Empty = styled.p`
  color: ${({ theme }) => theme.inkSoft};
`;

interface Props {
  caseId: string;
  question: QuestionView;
  edition: Edition;
  care: readonly CareAnswer[];
  /** The plant whose whole card may answer what was asked, where nobody knows what it was. */
  card: Plant | null;
  opening: string;
  /** Readings after the mark stepped back to are shown fainter. */
  shownIds: ReadonlySet<string>;
  onWithdraw: (reading: ReadingView, withdrawn: boolean) => void;
}

function text(edition: Edition, reading: ReadingView): string {
  if (reading.answer === 'unknown') return `${edition.findings.find((f) => f.id === reading.finding)?.name ?? reading.finding}: cannot say`;
  return readingText(edition, reading.finding, reading.answer);
}

interface ReadingRowProps {
  reading: ReadingView;
  edition: Edition;
  /** Whether it counts at the mark stepped back to. */
  shown: boolean;
  onWithdraw: Props['onWithdraw'];
}

/** One reading with the way to take it back; of many rows only those that change are drawn anew. */
const ReadingRow = memo(function ReadingRow({ reading, edition, shown, onWithdraw }: ReadingRowProps) {
  const withdrawn = reading.withdrawnAt !== null;
  const said = text(edition, reading);
  return (
    <Row $withdrawn={withdrawn} $after={!withdrawn && reading.answer !== 'unknown' && !shown}>
      <span>{said}</span>
      <span className="channel">{reading.answer === 'unknown' ? '' : CHANNEL_WORDS[reading.channel]}</span>
      <Button weight="quiet" onPress={() => onWithdraw(reading, !withdrawn)}>
        {withdrawn ? 'take in' : 'undo'}
        <VisuallyHidden> {said}</VisuallyHidden>
      </Button>
    </Row>
  );
});

/** What was said, in the caller's own words, with what was read from it; any reading can be taken back. */
export const WordsPanel = memo(function WordsPanel({ caseId, question, edition, care, card, opening, shownIds, onWithdraw }: Props) {
  const rows = (readings: ReadingView[]) => (
    <List>
      {readings.map((reading) => (
        <ReadingRow key={reading.id} reading={reading} edition={edition} shown={shownIds.has(reading.id)} onWithdraw={onWithdraw} />
      ))}
    </List>
  );
  const alone = question.readings.filter((r) => r.statementId === null);
  const box = useNewest<HTMLElement>(question.statements.length + question.readings.length + care.length);
  const labels: Record<string, string> = Object.fromEntries(edition.careTopics.map((t) => [t.id, t.name]));
  return (
    <Panel ref={box} aria-label="What was said" tabIndex={0}>
      <Heading>
        What was said
        <Ways>
          {WAYS.map(({ to, say }) => (
            <Link key={to} to={`${to}?case=${caseId}&question=${question.id}`}>
              {say}
            </Link>
          ))}
        </Ways>
      </Heading>
      {opening && !question.statements.some((s) => s.said === opening) && <Said>“{opening}”</Said>}
      {question.statements.map((statement) => (
        <div key={statement.id}>
          {statement.by === 'caller' ? (
            <Said>“{statement.asked ? `${statement.asked} – ${statement.said}` : statement.said}”</Said>
          ) : (
            <Found>
              <b>{statement.asked}</b> {statement.said}
            </Found>
          )}
          {question.pictures
            .filter((picture) => picture.statementId === statement.id)
            .map((picture) => (
              <CasePicture key={picture.id} picture={picture} alt={statement.said} />
            ))}
          {rows(question.readings.filter((r) => r.statementId === statement.id))}
        </div>
      ))}
      {alone.length > 0 && (
        <>
          <Said as="h3">Answers</Said>
          {rows(alone)}
        </>
      )}
      {!opening && question.statements.length === 0 && alone.length === 0 && (
        <Empty>Type the caller’s words in the line below as they are spoken.</Empty>
      )}
      {card && (
        <Empty>
          Something to do is asked for; perhaps <Link to={`/library/plant/${card.id}`}>the card of {inSentence(card.name)}</Link> answers it.
        </Empty>
      )}
      {care.map((c) => (
        <Care key={`${c.plant}-${c.topic}`}>
          <h3>
            {labels[c.topic] ?? c.topic}: {c.plant}
          </h3>
          <p>{c.answer}</p>
        </Care>
      ))}
    </Panel>
  );
});
