import { memo, useState } from 'react';
import { inSentence } from '@sounding/core/edition/names.ts';
import { styled } from 'styled-components';
import type { ReadingView } from '@sounding/contract/api.ts';
import type { Candidate, Standing } from '@sounding/core/consult/consult.ts';
import { likelihoodWord, readingText } from '@sounding/core/consult/words.ts';
import { asItSpeaks, evidenceWord } from '@sounding/core/diagnosis/evidence.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { UNLISTED } from '@sounding/core/edition/causes.ts';
import { WORDING } from '@sounding/core/edition/findings.ts';
import { AsideLink } from './AsideLink.tsx';
import { DecisionPanel } from './DecisionPanel.tsx';
import { KindMark } from './KindMark.tsx';
import { percent } from './words.ts';

const Panel = styled.section`
  min-height: 0;
  overflow: auto;
  padding: 12px 20px 12px 18px;
`;
const Heading = styled.h2`
  font-size: 17px;
  margin-bottom: 4px;
`;
const List = styled.ol`
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
`;
const Row = styled.button<{ $chosen: boolean; $first: boolean }>`
  width: 100%;
  border: 0;
  border-bottom: 1px solid ${({ theme }) => theme.rule};
  background: ${({ theme, $chosen }) => ($chosen ? theme.wash : 'transparent')};
  display: grid;
  grid-template-columns: minmax(0, 1fr) 92px 130px 46px;
  gap: 10px;
  align-items: center;
  text-align: left;
  padding: ${({ $first }) => ($first ? '6px 8px' : '3px 8px')};
  cursor: pointer;
  .name {
    font:
      ${({ $first }) => ($first ? '600 24px/1.1' : '500 17.5px/1.2')} 'Alegreya',
      serif;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .share {
    text-align: right;
    font-weight: ${({ $first }) => ($first ? 600 : 400)};
  }
`;
const Bar = styled.svg`
  width: 130px;
  height: 9px;
  .ground {
    fill: ${({ theme }) => theme.rule};
  }
  .share {
    fill: ${({ theme }) => theme.ink};
  }
`;
const Detail = styled.div`
  display: grid;
  gap: 8px;
  h3 {
    font:
      italic 400 16px/1.2 'Alegreya',
      serif;
    color: ${({ theme }) => theme.inkSoft};
  }
  dl {
    margin: 0;
    display: grid;
    grid-template-columns: 112px minmax(0, 1fr);
    gap: 2px 10px;
    font-size: 14.5px;
    line-height: 1.3;
  }
  dt {
    color: ${({ theme }) => theme.inkSoft};
  }
  dd {
    margin: 0;
  }
`;
const Aside = styled.p`
  border-left: 3px solid ${({ theme }) => theme.brass};
  padding: 2px 0 2px 10px;
  margin: 0 0 8px;
  font-size: 14.5px;
  line-height: 1.3;
`;
const SHOWN = 5;

function EvidenceList({
  candidate,
  standing,
  edition,
  taken,
}: {
  candidate: Candidate;
  standing: Standing;
  edition: Edition;
  taken: readonly ReadingView[];
}) {
  const cause = edition.causes.find((c) => c.id === candidate.cause);
  const ordered = [...candidate.evidence].sort(asItSpeaks);
  const say = (finding: string, answer: string | undefined) =>
    readingText(edition, finding, taken.find((r) => r.finding === finding)?.answer ?? answer ?? '');
  // what the leader does not explain is said once, and as that
  const unexplained = candidate === standing.candidates[0] ? standing.unexplained : [];
  const speaking = ordered.filter((e) => evidenceWord(e.decibans) !== 'neutral' && !unexplained.includes(e.finding));
  const rivals = (cause?.lookAlikes ?? []).filter((like) => (standing.candidates.find((c) => c.cause === like.cause)?.probability ?? 0) > 0.01);
  return (
    <dl>
      {speaking.map((e) => (
        <Pair key={e.finding} term={evidenceWord(e.decibans)} text={say(e.finding, e.answers[0])} />
      ))}
      {speaking.length + unexplained.length === 0 && (
        <Pair
          term="evidence"
          text={candidate.cause === UNLISTED ? 'wins when nothing listed explains the readings' : 'nothing yet beyond host, season and place'}
        />
      )}
      {unexplained.length > 0 && <Pair term="not explained" text={unexplained.map((id) => say(id, undefined)).join('; ')} />}
      {candidate === standing.candidates[0] &&
        standing.overturnings.map((o) => (
          <Pair
            key={o.finding}
            term="would overturn"
            text={`${readingText(edition, o.finding, o.answer)} – then ${inSentence(edition.causes.find((c) => c.id === o.cause)?.name ?? o.cause)}`}
          />
        ))}
      {rivals.slice(0, 2).map((like) => (
        <Pair key={like.cause} term="looks like" text={`${edition.causes.find((c) => c.id === like.cause)?.name ?? like.cause}: ${like.say}`} />
      ))}
    </dl>
  );
}

