import { describe, expect, it, jest } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { QuestionView } from '@sounding/contract/api.ts';
import { Consultant } from '@sounding/core/consult/consult.ts';
import { NOTHING } from '@sounding/core/language/understanding.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { aQuestion, renderInk } from '../../testing.tsx';
import { Dock } from './Dock.tsx';
import { depthOf, halvings, spreadLabels } from './lineLayout.ts';
import { inSenses } from './senses.ts';
import { SoundingLine } from './SoundingLine.tsx';
import { StandingPanel } from './StandingPanel.tsx';
import { WordsPanel } from './WordsPanel.tsx';
import { actText, answersShown, decisionText, movedText, percent, reasonText, timingText } from './words.ts';

const reading = (id: string, finding: string, answer: string, withdrawnAt: string | null = null) => ({
  id,
  finding,
  answer,
  channel: 'caller' as const,
  from: '',
  statementId: null,
  takenAt: '2026-06-14T08:00:00Z',
  withdrawnAt,
});
const taken = [reading('r1', 'holes', 'some'), reading('r2', 'coating', 'white')];
const standing = new Consultant(smallEdition).consult({
  host: 'bean',
  date: '2026-06-14',
  climate: 'continental',
  hemisphere: 'N',
  setting: 'phone',
  readings: taken,
  unanswered: [],
  weather: null,
});
const question: QuestionView = aQuestion({ id: 'q', hostId: 'bean', readings: [...taken, reading('r3', 'frost', 'unknown')] });

/** What is made out of an empty line. */
const silence = { ...NOTHING, careAnswers: [], asked: null, leftOpen: null };

describe('what is decided, in a word', () => {
  const basis = { basis: 'calendar', mark: 'memory' as const, nextFrom: null, window: 'autumn', name: 'autumn', fromBand: null };
  const option = {
    id: 'band',
    act: 'physical' as const,
    title: 'Band',
    how: 'Band it',
    not: [],
    cautions: [],
    effect: 'good' as const,
    mark: 'memory' as const,
  };
  const early = { option, against: [], mind: [], timing: { state: 'not-yet' as const, from: '2026-10-01', to: '2026-11-15', ...basis } };
  const decided = { act: 'physical' as const, why: '', option: 'band', noteFor: '2026-10-01', firm: true };
  it('names the day from which work makes sense', () =>
    expect(actText({ decision: decided, options: [early] })).toMatch(/^By hand, from 1 Oct\w* 2026$/));
  it('names no day for what can be done now, or is left alone', () => {
    const open = { ...early, timing: { ...early.timing, state: 'open' as const } };
    expect(actText({ decision: { ...decided, noteFor: null }, options: [open] })).toBe('By hand');
    expect(actText({ decision: { ...decided, act: 'leave', option: null }, options: [early] })).toBe('Leave it alone');
  });
  it('says that it is not yet sure', () =>
    expect(decisionText({ decision: { ...decided, firm: false }, options: [early] })).toMatch(/^Not yet – it would be: by hand, from/));
});

describe('line layout', () => {
  it('keeps labels apart and inside', () => {
    const out = spreadLabels([10, 12, 14, 300], 37, 4, 320);
    out.slice(1).forEach((y, i) => expect(y - out[i]!).toBeGreaterThanOrEqual(37));
    expect(out[3]).toBeLessThanOrEqual(320);
  });
  it('sinks from 0 at all doubt to 1 at none, and stays in between', () => {
    expect([depthOf(4, 4), depthOf(2, 4), depthOf(0, 4), depthOf(5, 4), depthOf(0, 0)]).toEqual([0, 0.5, 1, 0, 1]);
    expect(halvings(4.5).map((h) => h.left)).toEqual([16, 8, 4, 2, 1]);
  });
});

describe('words', () => {
  it('never rounds a doubt away', () =>
    expect([percent(0.0001), percent(0), percent(0.5), percent(0.9999), percent(1)]).toEqual(['<1', '0', '50', '>99', '100']));
  it('says what a reading moved, and to where', () =>
    expect([movedText(0.2, 0.74), movedText(0.2, 0.9999), movedText(-0.2, 0.001)]).toEqual([
      'up to 74\u00a0%',
      'up past 99\u00a0%',
      'down below 1\u00a0%',
    ]));
  it('says when', () =>
    expect(
      timingText({
        window: 'w',
        name: 'w',
        state: 'closed',
        from: null,
        to: null,
        fromBand: null,
        nextFrom: '2027-04-24',
        basis: '',
        mark: 'memory',
      }),
    ).toBe('too late; note 24 Apr 2027'));
});

