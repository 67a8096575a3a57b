import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { CaseView, QuestionView } from '@sounding/contract/api.ts';
import type { PlanBody } from '@sounding/contract/plan.ts';
import type { SumDefinition } from '@sounding/core/measure/sum.ts';
import { sumOf } from '@sounding/core/measure/all.ts';
import { Button } from '../../ui/controls.tsx';
import { Rows } from '../../ui/rows.ts';

const Row = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
`;

interface Props {
  view: CaseView;
  question: QuestionView;
  plan: PlanBody;
  suggested: readonly SumDefinition[];
  onPlan: (change: Partial<PlanBody>) => void;
}

/** Sums that were put into the case, and those that are the natural next thing for it. */
export function SumsPanel({ view, question, plan, suggested, onPlan }: Props) {
  const href = (sum?: string) => `/bench?case=${view.id}&question=${question.id}${sum ? `&sum=${sum}` : ''}`;
  return (
    <section aria-label="Sums">
      <h2>Sums</h2>
      <Rows>
        {plan.sums.map((one) => (
          <li key={one.id}>
            <span>
              {sumOf(one.sum)?.name}: {one.line}
            </span>
            <Button weight="quiet" onPress={() => onPlan({ sums: plan.sums.filter(({ id }) => id !== one.id) })}>
              Take out
            </Button>
          </li>
        ))}
      </Rows>
      <Row>
        {suggested.map(({ id, name }) => (
          <Link key={id} to={href(id)}>
            {name}
          </Link>
        ))}
        <Link to={href()}>{suggested.length > 0 ? 'another sum' : 'Work a sum out on the bench'}</Link>
      </Row>
    </section>
  );
}
