import { memo } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceArea, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { useTheme } from 'styled-components';
import type { Track } from '@sounding/core/season/tracks.ts';
import { addDays } from '@sounding/core/season/calendar.ts';
import { sayShortDay } from '../../app/dates.ts';

interface Props {
  tracks: readonly Track[];
  /** First day of the count, in this year. */
  biofix: string;
  window: { from: number; to: number; name: string } | null;
}

/** This season's degree-days as a strong line over those of earlier years; the band of the window lies across. */
export const TrackChart = memo(function TrackChart({ tracks, biofix, window }: Props) {
  const theme = useTheme();
  const [current, ...earlier] = tracks;
  const length = Math.max(...tracks.map(({ sums }) => sums.length), 1);
  const rows = Array.from({ length: Math.ceil(length / 5) }, (_, k) => {
    const i = k * 5;
    const row: Record<string, number | string> = { day: i };
    for (const { year, sums } of tracks) if (sums[i] !== undefined) row[String(year)] = Math.round(sums[i]);
    return row;
  });
  const say = (i: number) => sayShortDay(addDays(biofix, i));
  return (
    <ResponsiveContainer width="100%" height={250}>
      <LineChart data={rows} margin={{ top: 6, right: 24, bottom: 0, left: 0 }}>
        <CartesianGrid stroke={theme.rule} strokeDasharray="2 4" vertical={false} />
        <XAxis dataKey="day" tickFormatter={say} stroke={theme.inkSoft} fontSize={12} interval={11} />
        <YAxis stroke={theme.inkSoft} fontSize={12} width={44} />
        {window && (
          <ReferenceArea
            y1={window.from}
            y2={window.to}
            fill={theme.brass}
            fillOpacity={0.18}
            label={{ value: window.name, fill: theme.ink, fontSize: 12, position: 'insideTopLeft' }}
          />
        )}
        {current && <ReferenceLine x={Math.floor((current.sums.length - 1) / 5) * 5} stroke={theme.brass} />}
        <Tooltip
          labelFormatter={(i) => say(Number(i))}
          formatter={(value, year) => [`${String(value)} °C·days`, String(year)]}
          contentStyle={{ background: theme.sheet, border: `1px solid ${theme.rule}`, color: theme.ink, fontSize: 13 }}
        />
        {earlier.map(({ year }) => (
          <Line key={year} dataKey={String(year)} stroke={theme.inkSoft} strokeOpacity={0.45} strokeWidth={1} dot={false} isAnimationActive={false} />
        ))}
        {current && <Line dataKey={String(current.year)} stroke={theme.ink} strokeWidth={2.6} dot={false} isAnimationActive={false} />}
      </LineChart>
    </ResponsiveContainer>
  );
});
