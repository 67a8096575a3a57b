import { styled } from 'styled-components';
import type { WeatherEvent } from '@sounding/core/season/extremes.ts';
import type { SeasonReport } from '@sounding/core/season/report.ts';
import { sayShortDay } from '../../app/dates.ts';

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

/** The weather that plants show: harsh days, water, chill and frost. */
export function WeatherFacts({ report }: { report: SeasonReport }) {
  return (
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
            last in spring about {sayShortDay(report.frost.lastUsual)}, by {sayShortDay(report.frost.lastLate)} in 8 of 10 years; first in autumn
            about {sayShortDay(report.frost.firstUsual)}
          </dd>
        </>
      )}
    </Facts>
  );
}
