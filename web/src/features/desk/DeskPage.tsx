import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { CaseSummary, CaseView } from '@sounding/contract/api.ts';
import { sayDay, sayShortDay, sayTime } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useCasesQuery, usePrefetchEdition } from '../../store/api.ts';
import { useAppSelector } from '../../store/store.ts';
import { begunCase } from '../../store/writes.ts';
import { Button, Key, Notice } from '../../ui/controls.tsx';
import { useKeys } from '../../ui/useKeys.ts';
import { NewCall } from './NewCall.tsx';
import { usePickUp } from './usePickUp.ts';

const Sheet = styled.div`
  max-width: 1180px;
  margin: 0 auto;
  padding: 26px 24px 40px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 40px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Heading = styled.h1`
  font-size: 30px;
`;
const Sub = styled.p`
  color: ${({ theme }) => theme.inkSoft};
  margin-bottom: 18px;
`;
const Waiting = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1.5px solid ${({ theme }) => theme.ink};
`;
const Line = styled.li<{ $first: boolean }>`
  display: grid;
  grid-template-columns: 34px 92px minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
  padding: ${({ $first }) => ($first ? '16px 12px' : '11px 12px')};
  background: ${({ theme, $first }) => ($first ? theme.sheet : 'transparent')};
  border-bottom: 1px solid ${({ theme }) => theme.rule};
`;
const Words = styled.p<{ $first: boolean }>`
  font:
    ${({ $first }) => ($first ? '500 21px/1.2' : '500 17px/1.25')} 'Alegreya',
    serif;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
`;
const Small = styled.p`
  font-size: 14px;
  color: ${({ theme }) => theme.inkSoft};
`;
const Side = styled.aside`
  display: grid;
  gap: 26px;
  align-content: start;
  h2 {
    font-size: 20px;
    padding-bottom: 5px;
    border-bottom: 1.5px solid ${({ theme }) => theme.ink};
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    padding: 7px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
  }
`;
const CHANNELS = { telephone: 'on the line', email: 'wrote', table: 'at the table' } as const;

function due(cases: readonly CaseSummary[]): CaseSummary[] {
  return cases
    .filter((c) => c.followUpOn !== null && c.status === 'answered')
    .sort((a, b) => (a.followUpOn ?? '').localeCompare(b.followUpOn ?? ''))
    .slice(0, 6);
}

/** Nobody is said to wait before the server has answered. */
function whoWaits(waiting: { readonly total: number } | undefined): string {
  if (!waiting) return 'Who waits';
  return waiting.total > 0 ? `${waiting.total} waiting` : 'Nobody waits';
}

/** Calls taken while the record could not be reached: no list of the server's has them yet. */
function useUnsavedCalls(): CaseView[] {
  const pending = useAppSelector(({ outbox }) => outbox.pending);
  return useMemo(() => pending.flatMap((write) => (write.kind === 'new-case' ? begunCase(write) : [])), [pending]);
}

/** Long enough for the desk to be on screen; the case view is then fetched before anybody asks for it. */
const WARM_UP_MS = 2500;

/** Who waits, longest first; the keys 1 to 9 pick a call up. */
export function DeskPage() {
  const { desk, edition } = useDesk();
  const warmUp = usePrefetchEdition();
  useEffect(() => {
    const timer = setTimeout(() => {
      warmUp(edition);
      void import('../case/CasePage.tsx');
    }, WARM_UP_MS);
    return () => clearTimeout(timer);
  }, [warmUp, edition]);
  const { data: waiting, error } = useCasesQuery({ status: 'waiting' }, { pollingInterval: 15_000 });
  const { data: open } = useCasesQuery({ status: 'open' });
  const { data: answered } = useCasesQuery({ status: 'answered' });
  const pickUp = usePickUp();
  const [calling, setCalling] = useState(false);
  useKeys((event) => {
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement || event.ctrlKey || event.altKey || event.metaKey)
      return;
    if (event.target instanceof HTMLElement && event.target.closest('[role="group"], [role="spinbutton"]')) return;
    const chosen = /^[1-9]$/.test(event.key) ? waiting?.cases[Number(event.key) - 1] : undefined;
    if (chosen) pickUp(chosen);
    if (event.key === 'n') {
      event.preventDefault();
      setCalling(true);
    }
  });
  const unsaved = useUnsavedCalls();
  const stillOpen = [...unsaved.filter(({ id }) => !open?.cases.some((c) => c.id === id)), ...(open?.cases ?? [])];
  const followUps = due(answered?.cases ?? []);
  return (
    <Sheet>
      <section aria-labelledby="waiting">
        <Heading id="waiting">{whoWaits(waiting)}</Heading>
        <Sub>
          {desk.name}, {sayDay(desk.today)}. A number key picks up, <Key>n</Key> takes a new call.
        </Sub>
        {error && (
          <Notice $tone="danger" role="alert">
            {problemText(error)}
          </Notice>
        )}
        <Waiting>
          {waiting?.cases.map((c, i) => (
            <Line key={c.id} $first={i === 0}>
              <Key>{i < 9 ? i + 1 : ' '}</Key>
              <Small>
                {CHANNELS[c.channel]}
                <br />
                {c.receivedAt.slice(0, 10) === desk.today ? sayTime(c.receivedAt) : sayShortDay(c.receivedAt)}
              </Small>
              <div>
                <Words $first={i === 0}>{c.opening || 'nothing noted yet'}</Words>
                <Small>
                  {c.caller.name}
                  {c.caller.place ? `, ${c.caller.place}` : ''}
                </Small>
              </div>
              <Button weight={i === 0 ? 'act' : 'plain'} onPress={() => pickUp(c)} aria-label={`Pick up ${c.caller.name}`}>
                Pick up
              </Button>
            </Line>
          ))}
        </Waiting>
      </section>
      <Side>
        <section aria-label="New call">
          {calling ? (
            <NewCall onDone={(id) => (id ? pickUp({ id }) : setCalling(false))} />
          ) : (
            <Button onPress={() => setCalling(true)}>
              New call <Key>n</Key>
            </Button>
          )}
        </section>
        {stillOpen.length > 0 && (
          <section aria-labelledby="open">
            <h2 id="open">Still open</h2>
            <ul>
              {stillOpen.map((c) => (
                <li key={c.id}>
                  <Link to={`/case/${c.id}`}>{c.caller.name}</Link>
                  <Small>{c.opening.slice(0, 80)}</Small>
                </li>
              ))}
            </ul>
          </section>
        )}
        <section aria-labelledby="due">
          <h2 id="due">Call back</h2>
          {followUps.length > 0 && (
            <ul>
              {followUps.map((c) => (
                <li key={c.id}>
                  <Link to={`/case/${c.id}`}>{c.caller.name}</Link>{' '}
                  {c.followUpOn && <span>{c.followUpOn < desk.today ? `since ${sayShortDay(c.followUpOn)}` : sayShortDay(c.followUpOn)}</span>}
                  <Small>{c.opening}</Small>
                </li>
              ))}
            </ul>
          )}
          {answered && followUps.length === 0 && <Small>Nobody is to be called back.</Small>}
        </section>
      </Side>
    </Sheet>
  );
}
