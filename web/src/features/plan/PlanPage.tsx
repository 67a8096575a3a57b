import { useMemo } from 'react';
import { inSentence } from '@sounding/core/edition/names.ts';
import { Link, useParams } from 'react-router';
import { styled } from 'styled-components';
import { useDesk } from '../../app/routes.tsx';
import { problemText } from '../../store/api.ts';
import { Key, Notice, Onward } from '../../ui/controls.tsx';
import { useOnward } from '../../ui/useOnward.ts';
import { ChecksPanel } from './ChecksPanel.tsx';
import { CircumstancesPanel } from './CircumstancesPanel.tsx';
import { doseOf, labelContext, offersOf, optionServed, type Offer } from './doseOf.ts';
import { LadderPanel } from './LadderPanel.tsx';
import { ProductPanel, usualEquipment, usualTarget } from './ProductPanel.tsx';
import { ProgrammePanel } from './ProgrammePanel.tsx';
import { sumsFor } from '@sounding/core/measure/suggest.ts';
import { SumsPanel } from './SumsPanel.tsx';
import { usePlanWork } from './usePlanWork.ts';

const View = styled.div`
  display: grid;
  grid-template-columns: 370px minmax(0, 1fr);
  min-height: 100%;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Left = styled.div`
  padding: 16px 20px 30px;
  border-right: 1px solid ${({ theme }) => theme.rule};
  h2 {
    font-size: 20px;
    margin-bottom: 6px;
  }
`;
const Right = styled.div`
  padding: 16px 24px 40px;
  display: grid;
  gap: 20px;
  align-content: start;
  max-width: 940px;
  section:not(:first-of-type) > h2 {
    font-size: 20px;
    padding-bottom: 3px;
    border-bottom: 1.5px solid ${({ theme }) => theme.ink};
  }
`;
/** Stays in sight over a long plan: the way on to the letter is in it. */
const Head = styled.header`
  position: sticky;
  top: 0;
  z-index: 1;
  margin: -16px -24px -8px;
  padding: 16px 24px 8px;
  background: ${({ theme }) => theme.paper};
  display: flex;
  gap: 6px 18px;
  align-items: baseline;
  flex-wrap: wrap;
  h1 {
    font-size: 24px;
  }
  p {
    display: flex;
    gap: 16px;
    align-items: center;
    color: ${({ theme }) => theme.inkSoft};
    font-size: 14px;
    margin-left: auto;
  }
`;
const SPRAYED = new Set(['contact', 'systemic', 'biological']);

/** Whether, what, how much and when for one question: the second half of a call. */
export function PlanPage() {
  const { caseId = '', questionId = '' } = useParams();
  const session = useDesk();
  const replyHref = `/case/${caseId}/reply/${questionId}`;
  useOnward(replyHref);
  const work = usePlanWork(caseId, questionId, session);
  const { view, question, edition, standing, cause, plant, shed, plan } = work;
  const today = session.desk.today;
  const hemisphere = question?.hemisphere ?? session.desk.hemisphere;
  const context = useMemo(() => (shed ? labelContext(shed, { today, hemisphere }) : null), [shed, today, hemisphere]);
  const offers = useMemo(
    () =>
      shed && plant && cause && context && standing
        ? offersOf(shed, plant, cause, context, (label) => optionServed(standing.options, label) !== undefined)
        : [],
    [shed, plant, cause, context, standing],
  );
  if (!view || !question || !edition || !standing || !context)
    return work.error ? (
      <Notice $tone="danger" role="alert">
        {problemText(work.error)}
      </Notice>
    ) : (
      <Notice>Laying out the plan …</Notice>
    );
  const chosen = offers.find(({ label, use }) => label.id === plan.labelId && use.id === plan.useId) ?? null;
  const doseFor = (offer: Offer) =>
    doseOf(offer, plan, plan.equipment ?? usualEquipment(offer, plan.system), plan.target ?? usualTarget(offer, plan.system), context);
  const worked = chosen ? doseFor(chosen) : null;
  const others = offers.flatMap((offer) => {
    if (!chosen || offer.refusal || offer.label.actives[0]?.group === chosen.label.actives[0]?.group) return [];
    const theirs = doseFor(offer);
    return theirs && 'dose' in theirs ? [{ offer, dose: theirs.dose }] : [];
  });
  const asksProduct = SPRAYED.has(standing.decision.act) || plan.labelId !== null || standing.options.some(({ option }) => SPRAYED.has(option.act));
  return (
    <View>
      <Left>
        <CircumstancesPanel set={question.circumstances} standing={standing} cause={cause} today={today} onChange={work.setCircumstances} />
      </Left>
      <Right>
        <Head>
          <h1>
            {plant?.name ?? 'Plant'}: {inSentence(standing.candidates[0]?.name ?? '')}
          </h1>
          <p>
            <Link to={`/case/${view.id}?q=${question.id}`}>Back to the case</Link>
            <Onward to={replyHref}>
              Write the reply <Key>Ctrl Enter</Key>
            </Onward>
          </p>
        </Head>
        <LadderPanel standing={standing} edition={edition} overrule={question.overrule} onOverrule={work.setOverrule} />
        {asksProduct && plant && cause && (
          <ProductPanel offers={offers} plan={plan} context={context} edible={standing.circumstances.edible ?? true} onPlan={work.setPlan} />
        )}
        {chosen && worked && 'dose' in worked && (
          <ProgrammePanel
            standing={standing}
            others={others}
            chosen={chosen}
            dose={worked.dose}
            plan={plan}
            today={today}
            forecast={work.forecast}
            latDegrees={work.latDegrees}
            hemisphere={hemisphere}
            calendarHref={`/api/questions/${question.id}/plan.ics`}
            onPlan={work.setPlan}
          />
        )}
        <SumsPanel view={view} question={question} plan={plan} suggested={sumsFor(cause, plant)} onPlan={work.setPlan} />
        <ChecksPanel checks={plan.checks ?? []} calendarHref={`/api/questions/${question.id}/plan.ics`} onPlan={work.setPlan} />
        {!plant && <Notice>Name the plant first: labels are read by plant.</Notice>}
      </Right>
    </View>
  );
}
