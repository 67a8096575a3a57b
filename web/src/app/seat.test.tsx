import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fakeServer, type FakeServer } from '../testServer.ts';
import { renderAtDesk, SESSION } from '../testing.tsx';
import { DemoDay } from './DemoDay.tsx';
import { Seat } from './Seat.tsx';

let server: FakeServer;
beforeEach(() => {
  server = fakeServer({ 'PUT /api/session/seat': () => undefined, 'PATCH /api/desk': () => undefined });
});
afterEach(() => server.stop());

describe('who sits at the desk', () => {
  const people = [SESSION.person, { ...SESSION.person, id: 'p2', name: 'Corvin Brisk', role: 'coordinator' as const }];
  it('is a name at a real desk', () => {
    renderAtDesk(<Seat session={{ ...SESSION, desk: { ...SESSION.desk, demo: false }, people }} />);
    expect(screen.getByText('Ada Fennlin')).toBeTruthy();
    expect(screen.queryByRole('combobox')).toBeNull();
  });
  it('may be anyone of the demo', async () => {
    renderAtDesk(<Seat session={{ ...SESSION, people }} />);
    await userEvent.selectOptions(screen.getByLabelText('Who sits at the desk'), 'Corvin Brisk, coordinator');
    expect(server.sent['PUT /api/session/seat']).toEqual([{ personId: 'p2' }]);
  });
});

describe('the day of the demo', () => {
  it('is taken when the field is left or at Enter, and only once', async () => {
    renderAtDesk(<DemoDay today="2026-06-14" />);
    const day = screen.getByLabelText<HTMLInputElement>('demo day');
    fireEvent.change(day, { target: { value: '2026-07-01' } });
    expect(server.asked).toEqual([]);
    fireEvent.keyDown(day, { key: 'Enter' });
    fireEvent.blur(day);
    await waitFor(() => expect(server.sent['PATCH /api/desk']).toEqual([{ today: '2026-07-01' }]));
  });
  it('stays when the day is none the demo knows', () => {
    renderAtDesk(<DemoDay today="2026-06-14" />);
    const day = screen.getByLabelText<HTMLInputElement>('demo day');
    for (const value of ['', '2019-05-01', '2031-01-01', '2026-06-14']) {
      fireEvent.change(day, { target: { value } });
      fireEvent.blur(day);
    }
    expect(server.asked).toEqual([]);
    expect(day.value).toBe('2026-06-14');
  });
});
