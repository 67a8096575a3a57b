import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { queued, runOutbox } from './outbox.ts';
import { keepPicture, keptPicture } from './pictureStore.ts';
import { createStore } from './store.ts';
import type { CaseWrite } from './writes.ts';

const write: CaseWrite = {
  id: 'w1',
  caseId: 'c1',
  at: '2026-06-14T08:01:00Z',
  kind: 'picture',
  questionId: 'q1',
  body: { id: 'p1', statementId: 's1', width: 4, height: 3 },
};
const original = globalThis.fetch;
let sent: { url: string; type: string | undefined }[];
let answers: (Response | null)[];
beforeEach(() => {
  localStorage.clear();
  sent = [];
  answers = [];
  globalThis.fetch = ((url: string, init: RequestInit) => {
    sent.push({ url, type: (init.headers as Record<string, string>)['content-type'] });
    const answer = answers.shift();
    return answer === null ? Promise.reject(new TypeError('offline')) : Promise.resolve(answer ?? new Response(null, { status: 204 }));
  }) as typeof fetch;
});
afterEach(() => {
  globalThis.fetch = original;
});
const settled = async (done: () => boolean): Promise<void> => {
  for (let i = 0; i < 200 && !done(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
  if (!done()) throw new Error('the outbox did not come to rest');
};

describe('a picture on its way', () => {
  it('is sent as it is, tried again while the server is away, and only then let go of', async () => {
    answers = [null, new Response('{}', { status: 503 })];
    const store = createStore();
    await keepPicture('p1', new Blob(['jpeg'], { type: 'image/jpeg' }));
    runOutbox(store);
    store.dispatch(queued(write));
    await settled(() => store.getState().outbox.trouble !== null);
    expect(await keptPicture('p1')).toBeDefined();
    await settled(() => store.getState().outbox.pending.length === 0);
    expect(sent).toHaveLength(3);
    expect(sent[2]).toEqual({ url: '/api/questions/q1/pictures/p1?statementId=s1', type: 'image/jpeg' });
    expect(await keptPicture('p1')).toBeUndefined();
  });
  it('that is gone from the browser is set aside with the reason', async () => {
    const store = createStore();
    runOutbox(store);
    store.dispatch(queued(write));
    await settled(() => store.getState().outbox.pending.length === 0);
    expect(store.getState().outbox.refused).toEqual([
      expect.objectContaining({ id: 'w1', reason: expect.stringContaining('no longer in this browser') }),
    ]);
    expect(sent).toEqual([]);
  });
});
