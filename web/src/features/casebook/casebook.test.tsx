import { afterEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { fakeServer, type FakeServer } from '../../testServer.ts';
import { aSummary, renderAtDesk } from '../../testing.tsx';
import { CasebookPage } from './CasebookPage.tsx';

let server: FakeServer;
afterEach(() => server.stop());
const TOTAL = 60;
const serve = () => {
  server = fakeServer({
    'GET /api/editions/*/packed': packEdition(smallEdition),
    'GET /api/cases': ({ url }: { url: URL }) => {
      const search = url.searchParams.get('search');
      if (search === 'zorblequux') return { cases: [], total: 0 };
      const offset = Number(url.searchParams.get('offset'));
      const summary = aSummary({
        number: TOTAL - offset,
        hosts: ['bean'],
        causes: ['mildew'],
        opening: 'x'.repeat(90),
        status: 'answered',
      });
      return { cases: [summary], total: search ? 1 : TOTAL };
    },
  });
};

describe('the casebook', () => {
  it('names plant and cause, and cuts long words short', async () => {
    serve();
    renderAtDesk(<CasebookPage />);
    expect(await screen.findByText('60 cases')).toBeTruthy();
    expect(await screen.findByRole('cell', { name: 'mildew' })).toBeTruthy();
    expect(screen.getByRole('cell', { name: /^x{68} …$/ })).toBeTruthy();
  });
  it('leafs through, and keeps the place in the address', async () => {
    serve();
    renderAtDesk(<CasebookPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Older' }));
    expect(await screen.findByText('26–50 of 60')).toBeTruthy();
    expect(screen.getByLabelText('address').textContent).toBe('/?from=25');
    await userEvent.click(screen.getByRole('button', { name: 'Newer' }));
    expect(await screen.findByText('1–25 of 60')).toBeTruthy();
  });
  it('searches while typing, from the first page on, and says when nothing speaks of it', async () => {
    serve();
    renderAtDesk(<CasebookPage />, { at: '/?from=25' });
    await userEvent.type(await screen.findByLabelText(/Search by name/), 'rust');
    expect(await screen.findByText('1 case')).toBeTruthy();
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/?search=rust'));
    await userEvent.clear(screen.getByLabelText(/Search by name/));
    await userEvent.type(screen.getByLabelText(/Search by name/), 'zorblequux');
    expect(await screen.findByText('No case speaks of that. Try a single word.')).toBeTruthy();
  });
});
