import { describe, expect, it } from '@jest/globals';
import { silentDistribution } from '../diagnosis/model.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { figuresByMark, problemsOf } from './problems.ts';
import { answerShares, mostTellingFirst, separation, separators, usualAnswers } from './separation.ts';

const { findings, causes, plants } = smallEdition;

describe('what tells causes apart', () => {
  const [a, b] = [causes[0]!, causes[1]!];
  it('is nothing between a cause and itself', () => {
    for (const finding of findings) expect(separation(finding, a, a)).toBe(0);
  });
  it('is symmetric and between 0 and 1', () => {
    for (const finding of findings) {
      const there = separation(finding, a, b);
      expect(there).toBeCloseTo(separation(finding, b, a), 12);
      expect(there).toBeGreaterThanOrEqual(0);
      expect(there).toBeLessThanOrEqual(1);
    }
  });
  it('comes best first and leaves out what parts nobody', () => {
    const found = separators([a, b], findings);
    expect(found.length).toBeGreaterThan(0);
    const sums = found.map((s) => s.least + s.greatest);
    expect(sums).toEqual([...sums].sort((x, y) => y - x));
    expect(separators([a, a], findings)).toEqual([]);
  });
  it('shares sum to one, spoken of or not', () => {
    for (const finding of findings) for (const cause of causes) expect(answerShares(finding, cause).reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
  });
  it('names the likeliest answers first', () => {
    for (const finding of findings) {
      const shares = usualAnswers(finding, a).map(({ share }) => share);
      expect(shares).toEqual([...shares].sort((x, y) => y - x));
    }
  });
  it('puts what is most particular to a cause first, and what the edition does not know last', () => {
    const cause = { ...a, rates: [{ finding: 'elsewhere', answers: {}, mark: 'memory' as const }, ...[...a.rates].reverse()] };
    expect(mostTellingFirst(cause, findings).map(({ finding }) => finding)).toEqual(['coating', 'test', 'holes', 'elsewhere']);
  });
});

describe('what a cause does not mention', () => {
  it('is likelier absent than in plants at large, and never impossible', () => {
    for (const finding of findings.filter((f) => f.absent !== undefined)) {
      const silent = silentDistribution(finding);
      finding.answers.forEach((answer, i) => {
        if (answer.id === finding.absent) expect(silent[i]).toBeGreaterThan(answer.background);
        else expect(silent[i]).toBeCloseTo(answer.background / 2, 12);
      });
    }
  });
});

describe('problems of a plant', () => {
  const plant = plants[0]!;
  const problems = problemsOf(plant, smallEdition, 'continental', 'N');
  it('puts its own before those of plants at large', () => {
    const own = problems.map((p) => p.own);
    expect(own.lastIndexOf(true)).toBeLessThan(own.includes(false) ? own.indexOf(false) : own.length);
  });
  it('counts what befalls its kind as its own, and what befalls half the plants there are not', () => {
    const spread = Array.from({ length: 30 }, (_, i) => ({ ...plant, id: `tree-${i}`, genus: `G${i}`, family: `F${i}`, groups: ['tree'] }));
    const palm = { ...plant, id: 'palm', genus: 'Phoenix', family: 'Arecaceae', groups: ['palm', 'tree'] };
    const of = (id: string, group: string) => ({ ...causes[0]!, id, hosts: { include: [{ group, weight: 1 }], exclude: [] } });
    const edition = { ...smallEdition, plants: [...spread, palm], causes: [of('bud-rot', 'palm'), of('lightning', 'tree')] };
    expect(problemsOf(palm, edition, 'continental', 'N').map(({ cause, own }) => [cause.id, own])).toEqual([
      ['bud-rot', true],
      ['lightning', false],
    ]);
  });
  it('measures every month against the commonest', () => {
    expect(Math.max(...problems.flatMap((p) => p.months))).toBeCloseTo(1, 12);
    for (const p of problems) expect(p.peak).toBe(Math.max(...p.months));
  });
  it('turns the year round south of the equator', () => {
    const seasonal = problems.find((p) => p.cause.months.length > 0 && p.cause.months.length < 12);
    if (!seasonal) throw new Error('the small edition has no seasonal cause');
    const south = problemsOf(plant, smallEdition, 'continental', 'S').find((p) => p.cause.id === seasonal.cause.id)!;
    expect(south.months).toEqual([...seasonal.months.slice(6), ...seasonal.months.slice(0, 6)]);
  });
});

it('counts the marks of all figures of a cause', () => {
  for (const cause of causes) {
    const count = figuresByMark(cause);
    expect(count.published + count['common-practice'] + count.memory).toBe(cause.rates.length + cause.windows.length + cause.options.length);
  }
});
