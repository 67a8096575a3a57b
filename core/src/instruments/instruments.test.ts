import { describe, expect, it } from '@jest/globals';
import { checksum, fromInstrument, line, LineCutter, sayTo, seqOf, toInstrument } from './line.ts';
import { instrumentSays, wetness } from './says.ts';

describe('the line protocol', () => {
  // NMEA 0183, the sentence used in most explanations of its checksum: $GPGLL,5300.97914,N,00259.98174,E,125926,A*28
  it('reckons the checksum of a published sentence', () => expect(checksum('GPGLL,5300.97914,N,00259.98174,E,125926,A')).toBe('28'));
  it('reads what an instrument says of itself and what it has measured', () => {
    expect(fromInstrument(line(['HELLO', 1, 'soil-probe', 'P-17', 'probe on the shelf']))).toEqual({
      ok: true,
      message: { kind: 'hello', instrument: 'soil-probe', serial: 'P-17', name: 'probe on the shelf' },
    });
    expect(fromInstrument(line(['READING', 12, 'moisture', 23.4, '%vol', 'ec', 1.25, 'mS/cm']))).toEqual({
      ok: true,
      message: { kind: 'reading', seq: 12, measured: { moisture: 23.4, ec: 1.25 } },
    });
    expect(fromInstrument(line(['FAULT', 'battery low']))).toEqual({ ok: true, message: { kind: 'fault', text: 'battery low' } });
  });
  it.each([
    ['READING,12,mois', 'checksum'],
    ['READING,12,ph,7.1,pH*00', 'checksum'],
    [line(['READING', 12, 'ph', 7.1, 'mV']), 'unknown'],
    [line(['READING', 12, 'colour', 7.1, 'x']), 'unknown'],
    [line(['READING', 12]), 'unknown'],
    [line(['READING', 'x', 'ph', 7, 'pH']), 'unknown'],
    [line(['READING', 12, 'ph', 15, 'pH']), 'impossible'],
    [line(['READING', 12, 'ph', '', 'pH']), 'impossible'],
    [line(['HELLO', 2, 'scale', 'S', 'x']), 'unknown'],
    [line(['HELLO', 1, 'kettle', 'K', 'x']), 'unknown'],
    [line(['NONSENSE']), 'unknown'],
  ])('throws away %s: %s', (text, reason) => expect(fromInstrument(text)).toMatchObject({ ok: false, reason }));
  it('knows the number of a reading whose figures are no good, and of no other line', () => {
    expect(seqOf(line(['READING', 12, 'ph', 15, 'pH']))).toBe(12);
    expect(seqOf(line(['FAULT', 'x']))).toBeNull();
    expect(seqOf('READING,12,ph')).toBeNull();
  });
  it('reads back what it says to an instrument', () => {
    expect(toInstrument(sayTo({ kind: 'take' }))).toEqual({ ok: true, message: { kind: 'take' } });
    expect(toInstrument(sayTo({ kind: 'kept', seq: 7 }))).toEqual({ ok: true, message: { kind: 'kept', seq: 7 } });
    expect(toInstrument(line(['KEPT', 'x']))).toMatchObject({ ok: false });
  });
  it('will not write a field that would break the line', () => expect(() => line(['HELLO', 'a,b'])).toThrow('separator'));
  it('cuts a stream into the same lines wherever it is broken', () => {
    const stream = 'one*01\r\ntwo*02\nthr';
    for (let at = 0; at <= stream.length; at++) {
      const cutter = new LineCutter();
      expect([...cutter.feed(stream.slice(0, at)), ...cutter.feed(stream.slice(at))]).toEqual(['one*01', 'two*02']);
      expect(cutter.unfinished).toBe('thr');
    }
  });
});

describe('what a reading says', () => {
  // FAO-56 table 19, loam: field capacity 20–30, wilting point 7–17 % by volume
  it.each([
    ['sand', 5, 'dry'],
    ['sand', 11, 'moist'],
    ['sand', 18, 'wet'],
    ['loam', 14, 'dry'],
    ['loam', 22, 'moist'],
    ['loam', 31, 'wet'],
    ['clay', 26, 'dry'],
    ['clay', 33, 'moist'],
    ['clay', 41, 'wet'],
  ] as const)('%s at %d %% is %s', (soil, pct, word) => expect(wetness(pct, soil)).toBe(word));
  it('a wetter soil is never called drier', () => {
    const order = { dry: 0, moist: 1, wet: 2 };
    for (const soil of ['sand', 'loam', 'clay'] as const)
      for (let pct = 1; pct <= 60; pct++) expect(order[wetness(pct, soil)]).toBeGreaterThanOrEqual(order[wetness(pct - 1, soil)]);
  });
  it('calls 4 mS/cm saline, below 2 harmless, and says nothing between', () => {
    expect(instrumentSays({ ec: 4 }, 'loam').readings).toEqual([{ finding: 'salt-source', answer: 'yes' }]);
    expect(instrumentSays({ ec: 1.9 }, 'loam').readings).toEqual([{ finding: 'salt-source', answer: 'no' }]);
    expect(instrumentSays({ ec: 3 }, 'loam').readings).toEqual([]);
  });
  it('names the reaction by the classes of the soil survey', () => {
    expect(instrumentSays({ ph: 7.4 }, 'loam').readings[0]?.answer).toBe('limy');
    expect(instrumentSays({ ph: 7.3 }, 'loam').readings[0]?.answer).toBe('unknown-neutral');
    expect(instrumentSays({ ph: 6 }, 'loam').readings[0]?.answer).toBe('acid');
  });
  it('says figures in the same order however they came', () =>
    expect(instrumentSays({ temperature: 20, ec: 1.2, moisture: 30 }, 'loam').lines).toEqual([
      '30 % water in the soil',
      '1.2 mS/cm salt (EC)',
      '20 °C',
    ]));
  it('weighs without judging', () => expect(instrumentSays({ mass: 1840 }, 'loam')).toEqual({ lines: ['1.84 kg'], readings: [], figures: [] }));
});
