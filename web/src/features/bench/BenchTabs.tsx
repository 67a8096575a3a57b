import { NavLink, useSearchParams } from 'react-router';
import { styled } from 'styled-components';

const Tabs = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 10px;
  margin-bottom: 10px;
  column-span: all;
  @media (max-width: 900px) {
    grid-template-columns: repeat(4, 1fr);
  }
  a {
    color: ${({ theme }) => theme.inkSoft};
    text-decoration: none;
    padding: 5px 2px;
    border-bottom: 2px solid ${({ theme }) => theme.rule};
  }
  a[aria-current='page'] {
    color: ${({ theme }) => theme.ink};
    font-weight: 600;
    border-bottom-color: ${({ theme }) => theme.brass};
  }
`;

const PARTS = [
  { to: '/bench', say: 'Sums' },
  { to: '/bench/tests', say: 'Tests' },
  { to: '/bench/picture', say: 'Picture' },
  { to: '/bench/instruments', say: 'Instruments' },
] as const;

/** The query that names the case at hand goes along from part to part. */
export function useCaseQueryText(): string {
  const [params] = useSearchParams();
  const kept = new URLSearchParams();
  for (const key of ['case', 'question']) {
    const value = params.get(key);
    if (value) kept.set(key, value);
  }
  const text = kept.toString();
  return text === '' ? '' : `?${text}`;
}

/** The four parts of the bench. */
export function BenchTabs() {
  const query = useCaseQueryText();
  return (
    <Tabs role="group" aria-label="Parts of the bench">
      {PARTS.map(({ to, say }) => (
        <NavLink key={to} to={`${to}${query}`} end={to === '/bench'}>
          {say}
        </NavLink>
      ))}
    </Tabs>
  );
}
