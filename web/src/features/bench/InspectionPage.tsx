import { Link, useParams } from 'react-router';
import { testsFor } from '@sounding/core/consult/tests.ts';
import type { Edition, Inspection } from '@sounding/core/edition/edition.ts';
import { useDesk } from '../../app/routes.tsx';
import { Notice } from '../../ui/controls.tsx';
import { useQuestionStanding } from '../case/useQuestionStanding.ts';
import { useLibrary } from '../library/parts.tsx';
import { BenchTabs, useCaseQueryText } from './BenchTabs.tsx';
import { InspectionCards } from './InspectionCards.tsx';
import { Side, View, Work } from './layout.ts';
import { useCaseAtHand, type CaseAtHand } from './useCaseAtHand.ts';

const MOST_SUGGESTED = 4;

/** Tests that would tell most in the case at hand. */
function useNextTests(edition: Edition, atHand: CaseAtHand | null): Inspection[] {
  const { standing, taken } = useQuestionStanding(atHand?.question, useDesk(), null);
  if (!standing || !atHand) return [];
  const answered = new Set(taken.map(({ finding }) => finding));
  return testsFor(edition, { candidates: standing.candidates, answered, asked: standing.questions[0]?.finding ?? null }).slice(0, MOST_SUGGESTED);
}

function Tests({ edition, atHand, open }: { edition: Edition; atHand: CaseAtHand | null; open: string }) {
  const query = useCaseQueryText();
  const next = useNextTests(edition, atHand);
  const row = ({ id, name }: Inspection) => (
    <li key={id}>
      <Link to={`/bench/tests/${id}${query}`} aria-current={id === open ? 'page' : undefined}>
        {name}
      </Link>
    </li>
  );
  return (
    <Side aria-label="Tests">
      <BenchTabs />
      {next.length > 0 && (
        <>
          <h2>Next for this case</h2>
          <ul>{next.map(row)}</ul>
        </>
      )}
      <h2>{next.length > 0 ? 'All tests' : 'Tests'}</h2>
      <ul>{(edition.inspections ?? []).filter((one) => !next.includes(one)).map(row)}</ul>
    </Side>
  );
}

/** The tests of the trade: read out step by step, their results taken into the case. */
export function InspectionPage() {
  const { id } = useParams();
  const atHand = useCaseAtHand();
  const { edition, waiting } = useLibrary();
  if (!edition) return waiting;
  const all = edition.inspections ?? [];
  const inspection = id === undefined ? all[0] : all.find((one) => one.id === id);
  return (
    <View>
      <Tests edition={edition} atHand={atHand} open={inspection?.id ?? ''} />
      <Work>
        {inspection ? (
          <InspectionCards key={`${inspection.id} ${atHand?.question.id ?? ''}`} inspection={inspection} atHand={atHand} />
        ) : (
          <Notice $tone="danger" role="alert">
            There is no test “{id}” in this edition; choose one on the left.
          </Notice>
        )}
      </Work>
    </View>
  );
}
