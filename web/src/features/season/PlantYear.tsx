import { memo, useMemo } from 'react';
import type { SessionView } from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { WeatherSeries } from '@sounding/core/season/weather.ts';
import { usePlantYear } from '../../engine/engine.ts';
import { Pick } from '../../ui/choice.tsx';
import { Notice } from '../../ui/controls.tsx';
import { YearStrip } from '../library/YearStrip.tsx';

interface Props {
  edition: Edition;
  series: WeatherSeries | undefined;
  session: SessionView;
  hostId: string | null;
  onPick: (hostId: string) => void;
}

/** The year of one plant at the station: its care and its troubles, each in its window. */
export const PlantYear = memo(function PlantYear({ edition, series, session, hostId, onPick }: Props) {
  const { today, climate, hemisphere } = session.desk;
  const year = usePlantYear(edition, series, hostId, { date: today, climate, hemisphere });
  const names = useMemo(() => [...edition.plants].sort((a, b) => a.name.localeCompare(b.name)), [edition]);
  return (
    <section className="wide" aria-label="The year of one plant">
      <h2>The year of one plant</h2>
      <Pick>
        plant
        <select value={hostId ?? ''} onChange={(event) => onPick(event.target.value)}>
          <option value="">choose one</option>
          {names.map(({ id, name }) => (
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
  );
});
