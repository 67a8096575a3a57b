import { describe, expect, it } from '@jest/globals';
import { crossValidate, loadSoybean, ownOrder, tenFolds } from './soybean.ts';

// Michalski & Chilausky 1980, the large soybean data: 683 cases, 35 findings, 19 diseases.
const table = loadSoybean();

describe('soybean disease data', () => {
  it('is whole, with its gaps', () => {
    expect([table.rows.length, table.columns.length, table.labels.length]).toEqual([683, 35, 19]);
    expect(table.rows.flatMap((r) => r.values).filter((v) => v === null).length).toBe(2337);
  });
  it('splits every disease evenly and the same way each time', () => {
    const folds = tenFolds(table, 7);
    expect(folds).toEqual(tenFolds(table, 7));
    for (let k = 0; k < 10; k++) expect(Math.abs(folds.filter((f) => f === k).length - 68.3)).toBeLessThan(2);
  });
  // a naive Bayes with one added to each cell: R's e1071 gives 92.5 % in folds and 88.3 % in the data's own order
  it('names as many as R’s naive Bayes does', () => {
    const result = crossValidate(table, tenFolds(table, 1980), 5);
    expect(result.firstChoice).toBeGreaterThan(0.905);
    expect(result.afterQuestions[3]).toBeGreaterThan(0.84); // a plain model asking the most informative question: 84 % after 4
    expect(ownOrder(table)).toBeGreaterThan(0.86);
  });
});