describe('what was said', () => {
  it('shows each reading with its channel and lets it be taken back', async () => {
    const onWithdraw = jest.fn();
    renderInk(
      <WordsPanel
        caseId="c1"
        question={question}
        edition={smallEdition}
        care={[]}
        card={null}
        opening="Holes!"
        shownIds={new Set(['r1', 'r2'])}
        onWithdraw={onWithdraw}
      />,
    );
    expect(screen.getByText('“Holes!”')).toBeTruthy();
    expect(screen.getAllByText('frost: cannot say').length).toBeGreaterThan(0);
    await userEvent.click(screen.getByRole('button', { name: 'undo holes: some' }));
    expect(onWithdraw).toHaveBeenCalledWith(expect.objectContaining({ id: 'r1' }), true);
  });
});

describe('sounding line', () => {
  it('has a step for the surface and each reading, and steps back', async () => {
    const onStep = jest.fn();
    renderInk(<SoundingLine marks={standing.sounding} readings={taken} edition={smallEdition} at={2} branches={[]} onStep={onStep} />);
    const steps = within(screen.getByRole('region', { name: 'Sounding line' })).getAllByRole('button');
    expect(steps).toHaveLength(3);
    expect(steps[2]!.getAttribute('aria-current')).toBe('step');
    await userEvent.click(steps[1]!);
    expect(onStep).toHaveBeenCalledWith(1);
  });
});

describe('standing', () => {
  it('lists causes with their share, the unlisted always among them, and what speaks for the chosen one', async () => {
    renderInk(<StandingPanel standing={standing} edition={smallEdition} taken={taken} backAt={null} planHref="/plan" hostName="bean" />);
    expect(screen.getByRole('button', { name: /Something not on our list/ })).toBeTruthy();
    expect(screen.getByText('not explained')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /^cold/ }));
    expect(screen.getByText('instead')).toBeTruthy();
  });
});

