import { describe, expect, it } from '@jest/globals';
import type { Cause } from '../edition/causes.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { claimable, claimPattern, likeliest, spokenForms } from './claims.ts';
import { compilePhrase, PhraseBook } from './phrases.ts';
import { tokenise } from './tokens.ts';

const [mildew, beetle, cold] = smallEdition.causes as [Cause, Cause, Cause];
const bean = smallEdition.plants.find(({ id }) => id === 'bean')!;

describe('names callers give the trouble', () => {
  it('are those of every cause, normal states left out', () => {
    const normal: Cause = { ...cold, id: 'normal', kind: 'normal', name: 'Old leaves' };
    const byName = claimable({ ...smallEdition, causes: [{ ...mildew, name: 'Mildew', also: ['White rust!'] }, normal] });
    expect([...byName.keys()]).toEqual(['mildew', 'white rust']);
  });
  it('may be shared by several causes', () => {
    const byName = claimable({
      ...smallEdition,
      causes: [
        { ...mildew, also: ['rust'] },
        { ...beetle, also: ['rust'] },
      ],
    });
    expect(byName.get('rust')?.map(({ id }) => id)).toEqual(['mildew', 'beetle']);
  });
  it.each([
    ['Downy mildew of onion', ['downy mildew of onion', 'onion downy mildew']],
    ['Weeds in the lawn', ['weeds in the lawn', 'lawn weeds']],
    ['Rust of rose and hollyhock', ['rust of rose and hollyhock']],
    ['Fire blight', ['fire blight']],
  ])('"%s" is said in the forms %p', (name, forms) => expect(spokenForms(name)).toEqual(forms));
  it('keep their words where a number goes: a "28-spotted ladybird" is not any ladybird', () => {
    const byName = claimable({ ...smallEdition, causes: [{ ...beetle, name: '28-spotted ladybird', also: ['X-ray beetle', 'Type 2 - rot'] }] });
    expect([...byName.keys()]).toEqual(['spotted ladybird', 'x-ray beetle', 'type rot']);
  });
  it('are no claim where they only say what is seen', () => {
    const edition = {
      ...smallEdition,
      causes: [{ ...mildew, also: ['bronzing'] }],
      lexicon: { ...smallEdition.lexicon, seenNotNamed: ['bronzing'] },
    };
    expect(claimable(edition).has('bronzing')).toBe(false);
  });
  it.each([
    ['thick skin', false],
    ['passionfruit woodiness', false],
    ['plum moths', true],
    ['root-knot', true],
    ['tobacco hornworms', true],
    ['phytophthora of box', true],
    ['the silver leaf of plums', true],
    ['bronzing', true],
    ['Ceratocystis platani', true],
  ])('of several words are claims only where one names a creature, disease or disorder: "%s" %p', (name, expected) => {
    const naming = ['moth', 'knot', '*worm', 'phytophthora*', 'silver leaf'];
    const edition = { ...smallEdition, causes: [{ ...mildew, also: [name] }], lexicon: { ...smallEdition.lexicon, naming } };
    expect(claimable(edition).has(name.toLowerCase())).toBe(expected);
  });
  it.each([
    ['greening', 'it has greening', true],
    ['greening', 'it is still green', false],
    ['aphids', 'an aphid', true],
    ['fire blight', 'is it fire blight', true],
    ['fire blight', 'blight after the fire', false],
  ])('"%s" is claimed in "%s": %p', (name, text, expected) => {
    const book = new PhraseBook([compilePhrase(claimPattern(name), name, smallEdition.lexicon)], () => false);
    expect(book.matches(tokenise(text, {}), new Set()).length > 0).toBe(expected);
  });
});

describe('of causes that share a name', () => {
  it('the one that suits the plant is meant', () =>
    expect(likeliest([mildew, { ...beetle, hosts: { include: [{ genus: 'Rosa', weight: 9 }], exclude: [] } }], bean)?.id).toBe('mildew'));
  it('and else the commoner', () =>
    expect(
      likeliest(
        [
          { ...mildew, commonness: 'rare' },
          { ...cold, commonness: 'common' },
        ],
        null,
      )?.id,
    ).toBe('cold'));
  it('and of equals the one with most hosts', () => {
    const of = (id: string, ...plants: string[]) => ({
      ...mildew,
      id,
      hosts: { include: plants.map((plant) => ({ plant, weight: 1 })), exclude: [] },
    });
    expect(likeliest([of('a', 'bean'), of('b', 'bean', 'rose')], bean)?.id).toBe('b');
    expect(likeliest([of('b', 'bean'), of('a', 'bean')], bean)?.id).toBe('a');
  });
  it('none is meant by none', () => expect(likeliest([], bean)).toBeNull());
});