function Pair({ term, text }: { term: string; text: string }) {
  return (
    <>
      <dt>{term}</dt>
      <dd>{text}</dd>
    </>
  );
}

/** Two causes at once, when they explain it clearly better than any one. */
function Both({ pair, edition }: { pair: NonNullable<Standing['pair']>; edition: Edition }) {
  const name = (id: string) => edition.causes.find((c) => c.id === id)?.name ?? id;
  const seen = (ids: string[]) => ids.map((id) => edition.findings.find((f) => f.id === id)?.name.toLowerCase() ?? id).join(', ');
  const times = pair.odds > 50 ? 'far' : `${Math.round(pair.odds)} times`;
  return (
    <Aside>
      <b>
        Perhaps two at once: {name(pair.causes[0])} and {inSentence(name(pair.causes[1]))}
      </b>{' '}
      – {times} likelier than any one alone. The first accounts for {seen(pair.explains[0])}, the second for {seen(pair.explains[1])}.
    </Aside>
  );
}

interface Props {
  standing: Standing;
  edition: Edition;
  taken: readonly ReadingView[];
  /** Set while an earlier mark is looked at. */
  backAt: number | null;
  hostName: string;
  planHref: string;
}

/** The causes as they stand, what speaks for and against the one looked at, and what to do about it. */
export const StandingPanel = memo(function StandingPanel({ standing, edition, taken, backAt, hostName, planHref }: Props) {
  const [chosenId, setChosenId] = useState<string | null>(null);
  const unlisted = standing.candidates.find((c) => c.cause === UNLISTED);
  // the unlisted leads nothing as long as it is only likelier than each of the many that are listed
  const begun = taken.some(({ finding }) => finding !== WORDING) || (taken.length > 0 && standing.candidates[0] !== unlisted);
  const shown = standing.candidates.filter((c) => begun || c !== unlisted).slice(0, SHOWN);
  const rows = unlisted && !shown.includes(unlisted) ? [...shown, unlisted] : shown;
  const chosen = rows.find((c) => c.cause === chosenId) ?? (begun ? rows[0] : undefined);
  const cause = edition.causes.find((c) => c.id === chosen?.cause);
  const beside = rows
    .filter((c) => c.cause !== UNLISTED)
    .slice(0, 3)
    .map((c) => `cause=${c.cause}`)
    .join('&');
  return (
    <Panel aria-label="Standing of causes" tabIndex={0}>
      {begun && <AsideLink to={`/library/compare?${beside}`}>the first three side by side</AsideLink>}
      <Heading>
        {backAt === null ? 'Standing' : `Standing after ${backAt === 0 ? 'no reading' : backAt === 1 ? 'one reading' : `${backAt} readings`}`}
      </Heading>
      <List>
        {rows.map((candidate, i) => (
          <li key={candidate.cause}>
            <Row
              type="button"
              $first={begun && i === 0}
              $chosen={candidate === chosen}
              aria-pressed={candidate === chosen}
              onClick={() => setChosenId(candidate.cause)}
            >
              <span className="name">{candidate.name}</span>
              <KindMark kind={candidate.kind} />
              <Bar aria-hidden="true" viewBox="0 0 130 9" preserveAspectRatio="none">
                <rect className="ground" y="4" width="130" height="1" />
                <rect className="share" width={Math.max(1, candidate.probability * 130)} height="9" />
              </Bar>
              <span className="share">{percent(candidate.probability)} %</span>
            </Row>
          </li>
        ))}
      </List>
      {standing.pair && <Both pair={standing.pair} edition={edition} />}
      {standing.contradictions.length > 0 && (
        <Aside>
          Reports disagree on {standing.contradictions.map((id) => edition.findings.find((f) => f.id === id)?.name.toLowerCase() ?? id).join(', ')}:
          all are kept, the better look weighs more.
        </Aside>
      )}
      {!begun && <p>Before any reading this is what strikes {hostName} here at this time of year. Nothing has been seen yet.</p>}
      {chosen && (
        <Detail>
          <h3>
            {begun && chosen === rows[0] ? likelihoodWord(chosen.probability) : 'instead'} {cause?.latin ? `– ${cause.latin}` : ''}
          </h3>
          <EvidenceList candidate={chosen} standing={standing} edition={edition} taken={taken} />
          {begun && chosen === rows[0] ? <DecisionPanel standing={standing} planHref={planHref} /> : cause && <p>{cause.story}</p>}
        </Detail>
      )}
    </Panel>
  );
});
