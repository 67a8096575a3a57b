import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import type { DegreeDaySpan } from '@sounding/core/edition/edition.ts';
import type { WeatherEvent } from '@sounding/core/season/extremes.ts';
import type { DueWindow } from '@sounding/core/season/report.ts';
import { biofixBefore } from '@sounding/core/season/crossing.ts';
import { sunTimes } from '@sounding/core/season/sun.ts';
import { sayDay, sayShortDay } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import { useKept } from '../../app/useKept.ts';
import { usePlantYear, useSeason, useTracks } from '../../engine/engine.ts';
import { problemText, useDeskSeasonQuery, useForecastQuery, useHoursQuery, useStationsQuery, useWeatherQuery } from '../../store/api.ts';
import { Pick } from '../../ui/choice.tsx';
import { Button, Notice } from '../../ui/controls.tsx';
import { Aside, Lines, useLibrary } from '../library/parts.tsx';
import { YearStrip } from '../library/YearStrip.tsx';
import { IndexTable } from './IndexTable.tsx';
import { ReliabilityPlot } from './ReliabilityPlot.tsx';
import { TrackChart } from './TrackChart.tsx';

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
const Due = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 128px minmax(0, 1fr);
    gap: 12px;
    padding: 5px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    line-height: 1.3;
  }
  b {
    font-weight: 600;
  }
  small {
    display: block;
    font-size: 13px;
    color: ${({ theme }) => theme.inkSoft};
  }
  .when {
    color: ${({ theme }) => theme.brass};
    font-weight: 600;
  }
`;
const Facts = styled.dl`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 3px 14px;
  margin: 0;
  dt {
    color: ${({ theme }) => theme.inkSoft};
  }
  dd {
    margin: 0;
  }
