import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { EntryView } from '@sounding/contract/api.ts';
import { packEdition } from '@sounding/core/edition/packed.ts';
import type { Cause } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { fakeServer, Refusal, type FakeServer } from '../../testServer.ts';
import { COORDINATING, renderAtDesk } from '../../testing.tsx';
import { CausePage } from './CausePage.tsx';
import { ComparePage } from './ComparePage.tsx';
import { EntryPage } from './EntryPage.tsx';
import { ExchangePage } from './ExchangePage.tsx';
import { LearnedPage } from './LearnedPage.tsx';
import { LibraryPage } from './LibraryPage.tsx';
import { PlantPage } from './PlantPage.tsx';
import { SeenPage } from './SeenPage.tsx';

let server: FakeServer;
afterEach(() => server.stop());

/** The small edition with one cause and one plant told in full. */
const mildew: Cause = {
  ...smallEdition.causes[0]!,
  latin: 'Podosphaera',
  also: ['white mould'],
  story: 'It lives on the leaf. Wet is not needed.',
  notifiable: true,
  leaveWhen: 'late in the season',
  cautions: ['Mask when dusting.'],
  windows: [{ id: 'early', name: 'at the first spots', calendar: { default: { from: '05-01', to: '07-31' } }, mark: 'published', source: 'almanac' }],
  lookAlikes: [{ cause: 'cold', separate: ['frost'], say: 'Cold leaves no powder.' }],
  options: [
    {
      ...smallEdition.causes[0]!.options[0]!,
      id: 'dust',
      act: 'contact',
      title: 'Dust with sulphur',
      how: 'Thinly.',
      window: 'early',
      repeat: 'weekly',
      not: ['above 28 °C'],
      cautions: ['The label comes first.'],
      actives: ['sulphur (M02)'],
      school: 'dust',
    },
    { ...smallEdition.causes[0]!.options[0]!, preferred: false },
  ],
};
const oak: Plant = {
  ...smallEdition.plants[0]!,
  poisonous: 'Acorns upset horses.',
  hardyC: -25,
  needles: 2,
  normal: [{ what: 'keeps brown leaves', when: 'all winter', varieties: 'young trees' }],
};
const told: Edition = {
  ...smallEdition,
  causes: [mildew, ...smallEdition.causes.slice(1)],
  plants: [oak, ...smallEdition.plants.slice(1)],
  sources: [{ id: 'almanac', cite: 'A garden almanac, 1901' }],
  schools: [
    {
      id: 'dust',
      question: 'Dust or wait?',
      views: [
        { say: 'dust', because: 'it spreads' },
        { say: 'wait', because: 'it ends' },
      ],
      ours: 'wait',
      mark: 'memory',
    },
  ],
};
const serve = (answers: Parameters<typeof fakeServer>[0] = {}) => {
  server = fakeServer({ 'GET /api/editions/*/packed': packEdition(told), ...answers });
};
const heading = (name: string) => screen.findByRole('heading', { name });

describe('the library', () => {
  it('says what stands in it, and both sides where the trade disagrees', async () => {
    serve();
    renderAtDesk(<LibraryPage />);
    expect(await screen.findByText(/2 plants, 3 causes and 4 findings stand in edition small-1/)).toBeTruthy();
    expect(screen.getByText('dust: it spreads · wait: it ends')).toBeTruthy();
  });
  it('finds plants, causes and what is seen in three columns while one types, and keeps the words in the address', async () => {
    serve();
    renderAtDesk(<LibraryPage />);
    await userEvent.type(await screen.findByLabelText(/Find a plant/), 'white');
    const causes = await screen.findByRole('region', { name: 'Causes' });
    expect(within(causes).getByRole('link', { name: 'mildew' }).getAttribute('href')).toBe('/library/cause/mildew');
    const seen = screen.getByRole('region', { name: 'What is seen' });
    expect(within(seen).getByRole('link').getAttribute('href')).toBe('/library/seen/coating/white');
    expect(within(screen.getByRole('region', { name: 'Plants' })).getByText('None by that word.')).toBeTruthy();
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/?find=white'));
  });
  it('says so when it cannot be had', async () => {
    serve({
      'GET /api/editions/*/packed': () => {
        throw new Refusal(503, 'the database is away');
      },
    });
    renderAtDesk(<LibraryPage />);
    expect((await screen.findByRole('alert')).textContent).toBe('the database is away');
  });
});

