import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CHANNELS, WORDING } from '../edition/findings.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { Consultant, type ConsultInput } from './consult.ts';
import { CaseError, CaseReader } from './diagnoseCase.ts';
import { likelihoodWord, readingText } from './words.ts';

const base: ConsultInput = {
  host: 'bean',
  date: '2026-05-10',
  climate: 'continental',
  hemisphere: 'N',
  setting: 'phone',
  readings: [],
  unanswered: [],
  weather: null,
};
const anyReading = fc
  .constantFrom(...smallEdition.findings)
  .chain((f) =>
    fc.record({ finding: fc.constant(f.id), answer: fc.constantFrom(...f.answers.map((a) => a.id)), channel: fc.constantFrom(...CHANNELS) }),
  );

describe('consultant', () => {
  it('gives the same standing again for the same record, also from a new engine', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 5 }), (readings) => {
        const input = { ...base, readings };
        const one = new Consultant(smallEdition);
        expect(one.consult(input)).toEqual(one.consult(input));
        expect(new Consultant(smallEdition).consult(JSON.parse(JSON.stringify(input)) as ConsultInput)).toEqual(one.consult(input));
      }),
      { numRuns: 25 },
    );
  });
  it('a withdrawn reading is as one never taken', () => {
    const consultant = new Consultant(smallEdition);
    const kept = { finding: 'holes', answer: 'some', channel: 'caller' as const };
    const before = consultant.consult({ ...base, readings: [kept] });
    consultant.consult({ ...base, readings: [kept, { finding: 'frost', answer: 'yes', channel: 'caller' }] });
    expect(consultant.consult({ ...base, readings: [kept] })).toEqual(before);
  });
  it('ranks every possible cause and the unlisted, likeliest first, summing to one', () => {
    const { candidates } = new Consultant(smallEdition).consult(base);
    expect(candidates.map((c) => c.cause).sort()).toEqual(['beetle', 'cold', 'mildew', 'unlisted']);
    expect(candidates.reduce((s, c) => s + c.probability, 0)).toBeCloseTo(1, 12);
    candidates.slice(1).forEach((c, i) => expect(c.probability).toBeLessThanOrEqual(candidates[i]!.probability));
  });
  it('does not ask again what could not be answered, and asks bench tests only at the table', () => {
    const ids = (input: ConsultInput) => new Consultant(smallEdition).consult(input).questions.map((q) => q.finding);
    expect(ids({ ...base, unanswered: ['holes'] })).not.toContain('holes');
    expect(ids(base)).not.toContain('test');
    expect(ids({ ...base, setting: 'table' })).toContain('test');
  });
  it('sees nothing to act on before anything was seen', () =>
    expect(new Consultant(smallEdition).consult(base).decision).toMatchObject({ act: 'leave', firm: false }));
  it('does not end a call on the way it was put while half of it leaves the leader a guess', () => {
    const causes = smallEdition.causes.map((cause) => (cause.id === 'cold' ? { ...cause, heard: 'icicles glassy crackled rime hoar' } : cause));
    const consultant = new Consultant({ ...smallEdition, causes });
    const standings = ['icicles', 'glassy rime', 'glassy crackled rime', 'icicles glassy crackled rime hoar'].map((answer) => {
      const words = { finding: WORDING, answer, channel: 'caller' as const };
      const { candidates, decision, enough } = consultant.consult({ ...base, readings: [words] });
      return { likely: candidates[0]!.cause === 'cold' && candidates[0]!.probability >= 0.5, firm: decision.firm, enough: enough.enough };
    });
    expect(standings).toContainEqual({ likely: true, firm: false, enough: false });
    expect(standings).not.toContainEqual({ likely: true, firm: false, enough: true });
    expect(standings.at(-1)).toEqual({ likely: true, firm: true, enough: true });
    const looked = [
      { finding: WORDING, answer: 'glassy rime and hoar', channel: 'caller' as const },
      { finding: 'frost', answer: 'yes', channel: 'laboratory' as const },
    ];
    expect(consultant.consult({ ...base, readings: looked }).enough).toEqual({ enough: true, because: 'one-stands-out' });
  });
  it('refuses a host the edition does not have', () =>
    expect(() => new Consultant(smallEdition).consult({ ...base, host: 'unicorn' })).toThrow(/"unicorn" is not in this edition/));
});

describe('case reader', () => {
  const reader = new CaseReader(smallEdition);
  const input = { date: null, climate: null, hemisphere: 'N' as const, host: null, words: [], readings: [] };
  it('takes settled readings and words together', () => {
    const out = reader.diagnose({
      ...input,
      host: 'runner bean',
      words: ['holes'],
      readings: [{ finding: 'coating', answer: 'not:white', channel: 'photo' }],
    });
    expect(out).toMatchObject({ host: { id: 'bean' }, understood: [{ finding: 'holes', answer: 'some' }], differential: { 0: { cause: 'beetle' } } });
  });
  it('names the field of a reading it cannot take', () => {
    expect(() => reader.diagnose({ ...input, readings: [{ finding: 'moon', answer: 'x', channel: 'caller' }] })).toThrow(CaseError);
    expect(() => reader.diagnose({ ...input, readings: [{ finding: 'holes', answer: 'x', channel: 'caller' }] })).toThrow(
      'readings[0].answer: "x" is not an answer to holes; it has none, some',
    );
  });
});

describe('words', () => {
  it.each([
    [0.95, 'almost certainly'],
    [0.9499, 'very likely'],
    [0.8, 'very likely'],
    [0.6, 'likely'],
    [0.4, 'perhaps'],
    [0.15, 'possibly'],
    [0.1499, 'one of many'],
  ])('%p is "%s"', (p, word) => expect(likelihoodWord(p)).toBe(word));
  it('says readings, denials and what it does not know', () => {
    expect(readingText(smallEdition, 'coating', 'white')).toBe('coating: white');
    expect(readingText(smallEdition, 'coating', 'not:white')).toBe('coating: not white');
    expect(readingText(smallEdition, 'coating', 'not:none')).toBe('coating: there, kind not said');
    expect(readingText(smallEdition, 'moon', 'full')).toBe('moon: full');
    const [coating, ...others] = smallEdition.findings;
    const named = { ...coating!, answers: coating!.answers.map((a) => (a.id === 'white' ? { ...a, denied: 'there, of another colour' } : a)) };
    expect(readingText({ ...smallEdition, findings: [named, ...others] }, 'coating', 'not:white')).toBe('coating: there, of another colour');
  });
});
