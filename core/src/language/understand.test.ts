import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { Understander } from './understand.ts';
import { lonePlant } from './understanding.ts';
import { tokenise } from './tokens.ts';

const reader = new Understander(smallEdition);
const read = (...words: Parameters<Understander['understand']>[0]) => reader.understand(words);
const pairs = (...words: Parameters<Understander['understand']>[0]) => read(...words).readings.map((r) => `${r.finding}=${r.answer}`);

describe('tokens', () => {
  it('opens contractions and splits clauses at stops and turns', () => {
    const tokens = tokenise("It isn't white, but there’s frost. Yes", {});
    expect(tokens.map((t) => t.word)).toEqual(['it', 'is', 'not', 'white', 'but', 'there', 'is', 'frost', 'yes']);
    expect(tokens.map((t) => t.clause)).toEqual([0, 0, 0, 0, 1, 1, 1, 1, 2]);
  });
  it.each([
    ['yellow in the fall', 'autumn'],
    ['fine last fall', 'autumn'],
    ['the leaves fall', 'fall'],
    ['no leaves at all', 'whatsoever'],
    ['brown leaves on all', 'all'],
    ['by the shed', 'hut'],
    ['it shed', 'shed'],
  ])('tells the season and the place from the verb: %s', (text, last) => expect(tokenise(text, {}).at(-1)?.word).toBe(last));
});

it('keeps "nothing but" in one clause, as "only"', () =>
  expect(tokenise('nothing left but veins', {}).map(({ word, clause }) => [word, clause])).toEqual([
    ['only', 0],
    ['left', 0],
    ['veins', 0],
  ]));

describe('findings', () => {
  it('reads several from one sentence, in the order they were said', () =>
    expect(pairs('holes in the leaves and white powder')).toEqual(['holes=some', 'coating=white']));
  it('reads a denial as the absent answer', () => expect(pairs('there is no powder')).toEqual(['coating=none']));
  it('ends a denial at "but"', () => expect(pairs('no powder but holes')).toEqual(['coating=none', 'holes=some']));
  it('carries a denial over "or"', () => expect(pairs('no powder or holes')).toEqual(['coating=none', 'holes=none']));
  it('ends a denial at what tells when or why, unless that is denied', () => {
    expect(pairs('no powder after the frost')).toEqual(['coating=none', 'frost=yes']);
    expect(pairs('not after frost')).toEqual(['frost=no']);
  });
  it('ends a denial at how long it has been so', () => {
    expect(pairs('no powder in eight frost years')).toEqual(['coating=none', 'frost=yes']);
    expect(pairs('never powder in frost')).toEqual(['coating=none', 'frost=no']);
  });
  it('does not take "not only" for a denial', () => expect(pairs('not only powder')).toEqual(['coating=white']));
  it('does not deny a phrase that says no itself', () => expect(pairs('it has no frost and was never eaten')).toEqual(['frost=no', 'holes=none']));
  it.each(['maybe powder', 'powder maybe', 'powder I think'])('marks doubt in the channel: %s', (words) =>
    expect(read(words).readings[0]?.channel).toBe('caller-unsure'),
  );
  it('but not in what was told a breath before', () => expect(read('white powder, mites perhaps').readings[0]?.channel).toBe('caller'));
  it('forgives one wrong letter in a known word', () => expect(pairs('white powdr on it')).toEqual(['coating=white']));
  it('keeps what it cannot place, without the small words', () => expect(read('the zorble has powder').notUnderstood).toEqual(['zorble']));
  it('takes a worried question behind a statement for no finding, though it has no mark', () =>
    expect(pairs('it has holes, is it powder')).toEqual(['holes=some']));
  it.each(['Is it powder?', 'Is the powder spreading?', 'Could it get powder?'])('takes a worried question for no finding: %s', (worry) =>
    expect(pairs(`there are holes. ${worry}`)).toEqual(['holes=some']),
  );
  it('says which words it read', () => expect(read('there is white powder').readings[0]?.from).toBe('white powder'));
});

