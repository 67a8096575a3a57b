import { afterEach, describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { QuestionView } from '@sounding/contract/api.ts';
import { Consultant } from '@sounding/core/consult/consult.ts';
import { CARE_ONLY } from '@sounding/core/edition/care.ts';
import { UNLISTED } from '@sounding/core/edition/causes.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { fakeServer, Refusal, type FakeServer } from '../../testServer.ts';
import { aQuestion, renderAtDesk, renderInk } from '../../testing.tsx';
import { HostPicker } from './HostPicker.tsx';
import { OutcomeStrip } from './OutcomeStrip.tsx';
import { Reproduced } from './Reproduced.tsx';

const standing = new Consultant(smallEdition).consult({
  host: 'bean',
  date: '2026-06-14',
  climate: 'continental',
  hemisphere: 'N',
  setting: 'phone',
  readings: [{ finding: 'coating', answer: 'white', channel: 'caller' }],
  unanswered: [],
  weather: null,
});
const first = standing.candidates[0]!;
const advice = {
  causeId: first.cause,
  act: 'leave',
  by: 'Ada Fennlin',
  edition: 'small-1',
  probability: first.probability,
} as unknown as NonNullable<QuestionView['advice']>;
const answered = (extra: Partial<QuestionView> = {}): QuestionView => aQuestion({ id: 'q1', hostId: 'bean', advice, ...extra });

let server: FakeServer | null = null;
afterEach(() => {
  server?.stop();
  server = null;
});

describe('what an answered question turned out to be', () => {
  const show = (question: QuestionView) => renderAtDesk(<OutcomeStrip question={question} standing={standing} edition={smallEdition} />);
  it('is asked only of what was answered with a cause', () => {
    const { unmount } = show(answered({ advice: null }));
    expect(screen.queryByRole('form')).toBeNull();
    unmount();
    show(answered({ advice: { ...advice, causeId: CARE_ONLY } }));
    expect(screen.queryByRole('form')).toBeNull();
  });
  it('starts from what was answered, offers every cause there is, and never the unlisted', () => {
    show(answered());
    const [cause] = screen.getAllByRole<HTMLSelectElement>('combobox');
    expect(cause!.value).toBe(first.cause);
    const offered = within(cause!)
      .getAllByRole<HTMLOptionElement>('option')
      .map(({ value }) => value);
    expect([...offered].sort()).toEqual(smallEdition.causes.map(({ id }) => id).sort());
    expect(offered).not.toContain(UNLISTED);
  });
  it('is set down with how it is known', async () => {
    server = fakeServer({ 'PUT /api/questions/q1/outcome': () => undefined, 'POST /api/questions/q1/outcome': () => undefined });
    show(answered());
    const [cause, because] = screen.getAllByRole('combobox');
    await userEvent.selectOptions(cause!, 'cold');
    await userEvent.selectOptions(because!, 'a laboratory said so');
    await userEvent.click(screen.getByRole('button', { name: 'Confirm' }));
    expect(Object.values(server.sent).flat()).toEqual([expect.objectContaining({ causeId: 'cold', confirmedBy: 'laboratory' })]);
  });
  it('can be taken back, and says why when it cannot', async () => {
    server = fakeServer({
      'DELETE /api/questions/q1/outcome': () => {
        throw new Refusal(503, 'the database is away');
      },
    });
    show(
      answered({ outcome: { causeId: 'cold', confirmedBy: 'bench', by: 'Corvin Brisk', on: '2026-06-20' } as unknown as QuestionView['outcome'] }),
    );
    expect(screen.getByText(/Turned out to be/).textContent).toBe('Turned out to be cold: seen at the bench, Corvin Brisk, 20 June 2026.');
    await userEvent.click(screen.getByRole('button', { name: 'take back' }));
    expect((await screen.findByRole('alert')).textContent).toBe('the database is away');
  });
});

describe('an answered question worked out again', () => {
  const show = (question: QuestionView) => renderInk(<Reproduced caseId="c1" question={question} standing={standing} />);
  const snapshot = (probability: number) => ({ standing: [{ cause: first.cause, probability }] }) as unknown as QuestionView['snapshot'];
  it('says that it stands as it stood', () => {
    show(answered({ snapshot: snapshot(first.probability) }));
    expect(screen.getByText(/Answered 14 June 2026 by Ada Fennlin with knowledge small-1/).textContent).toContain('the same standing');
    expect(screen.getByRole('link', { name: 'The reply' }).getAttribute('href')).toBe('/case/c1/reply/q1');
  });
  it('says what it was when readings have changed since', () => {
    show(answered({ snapshot: snapshot(first.probability / 2) }));
    expect(screen.getByText(/Since then readings have changed: it was \d+ %\./)).toBeTruthy();
  });
  it('has nothing to say before there is an answer', () => {
    const { container } = show(answered({ advice: null }));
    expect(container.textContent).toBe('');
  });
});

describe('the plant of the call', () => {
  // jsdom has no popovers: that it can be picked is shown in the browser
  it('is shown', () => {
    renderInk(<HostPicker noted={null} hostId="oak" plants={smallEdition.plants} onPick={() => undefined} />);
    expect(screen.getByRole<HTMLInputElement>('combobox', { name: 'plant' }).value).toBe('oak');
  });
});
