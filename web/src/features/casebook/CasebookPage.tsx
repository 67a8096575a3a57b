import { useDeferredValue } from 'react';
import { Link, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import { CARE_ONLY } from '@sounding/core/edition/care.ts';
import { sayShortDay } from '../../app/dates.ts';
import { useTextParam } from '../../app/useTextParam.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useCasesQuery, useEditionQuery } from '../../store/api.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';

const Sheet = styled.div`
  max-width: 1180px;
  margin: 0 auto;
  padding: 24px 24px 40px;
  h1 {
    font-size: 30px;
    margin-bottom: 12px;
  }
`;
const Find = styled.search`
  display: grid;
  grid-template-columns: minmax(0, 520px) auto;
  align-items: end;
  gap: 16px;
  margin-bottom: 16px;
`;
const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    text-align: left;
    font-weight: 400;
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
    padding: 4px 10px 4px 0;
    border-bottom: 1.5px solid ${({ theme }) => theme.ink};
  }
  td {
    padding: 8px 10px 8px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    vertical-align: baseline;
  }
  td.cause {
    font:
      500 18px/1.2 'Alegreya',
      serif;
  }
  td.soft {
    color: ${({ theme }) => theme.inkSoft};
  }
`;
const Pages = styled.div`
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 14px;
`;
const PAGE = 25;
const STATUS_WORDS = { waiting: 'waiting', open: 'open', answered: 'answered', closed: 'closed' } as const;

/** Every case of the desk, newest first; searched in words, names, plants, causes and numbers. */
export function CasebookPage() {
  const session = useDesk();
  const [params, setParams] = useSearchParams();
  const [search, setSearch] = useTextParam('search');
  // other words begin on the first page
  const offset = search === (params.get('search') ?? '') ? Number(params.get('from') ?? 0) || 0 : 0;
  const wanted = useDeferredValue(search);
  const { data, error } = useCasesQuery({ search: wanted, limit: PAGE, offset });
  const { data: edition } = useEditionQuery(session.edition);
  const nameOf = (kind: 'plants' | 'causes', id: string) => (id === CARE_ONLY ? 'Care' : (edition?.[kind].find((row) => row.id === id)?.name ?? id));
  const goTo = (from: number) => setParams({ ...(search ? { search } : {}), ...(from > 0 ? { from: String(from) } : {}) }, { replace: true });
  return (
    <Sheet>
      <h1>Casebook</h1>
      <Find>
        <TextField label="Search by name, place, words, plant, cause or number" value={search} onChange={setSearch} autoFocus />
        <Notice role="status">{data ? `${data.total} ${data.total === 1 ? 'case' : 'cases'}` : ''}</Notice>
      </Find>
      {error && (
        <Notice $tone="danger" role="alert">
          {problemText(error)}
        </Notice>
      )}
      {data && data.cases.length === 0 && <Notice>No case speaks of that. Try a single word.</Notice>}
      {data && data.cases.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th>No.</th>
              <th>Day</th>
              <th>Caller</th>
              <th>Plant</th>
              <th>Cause</th>
              <th>First words</th>
              <th>State</th>
            </tr>
          </thead>
          <tbody>
            {data.cases.map((c) => (
              <tr key={c.id}>
                <td>{c.number}</td>
                <td className="soft">{sayShortDay(c.receivedAt)}</td>
                <td>
                  <Link to={`/case/${c.id}`}>{c.caller.name}</Link>
                </td>
                <td>{c.hosts.map((id) => nameOf('plants', id)).join(', ')}</td>
                <td className="cause">{c.causes.map((id) => nameOf('causes', id)).join(', ')}</td>
                <td className="soft">{c.opening.length > 70 ? `${c.opening.slice(0, 68)} …` : c.opening}</td>
                <td className="soft">{STATUS_WORDS[c.status]}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {data && data.total > PAGE && (
        <Pages>
          <Button isDisabled={offset === 0} onPress={() => goTo(offset - PAGE)}>
            Newer
          </Button>
          <span>
            {offset + 1}–{Math.min(offset + PAGE, data.total)} of {data.total}
          </span>
          <Button isDisabled={offset + PAGE >= data.total} onPress={() => goTo(offset + PAGE)}>
            Older
          </Button>
        </Pages>
      )}
    </Sheet>
  );
}