describe('plants', () => {
  it('reads the plant next door as something seen, by its whole name', () => {
    const oak = { id: 'oak', say: 'an oak', words: ['=oak tree'], background: 0.1 };
    const [coating, ...others] = smallEdition.findings;
    const heard = new Understander({ ...smallEdition, findings: [{ ...coating!, answers: [...coating!.answers, oak] }, ...others] });
    const answers = (words: string) => heard.understand([words]).readings.map((r) => r.answer);
    expect(answers('an oak tree next door')).toEqual(['oak']);
    expect(answers('my oak tree has holes')).toEqual(['some']);
  });
  it('takes a verb for no plant', () => expect(read('I was beaned and beaning').host).toBeNull());
  it('takes what is made for a plant for no plant', () => {
    expect(read('I gave it bean food').host).toBeNull();
    expect(read('it sat on my bean bag').host).toBeNull();
    expect(read('my bean has holes').host?.id).toBe('bean');
  });
  it('takes no word of the host’s own name for something seen, but a likeness is seen', () => {
    const wool = { id: 'wool', say: 'wool', words: ['bean*'], background: 0.1 };
    const [coating, ...others] = smallEdition.findings;
    const edition = { ...smallEdition, findings: [{ ...coating!, answers: [...coating!.answers, wool] }, ...others] };
    const heard = new Understander(edition);
    expect(heard.understand(['my bean has holes']).readings.map((r) => r.answer)).toEqual(['some']);
    expect(heard.understand(['my oak has lumps like beans']).readings.map((r) => r.answer)).toEqual(['wool']);
  });
  it.each([
    ['my oak tree has holes', 'oak'],
    ['Quercus exemplaris', 'oak'],
    ['the runner bean', 'bean'],
    ['beans', 'bean'],
  ])('finds the host in "%s"', (words, id) => expect(read(words).host?.id).toBe(id));
  it('does not take the neighbour for the host', () => {
    const heard = read('holes on my bean, there is an oak next door');
    expect(heard.host?.id).toBe('bean');
    expect(heard.plants.map((p) => [p.plant.id, p.nearby])).toEqual([
      ['bean', false],
      ['oak', true],
    ]);
  });
  it("falls back on the only plant spoken of, where it is the caller's own", () => {
    expect(lonePlant(read('a bonfire next to my oak'))?.id).toBe('oak');
    expect(lonePlant(read('a bonfire next to an oak'))).toBeNull();
    expect(lonePlant(read("my neighbour's oak is fine, mine has holes"))?.id).toBe('oak');
    expect(lonePlant(read("my neighbour's oak is fine"))).toBeNull();
    expect(lonePlant(read("my neighbour's oak has spots"))?.id).toBe('oak');
    expect(lonePlant(read('a bean next to my oak'))).toBeNull();
  });
  it.each([
    ['there is a lump like a little bean on my oak', 'oak'],
    ['swellings the size of a bean on the oak', 'oak'],
    ['I would like a bean, something ate the last', 'bean'],
    ['a bean growing up my oak has holes', 'oak'],
    ['bean covering the whole oak', 'oak'],
    ['the bean and the oak have holes', 'bean'],
  ])('takes a likeness or what climbs over it for no host: "%s"', (words, id) => expect(read(words).host?.id).toBe(id));
  it('resolves ids and names, and nothing else', () => {
    expect(reader.resolvePlant('oak')?.id).toBe('oak');
    expect(reader.resolvePlant('Oak Tree')?.id).toBe('oak');
    expect(reader.resolvePlant('umbrella')).toBeNull();
  });
  it('takes a colour asked for as a name for the plant, though not in talk', () => {
    const orange = {
      ...smallEdition.plants[0]!,
      id: 'orange-tree',
      name: 'Orange tree',
      latin: 'Citrus sinensis',
      genus: 'Citrus',
      also: ['oranges!'],
    };
    const withOrange = new Understander({ ...smallEdition, plants: [...smallEdition.plants, orange] });
    expect(withOrange.resolvePlant('Orange')?.id).toBe('orange-tree');
    expect(withOrange.understand(['an orange powder']).host).toBeNull();
  });
});

