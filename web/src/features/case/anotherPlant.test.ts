import { describe, expect, it } from '@jest/globals';
import type { Finding } from '@sounding/core/edition/findings.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { Understander } from '@sounding/core/language/understand.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import type { Heard } from '../../engine/engine.worker.ts';
import { turnOf } from './anotherPlant.ts';

/** Where a plant stands is a finding here, too. */
const where: Finding = {
  ...smallEdition.findings[2]!,
  id: 'beside',
  kind: 'site',
  answers: [
    { id: 'oak', say: 'oaks', words: ['oak'], background: 0.1 },
    { id: 'none', say: 'none', words: [], background: 0.9 },
  ],
};
const kindsOf = (id: string, group: string): Plant => ({
  ...smallEdition.plants[0]!,
  id,
  name: id,
  latin: 'various',
  also: [],
  groups: [group],
  generic: true,
});
const understander = new Understander({
  ...smallEdition,
  findings: [...smallEdition.findings, where],
  plants: [...smallEdition.plants, kindsOf('lawn', 'turf'), kindsOf('shrub', 'shrub')],
});
const plant = (id: string): Plant => smallEdition.plants.find((one) => one.id === id)!;
/** Reads with the bean on the table, and counts how often it has to. */
function ear() {
  let parts = 0;
  const listen = (part: string): Promise<Heard> => {
    parts += 1;
    return Promise.resolve({ ...understander.understand([part], plant('bean')), asked: null, leftOpen: null, careAnswers: [] });
  };
  return { listen, parts: () => parts };
}
const wordsOf = async (said: string, { listen } = ear()) => {
  const turn = await turnOf(said, plant('bean'), null, await listen(said), listen);
  return turn && said.slice(turn.from);
};

describe('a line turns to another plant', () => {
  it.each([
    ['holes in the leaves and my oak has holes in the leaves', 'and my oak has holes in the leaves'],
    ['holes in the leaves. Well, out by the shed, my oak has holes in the leaves', 'my oak has holes in the leaves'],
    ['my oak has holes in the leaves', 'my oak has holes in the leaves'],
    ['holes in the leaves', null],
    ['my bean has holes in the leaves, the oak is fine', null],
    ['my bean has holes in the leaves and we have an oak', null],
    ['we have an oak in the garden', null],
    ['holes in the leaves. Also the oak has not flowered and has holes', 'Also the oak has not flowered and has holes'],
    ['holes in the leaves and the lawn has holes', 'and the lawn has holes'],
    ['the shrub has holes in the leaves', null],
  ])('"%s" at %p', async (said, words) => expect(await wordsOf(said)).toBe(words));
  it('and is found in a long letter without reading it at every comma', async () => {
    const long = ear();
    const letter = `${'There are holes in the leaves, again. '.repeat(100)}My oak has holes in the leaves. ${'So it goes, on and on. '.repeat(50)}`;
    expect(await wordsOf(letter, long)).toMatch(/^My oak has/);
    expect(long.parts()).toBeLessThan(20);
  });
  it('also where no plant was on the table before', async () => {
    const hear = (part: string): Promise<Heard> =>
      Promise.resolve({ ...understander.understand([part], null), asked: null, leftOpen: null, careAnswers: [] });
    const turns = async (said: string) => (await turnOf(said, null, null, await hear(said), hear))?.other.id;
    expect(await turns('My bean has holes in the leaves. Also the oak has not flowered and has holes in the leaves.')).toBe('oak');
    expect(await turns('My bean has holes in the leaves. The oak has holes in the leaves as well.')).toBeUndefined();
  });
});
