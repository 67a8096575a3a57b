import { memo, useMemo, useState } from 'react';
import type { Hemisphere } from '@sounding/core/edition/climates.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { DegreeDaySpan } from '@sounding/core/edition/windows.ts';
import { biofixBefore } from '@sounding/core/season/crossing.ts';
import type { DueWindow } from '@sounding/core/season/report.ts';
import type { WeatherSeries } from '@sounding/core/season/weather.ts';
import { useKept } from '../../app/useKept.ts';
import { useTracks } from '../../engine/engine.ts';
import { Pick } from '../../ui/choice.tsx';
import { TrackChart } from './TrackChart.tsx';

const PLAIN: DegreeDaySpan = { baseC: 10, biofix: '01-01', from: 0, to: 0 };

interface Props {
  edition: Edition;
  series: WeatherSeries | undefined;
  /** What turns at this station: until another window is picked, the one that is open or opens next is shown. */
  due: readonly DueWindow[];
  today: string;
  hemisphere: Hemisphere;
}

/** The warmth of this season beside that of earlier ones, for a window of the edition. */
export const Tracks = memo(function Tracks({ edition, series, due, today, hemisphere }: Props) {
  const spans = useMemo(
    () =>
      edition.causes.flatMap((cause) =>
        cause.windows.flatMap((window) =>
          window.degreeDays ? [{ key: `${cause.id} ${window.id}`, name: `${cause.name}: ${window.name}`, span: window.degreeDays }] : [],
        ),
      ),
    [edition],
  );
  const [spanKey, setSpanKey] = useState('');
  const timely = due.map(({ cause, timing }) => `${cause} ${timing.window}`);
  const shown = spans.find(({ key }) => key === spanKey) ?? spans.find(({ key }) => timely.includes(key)) ?? spans[0];
  const reckoned = useTracks(edition, series, shown?.span ?? PLAIN, today, hemisphere);
  const tracks = useKept(reckoned, shown?.key ?? '');
  const window = useMemo(() => (shown ? { from: shown.span.from, to: shown.span.to, name: shown.name } : null), [shown]);
  return (
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
      {tracks && shown && <TrackChart tracks={tracks} biofix={biofixBefore(shown.span, today, hemisphere)} window={window} />}
    </section>
  );
});