describe('a cause', () => {
  const show = (id: string, session = COORDINATING) =>
    renderAtDesk(<CausePage />, { at: `/library/cause/${id}`, path: '/library/cause/:id', session });
  it('stands with what it is, that it may be notifiable, and the year with its basis', async () => {
    serve();
    show('mildew');
    expect(await heading('mildew')).toBeTruthy();
    expect(screen.getByText('Podosphaera')).toBeTruthy();
    expect(screen.getByText(/May be notifiable/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /at the first spots: 2026-05-01 to 2026-07-31/ })).toBeTruthy();
    expect(screen.getByText('Cold leaves no powder.', { exact: false })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'side by side' }).getAttribute('href')).toBe('/library/compare?cause=mildew&cause=cold');
  });
  it('lists what to do from gentle to strong, each with timing, cautions, mark and the dispute it takes a side in', async () => {
    serve();
    show('mildew');
    const [leave, dust] = within(await screen.findByRole('list', { name: /What to do/ })).getAllByRole('listitem');
    expect(leave!.textContent).toContain('leave');
    for (const part of [
      'our first choice',
      'Repeat: weekly.',
      'Not above 28 °C.',
      'The label comes first.',
      'sulphur (M02)',
      'from memory',
      'Ours: wait',
    ])
      expect(dust!.textContent).toContain(part);
  });
  it('says how sure we are, and names only the sources it rests on', async () => {
    serve();
    show('mildew');
    expect(await screen.findByText(/Rests mostly on memory: check what matters\. Of \d+ figures: 1 published, \d+ from memory\./)).toBeTruthy();
    expect(screen.getByText('A garden almanac, 1901')).toBeTruthy();
  });
  it('names works to check it against, and says that nothing was taken from them', async () => {
    serve({ 'GET /api/library/works/mildew': ['Grower, A. (1901). White dust. Garden Press.'] });
    show('mildew');
    const works = await screen.findByRole('list', { name: 'Where to check it (no figure above is taken from these):' });
    expect(works.textContent).toContain('White dust');
  });
  it('is quiet about works when the server does not answer', async () => {
    serve();
    show('mildew');
    expect(await screen.findByText('How sure are we of this?')).toBeTruthy();
    await waitFor(() => expect(server.asked).toContain('GET /api/library/works/mildew'));
    expect(screen.queryByText(/Where to check it/)).toBeNull();
  });
  it('that is not there is said to be missing', async () => {
    serve();
    show('nothing');
    expect((await screen.findByRole('alert')).textContent).toBe('This edition has no cause of that name.');
  });
  it('is for the coordinator to change, for an advisor to read', async () => {
    serve();
    const { unmount } = show('mildew');
    expect(await screen.findByRole('link', { name: 'Change for this desk' })).toBeTruthy();
    unmount();
    show('mildew', { ...COORDINATING, person: { ...COORDINATING.person, role: 'advisor' } });
    expect(await screen.findByRole('link', { name: 'As it is written' })).toBeTruthy();
  });
});

describe('a plant', () => {
  it('shows what is normal for it, what is poisonous, its care and its problems month by month', async () => {
    serve();
    renderAtDesk(<PlantPage />, { at: '/library/plant/oak', path: '/library/plant/:id' });
    expect(await heading('oak')).toBeTruthy();
    expect(screen.getByText('keeps brown leaves – all winter (young trees)')).toBeTruthy();
    expect(screen.getByRole('img', { name: '2 needles in a bundle' })).toBeTruthy();
    expect(screen.getByText('Acorns upset horses.')).toBeTruthy();
    expect(screen.getByText('-25 °C in open ground')).toBeTruthy();
    expect(screen.getByText('in winter')).toBeTruthy();
    const cold = screen.getByRole('link', { name: 'cold' }).closest('tr')!;
    const months = within(cold).getAllByRole('img');
    expect(months.length).toBeGreaterThan(0);
    expect(screen.queryByRole('link', { name: 'beetle' })).toBeNull();
  });
});

