import { memo } from 'react';
import { styled } from 'styled-components';
import type { CareDate } from '@sounding/core/consult/careAnswers.ts';
import { POISON } from '@sounding/core/edition/care.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { sayShortDay } from '../../app/dates.ts';
import { setQuantities } from '../../ui/quantities.ts';
import { AsideLink } from './AsideLink.tsx';
import { timingText } from './words.ts';
import type { CaseCare } from './useCaseCare.ts';

const Panel = styled.section`
  min-height: 0;
  overflow: auto;
  padding: 12px 20px 12px 18px;
  h2 {
    font-size: 17px;
    margin-bottom: 4px;
  }
  h3 {
    font:
      600 24px/1.15 'Alegreya',
      serif;
    margin-bottom: 4px;
  }
`;
const Answer = styled.article<{ $first: boolean }>`
  padding: 10px 12px 12px;
  border-bottom: 1px solid ${({ theme }) => theme.rule};
  background: ${({ theme, $first }) => ($first ? theme.wash : 'transparent')};
  h3 {
    font-size: ${({ $first }) => ($first ? '24px' : '19px')};
  }
  p {
    font-size: ${({ $first }) => ($first ? '18px' : '16px')};
    line-height: 1.35;
  }
`;
const Work = styled.p`
  && {
    font-size: 15.5px;
  }
  margin-top: 6px;
  padding-left: 10px;
  border-left: 3px solid ${({ theme }) => theme.brass};
  b {
    font-weight: 600;
  }
`;
const Aside = styled.p`
  margin-top: 12px;
  font-size: 15px;
  color: ${({ theme }) => theme.inkSoft};
`;

/** "from 15 Jul to 31 Aug" where both ends are ahead; else as elsewhere. */
const spanText = ({ timing }: CareDate): string =>
  timing.state === 'not-yet' && timing.from && timing.to ? `from ${sayShortDay(timing.from)} to ${sayShortDay(timing.to)}` : timingText(timing);

interface Props {
  care: CaseCare;
  edition: Edition;
  plant: Plant | null;
}

/** The answer to a call in which nothing is wrong: what the plant's card says to what was asked, and on which days. */
export const CarePanel = memo(function CarePanel({ care, edition, plant }: Props) {
  const nameOf = (id: string) => edition.careTopics.find((topic) => topic.id === id)?.name ?? id;
  return (
    <Panel aria-label="Answer to a question of care" tabIndex={0}>
      {plant && <AsideLink to={`/library/plant/${plant.id}`}>the whole card</AsideLink>}
      <h2>Answer</h2>
      {care.answers.map(({ topic, answer, plant: of }, n) => (
        <Answer key={`${of}-${topic}`} $first={n === 0}>
          <h3>
            {nameOf(topic)}: {of}
          </h3>
          <p>{setQuantities(answer)}</p>
          {care.dates
            .filter((date) => date.topic === topic)
            .map((date) => (
              <Work key={date.name}>
                <b>
                  {date.name}: {spanText(date)}.
                </b>{' '}
                {date.how}
              </Work>
            ))}
        </Answer>
      ))}
      {plant?.poisonous && !care.answers.some(({ topic }) => topic === POISON) && <Aside>Poisonous: {plant.poisonous}</Aside>}
      <Aside>Nothing wrong has been told. Type what is seen, and the causes are weighed.</Aside>
    </Panel>
  );
});
