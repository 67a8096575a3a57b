import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { fakeServer, Refusal, type FakeServer } from '../../testServer.ts';
import { COORDINATING, renderAtDesk } from '../../testing.tsx';
import { OfficePage } from './OfficePage.tsx';

const school = {
  id: 'moss',
  question: 'Moss in grass?',
  views: [
    { say: 'kill it', because: 'quick' },
    { say: 'plant something else', because: 'lasts' },
  ],
  ours: 'change the planting',
  mark: 'common-practice' as const,
};
const mail = {
  id: 'm1',
  questionId: null,
  to: 'tilda@lindwater.example',
  subject: 'Your box',
  at: '2026-06-14T09:00:00Z',
  by: 'Ada Fennlin',
  bytes: 20480,
};
let server: FakeServer;
afterEach(() => server.stop());
const serve = (answers = {}) => {
  server = fakeServer({
    'GET /api/editions/*/packed': packEdition({ ...smallEdition, schools: [school] }),
    'GET /api/settings': { houseLines: {}, losses: null, history: [{ what: 'losses', at: '2026-06-01T09:00:00Z', by: 'Corvin Brisk' }] },
    'GET /api/outbox': [mail],
    'PUT /api/settings/house-lines': () => undefined,
    'PUT /api/settings/losses': () => undefined,
    'PUT /api/settings/place': () => undefined,
    ...answers,
  });
};

describe('the office', () => {
  it('lets an advisor look, and change nothing', async () => {
    serve();
    renderAtDesk(<OfficePage />);
    expect(await screen.findByText('Only the coordinator changes what stands here.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Save the table' })).toBeNull();
    expect(screen.getByText(/Your box, to tilda@lindwater.example/)).toBeTruthy();
    expect(screen.getByText(/1 June 2026.*the table, Corvin Brisk/)).toBeTruthy();
  });
  it('says where the desk is, and names stations on the other side of the equator', async () => {
    serve();
    renderAtDesk(<OfficePage />, { session: { ...COORDINATING, stations: [{ id: 's1', name: 'Harbour', altitudeM: 400, lat: 47, lon: 8 }] } });
    const save = await screen.findByRole<HTMLButtonElement>('button', { name: 'Save the place' });
    expect(save.disabled).toBe(true);
    await userEvent.selectOptions(screen.getByLabelText('Hemisphere'), 'southern');
    expect(screen.getByText(/Harbour lies on the other side of the equator/)).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Climate'), 'arid');
    await userEvent.clear(screen.getByLabelText('Name of the desk'));
    expect(screen.getByRole('alert').textContent).toBe('a desk needs a name');
    expect(save.disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('Name of the desk'), 'Dry desk');
    await userEvent.click(save);
    expect(server.sent['PUT /api/settings/place']).toEqual([{ name: 'Dry desk', climate: 'arid', hemisphere: 'S' }]);
  });
  it('sets a line of the house at once, and takes it back when it is refused', async () => {
    serve();
    const { unmount } = renderAtDesk(<OfficePage />, { session: COORDINATING });
    const lines = await screen.findByRole('group', { name: 'Moss in grass?' });
    await userEvent.click(within(lines).getByRole('radio', { name: /plant something else/ }));
    expect(server.sent['PUT /api/settings/house-lines']).toEqual([{ moss: 1 }]);
    unmount();
    server.stop();
    serve({
      'PUT /api/settings/house-lines': () => {
        throw new Refusal(403, 'not from this seat');
      },
    });
    renderAtDesk(<OfficePage />, { session: COORDINATING });
    const again = await screen.findByRole('group', { name: 'Moss in grass?' });
    await userEvent.click(within(again).getByRole('radio', { name: /kill it/ }));
    expect((await screen.findByRole('alert')).textContent).toBe('not from this seat');
    expect(within(again).getByRole<HTMLInputElement>('radio', { name: /no line/ }).checked).toBe(true);
  });
  it('keeps a figure of the loss table that cannot be in sight, and saves only a whole table', async () => {
    serve();
    renderAtDesk(<OfficePage />, { session: COORDINATING });
    const cell = await screen.findByLabelText('A wrong name by itself');
    const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Save the table' });
    fireEvent.change(cell, { target: { value: 'lots' } });
    expect(screen.getByRole('alert').textContent).toBe('1 of the figures is no number from 0 to 100.');
    expect(save.disabled).toBe(true);
    fireEvent.change(cell, { target: { value: '7,5' } });
    await userEvent.click(save);
    expect(server.sent['PUT /api/settings/losses']).toEqual([{ table: expect.objectContaining({ wrongName: 7.5 }) }]);
  });
});
