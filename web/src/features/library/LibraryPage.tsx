import { useDeferredValue, useMemo } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { useTextParam } from '../../app/useTextParam.ts';
import { TextField, Notice } from '../../ui/controls.tsx';
import { KindMark } from '../case/KindMark.tsx';
import { FindingFigure } from './FindingFigure.tsx';
import { Aside, Lines, Sheet, useLibrary } from './parts.tsx';
import { LibrarySearch, type LibraryHit, type LibraryKind } from './search.ts';

const Find = styled.search`
  display: grid;
  grid-template-columns: minmax(0, 560px) auto;
  align-items: end;
  gap: 16px;
  margin: 12px 0 8px;
`;
const Three = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0 34px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    display: flex;
    gap: 10px;
    align-items: center;
    justify-content: space-between;
  }
  a {
    font:
      500 18px/1.25 'Alegreya',
      serif;
    text-decoration: none;
  }
  a:hover {
    text-decoration: underline;
  }
`;
const TITLES: Record<LibraryKind, string> = { cause: 'Causes', plant: 'Plants', symptom: 'What is seen' };
const LINKS: Record<LibraryKind, (id: string) => string> = {
  cause: (id) => `/library/cause/${id}`,
  plant: (id) => `/library/plant/${id}`,
  symptom: (id) => `/library/seen/${id.replace('.', '/')}`,
};
const SHOWN = 14;

function Hits({ kind, hits, edition }: { kind: LibraryKind; hits: readonly LibraryHit[]; edition: Edition }) {
  return (
    <section aria-label={TITLES[kind]}>
      <h2>
        {TITLES[kind]} {hits.length > 0 && <small>{hits.length}</small>}
      </h2>
      {hits.length === 0 && <Notice>None by that word.</Notice>}
      <Lines>
        {hits.slice(0, SHOWN).map((hit) => {
          const cause = kind === 'cause' ? edition.causes.find((c) => c.id === hit.id) : undefined;
          const [finding = '', answer = ''] = hit.id.split('.');
          return (
            <li key={hit.id}>
              <span>
                <Link to={LINKS[kind](hit.id)}>{hit.name}</Link>
                <br />
                <small>{hit.aside}</small>
              </span>
              {cause && <KindMark kind={cause.kind} />}
              {kind === 'symptom' && <FindingFigure finding={finding} answer={answer} />}
            </li>
          );
        })}
      </Lines>
      {hits.length > SHOWN && <Aside>and {hits.length - SHOWN} more: add a word</Aside>}
    </section>
  );
}

/** Everything the desk knows, found by plant, cause or what is seen. */
export function LibraryPage() {
  const { edition, waiting } = useLibrary();
  const [words, setWords] = useTextParam('find');
  const wanted = useDeferredValue(words.trim());
  const search = useMemo(() => (edition ? new LibrarySearch(edition) : null), [edition]);
  const hits = useMemo(() => (search && wanted ? search.find(wanted) : []), [search, wanted]);
  if (!edition) return <Sheet>{waiting}</Sheet>;
  const of = (kind: LibraryKind) => hits.filter((hit) => hit.kind === kind);
  return (
    <Sheet>
      <h1>Library</h1>
      <Find>
        <TextField label="Find a plant, a cause, or what is seen" value={words} onChange={setWords} autoFocus />
        <Notice role="status">{wanted ? `${hits.length} found` : ''}</Notice>
      </Find>
      {wanted === '' ? (
        <>
          <p>
            {edition.plants.length} plants, {edition.causes.length} causes and {edition.findings.length} findings stand in edition {edition.version}.
            Names in other languages of the trade, old names and slips of spelling are found too.
          </p>
          <p>
            <Link to="/library/exchange">Take the library out, or bring one in</Link> · <Link to="/library/learned">What cases have taught</Link> ·{' '}
            <Link to="/library/labels">Labels in the shed</Link>
          </p>
          <h2>On what it rests</h2>
          <p>
            Every rate, window and option carries its mark: published with its source, common practice of the trade, or from memory. Where the trade
            disagrees both sides stand with their reasons.
          </p>
          <Lines>
            {edition.schools.map((school) => (
              <li key={school.id}>
                <b>{school.question}</b> <span>{school.ours}</span>
                <br />
                <small>{school.views.map((view) => `${view.say}: ${view.because}`).join(' · ')}</small>
              </li>
            ))}
          </Lines>
        </>
      ) : (
        <Three>
          <Hits kind="cause" hits={of('cause')} edition={edition} />
          <Hits kind="plant" hits={of('plant')} edition={edition} />
          <Hits kind="symptom" hits={of('symptom')} edition={edition} />
        </Three>
      )}
    </Sheet>
  );
}
