import { useMemo } from 'react';
import { howItSpreads } from '@sounding/core/consult/spread.ts';
import { inSentence } from '@sounding/core/edition/names.ts';
import { Link, useParams } from 'react-router';
import { styled } from 'styled-components';
import { RATE_VALUES, type Cause } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { ACTS } from '@sounding/core/edition/options.ts';
import type { HostSelector } from '@sounding/core/edition/plants.ts';
import { figuresByMark } from '@sounding/core/library/problems.ts';
import { mostTellingFirst } from '@sounding/core/library/separation.ts';
import { windowStanding } from '@sounding/core/season/windows.ts';
import { COORDINATOR } from '@sounding/contract/api.ts';
import { useDesk } from '../../app/routes.tsx';
import { useWeatherQuery, useWorksQuery } from '../../store/api.ts';
import { KindMark } from '../case/KindMark.tsx';
import { ACT_WORDS, burdenText, timingText } from '../case/words.ts';
import { FindingFigure } from './FindingFigure.tsx';
import { Aside, Columns, Crumb, Latin, Lines, MARK_WORDS, NotThere, RATE_WORDS, Sheet, useLibrary } from './parts.tsx';
import { YearStrip } from './YearStrip.tsx';

const Head = styled.header`
  display: grid;
  gap: 4px;
  margin: 6px 0 4px;
  .line {
    display: flex;
    gap: 14px;
    align-items: baseline;
    flex-wrap: wrap;
  }
`;
const Warning = styled.p`
  color: ${({ theme }) => theme.chalk};
  font-weight: 600;
`;
const Seen = styled.li`
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  .mark {
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
`;

/** Groups whose name with an "s" would be no word. */
const GROUP_WORDS: Record<string, string> = {
  balcony: 'balcony plants',
  citrus: 'citrus',
  deciduous: 'deciduous plants',
  herbaceous: 'herbaceous plants',
  'indoors-only': 'plants kept indoors only',
  'old-wood-flowering': 'plants that flower on old wood',
  'ornamental-grass': 'ornamental grasses',
  'pome-fruit': 'pome fruit',
  'seedling-raised': 'plants raised from seed',
  'soft-fruit': 'soft fruit',
  'stone-fruit': 'stone fruit',
  'tropical-fruit': 'tropical fruit',
  turf: 'lawns',
};

const hostText = (host: HostSelector, edition: Edition): string => {
  if ('any' in host) return 'plants of any kind';
  if ('plant' in host) return inSentence(edition.plants.find((p) => p.id === host.plant)?.name ?? host.plant);
  if ('genus' in host) return host.genus;
  return 'family' in host ? host.family : (GROUP_WORDS[host.group] ?? `${host.group.replace(/-/g, ' ')}s`);
};

/** "How sure are we of this": what the figures rest on, said plainly. */
function surenessOf(cause: Cause): string {
  const { published, 'common-practice': practice, memory } = figuresByMark(cause);
  const all = published + practice + memory;
  const parts = [
    published > 0 ? `${published} published` : '',
    practice > 0 ? `${practice} common practice` : '',
    memory > 0 ? `${memory} from memory` : '',
  ].filter(Boolean);
  const word =
    published > all / 2 ? 'Well founded' : practice > all / 2 ? 'Rests on the practice of the trade' : 'Rests mostly on memory: check what matters';
  return `${word}. Of ${all} figures: ${parts.join(', ')}.`;
}

function Options({ cause, edition, today, timing }: { cause: Cause; edition: Edition; today: string; timing: (id: string | undefined) => string }) {
  const ordered = [...cause.options].sort((a, b) => ACTS.indexOf(a.act) - ACTS.indexOf(b.act));
  return (
    <Lines aria-label={`What to do, as of ${today}`}>
      {ordered.map((option) => {
        const school = edition.schools.find((s) => s.id === option.school);
        const mindful = [...option.cautions, ...(option.cautionsOn?.say ?? [])];
        return (
          <li key={option.id}>
            <b>{option.title}</b>
            {option.hosts && ` on ${option.hosts.map((host) => hostText(host, edition)).join(', ')}`}
            {option.preferred && ` – our first choice${option.hosts ? ' there' : ''}`}. {option.how}
            {option.repeat && ` Repeat: ${option.repeat}.`}
            {option.not.length > 0 && ` Not ${option.not.join(', not ').replace(/^Do not/, 'do not')}.`}
            <br />
            <small>
              {ACT_WORDS[option.act].toLowerCase()} · {option.effect} effect · {burdenText(option)} · {timing(option.window)} ·{' '}
              {MARK_WORDS[option.mark]}
              {option.actives && ` · ${option.actives.join(', ')}`}
            </small>
            {mindful.length > 0 && (
              <>
                <br />
                <small>{mindful.join(' ')}</small>
              </>
            )}
            {school && (
              <>
                <br />
                <small>
                  {school.question} {school.views.map((view) => `${view.say} (${view.because})`).join(' / ')}. Ours: {school.ours}
                </small>
              </>
            )}
          </li>
        );
      })}
    </Lines>
  );
}

