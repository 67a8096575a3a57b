import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CaseSummary } from '@sounding/contract/api.ts';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { api } from '../../store/api.ts';
import { queued } from '../../store/outbox.ts';
import { createStore } from '../../store/store.ts';
import { fakeServer, workersHere, type FakeServer } from '../../testServer.ts';
import { aNewCase, aSummary, renderAtDesk } from '../../testing.tsx';

workersHere();
const { DeskPage } = await import('./DeskPage.tsx');

const summary = (number: number, extra: Partial<CaseSummary> = {}): CaseSummary => aSummary({ id: `c${number}`, number, ...extra });
let server: FakeServer;
let lists: Record<string, CaseSummary[]>;
beforeEach(() => {
  localStorage.clear();
  lists = { waiting: [], open: [], answered: [] };
  server = fakeServer({
    'GET /api/cases': ({ url }: { url: URL }) => {
      const cases = lists[url.searchParams.get('status') ?? ''] ?? [];
      return { cases, total: cases.length };
    },
    'GET /api/editions/*/packed': packEdition(smallEdition),
  });
});
afterEach(() => {
  server.stop();
  window.dispatchEvent(new FocusEvent('focusin')); // the line of a call that was picked up is there
});

describe('the desk', () => {
  it('says that nobody waits', async () => {
    renderAtDesk(<DeskPage />);
    expect(await screen.findByRole('heading', { name: 'Nobody waits' })).toBeTruthy();
    expect(await screen.findByText('Nobody is to be called back.')).toBeTruthy();
    expect(within(screen.getByRole('region', { name: 'Call back' })).queryByRole('list')).toBeNull();
  });
  it('says of nobody that they do not wait before it knows', () => {
    renderAtDesk(<DeskPage />);
    expect(screen.getByRole('heading', { name: 'Who waits' })).toBeTruthy();
    expect(screen.queryByText(/Nobody/)).toBeNull();
  });
  it('shows who waits with their first words, and picks up on a number key', async () => {
    lists['waiting'] = [
      summary(1, { opening: 'holes in my beans' }),
      summary(2, { channel: 'email', caller: { name: 'Otis Fen', phone: '', email: '', place: 'Quay 3' } }),
    ];
    const { store } = renderAtDesk(<DeskPage />);
    expect(await screen.findByText('holes in my beans')).toBeTruthy();
    expect(screen.getByText('nothing noted yet')).toBeTruthy();
    expect(screen.getByText('Otis Fen, Quay 3')).toBeTruthy();
    await userEvent.keyboard('2');
    expect(screen.getByLabelText('address').textContent).toBe('/case/c2');
    expect(store.getState().outbox.pending).toEqual([expect.objectContaining({ kind: 'case', caseId: 'c2', body: { status: 'open' } })]);
  });
  it('keeps what is typed before the line of the call is on screen, until something takes the focus', async () => {
    lists['waiting'] = [summary(1), summary(2)];
    const { store } = renderAtDesk(<DeskPage />);
    await screen.findByRole('heading', { name: '2 waiting' });
    await userEvent.keyboard('{1>3/}2 rosess{Backspace}{Control>}c{/Control}{Enter}now'); // the 1 is held down
    expect(store.getState().drafts).toEqual({ c1: { text: '2 rosesnow', entered: '2 roses'.length } });
    expect(store.getState().outbox.pending).toHaveLength(1);
    window.dispatchEvent(new FocusEvent('focusin'));
    await userEvent.keyboard('x');
    expect(store.getState().drafts['c1']?.text).toBe('2 rosesnow');
  });
  it('does not pick up while a name is typed', async () => {
    lists['waiting'] = [summary(1)];
    renderAtDesk(<DeskPage />);
    await screen.findByRole('heading', { name: '1 waiting' });
    await userEvent.keyboard('n');
    await userEvent.type(await screen.findByLabelText('Caller'), 'Flat 1');
    expect(screen.getByLabelText('address').textContent).toBe('/');
  });
  it('takes a new call with nothing but a name, whether or not the record can be reached', async () => {
    const { store } = renderAtDesk(<DeskPage />);
    await userEvent.click(await screen.findByRole('button', { name: /New call/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Take the call' }));
    expect(await screen.findByText(/^\/case\//)).toBeTruthy();
    const [begun, picked] = store.getState().outbox.pending;
    expect(begun).toMatchObject({ kind: 'new-case', body: { channel: 'telephone', caller: { name: 'Unknown caller' } } });
    expect(picked).toMatchObject({ kind: 'case', caseId: begun!.caseId, body: { status: 'open' } });
  });
  it('lists a call among the open ones before the record has it, and once when it has', async () => {
    const store = createStore();
    store.dispatch(queued(aNewCase({ caller: { name: 'Early Bird', phone: '', email: '', place: '' } })));
    renderAtDesk(<DeskPage />, { store });
    const open = () => screen.findByRole('region', { name: 'Still open' });
    expect(
      within(await open())
        .getByText('Early Bird')
        .getAttribute('href'),
    ).toBe('/case/c1');
    lists['open'] = [summary(1, { caller: { name: 'Early Bird', phone: '', email: '', place: '' } }), summary(2)];
    store.dispatch(api.util.invalidateTags(['Cases']));
    await within(await open()).findByText('Tilda');
    expect(within(await open()).getAllByText('Early Bird')).toHaveLength(1);
  });
  it('lists call-backs soonest first, and says since when one is due', async () => {
    const answered = (number: number, followUpOn: string | null) =>
      summary(number, { status: 'answered', followUpOn, caller: { name: `Caller ${number}`, phone: '', email: '', place: '' } });
    lists['answered'] = [answered(1, '2026-06-20'), answered(2, '2026-06-10'), answered(3, null)];
    renderAtDesk(<DeskPage />);
    const due = await screen.findByRole('region', { name: 'Call back' });
    await within(due).findByText('Caller 1');
    expect(
      within(due)
        .getAllByRole('link')
        .map((link) => link.textContent),
    ).toEqual(['Caller 2', 'Caller 1']);
    expect(within(due).getByText('since 10 Jun')).toBeTruthy();
  });
  it('says when the list cannot be had', async () => {
    server.stop();
    server = fakeServer({});
    renderAtDesk(<DeskPage />);
    expect((await screen.findByRole('alert')).textContent).toContain('there is no GET /api/cases');
    expect(screen.queryByText(/Nobody/)).toBeNull();
  });
});
