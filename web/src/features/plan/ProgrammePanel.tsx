import { useMemo } from 'react';
import { styled } from 'styled-components';
import type { PlanBody } from '@sounding/contract/plan.ts';
import type { Standing } from '@sounding/core/consult/consult.ts';
import type { Hemisphere } from '@sounding/core/edition/climates.ts';
import { addDays, daysBetween } from '@sounding/core/season/calendar.ts';
import type { WeatherDay } from '@sounding/core/season/weather.ts';
import type { Dose } from '@sounding/core/treatment/dose.ts';
import { harvestsEvery, planProgramme, type Programme } from '@sounding/core/treatment/programme.ts';
import { repeatsOf } from '@sounding/core/treatment/repeats.ts';
import { sayDay } from '../../app/dates.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { optionServed, usedOf, type Offer } from './doseOf.ts';
import { Timeline } from './Timeline.tsx';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
  margin: 6px 0 10px;
`;
const List = styled.ol`
  list-style: none;
  margin: 6px 0;
  padding: 0;
  li {
    display: flex;
    gap: 12px;
    align-items: center;
    padding: 3px 0;
    border-top: 1px solid ${({ theme }) => theme.rule};
  }
  b {
    min-width: 108px;
  }
  .grow {
    flex: 1;
  }
  .off {
    text-decoration: line-through;
    color: ${({ theme }) => theme.inkSoft};
  }
  input {
    width: 142px;
  }
`;
const Small = styled.p`
  font-size: 13.5px;
  color: ${({ theme }) => theme.inkSoft};
