import { describe, expect, it, jest } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ShedView } from '@sounding/contract/labels.ts';
import type { CircumstancesBody, PlanBody } from '@sounding/contract/plan.ts';
import { Consultant, type ConsultInput } from '@sounding/core/consult/consult.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { TreatmentOption } from '@sounding/core/edition/options.ts';
import { label, LABEL_CONTEXT, use } from '@sounding/core/testing/labels.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import type { Overrule } from '@sounding/core/treatment/decide.ts';
import type { Circumstances } from '@sounding/core/treatment/circumstances.ts';
import { renderInk } from '../../testing.tsx';
import { CircumstancesPanel } from './CircumstancesPanel.tsx';
import { doseOf, offersOf, optionServed, usedOf } from './doseOf.ts';
import { LadderPanel } from './LadderPanel.tsx';
import { ProductPanel, usualEquipment, usualTarget } from './ProductPanel.tsx';
import { Timeline } from './Timeline.tsx';
import { EMPTY_PLAN } from './usePlanWork.ts';

const option = (id: string, act: TreatmentOption['act'], extra: Partial<TreatmentOption> = {}): TreatmentOption => ({
  id,
  act,
  title: id,
  how: `how to ${id}`,
  not: [],
  cautions: [],
  effect: 'good',
  mark: 'memory',
  ...extra,
});
const edition: Edition = {
  ...smallEdition,
  causes: smallEdition.causes.map((cause) =>
    cause.id === 'beetle'
      ? {
          ...cause,
          options: [
            option('pick', 'physical'),
            option('soap', 'contact', { preferred: true, actives: ['fatty acid potassium salts (not grouped)'], window: 'bloom', school: 'soaps' }),
          ],
          windows: [{ id: 'bloom', name: 'after bloom', mark: 'memory' as const, event: 'when the flowers are over' }],
        }
      : cause,
  ),
  schools: [
    {
      id: 'soaps',
      question: 'Soap or not?',
      views: [
        { say: 'Soap', because: 'gentle' },
        { say: 'None', because: 'idle' },
      ],
      ours: 'Soap.',
      mark: 'memory',
    },
  ],
};
const beetle = edition.causes.find(({ id }) => id === 'beetle')!;
const bean = edition.plants.find(({ id }) => id === 'bean')!;
const consult = (extra: Partial<ConsultInput> = {}) =>
  new Consultant(edition).consult({
    host: 'bean',
    date: '2026-06-14',
    climate: 'continental',
    hemisphere: 'N',
    setting: 'phone',
    readings: [{ finding: 'holes', answer: 'some', channel: 'in-hand' }],
    unanswered: [],
    weather: null,
    ...extra,
  });
const written = { revision: 1, at: '2026-06-14T08:00:00Z', by: 'Ada' };
const shed = (...labels: ReturnType<typeof label>[]): ShedView => ({
  jurisdiction: 'Lindwater',
  labels: labels.map((l) => ({ label: l, ...written })),
  rules: [],
});

describe('what the shed offers', () => {
  const restricted = label({ id: 'pro', name: 'Pro', restricted: true });
  const oil = label({ id: 'oil', name: 'Oil', actives: [{ name: 'rapeseed oil', concentration: '830 g/l', group: 'x' }] });
  const wrongPlant = label({ id: 'roses', uses: [use({ crops: ['Rosa'] })] });
  const { options } = consult();
  it('is what covers plant and cause: allowed first, what the ladder speaks of before the rest, refused with the reason', () => {
    const offers = offersOf(shed(restricted, oil, label(), wrongPlant), bean, beetle, LABEL_CONTEXT, (l) => optionServed(options, l) !== undefined);
    expect(offers.map((o) => o.label.id)).toEqual(['soap', 'oil', 'pro']);
    expect(offers[2]!.refusal).toMatchObject({ refer: true });
  });
  it('knows which option a product serves', () => {
    expect(optionServed(options, label())?.option.id).toBe('soap');
    expect(optionServed(options, oil)).toBeUndefined();
  });
  it('counts what has been done already against the label', () => {
    const done = {
      id: 'a',
      labelId: 'soap',
      useId: 'ornamentals',
      on: '2026-06-01',
      state: 'done' as const,
      hours: null,
      fixed: true,
      say: '',
      base: '100',
    };
    const plan: PlanBody = { ...EMPTY_PLAN, applications: [done, { ...done, id: 'b' }, { ...done, id: 'c', state: 'planned' }] };
    expect(usedOf(plan, 'soap')).toMatchObject({ times: 2 });
    const [offer] = offersOf(shed(label()), bean, beetle, LABEL_CONTEXT, () => true);
    const worked = doseOf(offer!, plan, usualEquipment(offer!, 'metric'), usualTarget(offer!, 'metric'), LABEL_CONTEXT);
    expect(worked).toMatchObject({ dose: { applications: 2, say: '100 ml in 5 litres' } });
  });
});

