import { Link, useParams } from 'react-router';
import { testsFor } from '@sounding/core/consult/tests.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useInspectionsQuery } from '../../store/api.ts';
import { Notice } from '../../ui/controls.tsx';
import { useQuestionStanding } from '../case/useQuestionStanding.ts';
import { useLibrary } from '../library/parts.tsx';
import { BenchTabs, useCaseQueryText } from './BenchTabs.tsx';
import { InspectionCards } from './InspectionCards.tsx';
import { Side, View, Work } from './layout.ts';
import { useCaseAtHand, type CaseAtHand } from './useCaseAtHand.ts';

const MOST_SUGGESTED = 4;

/** Tests that would tell most in the case at hand. */
function useNextTests(edition: Edition, tests: readonly Inspection[], atHand: CaseAtHand | null): Inspection[] {
  const { standing, taken } = useQuestionStanding(atHand?.question, useDesk(), null);
  if (!standing || !atHand) return [];
  const answered = new Set(taken.map(({ finding }) => finding));
  const plant = edition.plants.find(({ id }) => id === atHand.question.hostId) ?? null;
  return testsFor(edition, { tests, plant, candidates: standing.candidates, answered, asked: standing.questions[0]?.finding ?? null }).slice(
    0,
    MOST_SUGGESTED,
  );
}

interface TestsProps {
  edition: Edition;
  tests: readonly Inspection[];
  atHand: CaseAtHand | null;
  /** Id of the test that is open. */
  open: string;
}

function Tests({ edition, tests, atHand, open }: TestsProps) {
  const query = useCaseQueryText();
  const next = useNextTests(edition, tests, atHand);
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
      <ul>{tests.filter((one) => !next.includes(one)).map(row)}</ul>
    </Side>
  );
}

function Fetching({ error }: { error: unknown }) {
  if (!error) return <Notice>Fetching the tests …</Notice>;
  return (
    <Notice $tone="danger" role="alert">
      {problemText(error)} The tests come from there; the figures of the bench go on without it.
    </Notice>
  );
}

/** The tests of the trade: read out step by step, their results taken into the case. */
export function InspectionPage() {
  const { id } = useParams();
  // by the question the address names, so that what was picked stays when the case itself comes in later
  const query = useCaseQueryText();
  const atHand = useCaseAtHand();
  const { edition, waiting } = useLibrary();
  const { data: tests, error } = useInspectionsQuery();
  if (!edition) return waiting;
  if (!tests) return <Fetching error={error} />;
  const inspection = id === undefined ? tests[0] : tests.find((one) => one.id === id);
  return (
    <View>
      <Tests edition={edition} tests={tests} atHand={atHand} open={inspection?.id ?? ''} />
      <Work>
        {inspection ? (
          <InspectionCards key={inspection.id + query} inspection={inspection} atHand={atHand} />
        ) : (
          <Notice $tone="danger" role="alert">
            There is no test “{id}”; choose one on the left.
          </Notice>
        )}
      </Work>
    </View>
  );
}
