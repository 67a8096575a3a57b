import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import { separators, usualAnswers } from '@sounding/core/library/separation.ts';
import { optionsOn, preferredAmong } from '@sounding/core/treatment/decide.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { KindMark } from '../case/KindMark.tsx';
import { ACT_WORDS } from '../case/words.ts';
import { FindingFigure } from './FindingFigure.tsx';
import { Aside, Crumb, Lines, Sheet, useLibrary } from './parts.tsx';
import { LibrarySearch } from './search.ts';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  margin-top: 14px;
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 8px 14px 8px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    font-weight: 400;
  }
  thead th {
    border-bottom: 1.5px solid ${({ theme }) => theme.ink};
    font:
      600 21px/1.15 'Alegreya',
      serif;
  }
  thead button {
    font:
      400 14px/1.2 'Source Sans 3',
      sans-serif;
  }
  tbody th {
    color: ${({ theme }) => theme.inkSoft};
    width: 190px;
  }
  .answer {
    display: flex;
    gap: 10px;
    align-items: center;
  }
  tr.parts-all th {
    color: ${({ theme }) => theme.ink};
    font-weight: 600;
  }
`;
const MOST = 4;
const ROWS = 9;

function Add({ taken, onAdd, find }: { taken: readonly string[]; onAdd: (id: string) => void; find: LibrarySearch }) {
  const [words, setWords] = useState('');
  const hits = words.trim() ? find.find(words).filter((hit) => hit.kind === 'cause' && !taken.includes(hit.id)) : [];
  return (
    <div>
      <TextField label="Put another cause beside them" value={words} onChange={setWords} />
      <Lines>
        {hits.slice(0, 5).map((hit) => (
          <li key={hit.id}>
            <Button
              weight="quiet"
              onPress={() => {
                onAdd(hit.id);
                setWords('');
              }}
            >
              {hit.name}
            </Button>
          </li>
        ))}
      </Lines>
    </div>
  );
}

/** Two to four look-alikes side by side, what tells them apart on top. */
export function ComparePage() {
  const { edition, waiting } = useLibrary();
  const [params, setParams] = useSearchParams();
  const causes = useMemo(
    () =>
      params
        .getAll('cause')
        .slice(0, MOST)
        .flatMap((id) => edition?.causes.find((c) => c.id === id) ?? []),
    [edition, params],
  );
  const rows = useMemo(() => (edition && causes.length >= 2 ? separators(causes, edition.findings).slice(0, ROWS) : []), [edition, causes]);
  const find = useMemo(() => (edition ? new LibrarySearch(edition) : null), [edition]);
  if (!edition || !find) return <Sheet>{waiting}</Sheet>;
  const show = (next: readonly string[]) => setParams(next.map((id) => ['cause', id] as [string, string]));
  return (
    <Sheet>
      <Crumb to="/library">Library</Crumb>
      <h1>Side by side</h1>
      {causes.length < 2 && <Notice>Choose at least two causes to see what tells them apart.</Notice>}
      {causes.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th scope="col">What tells them apart</th>
              {causes.map((cause) => (
                <th key={cause.id} scope="col">
                  <Link to={`/library/cause/${cause.id}`}>{cause.name}</Link>
                  <br />
                  <KindMark kind={cause.kind} />
                  <Button
                    weight="quiet"
                    aria-label={`Take ${cause.name} away`}
                    onPress={() => show(causes.filter((c) => c !== cause).map((c) => c.id))}
                  >
                    take away
                  </Button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ finding, least }) => (
              <tr key={finding.id} className={least > 0.5 ? 'parts-all' : ''}>
                <th scope="row">
                  {finding.name}
                  {finding.phoneSeconds !== null && <Aside>“{finding.ask}”</Aside>}
                </th>
                {causes.map((cause) => (
                  <td key={cause.id}>
                    {usualAnswers(finding, cause)
                      .slice(0, 2)
                      .map((answer) => (
                        <div key={answer.id} className="answer">
                          <FindingFigure finding={finding.id} answer={answer.id} />
                          <span>{answer.say}</span>
                        </div>
                      ))}
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <th scope="row">In a word</th>
              {causes.map((cause) => {
                const like = cause.lookAlikes.find((l) => causes.some((c) => c.id === l.cause));
                return <td key={cause.id}>{like?.say ?? cause.story.split('. ')[0]}</td>;
              })}
            </tr>
            <tr>
              <th scope="row">What it would come to</th>
              {causes.map((cause) => {
                const first = preferredAmong(optionsOn(cause, null), (option) => option);
                return (
                  <td key={cause.id}>
                    {first ? `${ACT_WORDS[first.act]}: ${first.title.toLowerCase()}. ` : ''}
                    {cause.worth}
                  </td>
                );
              })}
            </tr>
          </tbody>
        </Table>
      )}
      {causes.length < MOST && <Add taken={causes.map((c) => c.id)} find={find} onAdd={(id) => show([...causes.map((c) => c.id), id])} />}
    </Sheet>
  );
}
