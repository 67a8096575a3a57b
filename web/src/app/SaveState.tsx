import { styled } from 'styled-components';
import { refusalsRead } from '../store/outbox.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/controls.tsx';

const Line = styled.span<{ $bad: boolean }>`
  color: ${({ theme, $bad }) => ($bad ? theme.chalk : theme.inkSoft)};
  font-weight: ${({ $bad }) => ($bad ? 600 : 400)};
`;

/** Says plainly whether what was taken is in the record; unsent writes are kept in this browser and tried again. */
export function SaveState() {
  const { pending, refused, trouble } = useAppSelector((state) => state.outbox);
  const dispatch = useAppDispatch();
  const first = refused[0];
  if (first) {
    return (
      <Line $bad role="alert">
        Not taken: {first.reason}{' '}
        <Button weight="quiet" onPress={() => dispatch(refusalsRead())}>
          Understood
        </Button>
      </Line>
    );
  }
  if (pending.length > 0 && trouble) {
    return (
      <Line $bad role="status">
        {pending.length} not saved yet – kept here, trying again
      </Line>
    );
  }
  return (
    <Line $bad={false} role="status">
      {pending.length > 0 ? 'saving …' : 'all saved'}
    </Line>
  );
}
