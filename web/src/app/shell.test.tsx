import { describe, expect, it } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { queued, refused, sent, troubled } from '../store/outbox.ts';
import { createStore } from '../store/store.ts';
import { renderInk } from '../testing.tsx';
import { sayDay, sayShortDay, sayTime } from './dates.ts';
import { SaveState } from './SaveState.tsx';

const write = (id: string) => ({ id, caseId: 'c', at: '2026-06-14T08:00:00Z', kind: 'case' as const, body: { status: 'open' as const } });

describe('save state', () => {
  it('says plainly what is saved, waiting or refused', async () => {
    const store = createStore();
    renderInk(
      <Provider store={store}>
        <SaveState />
      </Provider>,
    );
    expect(screen.getByRole('status').textContent).toBe('all saved');
    act(() => void store.dispatch(queued(write('w1'))));
    expect(screen.getByRole('status').textContent).toBe('saving …');
    act(() => void store.dispatch(troubled('no database')));
    expect(screen.getByRole('status').textContent).toContain('1 not saved yet – kept here');
    act(() => void store.dispatch(sent({ id: 'w1', at: 0 })));
    expect(screen.getByRole('status').textContent).toBe('all saved');
    act(() => {
      store.dispatch(queued(write('w2')));
      store.dispatch(refused({ id: 'w2', reason: 'answer: not known' }));
    });
    expect(screen.getByRole('alert').textContent).toContain('Not taken: answer: not known');
    await userEvent.click(screen.getByRole('button', { name: 'Understood' }));
    expect(screen.getByRole('status').textContent).toBe('all saved');
  });
});

describe('dates', () => {
  it('are said the same way whatever the zone of the browser', () => {
    expect(sayDay('2027-04-24')).toBe('24 April 2027');
    expect(sayDay('2027-04-24T23:59:00Z')).toBe('24 April 2027');
    expect(sayShortDay('2027-04-24')).toBe('24 Apr');
    expect(sayTime('2027-04-24T08:05:00Z')).toBe('08:05');
  });
});
