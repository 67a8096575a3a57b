import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { TextArea, TextField as AriaTextField, Label } from 'react-aria-components';
import { styled } from 'styled-components';
import { COORDINATOR, type EntryKind } from '@sounding/contract/api.ts';
import { sayDay, sayTime } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useLibraryEntryQuery, useUndoEntryMutation, useWriteEntryMutation } from '../../store/api.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { Complaints, faultsOf } from './Complaints.tsx';
import { Aside, Columns, Crumb, Lines, Sheet } from './parts.tsx';

const Words = styled(AriaTextField)`
  display: grid;
  gap: 3px;
  label {
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
  textarea {
    font:
      400 13.5px/1.45 ui-monospace,
      monospace;
    min-height: 520px;
    padding: 10px 12px;
    border: 1px solid ${({ theme }) => theme.rule};
    border-radius: 3px;
    background: ${({ theme }) => theme.sheet};
    resize: vertical;
  }
`;
const Row = styled.div`
  display: flex;
  gap: 12px;
  align-items: end;
  margin-top: 10px;
  > :first-child {
    flex: 1;
  }
`;
const VIEW: Record<EntryKind, string | null> = { causes: 'cause', plants: 'plant', findings: null };

/** One entry as the desk has it, in the words it is written in; the coordinator changes it, the lint answers, and every step can be taken back. */
export function EntryPage() {
  const session = useDesk();
  const { kind: kindText, id = '' } = useParams();
  const kind = kindText as EntryKind;
  const { data: entry, error } = useLibraryEntryQuery({ kind, id });
  const [write, writing] = useWriteEntryMutation();
  const [undo, undoing] = useUndoEntryMutation();
  const [draft, setDraft] = useState<string | null>(null);
  const [note, setNote] = useState('');
  const may = session.person.role === COORDINATOR;
  if (error) {
    return (
      <Sheet>
        <Notice $tone="danger" role="alert">
          {problemText(error)}
        </Notice>
        <Crumb to="/library">Back to the library</Crumb>
      </Sheet>
    );
  }
  if (!entry) return <Sheet>Opening …</Sheet>;
  const text = draft ?? entry.text;
  const save = async () => {
    const result = await write({ kind, id, text, note });
    if ('data' in result) {
      // what was typed while the lint read is not saved yet
      setDraft((now) => (now === text ? null : now));
      setNote((now) => (now === note ? '' : now));
    }
  };
  const takeBack = async () => {
    const result = await undo({ kind, id });
    if ('data' in result) setDraft(null);
  };
  const failed = writing.error ?? undoing.error;
  return (
    <Sheet>
      <Crumb to={VIEW[kind] ? `/library/${VIEW[kind]}/${id}` : '/library'}>Back to the entry</Crumb>
      <h1>{id}</h1>
      <Aside>
        {entry.from === 'desk' ? 'The desk’s own words stand in place of the shipped ones.' : 'These are the shipped words.'}{' '}
        {!may && 'Only the coordinator of the desk writes in its library.'}
      </Aside>
      <Columns>
        <div>
          <Words value={text} onChange={setDraft} isReadOnly={!may} aria-label="The entry">
            <Label>The entry, as it is written (YAML)</Label>
            <TextArea spellCheck={false} />
          </Words>
          {may && (
            <Row>
              <TextField label="Why (kept in the history)" value={note} onChange={setNote} />
              <Button weight="act" isDisabled={text === entry.text || writing.isLoading} onPress={() => void save()}>
                Save for this desk
              </Button>
            </Row>
          )}
        </div>
        <div>
          <h2>What the lint says</h2>
          {failed && (
            <Notice $tone="danger" role="alert">
              {problemText(failed)}
            </Notice>
          )}
          <Complaints
            isTrying={writing.isLoading || undoing.isLoading}
            complaints={failed ? faultsOf(failed) : (writing.data?.complaints ?? undoing.data?.complaints ?? [])}
            asked={Boolean(failed ?? writing.data ?? undoing.data)}
          />
          <h2>History at this desk</h2>
          {entry.history.length === 0 && <Notice>Nothing was written of it here.</Notice>}
          <Lines>
            {entry.history.map((step) => (
              <li key={step.revision}>
                {step.by}, {sayDay(step.at)} {sayTime(step.at)}
                {step.back && ' – back to the shipped words'}
                <br />
                <small>{step.note || 'no reason given'}</small>
              </li>
            ))}
          </Lines>
          {may && entry.history.length > 0 && (
            <Row>
              <span />
              <Button isDisabled={undoing.isLoading} onPress={() => void takeBack()}>
                Take the last change back
              </Button>
            </Row>
          )}
          {VIEW[kind] && (
            <p>
              <Link to={`/library/${VIEW[kind]}/${id}`}>See how it reads</Link>
            </p>
          )}
        </div>
      </Columns>
    </Sheet>
  );
}
