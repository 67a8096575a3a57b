import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { CaseView } from '@sounding/contract/api.ts';
import { keepOutbox, queued, runOutbox, sent, storedOutbox, writesSince } from './outbox.ts';
import { aCase, aNewCase, aQuestion } from '../testing.tsx';
import { createStore } from './store.ts';
import { opened } from './work.ts';
import { applyWrite, begunCase, UNNUMBERED, type CaseWrite } from './writes.ts';

const view: CaseView = aCase();
const at = '2026-06-14T08:01:00Z';
const reading = (id: string): CaseWrite => ({
  id: `w-${id}`,
  caseId: 'c1',
  at,
  kind: 'reading',
  questionId: 'q1',
  body: { id, finding: 'webbing', answer: 'none', channel: 'caller', from: '', statementId: null },
});

describe('writes', () => {
  it('show at once and change nothing when laid over a copy that has them', () => {
    const once = applyWrite(view, reading('r1'));
    expect(once.questions[0]!.readings.map((r) => r.id)).toEqual(['r1']);
    expect(applyWrite(once, reading('r1'))).toEqual(once);
  });
  it('begin a call as the server will have it: from the lowest station, without a number', () => {
    const station = (id: string, altitudeM: number) => ({ id, name: id, altitudeM, lat: 47, lon: 8 });
    const write = aNewCase(
      { caller: { name: 'Odo', phone: '1', email: '', place: 'Quay 3' } },
      { stations: [station('hill', 520), station('quay', 401)] },
    );
    const begun = begunCase(write);
    expect(begun).toEqual(aCase({ number: UNNUMBERED, status: 'waiting', caller: write.body.caller, questions: [aQuestion({ stationId: 'quay' })] }));
    expect(applyWrite(begun, write)).toEqual(begun);
  });
  it('begin a question where the others of the call are from, once', () => {
    const begin: CaseWrite = {
      id: 'w',
      caseId: 'c1',
      at,
      kind: 'new-question',
      body: { id: 'q2', title: '' },
      openedOn: '2026-06-15',
      edition: 'e2',
    };
    const here = aCase({ questions: [aQuestion({ stationId: 's1', hemisphere: 'S', hostId: 'bean' })] });
    const two = applyWrite(here, begin);
    expect(two.questions[1]).toMatchObject({
      id: 'q2',
      position: 2,
      stationId: 's1',
      hemisphere: 'S',
      hostId: null,
      openedOn: '2026-06-15',
      edition: 'e2',
    });
    expect(applyWrite(two, begin)).toEqual(two);
  });
  it('withdraw and take in again', () => {
    const withdrawal = (withdrawn: boolean): CaseWrite => ({
      id: 'w',
      caseId: 'c1',
      at,
      kind: 'withdrawal',
      questionId: 'q1',
      readingId: 'r1',
      body: { withdrawn },
    });
    const out = applyWrite(applyWrite(view, reading('r1')), withdrawal(true));
    expect(out.questions[0]!.readings[0]!.withdrawnAt).toBe(at);
    expect(applyWrite(out, withdrawal(false)).questions[0]!.readings[0]!.withdrawnAt).toBeNull();
  });
  it('answer a case with the day and edition of the advice', () => {
    const answered = applyWrite(view, {
      id: 'w',
      caseId: 'c1',
      at,
      kind: 'advice',
      questionId: 'q1',
      by: 'Ada',
      body: {
        id: 'a',
        body: 'x',
        act: 'leave',
        causeId: 'pear-rust',
        probability: 0.9,
        edition: 'e2',
        date: '2026-06-15',
        overrule: '',
        followUpOn: '2026-06-29',
      },
    });
    expect(answered).toMatchObject({
      status: 'answered',
      followUpOn: '2026-06-29',
      questions: [{ openedOn: '2026-06-15', edition: 'e2', advice: { by: 'Ada' } }],
    });
  });
});

describe('outbox', () => {
  const original = globalThis.fetch;
  let answers: (() => Promise<Response>)[];
  let sentTo: string[];
  beforeEach(() => {
    localStorage.clear();
    jest.useFakeTimers();
    answers = [];
    sentTo = [];
    globalThis.fetch = ((url: string) => {
      sentTo.push(url);
      return (answers.shift() ?? (() => Promise.resolve(new Response(null, { status: 204 }))))();
    }) as typeof fetch;
  });
  afterEach(() => {
    jest.useRealTimers();
    globalThis.fetch = original;
  });
  const problem = (status: number, detail: string) => () => Promise.resolve(new Response(JSON.stringify({ detail }), { status }));

  it('tries again when the server is away, in order, and loses nothing', async () => {
    answers = [() => Promise.reject(new TypeError('offline')), problem(503, 'no database')];
    const store = createStore();
    runOutbox(store);
    store.dispatch(queued(reading('r1')));
    store.dispatch(queued(reading('r2')));
    await jest.advanceTimersByTimeAsync(0);
    expect(store.getState().outbox).toMatchObject({ trouble: 'the server cannot be reached', pending: [{ id: 'w-r1' }, { id: 'w-r2' }] });
    expect(storedOutbox().pending).toHaveLength(2);
    await jest.advanceTimersByTimeAsync(600);
    expect(store.getState().outbox.trouble).toBe('no database');
    await jest.advanceTimersByTimeAsync(1100);
    expect(store.getState().outbox).toMatchObject({ pending: [], trouble: null });
    expect(sentTo).toHaveLength(4);
    expect(storedOutbox().pending).toEqual([]);
  });
  it('sets a refused write aside with the reason and goes on', async () => {
    answers = [problem(400, 'answer: not known')];
    const store = createStore();
    runOutbox(store);
    store.dispatch(queued(reading('r1')));
    store.dispatch(queued(reading('r2')));
    await jest.advanceTimersByTimeAsync(10);
    expect(store.getState().outbox).toMatchObject({ pending: [], refused: [{ id: 'w-r1', reason: 'answer: not known' }] });
  });
  it('sends what an earlier page left behind, and shows it on the case meanwhile', async () => {
    keepOutbox({ pending: [reading('r1')], refused: [] });
    const store = createStore();
    store.dispatch(opened({ view, unsent: store.getState().outbox.pending }));
    expect(store.getState().work.cases['c1']!.questions[0]!.readings).toHaveLength(1);
    runOutbox(store);
    await jest.advanceTimersByTimeAsync(10);
    expect(sentTo).toEqual(['/api/questions/q1/readings']);
  });
  it('does not let a copy asked for before a write arrived take the write off the table', () => {
    const store = createStore();
    store.dispatch(queued(reading('r1')));
    store.dispatch(queued(reading('r2')));
    store.dispatch(sent({ id: 'w-r1', at: 1000 }));
    const shown = (askedAt: number) => {
      store.dispatch(opened({ view, unsent: writesSince(store.getState().outbox, askedAt) }));
      return store.getState().work.cases['c1']!.questions[0]!.readings.map((r) => r.id);
    };
    expect(shown(900)).toEqual(['r1', 'r2']); // asked for before: it may lack the first
    expect(shown(1100)).toEqual(['r2']); // asked for after: the server's copy is the truth
  });
});
