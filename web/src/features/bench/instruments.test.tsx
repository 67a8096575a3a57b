import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { InstrumentsView } from '@sounding/contract/instruments.ts';
import { createStore } from '../../store/store.ts';
import { opened } from '../../store/work.ts';
import { aCase, renderAtDesk } from '../../testing.tsx';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { InstrumentsPage } from './InstrumentsPage.tsx';

const table: InstrumentsView = {
  instruments: [
    { address: '127.0.0.1:1', state: 'connected', kind: 'soil-probe', serial: 'LP-01', name: 'soil probe', trouble: null },
    {
      address: '127.0.0.1:2',
      state: 'lost',
      kind: 'ph-pen',
      serial: 'LH-01',
      name: 'pen',
      trouble: 'lost in the middle of a reading; it sends that one again when it is back',
    },
  ],
  readings: [
    {
      id: 'r2',
      serial: 'LP-01',
      seq: 8,
      instrument: 'soil-probe',
      measured: { ec: 4.4, moisture: 11 },
      takenAt: '2026-06-14T09:05:00Z',
      questionId: null,
    },
    { id: 'r1', serial: 'LH-01', seq: 3, instrument: 'ph-pen', measured: { ph: 7.9 }, takenAt: '2026-06-14T09:00:00Z', questionId: 'q9' },
  ],
};
const asked: string[] = [];
const answer = (body: unknown) => Promise.resolve(new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } }));
const realFetch = globalThis.fetch;
beforeEach(() => {
  asked.length = 0;
  globalThis.fetch = jest.fn((input: RequestInfo | URL) => {
    const request = input as Request;
    const path = new URL(request.url).pathname;
    asked.push(`${request.method} ${path}`);
    if (path === '/api/instruments') return answer(table);
    if (path.startsWith('/api/editions/')) return answer(packEdition(smallEdition));
    if (path === '/api/cases/c1') return answer(aCase());
    return Promise.resolve(new Response(null, { status: 204 }));
  });
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

describe('instruments at the table', () => {
  it('tell whether they are there, and what went wrong', async () => {
    renderAtDesk(<InstrumentsPage />);
    const probe = await screen.findByRole('region', { name: 'Soil probe' });
    const pen = screen.getByRole('region', { name: 'pH pen' });
    expect(within(probe).getByText(/connected · LP-01/)).toBeTruthy();
    expect(within(pen).getByText(/lost in the middle of a reading/)).toBeTruthy();
    expect(within(pen).getByRole<HTMLButtonElement>('button', { name: 'Measure' }).disabled).toBe(true);
    await userEvent.click(within(probe).getByRole('button', { name: 'Measure' }));
    expect(asked).toContain('POST /api/instruments/LP-01/take');
  });
  it('say what a figure means in this soil, by which table', async () => {
    renderAtDesk(<InstrumentsPage />);
    expect(await screen.findByText('11 % water in the soil, 4.4 mS/cm salt (EC)')).toBeTruthy();
    expect(screen.getByText(/dry and wet in loam – published, FAO/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'sand' }));
    expect(screen.getByText(/dry and wet in sand/)).toBeTruthy();
    expect(screen.getByText('in a case')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take it in' })).toBeNull();
  });
  it('put a reading into the case as bench readings', async () => {
    const store = createStore();
    store.dispatch(opened({ view: aCase(), unsent: [] }));
    renderAtDesk(<InstrumentsPage />, { at: '/?case=c1&question=q1', store });
    await userEvent.click(await screen.findByRole('button', { name: 'Take it in' }));
    const question = store.getState().work.cases['c1']?.questions[0];
    expect(question?.statements[0]).toMatchObject({ by: 'instrument', asked: 'Soil probe', said: '11 % water in the soil, 4.4 mS/cm salt (EC)' });
    expect(question?.readings.map(({ finding, answer: given, channel }) => [finding, given, channel])).toEqual([
      ['soil-moisture', 'dry', 'bench'],
      ['salt-source', 'yes', 'bench'],
    ]);
    expect(asked).toContain('PATCH /api/instrument-readings/r2');
  });
});
