import { styled } from 'styled-components';
import type { SessionView } from '@sounding/contract/api.ts';
import { useTakeSeatMutation } from '../store/api.ts';

const Chair = styled.select`
  background: transparent;
  border: 1px solid transparent;
  border-radius: 3px;
  padding: 4px 2px;
  field-sizing: content;
  max-width: 290px;
  color: ${({ theme }) => theme.inkSoft};
  &:hover {
    border-color: ${({ theme }) => theme.rule};
  }
  option {
    background: ${({ theme }) => theme.sheet};
    color: ${({ theme }) => theme.ink};
  }
`;

/** Who sits at the desk. A visitor to the demo may sit down as anyone of it, to see what each may do. */
export function Seat({ session }: { session: SessionView }) {
  const [takeSeat] = useTakeSeatMutation();
  if (!session.desk.demo) return <span>{session.person.name}</span>;
  return (
    <Chair aria-label="Who sits at the desk" value={session.person.id} onChange={(event) => void takeSeat(event.target.value)}>
      {session.people.map((person) => (
        <option key={person.id} value={person.id}>
          {person.name}, {person.role}
        </option>
      ))}
    </Chair>
  );
}
