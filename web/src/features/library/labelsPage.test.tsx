import { afterEach, describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { label } from '@sounding/core/testing/labels.ts';
import { fakeServer, Refusal, type FakeServer } from '../../testServer.ts';
import { COORDINATING, renderAtDesk, SESSION } from '../../testing.tsx';
import { LabelsPage } from './LabelsPage.tsx';

const rule = { id: 'i1', jurisdiction: 'Lindwater', forbids: 'imidacloprid', method: 'drench' as const, reason: 'bees', asOf: '2026-01-01' };
const shed = {
  jurisdiction: 'Lindwater',
  labels: [
    { label: label() },
    { label: label({ id: 'old', name: 'Old Dust', validUntil: '2025-12-31' }) },
    { label: label({ id: 'strong', name: 'Strong Stuff', restricted: true, homeUse: false }) },
  ],
  rules: [{ rule }],
};
let server: FakeServer;
afterEach(() => server.stop());
const show = (answers: Parameters<typeof fakeServer>[0] = {}, session = COORDINATING) => {
  server = fakeServer({ 'GET /api/shed': shed, 'GET /api/shed/labels/*/history': [], ...answers });
  renderAtDesk(<LabelsPage />, { session });
};
const choose = async (name: string, text: string) =>
  userEvent.upload(
    document.querySelector<HTMLInputElement>('input[type="file"]')!,
    Object.assign(new File([text], name), { text: () => Promise.resolve(text) }),
  );

describe('labels in the shed', () => {
  it('say until when each holds, and which are for nobody here', async () => {
    show();
    const table = (await screen.findAllByRole('table'))[0]!;
    const states = within(table)
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('cell')[4]!.textContent);
    expect(states).toEqual([expect.stringMatching(/^until .*2028$/), expect.stringMatching(/^ended .*2025$/), 'licensed people only']);
  });
  it('are read by an advisor in the label’s own words, and changed by nobody else than the coordinator', async () => {
    show({}, SESSION);
    await userEvent.click(await screen.findByRole('button', { name: 'Read Lakewash Soap' }));
    expect(screen.getByText(/“Ornamentals, aphids and scale: 20 ml in 1 litre/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Back to the labels' }));
    expect(screen.getByText('Only the coordinator writes labels.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /away|Add the rule/i })).toBeNull();
  });
  it('keep the form open with what was written when the server refuses it', async () => {
    show({
      'PUT /api/shed/labels/soap': () => {
        throw new Refusal(409, 'somebody else changed it');
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Change Lakewash Soap' }));
    const times = screen.getByLabelText('Times a year');
    await userEvent.clear(times);
    await userEvent.type(times, '2');
    await userEvent.click(screen.getByRole('button', { name: 'Save the label' }));
    expect((await screen.findAllByRole('alert')).map((alert) => alert.textContent)).toContain('somebody else changed it');
    expect(screen.getByLabelText<HTMLInputElement>('Times a year').value).toBe('2');
  });
  it('come from a file only when every line of it can be', async () => {
    const view = { labels: [{ id: 'soap', name: 'Lakewash Soap', what: 'same' }], faults: [{ where: 'line 3', detail: 'no rate' }] };
    show({ 'POST /api/shed/import': view });
    await screen.findAllByRole('table');
    await choose('mine.csv', 'id,name');
    const file = await screen.findByRole('region', { name: 'The file' });
    expect(within(file).getByText('Lakewash Soap: as it is')).toBeTruthy();
    expect(within(file).getByRole('alert').textContent).toBe('line 3: no rate');
    expect(within(file).getByRole<HTMLButtonElement>('button', { name: 'Take them over' }).disabled).toBe(true);
    await userEvent.click(within(file).getByRole('button', { name: 'Leave it' }));
    expect(screen.queryByRole('region', { name: 'The file' })).toBeNull();
    expect(server.sent['POST /api/shed/import']).toEqual([{ text: 'id,name', format: 'csv', apply: false }]);
  });
  it('say so when the shed cannot be opened', async () => {
    show({
      'GET /api/shed': () => {
        throw new Refusal(503, 'the database is away');
      },
    });
    expect((await screen.findByRole('alert')).textContent).toBe('the database is away');
  });
});

describe('what the law of the place forbids', () => {
  it('stands with its reason and date, and is taken away by the coordinator', async () => {
    show({ 'DELETE /api/shed/rules/i1': () => undefined });
    expect(await screen.findByText('imidacloprid')).toBeTruthy();
    const row = screen.getByText('imidacloprid').closest('tr')!;
    expect(row.textContent).toMatch(/drench.*bees.*as of 1 January 2026/);
    await userEvent.click(within(row).getByRole('button', { name: 'Take away' }));
    expect(server.asked).toContain('DELETE /api/shed/rules/i1');
  });
  it('is added with a reason, dated today', async () => {
    show({ 'PUT /api/shed/rules/*': () => undefined });
    const add = await screen.findByRole<HTMLButtonElement>('button', { name: 'Add the rule' });
    await userEvent.type(screen.getByLabelText(/forbids/), 'Metaldehyde');
    expect(add.disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('because'), 'dogs');
    await userEvent.selectOptions(screen.getByLabelText('way of use'), 'granules');
    await userEvent.click(add);
    expect(server.sent['PUT /api/shed/rules/metaldehyde-granules']).toEqual([
      {
        rule: {
          id: 'metaldehyde-granules',
          jurisdiction: 'Lindwater',
          forbids: 'Metaldehyde',
          method: 'granules',
          reason: 'dogs',
          asOf: '2026-06-14',
        },
        note: '',
      },
    ]);
  });
});