describe('dock', () => {
  const finding = smallEdition.findings[2]!;
  const props = {
    edition: smallEdition,
    standing: { ...standing, enough: { enough: false as const, because: 'still-open' as const } },
    finding,
    asks: true,
    first: null,
    onlyCare: false,
    eaten: false,
    opening: '',
    takenBefore: null,
    draft: '',
    heard: null,
    apart: null,
    onBelongs: () => undefined,
    onDraft: () => undefined,
    onSense: () => undefined,
    onKeyDown: () => undefined,
    onAnswer: () => undefined,
    onReply: () => undefined,
    test: null,
  };
  it('sends whoever ate of a plant to the poison centre before anything is asked', () => {
    const { rerender } = renderInk(<Dock {...props} />);
    expect(screen.queryByRole('alert')).toBeNull();
    rerender(<Dock {...props} eaten />);
    expect(screen.getByRole('alert').textContent).toMatch(/^Eaten or chewed: first the poison centre, for an animal the vet/);
  });
  it('reads the question out with a key for every answer', () => {
    const onAnswer = jest.fn();
    renderInk(<Dock {...props} onAnswer={onAnswer} />);
    expect(screen.getByText('what about frost?')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^1 yes/ }));
    fireEvent.click(screen.getByRole('button', { name: /^0 cannot say/ }));
    expect(onAnswer.mock.calls).toEqual([['yes'], ['unknown']]);
  });
  it('leads to the cards of the test that settles the question', () => {
    renderInk(<Dock {...props} test={{ name: 'Scratch test', href: '/bench/tests/scratch' }} />);
    expect(screen.getByRole('link', { name: /Scratch test, step by step/ }).getAttribute('href')).toBe('/bench/tests/scratch');
  });
  it('says what was told before, when it asks for a second look', () => {
    renderInk(<Dock {...props} takenBefore="frost: yes" />);
    expect(screen.getByText('Told: “frost: yes”. Is it so when they look again?')).toBeTruthy();
    expect(screen.getByText(/what about frost/)).toBeTruthy();
  });
  it('asks for the plant before anything else', () => {
    renderInk(<Dock {...props} first="plant" />);
    expect(screen.getByText(/Which plant is it/)).toBeTruthy();
    expect(screen.queryByText('what about frost?')).toBeNull();
  });
  it('asks openly while nobody has said what is wrong, or what is asked is not known', () => {
    renderInk(<Dock {...props} first="what" opening="a sorry rose" />);
    expect(screen.getByText(/What do you see, and on which part/)).toBeTruthy();
    expect(screen.getByText(/a sorry rose/)).toBeTruthy();
    expect(screen.queryByText('what about frost?')).toBeNull();
    renderInk(<Dock {...props} first="else" />);
    expect(screen.getByText(/What else have you noticed/)).toBeTruthy();
  });
  it('has nothing to ask where only care was asked for', () => {
    renderInk(<Dock {...props} onlyCare asks={false} />);
    expect(screen.getByText(/A question of care/)).toBeTruthy();
    expect(screen.queryByText('what about frost?')).toBeNull();
    expect(screen.getByRole('button', { name: /Write the reply/ })).toBeTruthy();
  });
  it('says when it is enough', () => {
    const onReply = jest.fn();
    renderInk(<Dock {...props} asks={false} standing={{ ...standing, enough: { enough: true, because: 'one-stands-out' } }} onReply={onReply} />);
    expect(screen.getByText(/Enough to answer/)).toBeTruthy();
  });
  it('offers another sense of the words, and lets it be taken', () => {
    const onSense = jest.fn();
    const reading = { finding: 'coating', answer: 'white', channel: 'caller' as const, from: 'white or black', choices: ['black'] };
    const heard = { ...silence, readings: [reading] };
    renderInk(<Dock {...props} heard={heard} onSense={onSense} />);
    fireEvent.click(screen.getByRole('button', { name: 'or black' }));
    expect(onSense).toHaveBeenCalledWith('coating', 'black');
    expect(inSenses(heard, { coating: 'black' }).readings[0]).toMatchObject({ answer: 'black', choices: ['white'] });
    expect(inSenses(heard, { coating: 'plaid' }).readings[0]).toEqual(reading);
  });
  it('keeps what it did not understand in sight', () => {
    renderInk(<Dock {...props} heard={{ ...silence, notUnderstood: ['zorble'] }} />);
    expect(screen.getByText('zorble')).toBeTruthy();
  });
  it('says which name was taken for a guess, unless its words were read as something seen', () => {
    const coat = { finding: 'coating', answer: 'white', channel: 'caller' as const, from: 'white mildew', choices: [] };
    const claims = [
      { cause: 'beetle', from: 'whitefly' },
      { cause: 'mildew', from: 'mildew' },
    ];
    renderInk(<Dock {...props} heard={{ ...silence, claims, readings: [coat] }} />);
    expect(screen.getByText(/a guess, no evidence: whitefly$/)).toBeTruthy();
  });
});

describe('answers on the keys', () => {
  const long = {
    ...smallEdition.findings[0]!,
    absent: 'a0',
    answers: Array.from({ length: 20 }, (_, i) => ({ id: `a${i}`, say: `answer ${i}`, words: [], background: 0.05 })),
  };
  const ranked = {
    finding: long.id,
    bits: 1,
    seconds: 5,
    again: false,
    worth: 1,
    perSecond: 0.2,
    answerProbabilities: long.answers.map((_, i) => (i >= 10 ? 0.1 : 0)),
  };
  it('are all of a short question', () => {
    const short = { ...long, answers: long.answers.slice(0, 5) };
    expect(answersShown(short, ranked)).toEqual(short.answers);
  });
  it('are the likeliest of a long one in its own order, "none" always among them', () => {
    expect(answersShown(long, ranked).map((a) => a.id)).toEqual(['a0', 'a10', 'a11', 'a12', 'a13', 'a14', 'a15', 'a16', 'a17', 'a18', 'a19']);
  });
});

describe('why a question is asked', () => {
  it('says which causes it splits and what it could change', () =>
    expect(reasonText({ splits: ['mildew', 'beetle'], changes: { from: 'contact', to: 'leave', answer: 'none' } }, smallEdition)).toBe(
      'splits mildew from beetle; could turn “Spray” into “Leave it alone”',
    ));
  it('says so when it only makes surer', () => expect(reasonText({ splits: ['mildew'], changes: null }, smallEdition)).toBe('makes surer'));
  it('has words for the unlisted', () =>
    expect(reasonText({ splits: ['mildew', 'unlisted'], changes: null }, smallEdition)).toBe('splits mildew from something unlisted'));
});
