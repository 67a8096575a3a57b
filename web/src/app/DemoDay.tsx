import { useState } from 'react';
import { styled } from 'styled-components';
import { useSetDayMutation } from '../store/api.ts';

const Field = styled.label`
  display: flex;
  align-items: center;
  gap: 6px;
  input {
    border: 1px solid ${({ theme }) => theme.rule};
    background: ${({ theme }) => theme.sheet};
    color: ${({ theme }) => theme.ink};
    border-radius: 3px;
    padding: 2px 6px;
  }
`;
const FIRST = '2021-01-01';
const LAST = '2030-12-31';

/** The demo desk lives on a day of its own, so that its season can be walked through. Applied when the field is left. */
export function DemoDay({ today }: { today: string }) {
  const [setDay] = useSetDayMutation();
  const [draft, setDraft] = useState<string | null>(null);
  const apply = () => {
    if (draft && draft !== today && draft >= FIRST && draft <= LAST) void setDay(draft);
    setDraft(null);
  };
  return (
    <Field>
      demo day
      <input
        type="date"
        value={draft ?? today}
        min={FIRST}
        max={LAST}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={apply}
        onKeyDown={(event) => event.key === 'Enter' && apply()}
      />
    </Field>
  );
}
