import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { LABELS_FIRST } from '@sounding/core/reply/reply.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { fakeServer, workersHere, type FakeServer } from '../../testServer.ts';
import { aCase, aQuestion, renderAtDesk } from '../../testing.tsx';

workersHere();
const { ReplyPage } = await import('./ReplyPage.tsx');

let server: FakeServer;
const reading = {
  id: 'r1',
  finding: 'holes',
  answer: 'some',
  channel: 'in-hand' as const,
  from: '',
  statementId: null,
  takenAt: '2026-06-14T08:00:00Z',
  withdrawnAt: null,
};
const checks = [{ id: 'k1', on: '2026-07-01', what: 'Look under the leaves', why: 'eggs last time' }];
const open = (extra = {}, opening = '') => {
  const view = aCase({ opening, questions: [aQuestion({ hostId: 'bean', readings: [reading], ...extra })] });
  server = fakeServer({
    'GET /api/cases/*': view,
    'GET /api/editions/*/packed': packEdition(smallEdition),
    'GET /api/shed': { jurisdiction: 'Anywhere', labels: [], rules: [] },
    'GET /api/outbox': [],
  });
  return renderAtDesk(<ReplyPage />, { at: '/case/c1/reply/q1', path: '/case/:caseId/reply/:questionId' });
};
const letter = () => screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'Reply to Tilda' });
beforeEach(() => localStorage.clear());
afterEach(() => server.stop());

describe('the reply', () => {
  it('is written from the standing, with labels and local rules first', async () => {
    open();
    const { value } = await letter();
    expect(value).toContain('Dear Tilda,');
    expect(value).toContain('beetle');
    expect(value).toContain(LABELS_FIRST);
    expect(value).toContain('Ada Fennlin, Test desk, 14 June 2026');
  });
  it('tells what to look at again', async () => {
    const plan = {
      labelId: null,
      useId: null,
      equipment: null,
      target: null,
      system: 'metric' as const,
      wanted: 1,
      harvestEvery: null,
      rotate: false,
      applications: [],
      sums: [],
      checks,
    };
    open({ plan });
    expect((await letter()).value).toContain('Look again\n– 1 July 2026: Look under the leaves: eggs last time.');
  });
  it('is saved as it was changed, never without the line on labels', async () => {
    const { store } = open();
    const box = await letter();
    await userEvent.clear(box);
    await userEvent.type(box, 'Leave it be.');
    await userEvent.click(screen.getByRole('button', { name: 'Save the reply' }));
    const saved = store.getState().work.cases['c1']?.questions[0]?.advice;
    expect(saved).toMatchObject({ body: `Leave it be.\n\n${LABELS_FIRST}`, causeId: 'beetle', edition: 'small-1', date: '2026-06-14' });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Saved' }).disabled).toBe(true);
    expect(screen.getByRole('link', { name: 'PDF' })).toBeTruthy();
    // and can be held against what the standing would say now
    await userEvent.click(screen.getByRole('button', { name: 'Compare with the present standing' }));
    expect((await letter()).value).toContain('Dear Tilda,');
  });
  it('refuses a day to call back that is past, beside the field', async () => {
    open();
    await letter();
    fireEvent.change(screen.getByLabelText('Call back on'), { target: { value: '2026-06-01' } });
    expect(screen.getByRole('alert').textContent).toBe('This day is past.');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save the reply' }).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Call back on'), { target: { value: '2026-06-30' } });
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('to a question of care comes from the plant’s card, names no cause, and is filed under care', async () => {
    const { store } = open({ readings: [] }, 'when to prune my bean');
    await screen.findByText('A question of care');
    const { value } = await letter();
    expect(value).toContain('Pruning\nin winter.');
    expect(value).not.toMatch(/in 100/);
    await userEvent.click(screen.getByRole('button', { name: 'Save the reply' }));
    expect(store.getState().work.cases['c1']?.questions[0]?.advice).toMatchObject({ causeId: 'care', act: 'culture' });
  });
  it('answers care beside the trouble that was seen', async () => {
    open({}, 'when to prune my bean, it has holes');
    await screen.findByRole('textbox', { name: 'Reply to Tilda' });
    expect((await letter()).value).toMatch(/beetle[\s\S]*You also asked\n\nPruning\nin winter\./);
  });
  it('does not lay the whole card before a caller who asked for something nobody knows', async () => {
    open({ readings: [] }, 'can I straighten my bean');
    const { value } = await letter();
    expect(value).not.toMatch(/You also asked|Pruning/);
  });
});
