import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { untold } from '../testing/untold.ts';
import { Consultant } from './consult.ts';
import { interview } from './interview.ts';
import { askedOpenly, isComplaint } from './openly.ts';
import type { Reading } from '../edition/reading.ts';

/** Frost is a circumstance. */
const edition = { ...smallEdition, findings: smallEdition.findings.map((f) => (f.id === 'frost' ? { ...f, kind: 'history' as const } : f)) };
const consultant = new Consultant(edition);
const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
const said = (finding: string, answer: string): Reading => ({ finding, answer, channel: 'caller' });
const coating = findings.get('coating')!;

describe('a complaint', () => {
  it('is a symptom or sign that is there, of whatever kind', () => {
    expect(isComplaint(said('coating', 'white'), coating)).toBe(true);
    expect(isComplaint(said('coating', `not:${coating.absent}`), coating)).toBe(true);
  });
  it('is none when it is absent, not of one kind, a circumstance or nothing known', () => {
    expect(isComplaint(said('coating', coating.absent!), coating)).toBe(false);
    expect(isComplaint(said('coating', 'not:white'), coating)).toBe(false);
    expect(isComplaint(said('frost', 'yes'), findings.get('frost'))).toBe(false);
    expect(isComplaint(said('wording', 'white'), undefined)).toBe(false);
  });
});

describe('asking openly', () => {
  it('comes first while nothing wrong was told, and after every second question in vain', () => {
    expect(askedOpenly(false, 0)).toBe('what');
    expect([0, 1, 2, 3, 4].map((inVain) => askedOpenly(true, inVain))).toEqual([null, null, 'else', null, 'else']);
  });
  it('is done by the consultant until a complaint is told', () => {
    expect(consultant.consult(untold).openly).toBe('what');
    expect(consultant.consult({ ...untold, readings: [said('frost', 'yes')] }).openly).toBe('what');
    expect(consultant.consult({ ...untold, readings: [said('coating', 'white')] }).openly).toBeNull();
  });
  it('is done until nothing more is told', () => {
    const openly: string[] = [];
    const tell = (how: string) => {
      openly.push(how);
      return openly.length === 1 ? [said('coating', 'black')] : null;
    };
    const { asked, input } = interview(consultant, untold, { answer: () => null, tell }, 20);
    expect(asked[0]).toEqual({ finding: null, readings: [said('coating', 'black')] });
    expect(input.readings).toEqual([said('coating', 'black')]);
    expect(openly.slice(1).every((how) => how === 'else')).toBe(true);
    expect(openly.length).toBeLessThanOrEqual(2);
  });
  it('is left out with a caller who cannot tell', () => {
    const { asked } = interview(consultant, untold, { answer: () => null }, 20);
    expect(asked.every(({ finding }) => finding !== null)).toBe(true);
  });
});
