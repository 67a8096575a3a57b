import { describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import type { WindowStanding } from '@sounding/core/season/windows.ts';
import { renderInk } from '../../testing.tsx';
import { CarePanel } from './CarePanel.tsx';
import type { CaseCare } from './useCaseCare.ts';

const edition: Edition = {
  ...smallEdition,
  careTopics: [
    { id: 'prune', name: 'Pruning', words: ['x'] },
    { id: 'flowers-on', name: 'Which wood flowers', words: ['x'] },
    { id: 'poison', name: 'Poisonous or safe', words: ['x'] },
  ],
};
const bean: Plant = { ...smallEdition.plants.find(({ id }) => id === 'bean')!, poisonous: 'Raw seeds.' };
const timing = (change: Partial<WindowStanding>): WindowStanding => ({
  window: 'w',
  name: 'w',
  state: 'not-yet',
  from: '2026-07-15',
  to: '2026-08-31',
  fromBand: null,
  nextFrom: null,
  basis: '',
  mark: 'memory',
  ...change,
});
const care = (change: Partial<CaseCare> = {}): CaseCare => ({
  only: true,
  wholeCard: false,
  answers: [
    { plant: 'bean', topic: 'prune', answer: 'Pinch the tips.' },
    { plant: 'bean', topic: 'flowers-on', answer: 'New stems.' },
  ],
  dates: [{ topic: 'prune', name: 'Pinch out', how: 'At the top of the pole.', timing: timing({}) }],
  ...change,
});
const panel = () => screen.getByRole('region', { name: 'Answer to a question of care' });

describe('the answer to a question of care', () => {
  it('stands topic by topic, each with its work and days, and leads to the whole card', () => {
    renderInk(<CarePanel care={care()} edition={edition} plant={bean} />);
    const [first, second] = within(panel()).getAllByRole('article');
    expect(first!.textContent).toContain('Pruning: bean');
    expect(first!.textContent).toContain('Pinch out: from 15 Jul to 31 Aug. At the top of the pole.');
    expect(second!.textContent).toBe('Which wood flowers: beanNew stems.');
    expect(screen.getByRole('link', { name: 'the whole card' }).getAttribute('href')).toBe('/library/plant/bean');
  });
  it('says when the time is now, and when it is over', () => {
    const dates = [
      { topic: 'prune', name: 'Now', how: '', timing: timing({ state: 'open', to: '2026-06-30' }) },
      { topic: 'prune', name: 'Gone', how: '', timing: timing({ state: 'closed', nextFrom: '2027-04-24' }) },
    ];
    renderInk(<CarePanel care={care({ dates })} edition={edition} plant={bean} />);
    expect(panel().textContent).toContain('Now: now, until 30 Jun.');
    expect(panel().textContent).toContain('Gone: too late; note 24 Apr 2027.');
  });
  it('names what is poisonous in it, once', () => {
    const { unmount } = renderInk(<CarePanel care={care()} edition={edition} plant={bean} />);
    expect(screen.getByText('Poisonous: Raw seeds.')).toBeTruthy();
    unmount();
    const answers = [{ plant: 'bean', topic: 'poison', answer: 'Raw seeds.' }];
    renderInk(<CarePanel care={care({ answers, dates: [] })} edition={edition} plant={bean} />);
    expect(screen.queryByText(/^Poisonous:/)).toBeNull();
  });
  it('does without a plant', () => {
    renderInk(<CarePanel care={care({ dates: [] })} edition={edition} plant={null} />);
    expect(screen.queryByRole('link', { name: 'the whole card' })).toBeNull();
    expect(screen.getByText(/Type what is seen/)).toBeTruthy();
  });
});
