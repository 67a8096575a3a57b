import { useState } from 'react';
import { inSentence } from '@sounding/core/edition/names.ts';
import { Link, useParams } from 'react-router';
import { TextArea, TextField as AriaTextField, Label } from 'react-aria-components';
import { styled } from 'styled-components';
import { CARE_ONLY } from '@sounding/core/edition/care.ts';
import { composeReply, LABELS_FIRST } from '@sounding/core/reply/reply.ts';
import { sayDay } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText } from '../../store/api.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { useCaseCare } from '../case/useCaseCare.ts';
import { useCaseWork } from '../case/useCaseWork.ts';
import { actText, decisionText } from '../case/words.ts';
import { usePlanWork } from '../plan/usePlanWork.ts';
import { replyPlan } from './replyPlan.ts';
import { SendPanel } from './SendPanel.tsx';
import { UNKNOWN_ANSWER } from '@sounding/contract/api.ts';

const Desk = styled.div`
  max-width: 1120px;
  margin: 0 auto;
  padding: 22px 24px 40px;
  display: grid;
  grid-template-columns: minmax(0, 720px) minmax(220px, 1fr);
  gap: 34px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
    padding: 0;
  }
`;
const Letter = styled(AriaTextField)`
  @media print {
    display: none;
  }
  label {
    font:
      600 26px/1.2 'Alegreya',
      serif;
    display: block;
    margin-bottom: 10px;
  }
  textarea {
    width: 100%;
    min-height: 560px;
    field-sizing: content;
    resize: vertical;
    background: ${({ theme }) => theme.sheet};
    border: 1px solid ${({ theme }) => theme.rule};
    padding: 26px 32px;
    font-size: 16.5px;
    line-height: 1.45;
  }
`;
const Printed = styled.article`
  display: none;
  @media print {
    display: block;
    white-space: pre-wrap;
    font-size: 11.5pt;
    line-height: 1.4;
    h2 {
      font-size: 20pt;
      border-bottom: 1.5pt solid #000;
      padding-bottom: 6pt;
      margin-bottom: 18pt;
    }
  }
`;
const Side = styled.aside`
  display: grid;
  gap: 16px;
  align-content: start;
  padding-top: 44px;
  @media print {
    display: none;
  }
`;
const Row = styled.div`
  display: flex;
  gap: 14px;
  align-items: center;
`;
const Fact = styled.p`
  font-size: 15px;
  b {
    display: block;
    font:
      600 20px/1.2 'Alegreya',
      serif;
  }
`;

/** The written answer: made from the standing, changed by the advisor at will, saved with what it rests on, printed on one page. */
export function ReplyPage() {
  const { caseId = '', questionId = '' } = useParams();
  const session = useDesk();
  const { view, error, write } = useCaseWork(caseId);
  const work = usePlanWork(caseId, questionId, session);
  const { question, edition, standing, date } = work;
  const care = useCaseCare(view, question, edition, standing, date);
  const taken = (question?.readings ?? []).filter((r) => r.withdrawnAt === null && r.answer !== UNKNOWN_ANSWER);
  const [draft, setDraft] = useState<string | null>(null);
  const [followUpOn, setFollowUpOn] = useState<string | null>(null);
  if (error) {
    return (
      <Notice $tone="danger" role="alert">
        {problemText(error)}
      </Notice>
    );
  }
  if (!view || !question || !edition || !standing || !work.shed) return <Notice>Writing the reply …</Notice>;
  const leader = standing.candidates[0];
  const { noteFor } = standing.decision;
  const plan = replyPlan(work);
  const composed = composeReply({
    edition,
    caller: view.caller.name,
    plant: edition.plants.find((p) => p.id === question.hostId) ?? null,
    standing,
    readings: taken.map(({ finding, answer, channel }) => ({ finding, answer, channel })),
    desk: session.desk.name,
    advisor: session.person.name,
    today: date,
    plan,
    care,
  });
  const body = draft ?? question.advice?.body ?? composed;
  const missing = body.includes(LABELS_FIRST) ? '' : `\n\n${LABELS_FIRST}`;
  const callBack = followUpOn ?? view.followUpOn ?? '';
  const dateFault = callBack !== '' && callBack < session.desk.today ? 'This day is past.' : null;
  const saved = question.advice !== null && question.advice.body === body + missing;
  const save = () => {
    if (!leader || !body.trim() || dateFault) return;
    write({
      kind: 'advice',
      questionId: question.id,
      by: session.person.name,
      body: {
        id: question.advice?.id ?? crypto.randomUUID(),
        body: body + missing,
        act: care.only ? 'culture' : standing.decision.act,
        causeId: care.only ? CARE_ONLY : leader.cause,
        probability: care.only ? 1 : leader.probability,
        edition: edition.version,
        date,
        overrule: question.overrule?.why ?? '',
        followUpOn: callBack === '' ? null : callBack,
      },
    });
    setDraft(null);
  };
  return (
    <Desk>
      <Letter value={body} onChange={setDraft}>
        <Label>Reply to {view.caller.name}</Label>
        <TextArea />
      </Letter>
      <Printed aria-hidden="true">
        <h2>{session.desk.name}</h2>
        {body + missing}
      </Printed>
      <Side>
        <Fact>
          <b>{care.only ? 'A question of care' : leader?.name}</b>
          {care.only ? 'Answered from the plant’s card' : decisionText(standing)}
          {!care.only && noteFor && !actText(standing).endsWith(sayDay(noteFor)) ? `; note ${sayDay(noteFor)}` : ''}
        </Fact>
        <TextField label="Call back on" type="date" value={callBack} onChange={setFollowUpOn} />
        {dateFault && (
          <Notice $tone="danger" role="alert">
            {dateFault}
          </Notice>
        )}
        <Button weight={saved ? 'plain' : 'act'} onPress={save} isDisabled={saved || body.trim() === '' || dateFault !== null}>
          {saved ? 'Saved' : 'Save the reply'}
        </Button>
        <Row>
          <Button onPress={() => window.print()}>Print</Button>
          {saved && (
            <a href={`/api/questions/${question.id}/reply.pdf`} target="_blank" rel="noreferrer">
              PDF
            </a>
          )}
          {((question.plan?.applications.length ?? 0) > 0 || noteFor) && (
            <a href={`/api/questions/${question.id}/plan.ics${noteFor ? `?note=${noteFor}` : ''}`}>Calendar file</a>
          )}
        </Row>
        <SendPanel
          key={question.id}
          questionId={question.id}
          address={view.caller.email}
          subject={`Your ${inSentence(work.plant?.name ?? 'plant')}`}
          body={body + missing}
          saved={saved}
        />
        {draft !== null && draft !== composed && (
          <Button weight="quiet" onPress={() => setDraft(composed)}>
            Write it anew from the standing
          </Button>
        )}
        {question.advice && draft === null && question.advice.body !== composed && (
          <Button weight="quiet" onPress={() => setDraft(composed)}>
            Compare with the present standing
          </Button>
        )}
        <p>
          <Link to={`/case/${view.id}?q=${question.id}`}>Back to the case</Link>
          {' · '}
          <Link to={`/case/${view.id}/plan/${question.id}`}>Plan</Link>
          {' · '}
          <Link to="/">Next call</Link>
        </p>
      </Side>
    </Desk>
  );
}
