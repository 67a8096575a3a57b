import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { asColumns, asRows } from './columns.ts';

describe('an edition by column', () => {
  it('comes back as it was, whichever fields a row has', () => {
    const back = asRows(JSON.parse(JSON.stringify(asColumns(smallEdition))) as ReturnType<typeof asColumns>);
    expect(back).toEqual(JSON.parse(JSON.stringify(smallEdition)));
    expect(back.causes.filter((cause) => 'latin' in cause).length).toBe(smallEdition.causes.filter(({ latin }) => latin !== undefined).length);
  });
  it('may have no causes', () => {
    expect(asRows(asColumns({ ...smallEdition, causes: [] })).causes).toEqual([]);
  });
});
