import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { styled } from 'styled-components';
import { COORDINATOR, type ImportView } from '@sounding/contract/api.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useImportLibraryMutation } from '../../store/api.ts';
import { Button, Notice } from '../../ui/controls.tsx';
import { Complaints, faultsOf } from './Complaints.tsx';
import { Aside, Columns, Crumb, Lines, Sheet } from './parts.tsx';

const Row = styled.p`
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
`;

/** The library taken out as an open file, and one brought in: first tried, with the lint's answers, then taken over. */
export function ExchangePage() {
  const session = useDesk();
  const may = session.person.role === COORDINATOR;
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [bring, bringing] = useImportLibraryMutation();
  const [tried, setTried] = useState<ImportView | null>(null);
  const send = async (text: string, apply: boolean) => {
    const result = await bring({ text, apply });
    setTried('data' in result && result.data ? result.data : null);
  };
  const errors = tried?.complaints.filter((complaint) => complaint.level === 'error').length ?? 0;
  return (
    <Sheet>
      <Crumb to="/library">Library</Crumb>
      <h1>Take the library out, bring one in</h1>
      <Columns>
        <div>
          <h2>Take out</h2>
          <p>Plants, findings and causes as this desk has them, in the form they are written in.</p>
          <Row>
            <a href="/api/library/export.yaml" download>
              YAML
            </a>
            <a href="/api/library/export.json" download>
              JSON
            </a>
          </Row>
          <h2>Bring in</h2>
          <p>Only entries that are new or differ are taken over; they become the desk’s own and can be taken back one by one.</p>
          {!may && <Notice>Only the coordinator of the desk writes in its library.</Notice>}
          {may && (
            <Row>
              <FileTrigger
                acceptedFileTypes={['.yaml', '.yml', '.json']}
                onSelect={(files) => {
                  const picked = files?.[0];
                  if (!picked) return;
                  void picked.text().then((text) => {
                    setFile({ name: picked.name, text });
                    void send(text, false);
                  });
                }}
              >
                <Button>Choose a file</Button>
              </FileTrigger>
              {file && <span>{file.name}</span>}
              {file && tried && !tried.applied && tried.changes.length > 0 && errors === 0 && (
                <Button weight="act" isDisabled={bringing.isLoading} onPress={() => void send(file.text, true)}>
                  Take {tried.changes.length} {tried.changes.length === 1 ? 'entry' : 'entries'} over
                </Button>
              )}
            </Row>
          )}
          {bringing.error && (
            <Notice $tone="danger" role="alert">
              {problemText(bringing.error)}
            </Notice>
          )}
        </div>
        <div>
          <h2>What it would change</h2>
          {!tried && <Notice>Choose a file to see.</Notice>}
          {tried && (
            <Notice role="status">
              {tried.applied
                ? `Taken over: edition ${tried.edition}.`
                : tried.changes.length === 0
                  ? 'Nothing: it is what this desk has already.'
                  : `${tried.changes.length} new or changed.`}
            </Notice>
          )}
          <Lines>
            {tried?.changes.slice(0, 40).map((change) => (
              <li key={`${change.kind} ${change.id}`}>
                {change.id} <small>{`${change.kind}, ${change.what}`}</small>
              </li>
            ))}
          </Lines>
          <h2>What the lint says</h2>
          <Complaints
            complaints={bringing.error ? faultsOf(bringing.error) : (tried?.complaints ?? [])}
            asked={tried !== null}
            isTrying={bringing.isLoading}
          />
          <Aside>Nothing is taken over while the lint finds an error.</Aside>
        </div>
      </Columns>
    </Sheet>
  );
}