describe('talk while a question of ours is open', () => {
  const coating = smallEdition.findings.find(({ id }) => id === 'coating')!;
  it.each([
    ['white', true, ['coating=white']],
    ['they look fine', true, ['coating=none']],
    ['yes', true, ['coating=not:none']],
    ['there are holes', false, ['holes=some']],
    ['yes it has holes', false, ['holes=some']],
    ['yes, and it has holes', true, ['coating=not:none', 'holes=some']],
    ['white on the oak', false, []],
    ['well I would say that it is rather white', false, []],
    ['can she touch the white', false, []],
  ])('"%s" answers it: %s', (said, answers, readings) => {
    const reply = reader.understandReply(said, coating);
    expect(reply.answers).toBe(answers);
    expect(reply.understanding.readings.map(({ finding, answer }) => `${finding}=${answer}`)).toEqual(readings);
  });
});

describe('answers to a question', () => {
  it('takes yes and no in the light of what was asked', () => {
    expect(pairs({ ask: 'is there powder?', say: 'yes' })).toEqual(['coating=white']);
    expect(pairs({ ask: 'is there powder?', say: 'no' })).toEqual(['coating=none']);
    expect(pairs({ ask: 'is the powder white?', say: 'no' })).toEqual(['coating=not:white']);
  });
  it('reads what is said beyond the yes', () =>
    expect(pairs({ ask: 'is there powder?', say: 'yes, and holes' }).sort()).toEqual(['coating=white', 'holes=some']));
  it('takes the engine’s own question by its words', () => expect(pairs({ ask: 'what about frost?', say: 'yes' })).toEqual(['frost=yes']));
  it('does not take the "no" of "no holes" for an answer to something else', () =>
    expect(pairs({ ask: 'what about frost?', say: 'no holes, and powder' })).toEqual(['holes=none', 'coating=white']));
  it('settles only what a yes can settle', () => {
    expect(pairs({ ask: 'what about coating?', say: 'yes' })).toEqual(['coating=not:none']);
    expect(pairs({ ask: 'what about coating?', say: 'no' })).toEqual(['coating=none']);
    expect(pairs({ ask: 'what about test?', say: 'yes' })).toEqual([]);
  });
  it('reads what follows the yes or no in the light of the question', () => {
    expect(pairs({ ask: 'is the soot grey?', say: 'no, black' })).toEqual(['coating=black']);
    expect(pairs({ ask: 'what colour is the soot?', say: 'black, and holes' }).sort()).toEqual(['coating=black', 'holes=some']);
    expect(pairs({ ask: 'what is on the leaf?', say: 'white powder' })).toEqual(['coating=white']);
  });
  it('takes the one of two things that is named', () => {
    expect(pairs({ ask: 'is the soot grey or black?', say: 'black' })).toEqual(['coating=black']);
    expect(pairs({ ask: 'powder or soot?', say: 'the powder' })).toEqual(['coating=white']);
  });
  it('does not answer a question with its own words', () =>
    expect(pairs({ ask: 'are there holes in the leaf?', say: 'the leaf has frost' })).toEqual(['frost=yes']));
  it('takes nothing said of one organ for another', () => {
    expect(pairs({ ask: 'how is the fruit?', say: 'black soot and frost' })).toEqual(['frost=yes']);
    expect(pairs({ ask: 'how is the fruit?', say: 'black soot on the leaves, and frost' }).sort()).toEqual(['coating=black', 'frost=yes']);
  });
  it('takes a time for a yes', () => expect(pairs({ ask: 'is there powder?', say: 'only in the morning' })).toEqual(['coating=white']));
  it('takes what was asked for by name as there where the answer only describes it', () => {
    expect(pairs({ ask: 'any powder?', say: 'a thick layer' })).toEqual(['coating=white']);
    expect(pairs({ ask: 'powder?', say: 'hardly' })).toEqual(['coating=none']);
    expect(pairs({ ask: 'powder?', say: 'black soot' })).toEqual(['coating=black']);
    expect(pairs({ ask: 'what about powder on it?', say: 'a thick layer' })).toEqual([]);
  });
  it('reads nothing from "I don’t know"', () => expect(pairs({ ask: 'is there powder?', say: "I don't know" })).toEqual([]));
});

