import { describe, expect, it } from '@jest/globals';
import { screen } from '@testing-library/react';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { renderInk } from '../../testing.tsx';
import { Complaints, faultsOf } from './Complaints.tsx';
import { FindingFigure, NeedleFigure } from './FindingFigure.tsx';
import { LibrarySearch } from './search.ts';
import { YearStrip } from './YearStrip.tsx';

describe('search', () => {
  const search = new LibrarySearch(smallEdition);
  const cause = smallEdition.causes[0]!;
  it('finds a cause by its name, by half of it and with a slip', () => {
    const word = cause.name.split(' ').sort((a, b) => b.length - a.length)[0]!;
    for (const words of [cause.name, word.slice(0, 4), `${word.slice(0, -2)}x${word.slice(-1)}`])
      expect(search.find(words).map((hit) => hit.id)).toContain(cause.id);
  });
  const finding = smallEdition.findings.find((f) => f.absent !== undefined)!;
  const shown = finding.answers.find((a) => a.id !== finding.absent)!;
  it('finds what is seen, but not what is absent', () => {
    expect(search.find(shown.say).map((hit) => hit.id)).toContain(`${finding.id}.${shown.id}`);
    expect(search.find(finding.name).map((hit) => hit.id)).not.toContain(`${finding.id}.${finding.absent}`);
  });
  it('names a yes by what was asked', () => {
    const asked = { ...smallEdition.findings[2]!, answers: smallEdition.findings[2]!.answers.map((a) => ({ ...a, say: a.id })) };
    const hits = new LibrarySearch({ ...smallEdition, findings: [asked] }).find(asked.name);
    expect(hits.map(({ name, aside }) => [name, aside])).toEqual([[asked.name, 'yes']]);
  });
  it('does not find what is seen by the words that rule it out', () => {
    const barred = smallEdition.findings.map((one) => ({
      ...one,
      answers: one.answers.map((a) => (a.id === shown.id ? { ...a, words: ['quiddle -zorblequux|bark'] } : a)),
    }));
    const found = (word: string) => new LibrarySearch({ ...smallEdition, findings: barred }).find(word).map((hit) => hit.id);
    expect(found('quiddle')).toContain(`${finding.id}.${shown.id}`);
    expect(found('zorblequux')).toEqual([]);
  });
  it('finds nothing by a word nobody uses', () => expect(search.find('zorblequux')).toEqual([]));
});

describe('the year', () => {
  const span = (from: string, to: string) => ({ id: from, name: 'window', from, to, basis: '' });
  it('says its windows and the day in words', () => {
    renderInk(<YearStrip spans={[span('2026-04-20', '2026-05-31')]} today="2026-06-14" />);
    expect(screen.getByRole('img', { name: 'window: 2026-04-20 to 2026-05-31. Today 2026-06-14.' })).toBeTruthy();
  });
  it('cuts a window over the new year in two', () => {
    const { container } = renderInk(<YearStrip spans={[span('2026-11-01', '2027-03-20')]} today="2026-06-14" />);
    expect(container.querySelectorAll('rect')).toHaveLength(2);
  });
});

describe('figures', () => {
  it('are drawn where a word is easily misunderstood, and only there', () => {
    expect(renderInk(<FindingFigure finding="leaf-yellowing" answer="between-veins" />).container.querySelector('svg')).not.toBeNull();
    expect(renderInk(<FindingFigure finding="onset" answer="weeks" />).container.querySelector('svg')).toBeNull();
  });
  it('show as many needles as there are in a bundle', () => {
    const { container } = renderInk(<NeedleFigure needles={5} />);
    expect(container.querySelectorAll('path')).toHaveLength(6);
    expect(screen.getByRole('img', { name: '5 needles in a bundle' })).toBeTruthy();
  });
});

describe('what the lint says', () => {
  it('is read from a refused write', () =>
    expect(faultsOf({ data: { errors: [{ pointer: 'desk/causes/x:7', detail: 'no' }] } })).toEqual([
      { file: 'desk/causes/x', line: 7, level: 'error', text: 'no' },
    ]));
  it('names file and line', () => {
    renderInk(<Complaints complaints={[{ file: 'desk/causes/x', line: 7, level: 'error', text: 'has no findings' }]} asked isTrying={false} />);
    expect(screen.getByText(/has no findings/)).toBeTruthy();
    expect(screen.getByText('desk/causes/x, line 7')).toBeTruthy();
  });
  it('waits until it is asked', () => {
    renderInk(<Complaints complaints={[]} asked={false} isTrying={false} />);
    expect(screen.getByText('It answers when you save.')).toBeTruthy();
  });
  it('says that it reads, and nothing of the last time', () => {
    renderInk(<Complaints complaints={[{ file: 'desk/causes/x', line: 7, level: 'error', text: 'has no findings' }]} asked isTrying />);
    expect(screen.getByRole('status').textContent).toMatch(/reads the whole library/);
    expect(screen.queryByText(/has no findings/)).toBeNull();
  });
});
