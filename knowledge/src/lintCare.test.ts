import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import type { CareTask } from '@sounding/core/edition/care.ts';
import { lintCare, monthsOf } from './lintCare.ts';

const plant = { ...smallEdition.plants[0]!, id: 'peony', genus: 'Paeonia', groups: ['perennial'] };
const task: CareTask = {
  id: 'divide-perennials',
  topic: 'divide',
  name: 'Divide perennials',
  how: 'Lift and split.',
  hosts: { include: [{ group: 'perennial', weight: 1 }], exclude: [] },
  window: { id: 'spring', name: 'spring', mark: 'memory', calendar: { default: { from: '03-10', to: '04-25' } } },
};
const complaintsOn = (divide: string, work = task) => {
  const said: string[] = [];
  lintCare({ ...smallEdition, plants: [{ ...plant, care: { divide } }], careTasks: [work] }, (id, text) => said.push(`${id} ${text}`));
  return said;
};

describe('the months a line of care names', () => {
  it.each([
    ['Early autumn; eyes not deep.', [8, 9, 10]],
    ['Hard at the end of winter.', [2, 3]],
    ['In spring as it starts to grow.', [3, 4, 5]],
    ['A hedge once in August.', [8]],
    ['Never; grafted.', []],
    ['When the leaves have yellowed.', null],
    ['It may be left.', null],
  ])('%s', (line, months) => {
    const found = monthsOf(line);
    expect(found && [...found].sort((a, b) => a - b)).toEqual(months);
  });
});

describe('works and cards', () => {
  it('complains of a work in a month that the card of a plant does not name, with both', () =>
    expect(complaintsOn('Early autumn.')).toEqual(['divide-perennials is dated otherwise than peony\'s card has it: "Early autumn."']));
  it('complains of a work that the card never wants done', () => expect(complaintsOn('Never; grafted.')).toHaveLength(1));
  it('is content where they agree, where the card names no time, and with a work of the plant itself', () => {
    expect(complaintsOn('Every third spring.')).toEqual([]);
    expect(complaintsOn('When it bursts the pot.')).toEqual([]);
    expect(complaintsOn('Early autumn.', { ...task, hosts: { include: [{ genus: 'Paeonia', weight: 1 }], exclude: [] } })).toEqual([]);
  });
  it('minds the turn of the year', () => {
    const winter = { ...task, window: { ...task.window, calendar: { default: { from: '12-15', to: '02-10' } } } };
    expect(complaintsOn('By root cuttings in winter.', winter)).toEqual([]);
    expect(complaintsOn('In spring.', winter)).toHaveLength(1);
  });
});
