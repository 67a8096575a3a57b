import { Link } from 'react-router';
import { styled } from 'styled-components';
import { COORDINATOR, type LearningView } from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { sayDay } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useLearningQuery, useSetBackLearningMutation, useTakeOverLearningMutation } from '../../store/api.ts';
import { Button, Notice } from '../../ui/controls.tsx';
import { Ledger } from '../../ui/ledger.ts';
import { Aside, Crumb, Sheet, useLibrary } from './parts.tsx';

const Row = styled.p`
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  margin: 12px 0;
`;
const Table = styled(Ledger)`
  .figure {
    text-align: right;
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }
`;

type Change = LearningView['changes'][number];

function what(edition: Edition, { what: kind, finding, answer }: Change): string {
  if (kind === 'odds') return 'how often it is met here, against what the edition expects';
  const row = edition.findings.find((f) => f.id === finding);
  return `${row?.name ?? finding ?? ''}: ${row?.answers.find((a) => a.id === answer)?.say ?? answer ?? ''}`;
}

const figure = ({ what: kind }: Change, value: number): string => (kind === 'odds' ? `${value.toFixed(2)} times` : `${Math.round(value * 100)} %`);

/** What confirmed outcomes would change, and what the desk has taken over: the coordinator decides, and can set it back. */
export function LearnedPage() {
  const session = useDesk();
  const { edition, waiting } = useLibrary();
  const { data, error } = useLearningQuery();
  const [takeOver, taking] = useTakeOverLearningMutation();
  const [setBack, setting] = useSetBackLearningMutation();
  if (!edition || (!data && !error)) return <Sheet>{waiting}</Sheet>;
  const may = session.person.role === COORDINATOR;
  const failed = error ?? taking.error ?? setting.error;
  const name = (id: string) => edition.causes.find((cause) => cause.id === id)?.name ?? id;
  return (
    <Sheet>
      <Crumb to="/library">Library</Crumb>
      <h1>What cases have taught</h1>
      <p>
        Only causes that somebody confirmed count, never a likely guess. The written figures weigh as much as a dozen cases; old cases fade by half in
        four years, those of the last two months count double.
      </p>
      {failed && (
        <Notice $tone="danger" role="alert">
          {problemText(failed)}
        </Notice>
      )}
      {data && (
        <>
          <Row role="status">
            {data.standing
              ? `${data.standing.outcomes} confirmed outcomes stand in the desk’s edition since ${sayDay(data.standing.on)}, taken over by ${data.standing.by}.`
              : 'The desk works with the figures as they are written.'}{' '}
            {data.confirmed} confirmed by now.
          </Row>
          {may ? (
            <Row>
              <Button weight="act" isDisabled={data.confirmed === 0 || taking.isLoading} onPress={() => void takeOver()}>
                Take over {data.confirmed} {data.confirmed === 1 ? 'outcome' : 'outcomes'}
              </Button>
              {data.standing && (
                <Button isDisabled={setting.isLoading} onPress={() => void setBack()}>
                  Set back to the written figures
                </Button>
              )}
            </Row>
          ) : (
            <Notice>Only the coordinator takes over what cases have taught.</Notice>
          )}
          <h2>What they change</h2>
          {data.changes.length === 0 && <Notice>Nothing yet: confirm what an answered case turned out to be, below the case.</Notice>}
          {data.changes.length > 0 && (
            <Table>
              <thead>
                <tr>
                  <th>Cause</th>
                  <th>What</th>
                  <th className="figure">as written</th>
                  <th className="figure">with cases</th>
                  <th className="figure">cases, weighed</th>
                </tr>
              </thead>
              <tbody>
                {data.changes.map((change) => (
                  <tr key={`${change.cause} ${change.finding ?? ''} ${change.answer ?? ''}`}>
                    <td>
                      <Link to={`/library/cause/${change.cause}`}>{name(change.cause)}</Link>
                    </td>
                    <td>{what(edition, change)}</td>
                    <td className="figure">{figure(change, change.before)}</td>
                    <td className="figure">{figure(change, change.after)}</td>
                    <td className="figure">{change.cases.toFixed(1)}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          )}
          {data.history.length > 0 && <h2>Step by step</h2>}
          {data.history.map((step, i) => (
            <Aside key={i}>
              {sayDay(step.on)}: {step.by} {step.outcomes === 0 ? 'set everything back' : `took over ${step.outcomes}`}
            </Aside>
          ))}
        </>
      )}
    </Sheet>
  );
}
