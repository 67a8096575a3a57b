import { describe, expect, it } from '@jest/globals';
import { fromPlaces, recurringIn, withPlaces } from './recurring.ts';

const [a, b, c] = [{ how: 'a' }, { how: 'b' }, { how: 'c' }];

describe('rows that recur', () => {
  it('are found in lists and alone, most frequent first', () => {
    expect(recurringIn([[a, b], null, [b], { ...b }, [a, c]])).toEqual([b, a]);
    expect(recurringIn([])).toEqual([]);
  });
  it.each([[[[a, b], null, [b], b]], [[a, null, a]], [[[], [c]]]])('come back where they stood: %j', (field) => {
    const recurring = recurringIn(field);
    const placed = withPlaces(field, recurring);
    expect(fromPlaces(JSON.parse(JSON.stringify(placed)) as unknown[], recurring)).toEqual(field);
  });
});