describe('one thing seen', () => {
  it('says how to ask for it and which causes show it', async () => {
    serve();
    renderAtDesk(<SeenPage />, { at: '/library/seen/holes/some', path: '/library/seen/:finding/:answer' });
    expect(await heading('some')).toBeTruthy();
    expect(screen.getByText('Ask: “what about holes?”')).toBeTruthy();
    expect(screen.getAllByRole('listitem').map((item) => item.textContent)).toEqual([expect.stringMatching(/^beetle.*always$/)]);
  });
});

describe('side by side', () => {
  it('puts what tells two causes apart on top, and takes one away again', async () => {
    serve();
    renderAtDesk(<ComparePage />, { at: '/library/compare?cause=mildew&cause=beetle', path: '/library/compare' });
    const table = await screen.findByRole('table');
    const rows = within(table)
      .getAllByRole('rowheader')
      .map((cell) => cell.textContent);
    expect(rows.slice(0, 3).sort()).toEqual(['coating“what about coating?”', 'holes“what about holes?”', 'test']);
    expect(rows.slice(-2)).toEqual(['In a word', 'What it would come to']);
    await userEvent.click(screen.getByRole('button', { name: 'Take beetle away' }));
    expect(screen.getByLabelText('address').textContent).toBe('/library/compare?cause=mildew');
    expect(screen.getByText(/Choose at least two causes/)).toBeTruthy();
  });
});