describe('claims and care', () => {
  it('keeps a self-diagnosis as a claim, never as evidence', () => {
    const heard = read('it is mildew');
    expect(heard.claims.map((c) => c.cause)).toEqual(['mildew']);
    expect(heard.readings).toEqual([]);
  });
  it('takes no claim from another form of a one-word name, from a name that is denied, or from what anybody calls what is seen', () => {
    const [mildew, ...others] = smallEdition.causes;
    const edition = { ...smallEdition, causes: [{ ...mildew!, also: ['greening', 'light'] }, ...others] };
    const heard = new Understander({ ...edition, lexicon: { ...edition.lexicon, seenNotNamed: ['light'] } });
    const claims = (words: string) => heard.understand([words]).claims.length;
    expect(['it is greening', 'still green', 'no mildew', 'light'].map(claims)).toEqual([1, 0, 0, 0]);
  });
  it('takes a hyphened name as a whole', () => {
    const [mildew, ...others] = smallEdition.causes;
    const heard = new Understander({ ...smallEdition, causes: [{ ...mildew!, also: ['die-back'] }, ...others] });
    const claims = (words: string) => heard.understand([words]).claims.length;
    expect(['it is die-back', 'they die', 'my back hurts'].map(claims)).toEqual([1, 0, 0]);
  });
  it('takes a name within a longer name for no second claim', () => {
    const [mildew, beetle, ...others] = smallEdition.causes;
    const heard = new Understander({ ...smallEdition, causes: [{ ...mildew!, name: 'fire blight' }, { ...beetle!, also: ['blight'] }, ...others] });
    expect(heard.understand(['it is fire blight']).claims.map((c) => c.cause)).toEqual(['mildew']);
  });
  it('claims nothing by the plant’s own name', () => {
    const [mildew, ...others] = smallEdition.causes;
    const heard = new Understander({ ...smallEdition, causes: [{ ...mildew!, also: ['oak'] }, ...others] });
    expect(heard.understand(['my oak has holes']).claims).toEqual([]);
  });
  it('knows a question of care', () => expect(read('when should I prune my oak?').care.map((c) => c.topic)).toEqual(['prune']));
});

describe('care', () => {
  it('alone is told from trouble', () => {
    const { care, onlyCare } = read('when to prune my bean on the trellis');
    expect(care.map(({ topic }) => topic)).toEqual(['prune']);
    expect(onlyCare).toBe(true);
  });
  it('beside trouble leaves the trouble to be weighed', () => {
    const { care, onlyCare, wording } = read('when to prune my bean, it has holes');
    expect(care).toHaveLength(1);
    expect(onlyCare).toBe(false);
    expect(wording).toContain('holes');
  });
  it('is only guessed at where it is asked without saying what', () =>
    expect(read('can I straighten my bean').care).toEqual([{ topic: 'card', from: 'can i straighten my bean', guessed: true }]));
  it.each(['when to prune my bean, somebody said in spring', 'my bean has yellow flowers, when to prune'])('is all of it: %s', (text) =>
    expect(read(text).onlyCare).toBe(true),
  );
  it('is not all of it where trouble is told that nobody reads', () => expect(read('when to prune my bean, it is dying').onlyCare).toBe(false));
});

describe('notes written with their answers', () => {
  it('are read, and what nobody can place of them stays in sight', () => {
    expect(pairs('powder? no. holes: yes')).toEqual(['coating=none', 'holes=some']);
    expect(read('zorble: yes; powder: no').notUnderstood).toEqual(['zorble']);
    expect(read('zorble? don’t know').notUnderstood).toEqual([]);
  });
  it('do not answer the question before them', () =>
    expect(pairs({ ask: 'are there holes?', say: 'no. powder? yes' })).toEqual(['holes=none', 'coating=white']));
});

describe('what was put on a plant', () => {
  const remedied = new Understander({ ...smallEdition, lexicon: { ...smallEdition.lexicon, remedies: ['soap', 'sprayed'] } });
  const wordingOf = (text: string) => remedied.understand([text]).wording.split(' ');
  it('says what was tried, not how the trouble is put', () => {
    expect(wordingOf('sprayed soap twice, holes again')).toEqual(expect.arrayContaining(['twice', 'holes']));
    expect(wordingOf('sprayed soap twice, holes again')).not.toContain('soap');
    expect(wordingOf('I sprayed them with soaps')).not.toContain('soaps');
  });
  it('is a word like any other where an edition names none', () => expect(read('sprayed soap on the holes').wording.split(' ')).toContain('soap'));
});