`;

/** As far as the line of weeks reaches when the window says nothing of its end. */
const DAYS_SHOWN = 84;

interface Props {
  standing: Standing;
  /** Products of another mode of action that may be used as well, each with its own dose. */
  others: readonly { offer: Offer; dose: Dose }[];
  chosen: Offer;
  dose: Dose;
  plan: PlanBody;
  today: string;
  forecast: readonly WeatherDay[];
  latDegrees: number;
  hemisphere: Hemisphere;
  calendarHref: string;
  onPlan: (change: Partial<PlanBody>) => void;
}

/** Applications laid into the window, to be done, moved or skipped; laid anew when the weather changes. */
export function ProgrammePanel({ standing, others, chosen, dose, plan, today, forecast, latDegrees, hemisphere, calendarHref, onPlan }: Props) {
  const verdict = optionServed(standing.options, chosen.label);
  const repeats = repeatsOf(verdict?.option.repeat);
  const end = addDays(today, DAYS_SHOWN);
  const window = useMemo(() => {
    const timing = verdict?.timing;
    return timing?.from && timing.to && timing.to >= today ? { from: timing.from, to: timing.to } : { from: today, to: end };
  }, [verdict, today, end]);
  const harvestOn = standing.circumstances.harvestOn;
  const harvests = useMemo(
    () => (harvestOn === null ? [] : plan.harvestEvery === null ? [harvestOn] : harvestsEvery(harvestOn, plan.harvestEvery, end)),
    [harvestOn, plan.harvestEvery, end],
  );
  const lay = (fixed: PlanBody['applications'], wanted: number): Programme => {
    const done = fixed.filter((a) => a.state !== 'skipped');
    return planProgramme({
      candidates: [{ offer: chosen, dose }, ...(plan.rotate ? others : [])].map(({ offer: { label, use } }) => ({
        label,
        use,
        timesUsed: usedOf(plan, label.id).times,
        lastOn: null,
      })),
      window,
      today,
      wanted: plan.rotate ? wanted : Math.min(wanted, dose.applications),
      intervalDays: Math.max(repeats.intervalDays, chosen.use.intervalDays),
      forecast,
      latDegrees,
      hemisphere,
      harvests,
      inBloom: standing.circumstances.inBloom ?? false,
      fixed: done.map(({ on, labelId }) => ({ on, labelId })),
    });
  };
  const of = (labelId: string) => others.find(({ offer }) => offer.label.id === labelId) ?? { offer: chosen, dose };
  const kept = plan.applications.filter((a) => a.fixed || a.state !== 'planned');
  const programme = lay(kept, plan.wanted);
  const layOut = (wanted = plan.wanted) => {
    const laid = lay(kept, wanted);
    const fresh = laid.applications
      .filter((a) => !a.fixed)
      .map((a) => ({
        id: crypto.randomUUID(),
        labelId: a.labelId,
        useId: of(a.labelId).offer.use.id,
        on: a.on,
        state: 'planned' as const,
        hours: a.hours,
        fixed: false,
        say: `${of(a.labelId).offer.label.name}, ${of(a.labelId).dose.say}`,
        base: of(a.labelId).dose.base.toFraction(),
      }));
    onPlan({ wanted, applications: [...kept, ...fresh].sort((a, b) => a.on.localeCompare(b.on)) });
  };
  const change = (id: string, part: Partial<PlanBody['applications'][number]>) =>
    onPlan({ applications: plan.applications.map((a) => (a.id === id ? { ...a, ...part } : a)).sort((a, b) => a.on.localeCompare(b.on)) });
  const stale = plan.applications.some((a) => a.state === 'planned' && !a.fixed && !programme.applications.some((p) => p.on === a.on));
  const lastShown = [window.to < end ? window.to : end, ...plan.applications.map(({ on }) => on), addDays(today, 28)].sort().at(-1) ?? end;
  return (
    <section aria-label="When">
      <h2>When</h2>
      <Row>
        <TextField
          label="times"
          value={String(plan.wanted)}
          onChange={(text) => onPlan({ wanted: Math.max(1, Math.min(12, Math.floor(Number(text)) || 1)) })}
        />
        {harvestOn !== null && (
          <TextField
            label="picked every … days"
            value={plan.harvestEvery === null ? '' : String(plan.harvestEvery)}
            onChange={(text) => onPlan({ harvestEvery: Number(text) >= 1 && Number(text) <= 365 ? Math.floor(Number(text)) : null })}
          />
        )}
        <Button weight={plan.applications.length === 0 || stale ? 'act' : 'plain'} onPress={() => layOut()}>
          {plan.applications.length === 0 ? 'Lay it out' : 'Lay it out anew'}
        </Button>
        {repeats.times > 1 && plan.wanted !== repeats.times && (
          <Button weight="quiet" onPress={() => layOut(repeats.times)}>
            {repeats.times} times, as the option says
          </Button>
        )}
        {others.length > 0 && (
          <label>
            <input type="checkbox" checked={plan.rotate} onChange={(event) => onPlan({ rotate: event.target.checked })} /> change the product each
            time, so that nothing grows resistant
          </label>
        )}
        {plan.applications.length > 0 && <a href={calendarHref}>Calendar file</a>}
      </Row>
      <Timeline
        from={addDays(today, -3)}
        to={lastShown}
        today={today}
        window={window}
        forecast={forecast}
        applications={plan.applications}
        blocked={programme.blocked}
        harvests={harvests}
      />
      {stale && <Notice>The weather or the plan has changed since this was laid out.</Notice>}
      <List aria-label="Applications">
        {plan.applications.map((a) => (
          <li key={a.id}>
            <b className={a.state === 'skipped' ? 'off' : ''}>{sayDay(a.on)}</b>
            <span className="grow">
              {a.say}
              {a.state === 'done' ? ' – done' : a.hours ? `, ${a.hours} h` : ', hours when the forecast reaches it'}
            </span>
            {a.state === 'planned' && (
              <>
                <TextField
                  aria-label={`Move ${a.on}`}
                  label=""
                  type="date"
                  value={a.on}
                  onChange={(on) => on >= today && change(a.id, { on, fixed: true, hours: null })}
                />
                <Button onPress={() => change(a.id, { state: 'done', fixed: true })}>Done</Button>
                <Button weight="quiet" onPress={() => change(a.id, { state: 'skipped', fixed: true })}>
                  Skip
                </Button>
              </>
            )}
            {a.state !== 'planned' && (
              <Button weight="quiet" onPress={() => change(a.id, { state: 'planned', fixed: false })}>
                Back to planned
              </Button>
            )}
          </li>
        ))}
      </List>
      {programme.short && <Notice>{programme.short}</Notice>}
      {programme.blocked.slice(0, 5).map(({ on, why }) => (
        <Small key={on}>
          {sayDay(on)}: {why}
          {daysBetween(today, on) === 0 ? ' (today)' : ''}
        </Small>
      ))}
      {programme.blocked.length > 5 && <Small>… and {programme.blocked.length - 5} days more.</Small>}
    </section>
  );
}
