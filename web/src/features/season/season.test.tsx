import { describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import type { Outlooks } from '@sounding/core/season/indices/outlook.ts';
import type { IndexRun } from '@sounding/core/season/report.ts';
import { renderInk } from '../../testing.tsx';
import { IndexTable } from './IndexTable.tsx';
import { ReliabilityPlot } from './ReliabilityPlot.tsx';

const run = (extra: Partial<IndexRun> = {}): IndexRun => ({
  id: 'late-blight',
  name: 'Late blight',
  unit: '',
  cite: 'Hutton criteria',
  mark: 'published',
  holds: 'once rows meet',
  inSight: false,
  days: [
    { on: '2026-06-13', value: 2, level: 'risk', note: 'humid', foretold: false, inSeason: true },
    { on: '2026-06-14', value: 0, level: 'none', note: '', foretold: true, inSeason: false },
  ],
  ...extra,
});

describe('disease weather', () => {
  it('says each day by sign and word, with the rule and its mark at hand', () => {
    renderInk(<IndexTable runs={[run()]} outlooks={null} />);
    const row = screen.getByRole('row', { name: /Late blight/ });
    expect(within(row).getByText('!')).toBeTruthy();
    expect(within(row).getByText('risk')).toBeTruthy();
    expect(within(row).getByText('out of season')).toBeTruthy();
    expect(within(row).getByRole('rowheader').getAttribute('title')).toBe('Hutton criteria; published');
    expect(within(row).getByTitle('14 Jun: out of its season (foretold)')).toBeTruthy();
  });
  it('says when the rule will next see infection, with the years it rests on', () => {
    const outlooks = { 'late-blight': { lately: null, next: { on: '2026-06-24', early: '2026-06-19', late: '2026-07-02', years: 9 } } } as Outlooks;
    const { unmount } = renderInk(<IndexTable runs={[run()]} outlooks={outlooks} />);
    expect(screen.getByText('expected next 24 Jun (19 Jun to 2 Jul in 8 of 10 years)').getAttribute('title')).toBe('from 9 years of this station');
    unmount();
    renderInk(<IndexTable runs={[run({ inSight: true })]} outlooks={outlooks} />);
    expect(screen.queryByText(/expected next/)).toBeNull();
  });
});

describe('reliability', () => {
  it('tells in words what the dots show', () => {
    const stated = [
      { probability: 0.92, right: true },
      { probability: 0.94, right: false },
      { probability: 0.31, right: false },
    ];
    renderInk(<ReliabilityPlot stated={stated} />);
    expect(screen.getByRole('img', { name: 'said 31, was 0 of 100 in 1 cases; said 93, was 50 of 100 in 2 cases' })).toBeTruthy();
  });
});