`;
/** Shown of each turn before "and more". */
const SHOWN = 9;
const EVENT_WORDS = { frost: ['frost', '°C'], heat: ['heat', '°C'], 'heavy-rain': ['cloudburst', 'mm'], gale: ['gale', 'm/s'] } as const;

/** "frost on 12 days, −5 °C on 19 Dec; heat on …": each kind once, with its worst day. */
function eventsInWords(events: readonly WeatherEvent[]): string {
  return (Object.keys(EVENT_WORDS) as WeatherEvent['what'][])
    .flatMap((what) => {
      const own = events.filter((event) => event.what === what);
      const worst = own.reduce<WeatherEvent | null>(
        (a, b) => (a === null || (what === 'frost' ? b.value < a.value : b.value > a.value) ? b : a),
        null,
      );
      if (!worst) return [];
      const [word, unit] = EVENT_WORDS[what];
      const figure = `${worst.value.toFixed(0).replace(/^-0$/, '0').replace('-', '−')} ${unit} on ${sayShortDay(worst.on)}`;
      return [own.length === 1 ? `${word}, ${figure}` : `${word} on ${own.length} days, ${figure}`];
    })
    .join('; ');
}
const PLAIN: DegreeDaySpan = { baseC: 10, biofix: '01-01', from: 0, to: 0 };

function when({ turn, inDays, timing }: Pick<DueWindow, 'turn' | 'inDays' | 'timing'>): string {
  const day = turn === 'opens' ? timing.from : timing.to;
  const date = day ? sayShortDay(day) : '';
  if (turn === 'opens') return inDays === 0 ? 'opens today' : `opens ${date}`;
  return inDays === 0 ? 'ends today' : `until ${date}`;
}

function Turns({ title, rows }: { title: string; rows: readonly DueWindow[] }) {
  const [all, setAll] = useState(false);
  if (rows.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <Due>
        {rows.slice(0, all ? undefined : SHOWN).map((row) => (
          <li key={`${row.cause} ${row.timing.window}`}>
            <span className="when">
              {when(row)}
              {row.timing.fromBand && row.timing.fromBand[0] !== row.timing.fromBand[1] && (
                <small>
                  {sayShortDay(row.timing.fromBand[0])} – {sayShortDay(row.timing.fromBand[1])}, 8 in 10 years
                </small>
              )}
            </span>
            <span>
              <Link to={`/library/cause/${row.cause}`}>
                <b>{row.causeName}</b>
              </Link>
              : {row.timing.name}
              <small>
                {row.options.join('; ')} · {row.timing.basis}
              </small>
            </span>
          </li>
        ))}
      </Due>
      {rows.length > SHOWN && !all && (
        <p>
          <Button weight="quiet" onPress={() => setAll(true)}>
            and {rows.length - SHOWN} more
          </Button>
        </p>
      )}
    </>
  );
}

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
  const spans = useMemo(
    () =>
      (edition?.causes ?? []).flatMap((cause) =>
        cause.windows.flatMap((window) =>
          window.degreeDays ? [{ key: `${cause.id} ${window.id}`, name: `${cause.name}: ${window.name}`, span: window.degreeDays }] : [],
        ),
      ),
    [edition],
  );
  const [spanKey, setSpanKey] = useState('');
  // until another is picked: the one that is open, or opens next
  const timely = report?.due.map(({ cause, timing }) => `${cause} ${timing.window}`) ?? [];
  const shown = spans.find(({ key }) => key === spanKey) ?? spans.find(({ key }) => timely.includes(key)) ?? spans[0];
  const tracks = useTracks(edition ?? undefined, series, shown?.span ?? PLAIN, today, hemisphere);
  const hostId = params.get('plant');
  const year = usePlantYear(edition ?? undefined, series, hostId, { date: today, climate, hemisphere });
  if (!edition) return <View>{waiting}</View>;
  const state = states?.find(({ id }) => id === stationId);
  const sun = station ? sunTimes(today, station.lat, station.lon) : null;
  const set = (key: string, value: string) => {
    const next = new URLSearchParams(params);
    if (value) next.set(key, value);
    else next.delete(key);
    setParams(next, { replace: true });
  };
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
                    {c.causes[0] ? `, ${(edition.causes.find(({ id }) => id === c.causes[0])?.name ?? c.causes[0]).toLowerCase()}` : ''}
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
            <Facts>
              <dt>Last three weeks</dt>
              <dd>{report.events.length === 0 ? 'nothing harsh' : eventsInWords(report.events)}</dd>
              <dt>Water, seven days</dt>
              <dd>
                {report.rainMm.toFixed(0)} mm fell, {report.evapotranspirationMm.toFixed(0)} mm went
              </dd>
              <dt>A loam bed lacks</dt>
              <dd>
                {report.bedMissingMm === null
                  ? 'not known'
                  : `${report.bedMissingMm.toFixed(0)} mm (${report.bedMissingMm.toFixed(0)} litres a m²)${report.bedDue ? ': water now' : report.bedDueOn ? `: due about ${sayShortDay(report.bedDueOn.on)} (${sayShortDay(report.bedDueOn.early)} – ${sayShortDay(report.bedDueOn.late)}, 8 in 10 years)` : ': not yet due'}`}
              </dd>
              {report.chill && (
                <>
                  <dt>Chill since {sayShortDay(report.chill.since)}</dt>
                  <dd>
                    {report.chill.portions.toFixed(0)} portions, {report.chill.hours} hours, {report.chill.utah.toFixed(0)} Utah units
                    {report.chill.earlier
                      ? `; by this day ${report.chill.earlier[0].toFixed(0)} to ${report.chill.earlier[2].toFixed(0)} portions in ${report.chill.years} earlier winters`
                      : ''}
                    {report.chill.reaches
                      ? `; ${report.chill.reaches.portions} portions about ${sayShortDay(report.chill.reaches.on)} (${sayShortDay(report.chill.reaches.early)} – ${sayShortDay(report.chill.reaches.late)}, 8 in 10 winters)`
                      : ''}
                  </dd>
                </>
              )}
              {report.frost && (
                <>
                  <dt>Frost</dt>
                  <dd>
                    last in spring about {sayShortDay(report.frost.lastUsual)}, by {sayShortDay(report.frost.lastLate)} in 8 of 10 years; first in
                    autumn about {sayShortDay(report.frost.firstUsual)}
                  </dd>
                </>
              )}
            </Facts>
          </section>
          <section className="wide" aria-label="Disease weather">
            <h2>Disease weather</h2>
            <Aside>
              ! infection likely, !! strong, · near; hatched: out of its season; days foretold in italics. The rules speak of the weather only.{' '}
              {report.measuredShare >= 0.9 ? 'Hours are the station’s own; those ahead are estimated.' : 'Hours are estimated from daily figures.'}
            </Aside>
            <IndexTable runs={report.indices} causes={edition.causes} />
          </section>
          <section aria-label="Degree-days">
            <h2>Degree-days against earlier years</h2>
            <Pick>
              window
              <select value={shown?.key ?? ''} onChange={(event) => setSpanKey(event.target.value)}>
                {spans.map(({ key, name, span }) => (
                  <option key={key} value={key}>
                    {name} (above {span.baseC} °C)
                  </option>
                ))}
              </select>
            </Pick>
            {tracks && shown && (
              <TrackChart
                tracks={tracks}
                biofix={biofixBefore(shown.span, today, hemisphere)}
                window={{ from: shown.span.from, to: shown.span.to, name: shown.name }}
              />
            )}
          </section>
          <section aria-label="How answers turned out">
            <h2>How answers turned out</h2>
            <Aside>
              {desk?.stated.length ?? 0} confirmed {desk?.stated.length === 1 ? 'outcome' : 'outcomes'}: across what was said, upwards what was so, in
              100.
            </Aside>
            <ReliabilityPlot stated={(desk?.stated ?? []).map(({ said, right }) => ({ probability: said, right }))} />
          </section>
          <section className="wide" aria-label="The year of one plant">
            <h2>The year of one plant</h2>
            <Pick>
              plant
              <select value={hostId ?? ''} onChange={(event) => set('plant', event.target.value)}>
                <option value="">choose one</option>
                {[...edition.plants]
                  .sort((a, b) => a.name.localeCompare(b.name))
                  .map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
              </select>
            </Pick>
            {hostId && year && year.length > 0 && (
              <div className="strip">
                <YearStrip
                  spans={year.slice(0, 14).map(({ cause, name, timing }) => ({
                    id: `${cause} ${timing.window}`,
                    name,
                    from: timing.from ?? today,
                    to: timing.to ?? today,
                    basis: timing.basis,
                  }))}
                  today={today}
                />
              </div>
            )}
            {hostId && year?.length === 0 && <Notice>Nothing on record has dates for this plant.</Notice>}
          </section>
        </Columns>
      )}
    </View>
  );
}
