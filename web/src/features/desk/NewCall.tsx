import { useState, type FormEvent } from 'react';
import { styled } from 'styled-components';
import { problemText, useCreateCaseMutation } from '../../store/api.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';

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

/** Takes a call nobody announced. Only a name is asked for; the rest can be filled in while talking. */
export function NewCall({ onDone }: { onDone: (caseId: string | null) => void }) {
  const [create, { error, isLoading }] = useCreateCaseMutation();
  const [caller, setCaller] = useState({ name: '', place: '', phone: '' });
  const set = (field: keyof typeof caller) => (value: string) => setCaller({ ...caller, [field]: value });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const id = crypto.randomUUID();
    const result = await create({
      id,
      questionId: crypto.randomUUID(),
      channel: 'telephone',
      opening: '',
      caller: { ...caller, name: caller.name || 'Unknown caller', email: '' },
    });
    if (!('error' in result)) onDone(id);
  };
  return (
    <Form onSubmit={(event) => void submit(event)} onKeyDown={(event) => event.key === 'Escape' && onDone(null)}>
      <TextField label="Caller" value={caller.name} onChange={set('name')} autoFocus />
      <TextField label="Where the garden is" value={caller.place} onChange={set('place')} />
      <TextField label="Telephone" value={caller.phone} onChange={set('phone')} />
      {error && (
        <Notice $tone="danger" role="alert">
          {problemText(error)}
        </Notice>
      )}
      <Buttons>
        <Button weight="act" type="submit" isDisabled={isLoading}>
          Take the call
        </Button>
        <Button weight="quiet" onPress={() => onDone(null)}>
          Not now
        </Button>
      </Buttons>
    </Form>
  );
}
