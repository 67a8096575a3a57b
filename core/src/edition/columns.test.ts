import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { asColumns, asRows } from './columns.ts';
import type { Cause, CauseRate } from './causes.ts';
import { packHosts, unpackHosts } from './hostLines.ts';
import { inFindingOrder, packRates, unpackRates } from './rateSets.ts';
import { inWordOrder, packPhrases, phraseWords, unpackPhrases } from './phraseLines.ts';
import { bagWords, packBag, unpackBag } from './wordBags.ts';
import { WordCode, wordList } from './wordList.ts';

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
  it('lays out look-alikes by field once more, and gives each cause its own again', () => {
    const lookAlike = (cause: string) => ({ cause, separate: ['coating'], say: `not ${cause}` });
    const lists = [[lookAlike('beetle'), lookAlike('cold')], [], [{ ...lookAlike('mildew'), separate: [] }]];
    const causes = smallEdition.causes.map((cause, i) => ({ ...cause, lookAlikes: lists[i]! }));
    const packed = asColumns({ ...smallEdition, causes });
    expect(packed.lookAlikes).toMatchObject({ rows: 3, counts: [2, 0, 1], fields: { cause: [1, 2, 0] } });
    expect(asRows(packed).causes.map(({ lookAlikes }) => lookAlikes)).toEqual(lists);
  });
  it('keeps a look-alike that is in no edition under its id', () => {
    const lookAlikes = [{ cause: 'elsewhere', separate: ['unheard-of'], say: 'not here' }];
    const causes = smallEdition.causes.map((cause) => ({ ...cause, lookAlikes }));
    expect(asRows(asColumns({ ...smallEdition, causes })).causes[0]!.lookAlikes).toEqual(lookAlikes);
  });
  it('keeps options, windows and care that recur once, and gives each row its own again', () => {
    const leave = { id: 'leave', act: 'none', title: 'Leave it' } as unknown as Cause['options'][number];
    const spray = { ...leave, id: 'spray' };
    const causes = smallEdition.causes.map((cause, i) => ({ ...cause, options: [[leave, spray], [leave], []][i]! }));
    const packed = asColumns({ ...smallEdition, causes });
    expect(packed.causes.fields['options']).toEqual([[0, spray], [0], []]);
    expect(packed.recurring['options']).toEqual([leave]);
    expect(asRows(packed).causes.map(({ options }) => options)).toEqual([[leave, spray], [leave], []]);
  });
  it('writes rates finding by finding, the causes that say the same together', () => {
    const [first, second] = [
      { ...smallEdition.findings[0]!, id: 'side' },
      { ...smallEdition.findings[1]!, id: 'leaf-drop' },
    ];
    const findings = [first, second].map((finding, i) => ({
      ...finding,
      answers: ['none', ['tips', 'many'][i]!].map((id) => ({ ...finding.answers[0]!, id })),
    }));
    const none: CauseRate = { finding: 'side', answers: { none: 'always' }, mark: 'memory' };
    const rates: CauseRate[][] = [
      [none, { finding: 'leaf-drop', answers: { none: 'usually', many: 'seldom' }, mark: 'common-practice' }],
      [],
      [none],
      [{ ...none, note: 'in wet years' }],
      [{ finding: 'leaf-drop', answers: { many: 'often' }, mark: 'memory' }, none],
      [{ ...none, answers: { unheard: 'often' } }],
      [{ ...none, finding: 'elsewhere' }],
      [none, none],
    ];
    const { sets, left } = packRates(
      rates.map((some) => ({ rates: some })),
      findings,
    );
    expect(sets).toEqual({ said: ['A', '*A2A5'], of: ['AB', 'A'] });
    expect(left).toEqual([null, null, null, ...rates.slice(3)]);
    expect(unpackRates(sets, left, findings)).toEqual(rates);
    expect(inFindingOrder(rates[4]!, findings)).toEqual([...rates[4]!].reverse());
    expect(inFindingOrder([{ ...none, answers: { tips: 'never', none: 'always' } }], findings).map(({ answers }) => Object.keys(answers))).toEqual([
      ['none', 'tips'],
    ]);
  });
  it('writes the hosts of a cause in one line, with those that are none', () => {
    const hosts: Cause['hosts'] = {
      include: [
        { any: true, weight: 0.5 },
        { plant: 'fig', weight: 1.8 },
        { genus: 'Malus', weight: 0.4 },
        { family: 'Rosaceae', weight: 1 },
      ],
      exclude: [{ group: 'houseplant' }, { plant: 'medlar' }],
    };
    expect(packHosts(hosts)).toBe('* 0.5,fig 1.8,G:Malus 0.4,F:Rosaceae 1!R:houseplant,medlar');
    const noted: Cause['hosts'] = { include: [{ plant: 'fig', weight: 1, note: 'in pots' }], exclude: [] };
    expect(packHosts(noted)).toBe(noted);
    for (const some of [hosts, noted, { ...hosts, exclude: [] }, { include: [], exclude: [] }]) expect(unpackHosts(packHosts(some))).toEqual(some);
  });
  it('packs callers’ words by a list they share, and gives back any text', () => {
    const texts = ['brown brown leaf', 'leaf spot', '', 'not in order', null, 'a leaf leaf leaf', 'double  blank'];
    const list = wordList(texts.flatMap(bagWords));
    const code = new WordCode(list);
    const bags = texts.map((text) => packBag(text, code));
    expect(list).toEqual(['leaf', 'brown', 'a', 'spot']);
    expect(bags).toEqual(['AA2', 'AC', '', '=not in order', null, 'A3B', '=double  blank']);
    expect(bags.map((bag) => unpackBag(bag, code))).toEqual(texts);
    const causes = smallEdition.causes.map((cause, i) => ({ ...cause, heard: texts[i]! }));
    expect(asRows(asColumns({ ...smallEdition, causes })).causes.map(({ heard }) => heard)).toEqual(texts.slice(0, causes.length));
  });
  it('packs any gap and any count', () => {
    const list = Array.from({ length: 2200 }, (_, i) => `w${String(i).padStart(4, '0')}`);
    const texts = [
      list.join(' '),
      ...[0, 31, 32, 33, 1023, 1055, 1056, 1057, 2199].map((i) => list[i]!),
      [...Array.from({ length: 120 }, () => list[7]), list[1500]].join(' '),
    ];
    const code = new WordCode(wordList(texts.flatMap(bagWords)));
    expect(texts.map((text) => unpackBag(packBag(text, code), code))).toEqual(texts);
  });
  it('says which word is missing from its list', () => {
    expect(() => packBag('leaf', new WordCode(['spot']))).toThrow('"leaf" is not in the word list');
  });
  it('writes phrases by the same list, and leaves those whose words are in no order', () => {
    const phrases = ['=leaf|leaves curl*|roll* -frost|{no}', '~white dust +sticky', "can't see"];
    const code = new WordCode(wordList(phraseWords(phrases)));
    const packed = packPhrases(phrases, code);
    expect(typeof packed).toBe('string');
    expect(unpackPhrases(packed as string, code)).toEqual(phrases);
    const unordered = ['leaves|leaf curl*'];
    expect(packPhrases(unordered, code)).toBe(unordered);
    expect(phraseWords(unordered)).toEqual([]);
    expect(unordered.map(inWordOrder)).toEqual(['leaf|leaves curl*']);
    expect(unpackPhrases(unordered, code)).toEqual(unordered);
  });
  it('may have no causes', () => {
    expect(asRows(asColumns({ ...smallEdition, causes: [] })).causes).toEqual([]);
  });
});
