import { useState } from 'react';
import { styled } from 'styled-components';
import { mailBody } from '@sounding/contract/plan.ts';
import { problemText, useMailsQuery, useSendMailMutation } from '../../store/api.ts';
import { sayDay } from '../../app/dates.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';

const Form = styled.form`
  display: grid;
  gap: 8px;
  border-top: 1px solid ${({ theme }) => theme.rule};
  padding-top: 10px;
  input {
    width: 100%;
  }
`;

interface Props {
  questionId: string;
  address: string;
  subject: string;
  /** As it stands on the screen; only when it is saved can it be sent. */
  body: string;
  saved: boolean;
}

/** Sends the saved reply through the outbox, with the page and the calendar; says what has gone out already. */
export function SendPanel({ questionId, address, subject, body, saved }: Props) {
  const [to, setTo] = useState(address);
  const [title, setTitle] = useState(subject);
  const [send, sending] = useSendMailMutation();
  const { data: mails } = useMailsQuery();
  const [fault, setFault] = useState<string | null>(null);
  const gone = (mails ?? []).filter((mail) => mail.questionId === questionId);
  const submit = () => {
    const letter = mailBody.safeParse({ id: crypto.randomUUID(), to: to.trim(), subject: title, body });
    setFault(letter.success ? null : (letter.error.issues[0]?.message ?? 'cannot be sent'));
    if (letter.success) void send({ questionId, body: letter.data });
  };
  return (
    <Form
      aria-label="Send by e-mail"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <TextField label="Send to" type="email" value={to} onChange={setTo} />
      <TextField label="Subject" value={title} onChange={setTitle} />
      <Button type="submit" isDisabled={!saved || to.trim() === '' || sending.isLoading}>
        {saved ? 'Send by e-mail' : 'Save it, then send'}
      </Button>
      {(fault !== null || sending.error !== undefined) && (
        <Notice $tone="danger" role="alert">
          {fault ?? problemText(sending.error)}
        </Notice>
      )}
      {gone.map((mail) => (
        <Notice key={mail.id}>
          Sent to {mail.to} on {sayDay(mail.at)} by {mail.by}. <a href={`/api/outbox/${mail.id}.eml`}>Letter</a>
        </Notice>
      ))}
    </Form>
  );
}
