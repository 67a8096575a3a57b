import { afterEach, expect, it } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { fakeServer, Refusal, type FakeServer } from '../testServer.ts';
import { aCase } from '../testing.tsx';
import { askAgain } from './again.ts';
import { api } from './api.ts';
import { createStore } from './store.ts';

let server: FakeServer;
let stop = (): void => undefined;
afterEach(() => {
  stop();
  server.stop();
});

it('asks again for what the server could not give while its record was away, and not for what it refused', async () => {
  let away = true;
  server = fakeServer({
    'GET /api/cases/c1': () => {
      if (away) throw new Refusal(503, 'The record cannot be reached just now');
      return aCase();
    },
  });
  const store = createStore();
  const wanted = ['c1', 'c2'].map((id) => store.dispatch(api.endpoints.case.initiate(id)));
  await Promise.all(wanted);
  expect(wanted.length).toBe(2);
  stop = askAgain(store, 5);
  await waitFor(() => expect(server.asked.filter((name) => name.endsWith('c1')).length).toBeGreaterThan(3));
  away = false;
  await waitFor(() => expect(api.endpoints.case.select('c1')(store.getState()).data).toEqual(aCase()));
  const asked = server.asked.length;
  await new Promise((resolve) => setTimeout(resolve, 40));
  expect(server.asked.length).toBe(asked);
  expect(server.asked.filter((name) => name.endsWith('c2'))).toHaveLength(1);
});
