import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { styled } from 'styled-components';
import { problemsOf, type PlantProblem } from '@sounding/core/library/problems.ts';
import { COORDINATOR } from '@sounding/contract/api.ts';
import { useDesk } from '../../app/routes.tsx';
import { setQuantities } from '../../ui/quantities.ts';
import { NeedleFigure } from './FindingFigure.tsx';
import { Aside, Columns, Crumb, Latin, Lines, NotThere, Sheet, useLibrary } from './parts.tsx';

const Months = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    font-weight: 400;
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
    text-align: center;
    padding: 2px 0;
  }
  th:first-child,
  td:first-child {
    text-align: left;
  }
  td {
    border-top: 1px solid ${({ theme }) => theme.rule};
    padding: 3px 0;
    text-align: center;
  }
  tbody td:first-child {
    font:
      500 17px/1.25 'Alegreya',
      serif;
    padding-right: 8px;
  }
  th.now {
    color: ${({ theme }) => theme.brass};
    font-weight: 600;
  }
  svg {
    display: block;
    margin: 0 auto;
    fill: ${({ theme }) => theme.ink};
  }
`;
const Care = styled.dl`
  margin: 0;
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 5px 12px;
  dt {
    color: ${({ theme }) => theme.inkSoft};
  }
  dd {
    margin: 0;
  }
`;
const INITIALS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];
const OWN_SHOWN = 22;
const COMMON_SHOWN = 8;
/** Below this a mark would say nothing. */
const WORTH_A_MARK = 0.02;

function Rows({ problems }: { problems: readonly PlantProblem[] }) {
  return problems.map(({ cause, months }) => (
    <tr key={cause.id}>
      <td>
        <Link to={`/library/cause/${cause.id}`}>{cause.name}</Link>
      </td>
      {months.map((share, i) => {
        const size = 4 + 12 * Math.sqrt(share);
        return (
          <td key={i}>
            {share > WORTH_A_MARK && (
              <svg width="16" height="16" viewBox="0 0 16 16" role="img" aria-label={`${Math.round(share * 100)} of 100`}>
                <rect x={(16 - size) / 2} y={(16 - size) / 2} width={size} height={size} />
              </svg>
            )}
          </td>
        );
      })}
    </tr>
  ));
}

/** One plant: its own ways, its problems through the season here, and its care. */
export function PlantPage() {
  const session = useDesk();
  const { edition, waiting } = useLibrary();
  const { id } = useParams();
  const { climate, hemisphere, today } = session.desk;
  const plant = edition?.plants.find((p) => p.id === id);
  const problems = useMemo(() => (edition && plant ? problemsOf(plant, edition, climate, hemisphere) : []), [edition, plant, climate, hemisphere]);
  if (!edition) return <Sheet>{waiting}</Sheet>;
  if (!plant) return <NotThere what="plant" />;
  const month = Number(today.slice(5, 7));
  return (
    <Sheet>
      <Crumb to="/library">Library</Crumb>
      <Crumb className="edit" to={`/library/edit/plants/${plant.id}`}>
        {session.person.role === COORDINATOR ? 'Change for this desk' : 'As it is written'}
      </Crumb>
      <h1>{plant.name}</h1>
      {!plant.generic && <Latin>{plant.latin}</Latin>} <Aside>{[plant.family, ...plant.groups.map((g) => g.replace(/-/g, ' '))].join(' · ')}</Aside>
      {plant.also.length > 0 && <Aside>also: {plant.also.map((name) => name.replace(/!$/, '')).join(', ')}</Aside>}
      <Columns>
        <div>
          <h2>Its problems through the year here</h2>
          <Months>
            <thead>
              <tr>
                <th scope="col">its own</th>
                {INITIALS.map((initial, i) => (
                  <th key={i} scope="col" className={i + 1 === month ? 'now' : ''}>
                    {initial}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              <Rows problems={problems.filter((p) => p.own).slice(0, OWN_SHOWN)} />
            </tbody>
            <thead>
              <tr>
                <th scope="col">as of plants at large</th>
              </tr>
            </thead>
            <tbody>
              <Rows problems={problems.filter((p) => !p.own).slice(0, COMMON_SHOWN)} />
            </tbody>
          </Months>
          <Aside>The larger the mark, the commoner it is in that month; {problems.length} causes can strike it in all.</Aside>
        </div>
        <div>
          {(plant.normal.length > 0 || plant.needles) && (
            <>
              <h2>Normal for it</h2>
              <Lines>
                {plant.normal.map((oddity) => (
                  <li key={oddity.what}>
                    {oddity.what}
                    {oddity.when && ` – ${oddity.when}`}
                    {oddity.varieties && ` (${oddity.varieties})`}
                  </li>
                ))}
                {plant.needles && (
                  <li>
                    needles {plant.needles === 1 ? 'single' : `${plant.needles} in a bundle`} <NeedleFigure needles={plant.needles} />
                  </li>
                )}
              </Lines>
            </>
          )}
          {plant.poisonous && (
            <>
              <h2>Poisonous</h2>
              <p>{plant.poisonous}</p>
            </>
          )}
          <h2>Care</h2>
          <Care>
            {edition.careTopics
              .filter((topic) => plant.care[topic.id])
              .map((topic) => [<dt key={`${topic.id} t`}>{topic.name}</dt>, <dd key={topic.id}>{setQuantities(plant.care[topic.id] ?? '')}</dd>])}
            {plant.hardyC !== undefined && [<dt key="hardy t">Stands about</dt>, <dd key="hardy">{plant.hardyC} °C in open ground</dd>]}
          </Care>
        </div>
      </Columns>
    </Sheet>
  );
}
