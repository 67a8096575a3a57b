import { useState, type FormEvent } from 'react';
import { styled } from 'styled-components';
import { useDesk } from '../../app/routes.tsx';
import { queued } from '../../store/outbox.ts';
import { useAppDispatch } from '../../store/store.ts';
import { Button, TextField } from '../../ui/controls.tsx';

const Form = styled.form`
  display: grid;
  gap: 10px;
  padding: 14px;
  background: ${({ theme }) => theme.sheet};
  border: 1px solid ${({ theme }) => theme.rule};
`;
const Buttons = styled.div`
  display: flex;
  gap: 8px;
`;

/** What a field of the record holds, in characters. */
const LONGEST = 200;

/** Takes a call nobody announced, whether or not the record can be reached. Only a name is asked for; the rest can be filled in while talking. */
export function NewCall({ onDone }: { onDone: (caseId: string | null) => void }) {
  const { desk, edition, stations } = useDesk();
  const dispatch = useAppDispatch();
  const [caller, setCaller] = useState({ name: '', place: '', phone: '' });
  const set = (field: keyof typeof caller) => (value: string) => setCaller({ ...caller, [field]: value });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const id = crypto.randomUUID();
    const name = caller.name.trim() || 'Unknown caller';
    dispatch(
      queued({
        id: crypto.randomUUID(),
        caseId: id,
        at: new Date().toISOString(),
        kind: 'new-case',
        body: { id, questionId: crypto.randomUUID(), channel: 'telephone', opening: '', caller: { ...caller, name, email: '' } },
        desk: { desk, edition, stations },
      }),
    );
    onDone(id);
  };
  return (
    <Form onSubmit={submit} onKeyDown={(event) => event.key === 'Escape' && onDone(null)}>
      <TextField label="Caller" value={caller.name} onChange={set('name')} maxLength={LONGEST} autoFocus />
      <TextField label="Where the garden is" value={caller.place} onChange={set('place')} maxLength={LONGEST} />
      <TextField label="Telephone" value={caller.phone} onChange={set('phone')} maxLength={LONGEST} />
      <Buttons>
        <Button weight="act" type="submit">
          Take the call
        </Button>
        <Button weight="quiet" onPress={() => onDone(null)}>
          Not now
        </Button>
      </Buttons>
    </Form>
  );
}
