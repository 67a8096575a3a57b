import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { asColumns, asRows } from './columns.ts';

describe('an edition by column', () => {
  it('comes back as it was, whichever fields a row has', () => {
    const back = asRows(JSON.parse(JSON.stringify(asColumns(smallEdition))) as ReturnType<typeof asColumns>);
    expect(back).toEqual(JSON.parse(JSON.stringify(smallEdition)));
  });
  it('lays a field out once for all rows, null where a row has none', () => {
    const [mildew, ...others] = smallEdition.causes;
    const { causes } = asColumns({ ...smallEdition, causes: [{ ...mildew!, latin: 'Erysiphe' }, ...others] });
    expect(causes.fields['id']).toEqual(smallEdition.causes.map(({ id }) => id));
    expect(causes.fields['latin']).toEqual(['Erysiphe', ...others.map(() => null)]);
  });
  it('may have no causes', () => {
    expect(asRows(asColumns({ ...smallEdition, causes: [] })).causes).toEqual([]);
  });
});