/** Standard works that entry can be checked against. They are no sources, and it says so. */
function Works({ cause }: { cause: string }) {
  const { data: works = [] } = useWorksQuery(cause);
  if (works.length === 0) return null;
  return (
    <>
      <Aside id="works">Where to check it (no figure above is taken from these):</Aside>
      <Lines aria-labelledby="works">
        {works.map((cite) => (
          <li key={cite}>
            <small>{cite}</small>
          </li>
        ))}
      </Lines>
    </>
  );
}

/** One cause: how it lives, what is seen, when, what to do, and how sure all that is. */
export function CausePage() {
  const session = useDesk();
  const { edition, waiting } = useLibrary();
  const { id } = useParams();
  const station = session.stations[0];
  const { today, climate, hemisphere } = session.desk;
  const { data: weather } = useWeatherQuery({ stationId: station?.id ?? '', until: today }, { skip: !station });
  const cause = edition?.causes.find((c) => c.id === id);
  const windows = useMemo(
    () => (cause?.windows ?? []).map((window) => windowStanding(window, { date: today, climate, hemisphere, weather: weather ?? null })),
    [cause, today, climate, hemisphere, weather],
  );
  if (!edition) return <Sheet>{waiting}</Sheet>;
  if (!cause) return <NotThere what="cause" />;
  const hosts = [...cause.hosts.include].sort((a, b) => b.weight - a.weight);
  const dated = windows.flatMap((w) => (w.from && w.to ? [{ id: w.window, name: w.name, from: w.from, to: w.to, basis: w.basis }] : []));
  const timing = (windowId: string | undefined) => {
    const found = windows.find((w) => w.window === windowId);
    return found ? timingText(found) : 'any time';
  };
  return (
    <Sheet>
      <Crumb to="/library">Library</Crumb>
      <Crumb className="edit" to={`/library/edit/causes/${cause.id}`}>
        {session.person.role === COORDINATOR ? 'Change for this desk' : 'As it is written'}
      </Crumb>
      <Head>
        <div className="line">
          <h1>{cause.name}</h1>
          <KindMark kind={cause.kind} />
        </div>
        {cause.latin && <Latin>{cause.latin}</Latin>}
        {cause.also.length > 0 && <Aside>also: {cause.also.join(', ')}</Aside>}
        {cause.notifiable && <Warning>May be notifiable: tell the plant health authority and move no material.</Warning>}
      </Head>
      <Columns>
        <div>
          <h2>How it lives</h2>
          <p>{cause.story}</p>
          <Aside>On {hosts.map((host) => hostText(host, edition)).join(', ')}.</Aside>
          <Aside>Does it spread? {howItSpreads(cause)}</Aside>
          <h2>What is seen</h2>
          <Lines>
            {mostTellingFirst(cause, edition.findings).map((rate) => {
              const finding = edition.findings.find((f) => f.id === rate.finding);
              const told = Object.entries(rate.answers).sort(([, a], [, b]) => RATE_VALUES[b] - RATE_VALUES[a]);
              return (
                <Seen key={rate.finding}>
                  <span>{finding?.name ?? rate.finding}</span>
                  <span>
                    {told.map(([answer, word]) => `${finding?.answers.find((a) => a.id === answer)?.say ?? answer}: ${RATE_WORDS[word]}`).join('; ')}
                    <span className="mark">
                      {' '}
                      · {MARK_WORDS[rate.mark]}
                      {rate.note && ` – ${rate.note}`}
                    </span>
                  </span>
                  <FindingFigure finding={rate.finding} answer={told[0]?.[0] ?? ''} />
                </Seen>
              );
            })}
          </Lines>
        </div>
        <div>
          {dated.length > 0 && (
            <>
              <h2>Through the year{station ? ` at ${station.name}` : ''}</h2>
              <YearStrip spans={dated} today={today} />
              <Aside>{[...new Set(windows.filter((w) => w.from).map((w) => `${w.basis}, ${MARK_WORDS[w.mark]}`))].join(' · ')}</Aside>
            </>
          )}
          <h2>Is it worth doing anything?</h2>
          <p>{cause.worth}</p>
          <Aside>When it can be left: {cause.leaveWhen}</Aside>
          <h2>What to do, gentle to strong</h2>
          <Options cause={cause} edition={edition} today={today} timing={timing} />
          {cause.cautions.length > 0 && <Warning>{cause.cautions.join(' ')}</Warning>}
          <h2>Looks like</h2>
          <Lines>
            {cause.lookAlikes.map((like) => (
              <li key={like.cause}>
                <Link to={`/library/cause/${like.cause}`}>{edition.causes.find((c) => c.id === like.cause)?.name ?? like.cause}</Link>: {like.say}{' '}
                <small>
                  <Link to={`/library/compare?cause=${cause.id}&cause=${like.cause}`}>side by side</Link>
                </small>
              </li>
            ))}
          </Lines>
          <h2>How sure are we of this?</h2>
          <p>{surenessOf(cause)}</p>
          <Lines>
            {edition.sources
              .filter((source) => [cause, ...cause.rates, ...cause.windows, ...cause.options].some((item) => item.source === source.id))
              .map((source) => (
                <li key={source.id}>
                  <small>{source.cite}</small>
                </li>
              ))}
          </Lines>
          <Works cause={cause.id} />
        </div>
      </Columns>
    </Sheet>
  );
}