describe('ladder', () => {
  it('shows the decision, what speaks against a rung, and both sides where the trade disagrees', () => {
    renderInk(
      <LadderPanel standing={consult({ circumstances: { wish: 'no-spray' } })} edition={edition} overrule={null} onOverrule={() => undefined} />,
    );
    expect(screen.getByRole('heading', { name: 'By hand' })).toBeTruthy();
    expect(screen.getByText(/the caller will not spray/, { selector: '.against' })).toBeTruthy();
    expect(screen.getAllByText(/good effect; some work, costs nothing/)).not.toHaveLength(0);
    expect(screen.getAllByText(/good effect; some work, costs some money/)).not.toHaveLength(0);
  });
  it('shows both sides where the trade disagrees: open at what is taken, to be opened elsewhere', () => {
    const { unmount } = renderInk(<LadderPanel standing={consult()} edition={edition} overrule={null} onOverrule={() => undefined} />);
    expect(screen.getByText(/Soap or not\?/).closest('details')).toBeNull();
    unmount();
    const unsprayed = consult({ circumstances: { wish: 'no-spray' } });
    renderInk(<LadderPanel standing={unsprayed} edition={edition} overrule={null} onOverrule={() => undefined} />);
    const folded = screen.getByText(/Soap or not\?/);
    expect(folded.closest('details')?.querySelector('summary')?.textContent).toBe('How, and why the trade disagrees');
    expect(folded.textContent).toContain('None – idle.');
  });
  it('takes another decision only with a word why', async () => {
    const onOverrule = jest.fn<(overrule: Overrule | null) => void>();
    renderInk(<LadderPanel standing={consult()} edition={edition} overrule={null} onOverrule={onOverrule} />);
    await userEvent.click(screen.getAllByRole('button', { name: 'Rather this' })[0]!);
    const decide = screen.getByRole('button', { name: 'Decide so' });
    expect(decide).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByLabelText(/pick instead, because/), 'two beetles only');
    await userEvent.click(decide);
    expect(onOverrule).toHaveBeenCalledWith({ option: 'pick', why: 'two beetles only' });
  });
});

describe('circumstances', () => {
  const show = (set: CircumstancesBody = {}) => {
    const onChange = jest.fn<(change: Partial<Circumstances>) => void>();
    renderInk(<CircumstancesPanel set={set} standing={consult({ circumstances: set })} cause={beetle} today="2026-06-14" onChange={onChange} />);
    return onChange;
  };
  it('are set and taken back by pressing', async () => {
    const onChange = show({ wish: 'no-spray' });
    await userEvent.click(within(screen.getByRole('radiogroup', { name: 'Pets' })).getByRole('radio', { name: 'yes' }));
    expect(onChange).toHaveBeenLastCalledWith({ pets: true });
    await userEvent.click(screen.getByRole('radio', { name: 'no spray' }));
    expect(onChange).toHaveBeenLastCalledWith({ wish: null });
  });
  it('question what cannot be, beside the field, and send nothing', async () => {
    const onChange = show();
    await userEvent.type(screen.getByLabelText('Height, m'), '400');
    await userEvent.tab();
    expect(screen.getByRole('alert').textContent).toContain('were centimetres meant?');
    expect(onChange).not.toHaveBeenCalled();
  });
  it('date what a window waits for', () => {
    show();
    expect(screen.getByLabelText('flowers are over: day')).toBeTruthy();
  });
});

describe('product and amount', () => {
  it('measures out, and refuses more than the label with its line', async () => {
    const offers = offersOf(shed(label()), bean, beetle, LABEL_CONTEXT, () => true);
    const plan: PlanBody = { ...EMPTY_PLAN, labelId: 'soap', useId: 'ornamentals' };
    renderInk(<ProductPanel offers={offers} plan={plan} context={LABEL_CONTEXT} edible onPlan={() => undefined} />);
    expect(screen.getByText('100 ml in 5 litres')).toBeTruthy();
    await userEvent.type(screen.getByLabelText(/caller asks for more/), '60');
    expect(screen.getByRole('alert').textContent).toContain('3 times what the label allows');
    expect(screen.getByRole('alert').textContent).toContain(use().line);
  });
  it('says so when nothing is labelled for it', () => {
    renderInk(<ProductPanel offers={[]} plan={EMPTY_PLAN} context={LABEL_CONTEXT} edible onPlan={() => undefined} />);
    expect(screen.getByText(/No product of this desk is labelled/)).toBeTruthy();
  });
});

describe('time line', () => {
  it('tells in words what it draws', () => {
    const application = {
      id: 'a',
      labelId: 'soap',
      useId: 'x',
      on: '2026-06-20',
      state: 'planned' as const,
      hours: null,
      fixed: false,
      say: '',
      base: '1',
    };
    renderInk(
      <Timeline
        from="2026-06-11"
        to="2026-07-20"
        today="2026-06-14"
        window={{ from: '2026-06-01', to: '2026-07-31' }}
        forecast={[{ on: '2026-06-15', minC: 10, maxC: 22, rainMm: 4, windMs: 2, humidityPct: 60 }]}
        applications={[application, { ...application, id: 'b', on: '2026-06-25', state: 'skipped' }]}
        blocked={[{ on: '2026-06-15', why: 'rain' }]}
        harvests={['2026-07-01']}
      />,
    );
    expect(screen.getByRole('img', { name: /planned 2026-06-20/ })).toBeTruthy();
    expect(screen.getByText('2026-06-15: rain')).toBeTruthy();
    expect(screen.getByText('picking')).toBeTruthy();
  });
});
