import { useCallback, useMemo } from 'react';
import { inSentence } from '@sounding/core/edition/names.ts';
import { Link, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import type { DueWindow } from '@sounding/core/season/report.ts';
import { sunTimes } from '@sounding/core/season/sun.ts';
import { sayDay, sayShortDay } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import { useKept } from '../../app/useKept.ts';
import { useOutlooks, useSeason } from '../../engine/engine.ts';
import { problemText, useDeskSeasonQuery, useForecastQuery, useHoursQuery, useStationsQuery, useWeatherQuery } from '../../store/api.ts';
import { Pick } from '../../ui/choice.tsx';
import { Notice } from '../../ui/controls.tsx';
import { Aside, Lines, useLibrary } from '../library/parts.tsx';
import { HowAnswersTurnedOut } from './HowAnswersTurnedOut.tsx';
import { IndexTable } from './IndexTable.tsx';
import { PlantYear } from './PlantYear.tsx';
import { Tracks } from './Tracks.tsx';
import { Due, Turns, when } from './Turns.tsx';
import { WeatherFacts } from './WeatherFacts.tsx';

const View = styled.div`
  max-width: 1240px;
  margin: 0 auto;
  padding: 14px 24px 48px;
  h2 {
    font-size: 20px;
    padding-bottom: 3px;
    border-bottom: 1.5px solid ${({ theme }) => theme.ink};
    margin-bottom: 6px;
  }
  ul + h2,
  h2.next {
    margin-top: 20px;
  }
`;
const Head = styled.header`
  display: flex;
  align-items: end;
  gap: 10px 24px;
  flex-wrap: wrap;
  margin-bottom: 14px;
  h1 {
    font-size: 28px;
  }
  p {
    color: ${({ theme }) => theme.inkSoft};
    font-size: 14px;
  }
`;
const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 26px 40px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
  .strip {
    max-width: 760px;
  }
  > section.wide {
    grid-column: 1 / -1;
  }
`;
const NOTHING: never[] = [];

const clock = (minutes: number): string =>
  `${String(Math.floor((((minutes % 1440) + 1440) % 1440) / 60)).padStart(2, '0')}:${String(Math.floor(((minutes % 60) + 60) % 60)).padStart(2, '0')}`;

/** What the season asks for at a station, this week and next; and whom the desk has promised to ring. */
export function SeasonPage() {
  const session = useDesk();
  const { edition, waiting } = useLibrary();
  const [params, setParams] = useSearchParams();
  const stationId = params.get('station') ?? session.stations[0]?.id ?? '';
  const station = session.stations.find(({ id }) => id === stationId);
  const { today, climate, hemisphere } = session.desk;
  // what belongs to this very station and day, so that the report is reckoned once and not with each that arrives
  const { currentData: series, error } = useWeatherQuery({ stationId, until: today }, { skip: stationId === '' });
  const { currentData: forecast } = useForecastQuery({ stationId, today }, { skip: stationId === '' });
  const { currentData: hours } = useHoursQuery({ stationId, today }, { skip: stationId === '' });
  const { data: states } = useStationsQuery();
  const { data: desk } = useDeskSeasonQuery();
  const input = useMemo(
    () =>
      station && forecast && desk && hours
        ? {
            forecast,
            hours,
            today,
            climate,
            hemisphere,
            latDegrees: station.lat,
            altitudeM: station.altitudeM,
            hosts: desk.plants.map(({ hostId }) => hostId),
          }
        : null,
    [station, forecast, hours, desk, today, climate, hemisphere],
  );
  const report = useKept(useSeason(edition ?? undefined, series, input), stationId);
  // asked for after the report, which is not to wait for it
  const outlooks = useKept(useOutlooks(edition ?? undefined, input ? series : undefined, today, hemisphere, station?.lat), stationId);
  const set = useCallback(
    (key: string, value: string) =>
      setParams(
        (now) => {
          const next = new URLSearchParams(now);
          if (value) next.set(key, value);
          else next.delete(key);
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  const pickPlant = useCallback((id: string) => set('plant', id), [set]);
  if (!edition) return <View>{waiting}</View>;
  const state = states?.find(({ id }) => id === stationId);
  const sun = station ? sunTimes(today, station.lat, station.lon) : null;
  // what turns soon in the order of its days; what is merely open, the commonest first
  const turn = (t: DueWindow['turn']) => {
    const rows = (report?.due ?? []).filter((row) => row.turn === t);
    return t === 'open' ? rows : rows.sort((a, b) => a.inDays - b.inDays);
  };
  return (
    <View>
      <Head>
        <h1>Season at {station?.name ?? 'no station'}</h1>
        <Pick>
          station
          <select value={stationId} onChange={(event) => set('station', event.target.value)}>
            {session.stations.map(({ id, name, altitudeM }) => (
              <option key={id} value={id}>
                {name}, {altitudeM} m
              </option>
            ))}
          </select>
        </Pick>
        <p>
          {sayDay(today)}
          {sun ? `, sun ${clock(sun.riseMin)} to ${clock(sun.setMin)} UTC` : ''}
          <br />
          {state?.trouble ? (
            <Notice as="span" $tone="danger">
              {state.trouble}; record ends {state.lastDay ? sayDay(state.lastDay) : 'nowhere'}
            </Notice>
          ) : (
            <>
              record to {state?.lastDay ? sayShortDay(state.lastDay) : '…'}, foretold to{' '}
              {state?.forecastUntil ? sayShortDay(state.forecastUntil) : '…'}
            </>
          )}{' '}
          · <Link to="/season/stations">Stations</Link>
        </p>
      </Head>
      {error && (
        <Notice $tone="danger" role="alert">
          {problemText(error)}
        </Notice>
      )}
      {!report && !error && <Notice>Reckoning the season …</Notice>}
      {report && (
        <Columns>
          <section aria-label="Windows">
            <Turns title="Ends within two weeks" rows={turn('ends')} />
            <Turns title="Opens within two weeks" rows={turn('opens')} />
            <Turns title="Open now" rows={turn('open')} />
          </section>
          <section aria-label="The desk and the weather">
            <h2>To ring back</h2>
            <Lines>
              {(desk?.followUps ?? []).slice(0, 8).map((c) => (
                <li key={c.id}>
                  <Link to={`/case/${c.id}`}>
                    {c.caller.name}
                    {c.causes[0] ? `, ${inSentence(edition.causes.find(({ id }) => id === c.causes[0])?.name ?? c.causes[0])}` : ''}
                  </Link>{' '}
                  <small>
                    {c.followUpOn && c.followUpOn < today ? `was due ${sayShortDay(c.followUpOn)}` : c.followUpOn ? sayShortDay(c.followUpOn) : ''}
                  </small>
                </li>
              ))}
            </Lines>
            {desk?.followUps.length === 0 && <Notice>Nobody is waiting for a call back.</Notice>}
            {report.tasks.length > 0 && <h2 className="next">Work in the garden</h2>}
            <Due>
              {report.tasks.slice(0, 7).map((task) => (
                <li key={task.task}>
                  <span className="when">{when(task)}</span>
                  <span>
                    <b>{task.name}</b>
                    <small>{task.how}</small>
                  </span>
                </li>
              ))}
            </Due>
            <h2 className="next">Weather that plants show</h2>
            <WeatherFacts report={report} />
          </section>
          <section className="wide" aria-label="Disease weather">
            <h2>Disease weather</h2>
            <Aside>
              ! infection likely, !! strong, · near; hatched: out of its season; days foretold in italics. The rules speak of the weather only.{' '}
              {report.measuredShare >= 0.9 ? 'Hours are the station’s own; those ahead are estimated.' : 'Hours are estimated from daily figures.'}
            </Aside>
            <IndexTable runs={report.indices} causes={edition.causes} outlooks={outlooks} />
          </section>
          <Tracks edition={edition} series={series} due={report.due} today={today} hemisphere={hemisphere} />
          <HowAnswersTurnedOut stated={desk?.stated ?? NOTHING} />
          <PlantYear edition={edition} series={series} session={session} hostId={params.get('plant')} onPick={pickPlant} />
        </Columns>
      )}
    </View>
  );
}
