import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { styled } from 'styled-components';
import { COORDINATOR } from '@sounding/contract/api.ts';
import { newStation, type StationImportView, type StationLayout } from '@sounding/contract/stations.ts';
import { RAIN_UNITS, TEMPERATURE_UNITS, WIND_UNITS } from '@sounding/core/season/dayChecks.ts';
import { sayDay } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import { problemText, useAddStationMutation, useFetchStationsMutation, useImportStationMutation, useStationsQuery } from '../../store/api.ts';
import { Pick } from '../../ui/choice.tsx';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { Ledger } from '../../ui/ledger.ts';
import { Aside, Crumb, Sheet } from '../library/parts.tsx';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 8px 14px;
  align-items: end;
  margin: 8px 0;
  input,
  select {
    width: 100%;
  }
`;
const Row = styled.div`
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
`;

interface Brought {
  stationId: string;
  name: string;
  text: string;
  view: StationImportView;
}

const COLUMNS = [
  ['date', 'date'],
  ['min', 'minimum'],
  ['max', 'maximum'],
  ['rain', 'rain'],
  ['wind', 'wind'],
  ['humidity', 'humidity'],
] as const;

/** How a file is read: columns and units as they were guessed or remembered, to be set right before anything is stored. */
function Mapping({ brought, onLayout }: { brought: Brought; onLayout: (layout: StationLayout) => void }) {
  const { layout, columns } = brought.view;
  const pick = (label: string, value: string, options: readonly string[], change: (value: string) => void) => (
    <Pick key={label}>
      {label}
      <select value={value} onChange={(event) => change(event.target.value)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {option === '' ? 'none' : option}
          </option>
        ))}
      </select>
    </Pick>
  );
  return (
    <Grid>
      {COLUMNS.map(([key, label]) => pick(label, layout[key], ['', ...columns], (value) => onLayout({ ...layout, [key]: value })))}
      {pick('order of dates', layout.dateOrder, ['ymd', 'dmy', 'mdy'], (dateOrder) =>
        onLayout({ ...layout, dateOrder: dateOrder as StationLayout['dateOrder'] }),
      )}
      {pick('temperatures in', layout.temperatureUnit, TEMPERATURE_UNITS, (unit) =>
        onLayout({ ...layout, temperatureUnit: unit as StationLayout['temperatureUnit'] }),
      )}
      {pick('rain in', layout.rainUnit, RAIN_UNITS, (unit) => onLayout({ ...layout, rainUnit: unit as StationLayout['rainUnit'] }))}
      {pick('wind in', layout.windUnit, WIND_UNITS, (unit) => onLayout({ ...layout, windUnit: unit as StationLayout['windUnit'] }))}
    </Grid>
  );
}

/** The desk's stations: how fresh they are, and records brought in from files with a look at them first. */
export function StationsPage() {
  const session = useDesk();
  const { data: states, error } = useStationsQuery();
  const [fetchNow, fetching] = useFetchStationsMutation();
  const [bring, bringing] = useImportStationMutation();
  const [add, adding] = useAddStationMutation();
  const [brought, setBrought] = useState<Brought | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [fresh, setFresh] = useState({ name: '', lat: '', lon: '', altitudeM: '' });
  const [fault, setFault] = useState<string | null>(null);
  const may = session.person.role === COORDINATOR;
  const look = async (stationId: string, name: string, text: string, layout?: StationLayout) => {
    setDone(null);
    const result = await bring({ id: stationId, text, ...(layout ? { layout } : {}), apply: false });
    if (!('error' in result) && result.data) setBrought({ stationId, name, text, view: result.data });
  };
  const take = async () => {
    if (!brought) return;
    const result = await bring({ id: brought.stationId, text: brought.text, layout: brought.view.layout, apply: true });
    if ('error' in result || !result.data) return;
    setDone(`${result.data.days} days are in the record of ${brought.name}.`);
    setBrought(null);
  };
  const addStation = () => {
    const parsed = newStation.safeParse({
      id: crypto.randomUUID(),
      name: fresh.name,
      lat: Number(fresh.lat || NaN),
      lon: Number(fresh.lon || NaN),
      altitudeM: Math.round(Number(fresh.altitudeM || NaN)),
    });
    const issue = parsed.success ? null : parsed.error.issues[0];
    setFault(issue ? `${String(issue.path[0])}: ${issue.message}` : null);
    if (parsed.success) void add(parsed.data).then((result) => !('error' in result) && setFresh({ name: '', lat: '', lon: '', altitudeM: '' }));
  };
  const problem = error ?? bringing.error ?? adding.error ?? fetching.error;
  return (
    <Sheet>
      <Crumb to="/season">Season</Crumb>
      <h1>Stations</h1>
      {problem !== undefined && (
        <Notice $tone="danger" role="alert">
          {problemText(problem)}
        </Notice>
      )}
      <Ledger>
        <thead>
          <tr>
            <th>Station</th>
            <th>Record</th>
            <th>Foretold</th>
            <th>Fetched</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {(states ?? []).map((state) => (
            <tr key={state.id}>
              <td>
                <b>{state.name}</b>
              </td>
              <td>
                {state.days} days, to {state.lastDay ? sayDay(state.lastDay) : '–'}
              </td>
              <td>{state.forecastUntil ? `to ${sayDay(state.forecastUntil)}` : '–'}</td>
              <td>
                {state.trouble ? (
                  <Notice as="span" $tone="danger">
                    {state.trouble}
                  </Notice>
                ) : state.fetchedAt ? (
                  'well'
                ) : state.fetched ? (
                  'not yet'
                ) : (
                  'from files'
                )}
              </td>
              <td>
                {may && (
                  <FileTrigger
                    acceptedFileTypes={['.csv', '.txt']}
                    onSelect={(files) => void files?.[0]?.text().then((text) => look(state.id, state.name, text))}
                  >
                    <Button aria-label={`Bring a record in for ${state.name}`}>Bring a record in</Button>
                  </FileTrigger>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Ledger>
      <Row>
        <Button isDisabled={fetching.isLoading} onPress={() => void fetchNow()}>
          Fetch now
        </Button>
        <Aside>The weather service is asked every hour; when it is away, it is asked again with growing pauses.</Aside>
      </Row>
      {done && <Notice role="status">{done}</Notice>}
      {brought && (
        <section aria-label="The file">
          <h2>The file, for {brought.name}</h2>
          <Mapping brought={brought} onLayout={(layout) => void look(brought.stationId, brought.name, brought.text, layout)} />
          <p>
            {brought.view.days} days can be taken{brought.view.from ? `, ${sayDay(brought.view.from)} to ${sayDay(brought.view.to ?? '')}` : ''};{' '}
            {brought.view.duplicates} given twice (the later row stands); {brought.view.gaps.length} {brought.view.gaps.length === 1 ? 'gap' : 'gaps'}
            ; {brought.view.faultCount} {brought.view.faultCount === 1 ? 'row' : 'rows'} cannot be taken.
          </p>
          {brought.view.faults.slice(0, 8).map(({ line, detail }) => (
            <Notice key={line} $tone="danger">
              line {line}: {detail}
            </Notice>
          ))}
          {brought.view.gaps.slice(0, 4).map(({ from, to }) => (
            <Aside key={from}>
              missing: {from} to {to}
            </Aside>
          ))}
          <Ledger>
            <thead>
              <tr>
                {['day', 'minimum °C', 'maximum °C', 'rain mm', 'wind m/s', 'humidity %'].map((head) => (
                  <th key={head}>{head}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {brought.view.preview.map((day) => (
                <tr key={day.on}>
                  {[day.on, day.minC, day.maxC, day.rainMm, day.windMs, day.humidityPct].map((cell, i) => (
                    <td key={i}>{cell ?? '–'}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Ledger>
          <Row>
            <Button weight="act" isDisabled={brought.view.days === 0} onPress={() => void take()}>
              Take {brought.view.days} days over
            </Button>
            <Button weight="quiet" onPress={() => setBrought(null)}>
              Leave it
            </Button>
          </Row>
        </section>
      )}
      {may && (
        <>
          <h2>Another station</h2>
          <Grid>
            <TextField label="Name" value={fresh.name} onChange={(name) => setFresh({ ...fresh, name })} />
            <TextField label="Latitude, °" value={fresh.lat} onChange={(lat) => setFresh({ ...fresh, lat })} />
            <TextField label="Longitude, °" value={fresh.lon} onChange={(lon) => setFresh({ ...fresh, lon })} />
            <TextField label="Altitude, m" value={fresh.altitudeM} onChange={(altitudeM) => setFresh({ ...fresh, altitudeM })} />
            <Button onPress={addStation}>Add it</Button>
          </Grid>
          {fault && (
            <Notice $tone="danger" role="alert">
              {fault}
            </Notice>
          )}
        </>
      )}
    </Sheet>
  );
}
