import { describe, expect, it } from '@jest/globals';
import type { Cause } from '@sounding/core/edition/causes.ts';
import { inPackingOrder, likeBesideLike } from './packingOrder.ts';

describe('the order in which an edition is packed', () => {
  it('puts rows that hold the same beside each other', () => {
    const rows = [
      { id: 'c', kind: 'mite' },
      { id: 'b', kind: 'fungus' },
      { id: 'a', kind: 'mite' },
    ];
    expect(likeBesideLike(rows, 'kind', 'id').map(({ id }) => id)).toEqual(['b', 'a', 'c']);
  });

  it('begins with the names several causes go by, and loses none', () => {
    const named = (id: string, also: string[]) =>
      ({
        id,
        also,
        hosts: {
          include: [
            { plant: 'yew', weight: 1 },
            { any: true, weight: 2 },
          ],
          exclude: [],
        },
      }) as unknown as Cause;
    const ordered = inPackingOrder([named('frost', ['cold injury', 'black tips', 'scorch']), named('sun', ['scorch', 'burn'])]);
    expect(ordered.map(({ also }) => also)).toEqual([
      ['scorch', 'black tips', 'cold injury'],
      ['scorch', 'burn'],
    ]);
    expect(ordered[0]?.hosts.include.map(({ weight }) => weight)).toEqual([2, 1]);
  });
});
