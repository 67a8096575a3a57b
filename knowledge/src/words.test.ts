import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from '@jest/globals';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { RATE_VALUES, type Cause } from '@sounding/core/edition/causes.ts';
import { editionIn } from '@sounding/core/edition/editionIn.ts';
import { Understander } from '@sounding/core/language/understand.ts';
import { Vocabulary } from '@sounding/core/language/vocabulary.ts';
import { compile } from './compile.ts';
import { readFolder } from './read.ts';
import { heardRow } from './schema.ts';

const data = fileURLToPath(new URL('../data', import.meta.url));
const { edition } = compile(data);
/** The phrases themselves: an edition has only their words. */
const heard = new Map(readFolder(data, 'heard.yaml', heardRow, []).map((row) => [row.id, row.heard]));

/** School grade by Kincaid et al. 1975; grade 7 is read at about 12 years. */
function gradeOf(text: string): number {
  const words = text.match(/[\p{L}\d'’-]+/gu) ?? [];
  const sentences = text.match(/[.!?;:]+(\s|$)/g) ?? [''];
  return fleschKincaid({
    sentence: sentences.length,
    word: words.length,
    syllable: words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0),
  });
}

describe('what a caller is sent', () => {
  const grades = edition.causes.map(({ id, replyLine }) => ({ id, grade: gradeOf(replyLine) }));
  it('is read by a child of twelve on the whole, and no line of it is much harder', () => {
    expect(grades.reduce((sum, { grade }) => sum + grade, 0) / grades.length).toBeLessThan(7);
    expect(grades.filter(({ grade }) => grade > 8.5)).toEqual([]);
  });
  it('would be told from what is hard to read', () =>
    expect(gradeOf('Phytopathological investigation necessitates laboratory determination of the responsible microorganism.')).toBeGreaterThan(12));
});

/** Lines of a file of callers' words, by their fields. */
const linesOf = (file: string): string[][] =>
  readFileSync(fileURLToPath(new URL(`../callers/${file}`, import.meta.url)), 'utf8')
    .trim()
    .split('\n')
    .map((line) => line.split('\t'));
const known = new Set(edition.findings.flatMap(({ id, answers }) => answers.map((answer) => `${id}=${answer.id}`)));

describe('what is told of a thing', () => {
  const understander = new Understander(edition);
  const told = (said: string | { ask: string; say: string }) => new Set(understander.understand([said]).readings.map(({ finding }) => finding));
  it.each([
    ['Grubs?', 'yellowish with black spots', 'leaf-spots'],
    ['Soil?', 'dry for two months', 'heat-recently'],
    ['Pot', 'no holes', 'leaves-eaten'],
    ['Moved?', 'outside last week', 'onset'],
    ['Tips?', 'still green', 'set-and-form'],
  ])('is told of nothing else: %s %s', (ask, say, finding) => {
    expect(told(say)).toContain(finding);
    expect(told({ ask, say })).not.toContain(finding);
  });
});

describe('plain statements', () => {
  const understander = new Understander(edition);
  const lines = linesOf('plain.tsv') as [readings: string, say: string][];
  it('are of readings that exist', () => {
    expect(lines.flatMap(([readings]) => readings.split(' ')).filter((reading) => !known.has(reading))).toEqual([]);
  });
  it('are read for what they say, 94 in 100 of them', () => {
    const unread = lines.filter(([readings, say]) => {
      const read = new Set(understander.understand([say]).readings.map(({ finding, answer }) => `${finding}=${answer}`));
      return !readings.split(' ').some((reading) => read.has(reading));
    });
    expect(unread.length / lines.length).toBeLessThan(0.06);
  });
});

/** Things seen put into the frames people speak in: "I can't get rid of …", "is it normal that …", "no … as far as I can see". */
describe('frames of talk', () => {
  const understander = new Understander(edition);
  const lines = linesOf('frames.tsv');
  const of = (kind: string) => lines.filter(([first]) => first === kind).map(([, ...fields]) => fields);
  const things = of('thing') as [reading: string, thing: string, seen: string][];
  const said = (frame: string, thing: string, seen: string) => {
    const sentence = frame.replace('{thing}', thing).replace('{seen}', seen);
    return sentence.charAt(0).toUpperCase() + sentence.slice(1);
  };
  const isRead = (frame: string, [reading, thing, seen]: (typeof things)[number]) =>
    understander
      .understand([said(frame, thing, seen)], understander.resolvePlant('rose'))
      .readings.some(({ finding, answer }) => `${finding}=${answer}` === reading);
  const shareRead = (kind: string) => {
    const frames = of(kind).map(([frame]) => frame!);
    const read = frames.flatMap((frame) => things.filter((thing) => isRead(frame, thing)));
    return read.length / (frames.length * things.length);
  };
  it('are of readings that exist', () => expect(things.filter(([reading]) => !known.has(reading))).toEqual([]));
  it('tell what is told in them, 97 in 100 times', () => expect(shareRead('told')).toBeGreaterThan(0.97));
  it('do not tell what is denied, asked or left open in them, 99 in 100 times', () => expect(shareRead('denied')).toBeLessThan(0.01));
});

describe('answers to our own questions', () => {
  const understander = new Understander(edition);
  it('are understood in the words they are offered in, however they are begun and ended', () => {
    const missed = edition.findings.flatMap(({ id, ask, answers }) =>
      answers.flatMap((answer) =>
        [answer.say, `${answer.say}, I'd say`, `Er, ${answer.say}`]
          .filter((say) => understander.understand([{ ask, say }]).readings.find(({ finding }) => finding === id)?.answer !== answer.id)
          .map((say) => `${ask} – ${say}`),
      ),
    );
    expect(missed).toEqual([]);
  });
});

describe('answers to questions in anybody’s words', () => {
  const understander = new Understander(edition);
  /** Readings with a blank between must all be read; of those with a stroke between, one. */
  const lines = linesOf('answers.tsv') as [readings: string, ask: string, say: string][];
  const told = ([readings]: readonly string[]) => readings!.split(' ').map((oneOf) => oneOf.split('/'));
  const readIn = ([, ask = '', say = '']: readonly string[]) =>
    new Set(understander.understand([{ ask, say }]).readings.map(({ finding, answer }) => `${finding}=${answer}`));
  it('are of readings that exist', () => {
    const named = lines.flatMap((line) => told(line).flat()).map((reading) => reading.replace('=not:', '='));
    expect(named.filter((reading) => !known.has(reading))).toEqual([]);
  });
  it('are read for all they say, 94 in 100 of them', () => {
    const unread = lines.filter((line) => {
      const read = readIn(line);
      return !told(line).every((oneOf) => oneOf.some((reading) => read.has(reading)));
    });
    expect(unread.length / lines.length).toBeLessThan(0.06);
  });
});

describe('how callers put it', () => {
  const understander = new Understander(edition);
  const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  /** Readings of a cause's own ways of saying, and those of them that its figures call seldom, never or do not mention beside what they do. */
  function read(cause: Cause): { all: number; against: string[] } {
    const rates = new Map(cause.rates.map(({ finding, answers }) => [finding, answers]));
    const readings = (heard.get(cause.id) ?? '')
      .split(/[;,]/)
      .flatMap((clause) => understander.understand([clause.trim()]).readings)
      .filter(({ finding, answer }) => findings.get(finding)?.absent !== answer && findings.get(finding)?.answers.some(({ id }) => id === answer));
    const isAgainst = ({ finding, answer }: { finding: string; answer: string }) => {
      const answers = rates.get(finding);
      const word = answers?.[answer];
      return answers !== undefined && (word === undefined || RATE_VALUES[word] < RATE_VALUES.sometimes);
    };
    return { all: readings.length, against: readings.filter(isAgainst).map(({ finding, answer }) => `${cause.id}: ${finding} ${answer}`) };
  }
  it('is seldom read against the cause it stands for', () => {
    const all = edition.causes.map(read);
    const against = all.flatMap((one) => one.against);
    expect(against.length / all.reduce((sum, one) => sum + one.all, 0)).toBeLessThan(0.05);
  });
});

describe('words of everyday speech', () => {
  it('would be taken for slips of other words, were they not listed', () => {
    const { everyday = [] } = edition.lexicon;
    const without = new Vocabulary({ ...edition, lexicon: { ...edition.lexicon, everyday: [] } });
    expect(everyday.length).toBeGreaterThan(100);
    // a few may since have come into what is written of a cause
    expect(everyday.filter((word) => without.mended(word)[0]!.word === word).length).toBeLessThan(everyday.length / 10);
  });
});

describe('what advisors write for short', () => {
  const { shortForms = {} } = edition.lexicon;
  it('is no word of its own, nor a plant, that would be written out by mistake', () => {
    const vocabulary = new Vocabulary({ ...edition, causes: edition.causes.map((cause) => ({ ...cause, told: '' })) });
    const plants = new Set(edition.plants.flatMap(({ name, also }) => [name, ...also]).map((name) => name.toLowerCase()));
    // beginnings of words, as phrases ask for them
    const isWord = (form: string) =>
      /^[a-z]+$/.test(form) && !['conif', 'leavs'].includes(form) && vocabulary.isKnown(vocabulary.asWritten(form)[0]!);
    expect(Object.keys(shortForms).filter((form) => isWord(form) || (plants.has(form) && form !== 'rhodo'))).toEqual([]);
  });
  it('is written in small letters, and stands for words that are read', () => {
    const understander = new Understander(edition);
    expect(Object.keys(shortForms).filter((form) => form !== form.toLowerCase())).toEqual([]);
    const read = (text: string) => understander.understand([text]).readings.map(({ finding, answer }) => `${finding}=${answer}`);
    for (const [short, long] of [
      ['brn spts on lvs', 'brown spots on leaves'],
      ['lvs yel btwn veins', 'leaves yellow between veins'],
      ['wht powder, no webs', 'white powder, no webs'],
      ['frt cracked', 'fruit cracked'],
    ] as const) {
      expect(read(short)).toEqual(read(long));
      expect(read(long)).not.toEqual([]);
    }
  });
});

describe('both halves of the world', () => {
  /** Everything of a cause that is read out or sent. */
  const textsOf = ({ story, worth, replyLine, leaveWhen, cautions, options, lookAlikes }: Cause): string[] => [
    story,
    worth,
    replyLine,
    leaveWhen,
    ...cautions,
    ...options.flatMap(({ title, how }) => [title, how]),
    ...lookAlikes.map(({ say }) => say),
  ];
  it('no text calls the sunny side south, or the shady one north', () => {
    const sided = edition.causes.flatMap((cause) =>
      textsOf(cause)
        .filter((text) => /\b(?:south|north)(?:-?(?:west|east))?(?:ern)?[ -](?:side|facing|wall|window|slope)/i.test(text))
        .map((text) => `${cause.id}: ${text}`),
    );
    expect(sided).toEqual([]);
  });
  it('months are named in many texts, and come back when they are turned twice', () => {
    const south = editionIn(edition, 'S');
    const changed = edition.causes.filter((cause, i) => textsOf(cause).join() !== textsOf(south.causes[i]!).join());
    expect(changed.length).toBeGreaterThan(50);
    expect(editionIn(south, 'N').causes).toEqual(edition.causes);
  });
});
