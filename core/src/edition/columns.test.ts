import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { asColumns, asRows } from './columns.ts';
import { packBags, unpackBags } from './wordBags.ts';

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
  it('packs callers’ words by a list they share, and gives back any text', () => {
    const texts = ['brown brown leaf', 'leaf spot', '', 'not in order', null, 'a leaf leaf leaf', 'double  blank'];
    const packed = packBags(texts);
    expect(packed).toEqual({
      words: 'leaf brown a spot',
      bags: ['0 0*2', '0 2', '', '=not in order', null, '0*3 1', '=double  blank'],
    });
    expect(unpackBags(packed)).toEqual(texts);
    const causes = smallEdition.causes.map((cause, i) => ({ ...cause, heard: texts[i]! }));
    expect(asRows(asColumns({ ...smallEdition, causes })).causes.map(({ heard }) => heard)).toEqual(texts.slice(0, causes.length));
  });
  it('reads what a browser kept from before the words were packed', () => {
    const causes = smallEdition.causes.map((cause) => ({ ...cause, heard: 'brown leaf' }));
    const kept = asColumns({ ...smallEdition, causes });
    kept.causes.fields['heard'] = causes.map(({ heard }) => heard);
    delete kept.words;
    expect(asRows(kept).causes.map(({ heard }) => heard)).toEqual(causes.map(({ heard }) => heard));
  });
  it('may have no causes', () => {
    expect(asRows(asColumns({ ...smallEdition, causes: [] })).causes).toEqual([]);
  });
});
