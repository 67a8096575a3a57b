import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CaseView } from '@sounding/contract/api.ts';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { queued, sent } from '../../store/outbox.ts';
import { createStore } from '../../store/store.ts';
import { fakeServer, workersHere, type FakeServer } from '../../testServer.ts';
import { aCase, aNewCase, aQuestion, renderAtDesk } from '../../testing.tsx';

workersHere();
const { CasePage } = await import('./CasePage.tsx');

let server: FakeServer;
const open = (view: CaseView | (() => Promise<CaseView>) = aCase(), store = createStore()) => {
  server = fakeServer({ 'GET /api/cases/*': view, 'GET /api/editions/*/packed': packEdition(smallEdition), 'GET /api/session': {} });
  return renderAtDesk(<CasePage />, { at: '/case/c1', path: '/case/:caseId', store });
};
const entry = async () => {
  await screen.findByRole('region', { name: 'What was said' });
  return screen.getByLabelText('What the caller says');
};
const standing = () => screen.getByRole('region', { name: 'Standing of causes' });
const said = () => screen.getByRole('region', { name: 'What was said' });

beforeEach(() => localStorage.clear());
afterEach(() => server.stop());

describe('a case', () => {
  it('asks for the plant first, and takes words, plant and readings in at Enter', async () => {
    const { store } = open();
    expect(await screen.findByText(/Which plant is it/)).toBeTruthy();
    await userEvent.type(await entry(), 'my bean has holes in the leaves');
    expect(await screen.findByText(/holes: some/)).toBeTruthy();
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(within(standing()).getAllByRole('button')[0]?.textContent).toContain('beetle'));
    expect(within(said()).getByText(/my bean has holes in the leaves/)).toBeTruthy();
    const question = store.getState().work.cases['c1']?.questions[0];
    expect(question?.hostId).toBe('bean');
    expect(question?.readings.map((r) => `${r.finding}=${r.answer}`)).toContain('holes=some');
    expect(store.getState().outbox.pending.map(({ kind }) => kind)).toEqual(['statement', 'question']);
  });
  it('takes the words while the case is on its way: what was entered goes in when it is there, the rest stays in the line', async () => {
    let arrive: (view: CaseView) => void = () => undefined;
    const { store } = open(() => new Promise((resolve) => (arrive = resolve)));
    await userEvent.type(screen.getByLabelText('What the caller says'), 'my bean has holes in the leaves{Enter} and ');
    expect(screen.getByText(/Opening the case/)).toBeTruthy();
    arrive(aCase());
    await waitFor(() =>
      expect(store.getState().work.cases['c1']?.questions[0]?.statements.map((s) => s.said)).toEqual(['my bean has holes in the leaves']),
    );
    await screen.findByRole('region', { name: 'Standing of causes' });
    expect(document.activeElement).toBe(await entry());
    await userEvent.keyboard('webs');
    expect((await entry()).getAttribute('value')).toBe(' and webs');
  });
  it('is talked about before the record has it, and has its number when it comes back', async () => {
    const store = createStore();
    const begun = aNewCase();
    store.dispatch(queued(begun));
    open(aCase({ number: 17 }), store);
    expect(await screen.findByText(/no number yet/)).toBeTruthy();
    await userEvent.type(await entry(), 'my bean has holes in the leaves{Enter}');
    await waitFor(() => expect(store.getState().outbox.pending.map(({ kind }) => kind)).toEqual(['new-case', 'statement', 'question']));
    expect(server.asked).not.toContain('GET /api/cases/c1');
    act(() => void store.dispatch(sent({ id: begun.id, at: Date.now() })));
    expect(await screen.findByText(/#17/)).toBeTruthy();
    expect(within(said()).getByText(/my bean has holes in the leaves/)).toBeTruthy();
  });
  it('answers a question of care in place of the standing, until something wrong is told', async () => {
    const { store } = open();
    await userEvent.type(await entry(), 'when to prune my bean{Enter}');
    const answer = await screen.findByRole('region', { name: 'Answer to a question of care' });
    expect(within(answer).getByRole('heading', { name: 'Pruning: bean' })).toBeTruthy();
    expect(within(answer).getByText('in winter')).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Standing of causes' })).toBeNull();
    expect(store.getState().work.cases['c1']?.questions[0]?.readings).toEqual([]);
    await userEvent.type(await entry(), 'it has holes in the leaves{Enter}');
    expect(await screen.findByRole('region', { name: 'Standing of causes' })).toBeTruthy();
    expect(within(said()).getByRole('heading', { name: 'Pruning: bean' })).toBeTruthy();
  });
  describe('with words about another plant', () => {
    const ofAnotherPlant = async () => {
      const { store } = open(aCase({ questions: [aQuestion({ hostId: 'bean', stationId: 's1' })] }));
      await userEvent.type(await entry(), 'and my oak has holes in the leaves{Enter}');
      expect(await screen.findByText('oak: a question of its own, or about the bean?')).toBeTruthy();
      return () => store.getState().work.cases['c1']!.questions;
    };
    it('takes them nowhere before it is said where they belong', async () => {
      const questions = await ofAnotherPlant();
      expect(questions().map((q) => q.statements.length)).toEqual([0]);
      await userEvent.type(await entry(), ' too');
      expect(screen.queryByText(/a question of its own/)).toBeNull();
      expect((await entry()).getAttribute('value')).toBe('and my oak has holes in the leaves too');
    });
    it('makes them a question of their own at a second Enter, from the same place', async () => {
      const questions = await ofAnotherPlant();
      await userEvent.keyboard('{Enter}');
      await waitFor(() => expect(questions()).toHaveLength(2));
      expect(questions()[0]!.statements).toEqual([]);
      expect(questions()[1]).toMatchObject({ hostId: 'oak', stationId: 's1', readings: [{ finding: 'holes', answer: 'some' }, {}] });
      expect(await screen.findByText(/“and my oak has holes/)).toBeTruthy();
    });
    it('takes what stands before them in with the plant on the table', async () => {
      const { store } = open(aCase({ questions: [aQuestion({ hostId: 'bean', stationId: 's1' })] }));
      await userEvent.type(await entry(), 'it is eaten, holes in the leaves and my oak has holes in the leaves{Enter}');
      expect(await screen.findByRole('button', { name: /question 2: oak, “and my oak has holes in the leaves”/ })).toBeTruthy();
      await userEvent.keyboard('{Enter}');
      const questions = () => store.getState().work.cases['c1']!.questions;
      await waitFor(() => expect(questions()).toHaveLength(2));
      expect(questions().map((q) => [q.hostId, q.statements.map(({ said: words }) => words)])).toEqual([
        ['bean', ['it is eaten, holes in the leaves']],
        ['oak', ['and my oak has holes in the leaves']],
      ]);
      expect(questions()[0]!.readings.map(({ finding }) => finding)).toContain('holes');
    });
    it.each([
      ['my bean has holes in the leaves, my oak has holes in the leaves', 'my oak has holes in the leaves'],
      ['my bean has holes in the leaves, my oak has holes in the leaves too', null],
      ['my bean and my oak have holes in the leaves', null],
    ])('of "%s" begin at %p', async (line, words) => {
      const { store } = open(aCase({ questions: [aQuestion({ stationId: 's1' })] }));
      await userEvent.type(await entry(), `${line}{Enter}`);
      if (words) expect(await screen.findByRole('button', { name: new RegExp(`question 2: oak, “${words}”`) })).toBeTruthy();
      else await waitFor(() => expect(store.getState().work.cases['c1']!.questions[0]!.statements).toHaveLength(1));
      expect(store.getState().work.cases['c1']!.questions).toHaveLength(1);
    });
    it('keeps them with the plant on the table when told to', async () => {
      const questions = await ofAnotherPlant();
      await userEvent.keyboard('{Alt>}k{/Alt}');
      await waitFor(() => expect(questions()[0]!.statements).toHaveLength(1));
      expect(questions()).toHaveLength(1);
      expect(questions()[0]!.hostId).toBe('bean');
    });
  });
  it('is about the plant that was noted when the call came in, until words name another', async () => {
    const { store } = open(aCase({ opening: 'a sorry oak' }));
    expect(await screen.findByPlaceholderText('oak, noted')).toBeTruthy();
    await userEvent.type(await entry(), 'holes in the leaves{Enter}');
    const question = () => store.getState().work.cases['c1']!.questions[0]!;
    await waitFor(() => expect(question().hostId).toBe('oak'));
    expect(question().statements).toHaveLength(1);
    await userEvent.type(await entry(), 'a web too{Enter}');
    await waitFor(() => expect(question().statements).toHaveLength(2));
    expect(question().hostId).toBe('oak');
  });
  it('takes in what was noted on Enter, and once', async () => {
    const { store } = open(aCase({ opening: 'a sorry oak with holes' }));
    await userEvent.type(await entry(), '{Enter}');
    const question = () => store.getState().work.cases['c1']!.questions[0]!;
    await waitFor(() => expect(question().statements.map(({ said }) => said)).toEqual(['a sorry oak with holes']));
    expect(question().hostId).toBe('oak');
    expect(screen.getAllByText(/a sorry oak with holes/)).toHaveLength(1);
  });
  it('is about the plant that was noted until the line turns to another', async () => {
    const { store } = open(aCase({ opening: 'a sorry oak' }));
    await userEvent.type(await entry(), 'holes in the leaves and my bean has holes in the leaves{Enter}');
    await userEvent.click(await screen.findByRole('button', { name: /question 2: bean, “and my bean/ }));
    await waitFor(() => expect(store.getState().work.cases['c1']!.questions.map(({ hostId }) => hostId)).toEqual(['oak', 'bean']));
  });
  it('stays with the plant that was noted when all of the line is kept with it', async () => {
    const { store } = open(aCase({ opening: 'a sorry oak' }));
    await userEvent.type(await entry(), 'holes in the leaves and my bean has holes in the leaves{Enter}');
    await userEvent.click(await screen.findByRole('button', { name: /keep all of it with the oak/ }));
    const questions = () => store.getState().work.cases['c1']!.questions;
    await waitFor(() => expect(questions()[0]!.hostId).toBe('oak'));
    expect(questions().map(({ statements }) => statements.length)).toEqual([1]);
  });
  it('is about the plant its words name, whatever was noted', async () => {
    const { store } = open(aCase({ opening: 'a sorry oak' }));
    await userEvent.type(await entry(), 'my bean has holes in the leaves{Enter}');
    await waitFor(() => expect(store.getState().work.cases['c1']!.questions[0]!.hostId).toBe('bean'));
  });
  it('begins another question of the call without waiting for the record', async () => {
    const { store } = open(aCase({ questions: [aQuestion({ hostId: 'bean' })] }));
    await userEvent.click(await screen.findByRole('button', { name: 'Another question' }));
    expect(await screen.findByText(/Which plant is it/)).toBeTruthy();
    expect(store.getState().outbox.pending.map(({ kind }) => kind)).toEqual(['new-question', 'question']);
  });
  it('answers the question on a digit, and takes a reading back and in again', async () => {
    open(aCase({ questions: [aQuestion({ hostId: 'bean' })] }));
    await entry();
    const ask = await screen.findByRole('region', { name: 'Ask' });
    await within(ask).findByText(/^What do you see/);
    await userEvent.keyboard('{ArrowDown}');
    const question = await within(ask).findByText(/^what about /);
    const finding = /what about (\w+)\?/.exec(question.textContent ?? '')?.[1] ?? '';
    await userEvent.keyboard('1');
    const [row] = await within(said()).findAllByText(new RegExp(`^${finding}: `));
    await userEvent.click(within(row!.closest('li')!).getByRole('button', { name: /undo/ }));
    await userEvent.click(await within(said()).findByRole('button', { name: /take in/ }));
    expect(await within(said()).findByRole('button', { name: /undo/ })).toBeTruthy();
  });
  it('keeps "cannot say" as no evidence, and does not ask it again', async () => {
    const { store } = open(aCase({ questions: [aQuestion({ hostId: 'bean' })] }));
    const ask = await screen.findByRole('region', { name: 'Ask' });
    await within(ask).findByText(/^What do you see/);
    await userEvent.keyboard('{ArrowDown}');
    const first = (await within(ask).findByText(/^what about /)).textContent;
    await userEvent.keyboard('0');
    await waitFor(() => expect(within(ask).queryByText(first ?? '')).toBeNull());
    expect((await within(ask).findByText(/^what about /)).textContent).not.toBe(first);
    expect(store.getState().work.cases['c1']?.questions[0]?.readings[0]).toMatchObject({ answer: 'unknown' });
  });
  it.each(['0', 'no{Enter}'])('asks for particulars once there is nothing to tell: %s', async (keys) => {
    open(aCase({ questions: [aQuestion({ hostId: 'bean' })] }));
    const ask = await screen.findByRole('region', { name: 'Ask' });
    await within(ask).findByText(/^What do you see/);
    await userEvent.type(await entry(), keys);
    expect(await within(ask).findByText(/^what about /)).toBeTruthy();
  });
  it('asks the next question, too, where the caller’s own words leave one open', async () => {
    const { store } = open(aCase({ questions: [aQuestion({ hostId: 'bean' })] }));
    const ask = await screen.findByRole('region', { name: 'Ask' });
    await within(ask).findByText(/^What do you see/);
    await userEvent.keyboard('{ArrowDown}');
    const first = (await within(ask).findByText(/^what about /)).textContent;
    await userEvent.type(await entry(), 'dunno{Enter}');
    await waitFor(() => expect(within(ask).queryByText(first ?? '')).toBeNull());
    expect(store.getState().work.cases['c1']?.questions[0]?.readings).toMatchObject([{ answer: 'unknown', from: 'dunno' }]);
    expect(within(said()).getByText(`“${first} – dunno”`)).toBeTruthy();
  });
  it('steps back along the line and forth again', async () => {
    const reading = (id: string, finding: string, answer: string) => ({
      id,
      finding,
      answer,
      channel: 'caller' as const,
      from: '',
      statementId: null,
      takenAt: `2026-06-14T08:0${id.slice(1)}:00Z`,
      withdrawnAt: null,
    });
    open(aCase({ questions: [aQuestion({ hostId: 'bean', readings: [reading('r1', 'coating', 'white'), reading('r2', 'holes', 'some')] })] }));
    await entry();
    await userEvent.keyboard('[[');
    expect(await screen.findByText(/Standing after one reading/i)).toBeTruthy();
    await userEvent.keyboard(']');
    await waitFor(() => expect(screen.queryByText(/Standing after/)).toBeNull());
  });
  it('strikes out what the caller takes back, and nothing that was found by a test', async () => {
    const found = {
      finding: 'coating',
      answer: 'white',
      channel: 'bench' as const,
      from: '',
      statementId: 's0',
      takenAt: '2026-06-14T08:00:00Z',
    };
    const { store } = open(aCase({ questions: [aQuestion({ hostId: 'bean', readings: [{ ...found, id: 'r0', withdrawnAt: null }] })] }));
    await userEvent.type(await entry(), 'white powder and holes{Enter}');
    await within(said()).findByText(/“white powder and holes”/);
    await userEvent.type(await entry(), 'no wait, black soot{Enter}');
    await within(said()).findByText(/“no wait, black soot”/);
    const readings = store.getState().work.cases['c1']?.questions[0]?.readings ?? [];
    expect(readings.filter(({ withdrawnAt }) => withdrawnAt !== null)).toMatchObject([{ answer: 'white', channel: 'caller' }]);
    const standing = readings.filter(({ finding, withdrawnAt }) => finding === 'coating' && withdrawnAt === null);
    expect(standing.map(({ answer, channel }) => [answer, channel])).toEqual([
      ['white', 'bench'],
      ['black', 'caller'],
    ]);
  });
  it('shows what a test found without quotation marks, and does not read it as the caller’s words', async () => {
    const statement = { id: 's1', said: 'White patches come off', asked: 'Rub test', by: 'inspection' as const, saidAt: '2026-06-14T08:00:00Z' };
    open(aCase({ questions: [aQuestion({ hostId: 'bean', statements: [statement] })] }));
    await entry();
    expect(within(said()).getByText('Rub test')).toBeTruthy();
    expect(within(said()).queryByText(/“/)).toBeNull();
  });
  it('keeps what was written and stored while a fresh copy cannot be had', async () => {
    const { store, unmount } = open();
    await userEvent.type(await entry(), 'my bean has holes in the leaves');
    await screen.findByText(/holes: some/);
    await userEvent.keyboard('{Enter}');
    await within(said()).findByText(/my bean has holes/);
    act(() => store.getState().outbox.pending.forEach(({ id }) => store.dispatch(sent({ id, at: 0 }))));
    unmount();
    server.stop();
    server = fakeServer({ 'GET /api/editions/*/packed': packEdition(smallEdition) });
    renderAtDesk(<CasePage />, { at: '/case/c1', path: '/case/:caseId', store });
    await waitFor(() => expect(server.asked).toContain('GET /api/cases/c1'));
    await entry();
    expect(within(said()).getByText(/my bean has holes/)).toBeTruthy();
  });
  it('says when a case cannot be opened', async () => {
    server = fakeServer({ 'GET /api/editions/*/packed': packEdition(smallEdition) });
    renderAtDesk(<CasePage />, { at: '/case/c1', path: '/case/:caseId' });
    expect((await screen.findByRole('alert')).textContent).toContain('there is no GET /api/cases/c1');
  });
});