describe('an entry', () => {
  const entry: EntryView = {
    text: 'name: mildew\n',
    from: 'desk',
    history: [{ revision: 2, by: 'Corvin Brisk', at: '2026-06-01T09:00:00Z', note: '', back: false }],
  } as unknown as EntryView;
  const show = (session = COORDINATING) =>
    renderAtDesk(<EntryPage />, { at: '/library/edit/causes/mildew', path: '/library/edit/:kind/:id', session });
  it('is written anew only when it differs, with the reason for the history', async () => {
    serve({ 'GET /api/library/entries/causes/mildew': entry, 'PUT /api/library/entries/causes/mildew': { complaints: [] } });
    show();
    const save = await screen.findByRole<HTMLButtonElement>('button', { name: 'Save for this desk' });
    expect(save.disabled).toBe(true);
    await userEvent.type(screen.getByRole('textbox', { name: /The entry/ }), 'also: rust');
    await userEvent.type(screen.getByLabelText(/Why/), 'heard here');
    await userEvent.click(save);
    expect(server.sent['PUT /api/library/entries/causes/mildew']).toEqual([{ text: 'name: mildew\nalso: rust', note: 'heard here' }]);
    expect(await screen.findByText('no reason given')).toBeTruthy();
  });
  it('keeps what was typed while the lint was reading', async () => {
    const before = 'name: mildew\nalso: rust';
    let saved = 'name: mildew\n';
    serve({
      'GET /api/library/entries/causes/mildew': () => ({ ...entry, text: saved }),
      'PUT /api/library/entries/causes/mildew': ({ body }) => {
        saved = (body as { text: string }).text;
        fireEvent.change(screen.getByRole('textbox', { name: /The entry/ }), { target: { value: `${before} and smut` } });
        return { complaints: [] };
      },
    });
    show();
    await userEvent.type(await screen.findByRole('textbox', { name: /The entry/ }), 'also: rust');
    await userEvent.click(screen.getByRole('button', { name: 'Save for this desk' }));
    expect(await screen.findByText('The lint finds nothing wrong.')).toBeTruthy();
    expect(saved).toBe(before);
    expect(screen.getByRole<HTMLTextAreaElement>('textbox', { name: /The entry/ }).value).toBe(`${before} and smut`);
  });
  it('keeps what was written in sight when it is refused', async () => {
    serve({
      'GET /api/library/entries/causes/mildew': entry,
      'PUT /api/library/entries/causes/mildew': () => {
        throw new Refusal(422, 'the lint refuses it');
      },
    });
    show();
    await userEvent.type(await screen.findByRole('textbox', { name: /The entry/ }), 'oops');
    await userEvent.click(screen.getByRole('button', { name: 'Save for this desk' }));
    expect((await screen.findByRole('alert')).textContent).toBe('the lint refuses it');
    expect(screen.getByRole<HTMLTextAreaElement>('textbox', { name: /The entry/ }).value).toBe('name: mildew\noops');
  });
  it('is only read by an advisor', async () => {
    serve({ 'GET /api/library/entries/causes/mildew': entry });
    show({ ...COORDINATING, person: { ...COORDINATING.person, role: 'advisor' } });
    expect(await screen.findByText(/Only the coordinator of the desk writes/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('a library file', () => {
  const changes = [{ kind: 'causes', id: 'rust', what: 'new' }];
  const choose = async (text: string) => {
    const input = document.querySelector<HTMLInputElement>('input[type="file"]')!;
    await userEvent.upload(input, Object.assign(new File([text], 'mine.yaml'), { text: () => Promise.resolve(text) }));
  };
  it('is tried first and taken over on a second word', async () => {
    serve({
      'POST /api/library/import': ({ body }) => ({ applied: (body as { apply: boolean }).apply, changes, complaints: [], edition: 'small-2' }),
    });
    renderAtDesk(<ExchangePage />, { session: COORDINATING });
    await choose('causes: []');
    expect(await screen.findByText('1 new or changed.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Take 1 entry over' }));
    expect((await screen.findByText('Taken over: edition small-2.')).textContent).toBeTruthy();
    expect(server.sent['POST /api/library/import']).toEqual([
      { text: 'causes: []', apply: false },
      { text: 'causes: []', apply: true },
    ]);
  });
  it('is not taken over while the lint finds an error', async () => {
    const complaints = [{ file: 'mine.yaml', line: 3, level: 'error', text: 'no such finding' }];
    serve({ 'POST /api/library/import': { applied: false, changes, complaints, edition: 'small-1' } });
    renderAtDesk(<ExchangePage />, { session: COORDINATING });
    await choose('causes: [x]');
    expect(await screen.findByText('no such finding', { exact: false })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Take/ })).toBeNull();
  });
});

describe('what cases have taught', () => {
  const learned = {
    confirmed: 3,
    standing: { outcomes: 2, on: '2026-06-01T09:00:00Z', by: 'Corvin Brisk' },
    changes: [
      { cause: 'mildew', what: 'odds', before: 1, after: 1.4, cases: 2 },
      { cause: 'mildew', what: 'rate', finding: 'coating', answer: 'white', before: 0.85, after: 0.9, cases: 2.5 },
    ],
    history: [{ outcomes: 0, on: '2026-05-01T09:00:00Z', by: 'Corvin Brisk' }],
  };
  it('is shown before anything changes, taken over and set back', async () => {
    serve({ 'GET /api/learning': learned, 'POST /api/learning': () => undefined, 'DELETE /api/learning': () => undefined });
    renderAtDesk(<LearnedPage />, { session: COORDINATING });
    const rows = within(await screen.findByRole('table')).getAllByRole('row');
    expect(
      rows.slice(1).map((row) =>
        within(row)
          .getAllByRole('cell')
          .map((cell) => cell.textContent),
      ),
    ).toEqual([
      ['mildew', 'how often it is met here, against what the edition expects', '1.00 times', '1.40 times', '2.0'],
      ['mildew', 'coating: white', '85 %', '90 %', '2.5'],
    ]);
    expect(screen.getByText(/set everything back/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Take over 3 outcomes' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Set back to the written figures' }));
    expect(server.asked).toEqual(expect.arrayContaining(['POST /api/learning', 'DELETE /api/learning']));
  });
  it('is for the coordinator to take over', async () => {
    serve({ 'GET /api/learning': { ...learned, standing: null, changes: [] } });
    renderAtDesk(<LearnedPage />);
    expect(await screen.findByText(/Only the coordinator takes over/)).toBeTruthy();
    expect(screen.getByText(/Nothing yet: confirm/)).toBeTruthy();
  });
});
