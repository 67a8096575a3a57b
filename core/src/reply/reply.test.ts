import { describe, expect, it } from '@jest/globals';
import { Consultant } from '../consult/consult.ts';
import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Reading } from '../edition/reading.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { composeReply, LABELS_FIRST, type ReplyPlan } from './reply.ts';

const edition: Edition = {
  ...smallEdition,
  findings: smallEdition.findings.map((finding) => (finding.id === 'frost' ? { ...finding, kind: 'history' as const } : finding)),
  plants: smallEdition.plants.map((p) => (p.id === 'bean' ? { ...p, poisonous: 'raw seeds.' } : p)),
  causes: smallEdition.causes.map((cause) =>
    cause.id === 'beetle'
      ? {
          ...cause,
          name: 'Bean beetle',
          latin: 'Coleoptera fabae',
          replyLine: 'A beetle eats the leaves',
          worth: 'It eats on.',
          cautions: ['Wash the beans.'],
          lookAlikes: [{ cause: 'mildew', separate: ['coating'], say: 'Powder is mildew.' }],
          windows: [{ id: 'may', name: 'May', mark: 'memory' as const, calendar: { default: { from: '05-01', to: '05-31' } } }],
          options: [
            {
              id: 'pick',
              act: 'physical' as const,
              title: 'Pick off',
              how: 'By hand',
              window: 'may',
              repeat: 'weekly',
              not: ['in rain'],
              cautions: ['Mind the wasps'],
              effect: 'good' as const,
              preferred: true,
              mark: 'memory' as const,
            },
            {
              id: 'net',
              act: 'culture' as const,
              title: 'Net',
              how: 'A fine net',
              not: [],
              cautions: [],
              effect: 'good' as const,
              mark: 'memory' as const,
            },
          ],
        }
      : cause,
  ),
};
const consultant = new Consultant(edition);
/** The same beetle, left alone from September on. */
const leftLate = new Consultant({
  ...edition,
  causes: edition.causes.map((cause) =>
    cause.id === 'beetle'
      ? {
          ...cause,
          replyLine: 'It is the bean beetle. Pick it off.',
          windows: [...cause.windows, { id: 'late', name: 'late', mark: 'memory' as const, calendar: { default: { from: '09-01', to: '11-30' } } }],
          options: [
            ...cause.options,
            {
              ...cause.options[0]!,
              id: 'late',
              act: 'leave' as const,
              title: 'Leave it',
              how: 'The season ends anyway',
              window: 'late',
              preferred: false,
            },
          ],
        }
      : cause,
  ),
});
const eaten: Reading[] = [
  { finding: 'holes', answer: 'some', channel: 'in-hand' },
  { finding: 'coating', answer: 'none', channel: 'in-hand' },
];
const standingOf = (readings: Reading[], date: string, by: Consultant) =>
  by.consult({
    host: 'bean',
    date,
    climate: 'continental',
    hemisphere: 'N',
    setting: 'phone',
    readings,
    unanswered: [],
    weather: null,
  });
const reply = (readings: Reading[], date: string, plan: ReplyPlan | null = null, by = consultant, standing = standingOf(readings, date, by)) =>
  composeReply({
    edition: by.edition,
    caller: 'Tilda Rook',
    plant: edition.plants[1]!,
    standing,
    readings,
    desk: 'Test Desk',
    advisor: 'Ada',
    today: date,
    plan,
  });

/** The same beetle, answered otherwise on beans. */
const onBeans = (act: 'leave' | 'remove') =>
  new Consultant({
    ...edition,
    causes: edition.causes.map((cause) =>
      cause.id === 'beetle'
        ? {
            ...cause,
            options: [
              ...cause.options,
              {
                ...cause.options[1]!,
                id: 'beans',
                act,
                title: 'On beans',
                how: 'Beans outgrow it.',
                preferred: true,
                hosts: [{ genus: 'Phaseolus' }],
              },
            ],
          }
        : cause,
    ),
  });

describe('reply', () => {
  it('says what is meant for the very plant, once, and nothing written for others', () => {
    const left = reply(eaten, '2026-05-10', null, onBeans('leave'));
    expect(left).toContain('Beans outgrow it.');
    expect(left).not.toMatch(/A beetle eats the leaves|A fine net|By hand/);
    const pulled = reply(eaten, '2026-05-10', null, onBeans('remove'));
    expect(pulled).toContain('– On beans (at any time): Beans outgrow it.');
    expect(pulled.match(/Beans outgrow it/g)).toHaveLength(1);
  });
  it('names the cause and gives none of its work while it is the time to leave it alone', () => {
    const late = reply(eaten, '2026-09-20', null, leftLate);
    expect(late).toContain('bean beetle (Coleoptera fabae)');
    expect(late).toContain('The season ends anyway.');
    expect(late).not.toMatch(/pick it off|A fine net/i);
    expect(reply(eaten, '2026-05-20', null, leftLate)).toContain('Pick it off.');
  });
  it('names the cause once', () => {
    expect(reply(eaten, '2026-05-20', null, leftLate)).not.toContain('It is the bean beetle.');
    const causes = leftLate.edition.causes.map((cause) => ({ ...cause, replyLine: 'It is not a disease. Leave it.' }));
    expect(reply(eaten, '2026-05-20', null, new Consultant({ ...leftLate.edition, causes }))).toContain('It is not a disease. Leave it.');
  });
  it('says what, how sure, how we know, what to do and until when, how often, what not, and cautions', () => {
    const text = reply(eaten, '2026-05-10');
    expect(text).toMatch(/^Dear Tilda Rook,/);
    expect(text).toMatch(/It is (very )?likely bean beetle \(Coleoptera fabae\): about \d+ in 100\./);
    expect(text).toContain('What speaks for it:\n– holes: some');
    expect(text).toContain('Pick off (now, until about 31 May 2026): By hand. Repeat weekly. Not: in rain.');
    expect(text).toContain('Take care\nWash the beans. Mind the wasps. Poisonous or irritating in bean: raw seeds.');
    expect(text).toContain('When to call again\nIf it spreads');
    const open = reply([{ finding: 'holes', answer: 'some', channel: 'caller' }], '2026-05-10');
    expect(open).toMatch(/We would think of .* instead if you found this: /);
  });
  it('names as what would change our mind a thing to come upon, not that there is none or where it stands', () => {
    const holes: Reading[] = [{ finding: 'holes', answer: 'some', channel: 'caller' }];
    const standing = standingOf(holes, '2026-05-10', consultant);
    const told = (...seen: [string, string][]) => {
      const overturnings = seen.map(([finding, answer]) => ({ finding, answer, cause: 'mildew', chance: 0.1 }));
      return reply(holes, '2026-05-10', null, consultant, { ...standing, overturnings });
    };
    expect(told(['coating', 'none'], ['frost', 'yes'], ['coating', 'white'])).toContain('if you found this: coating: white');
    expect(told(['coating', 'none'], ['frost', 'yes'])).not.toContain('We would think of');
  });
  it('asks for nothing that was told, where there is something else to look at', () => {
    const told: Reading[] = [{ finding: 'frost', answer: 'yes', channel: 'caller-unsure' }];
    const standing = standingOf(told, '2026-05-10', consultant);
    const letter = (...asked: [string, boolean][]) => {
      const questions = asked.map(([finding, again]) => ({ ...standing.questions[0]!, finding, again }));
      const open = { ...standing.decision, firm: false };
      return reply(told, '2026-05-10', null, consultant, { ...standing, questions, openly: null, decision: open });
    };
    const ask = (id: string) => edition.findings.find((finding) => finding.id === id)!.ask;
    expect(letter(['frost', true], ['holes', false])).toContain(`Please look and tell us\n– ${ask('holes')}\n\n`);
    expect(letter(['frost', true])).toContain(ask('frost'));
  });
  it('lets nothing be moved of what may have to be reported, sure of it or not', () => {
    const standing = standingOf(eaten, '2026-05-10', consultant);
    const letter = (notifiable: boolean) => {
      const causes = edition.causes.map((cause) => ({ ...cause, notifiable }));
      const judge = new Consultant({ ...edition, causes });
      return reply(eaten, '2026-05-10', null, judge, { ...standing, decision: { ...standing.decision, firm: false } });
    };
    expect(letter(true)).toContain('move nothing off the place');
    expect(letter(false)).not.toContain('reported');
  });
  it('gives amounts, days and gear of the plan, and sends to a licensed person where only they may', () => {
    const plan = {
      dose: 'Lakewash Soap: 100 ml in 5 litres, once',
      days: [{ on: '2026-05-12', hours: '6–9', say: '' }],
      gear: ['gloves'],
      refer: true,
      sums: ['Give 40 litres slowly'],
      checks: [{ on: '2026-07-01', what: 'Scratch test: brown everywhere so far' }],
    };
    const text = reply(eaten, '2026-05-10', plan);
    expect(text).toContain('– Lakewash Soap: 100 ml in 5 litres, once.');
    expect(text).toContain('12 May 2026 (6–9 o’clock by the sun)');
    expect(text).toContain('Wear gloves.');
    expect(text).toContain('– Give 40 litres slowly.');
    expect(reply(eaten, '2026-05-10', { ...plan, dose: null })).toContain('How much\n– Give 40 litres slowly.');
    expect(text).toContain('Look again\n– 1 July 2026: Scratch test: brown everywhere so far.');
    expect(text).toContain('Who to turn to\nA licensed applicator');
  });
  it('is dated next year when it is too late, and offers what can be done now', () => {
    const text = reply(eaten, '2026-07-10');
    expect(text).toContain('too late this season; note 1 May 2027');
    expect(text).toContain('Please note 1 May 2027 in your calendar.');
    expect(text).toContain('Net (at any time): A fine net.');
  });
  it('does not let an unsure guess be treated', () => {
    const text = reply([{ finding: 'frost', answer: 'no', channel: 'caller' }], '2026-07-10');
    expect(text).toContain('We cannot say yet what it is.');
    expect(text).toContain('That is not sure enough to act on');
    expect(text).not.toContain('A beetle eats the leaves');
    expect(text).toContain('Please look and tell us\n– What do you see, and on which part: leaves, stem, roots, flowers or fruit?\n– what about ');
    expect(text).not.toContain('What to do');
  });
  it('never claims a hundred in a hundred, nor tells the caller that their wording is evidence', () => {
    const worded: Reading[] = [...eaten, { finding: 'wording', answer: 'beetle eats the leaves', channel: 'caller' }];
    const body = reply([...worded, { finding: 'test', answer: 'negative', channel: 'laboratory' }], '2026-05-10');
    expect(body).not.toMatch(/100 in 100/);
    expect(body).not.toMatch(/How it was put/);
  });
  it('puts labels and local rules first on every reply, whatever the cause', () => {
    for (const date of ['2026-05-10', '2026-07-10', '2026-12-01'])
      for (const readings of [[], eaten]) expect(reply(readings, date)).toContain(LABELS_FIRST);
  });
  it('refers what nothing on record explains', () => {
    const lonely: Edition = { ...edition, causes: [] };
    const standing = new Consultant(lonely).consult({
      host: 'bean',
      date: '2026-05-10',
      climate: null,
      hemisphere: 'N',
      setting: 'phone',
      readings: eaten,
      unanswered: [],
      weather: null,
    });
    expect(standing.decision.act).toBe('refer');
    expect(
      composeReply({ edition: lonely, caller: 'T', plant: null, standing, readings: eaten, desk: 'D', advisor: 'A', today: '2026-05-10' }),
    ).toContain('laboratory');
  });
  it.each([
    ['arborist', 'a qualified arborist'],
    ['licensed', 'a licensed applicator'],
    ['authority', 'the plant health authority'],
  ])('that leaves it to somebody (%s) asks for no sample', (id, who) => {
    const left = (cause: Cause): Cause => ({
      ...cause,
      notifiable: false,
      options: cause.options.slice(0, 1).map((option) => ({ ...option, id, act: 'refer', preferred: true })),
    });
    const body = reply(eaten, '2026-05-10', null, new Consultant({ ...edition, causes: edition.causes.map(left) }));
    expect(body.toLowerCase()).toContain(who);
    expect(body).not.toContain('laboratory');
  });
  describe('to a question of care', () => {
    const careEdition: Edition = { ...edition, careTopics: [{ id: 'prune', name: 'Pruning', words: ['x'] }] };
    const input = (only: boolean) => {
      const given = only ? [] : eaten;
      const standing = consultant.consult({
        host: 'bean',
        date: '2026-05-10',
        climate: null,
        hemisphere: 'N',
        setting: 'phone',
        readings: given,
        unanswered: [],
        weather: null,
      });
      const timing = { window: 'w', state: 'open' as const, from: '2026-05-01', to: '2026-05-31', nextFrom: null, basis: '' };
      return {
        edition: careEdition,
        caller: 'T',
        plant: edition.plants.find(({ id }) => id === 'bean')!,
        standing,
        readings: given,
        desk: 'D',
        advisor: 'A',
        today: '2026-05-10',
        care: {
          only,
          answers: [{ plant: 'bean', topic: 'prune', answer: 'in winter' }],
          dates: [{ topic: 'prune', name: 'Pinch', how: 'At the top', timing: timing as never }],
        },
      };
    };
    it('answers from the card with its days, and names no cause where nothing was wrong', () => {
      const text = composeReply(input(true));
      expect(text).toContain('Pruning\nin winter.\n– Pinch (now, until about 31 May 2026): At the top.');
      expect(text).toContain('Poisonous or irritating in bean: raw seeds.');
      expect(text).not.toMatch(/in 100|What to do|treat nothing/);
      expect(text).toContain(LABELS_FIRST);
    });
    it('names the plant where it is another', () => {
      const given = input(true);
      const other = edition.plants.find(({ id }) => id !== 'bean')!;
      const answers = [...given.care.answers, { plant: other.name, topic: 'poison', answer: 'all parts' }];
      const text = composeReply({ ...given, care: { ...given.care, answers } });
      expect(text).toContain(`poison: ${other.name.toLowerCase()}\nall parts.`);
      expect(text).toContain('Poisonous or irritating in bean: raw seeds.');
    });
    it('says what to do where somebody ate of it before anything else', () => {
      const given = input(false);
      const eaten = { plant: 'Bean', topic: 'poison', answer: 'Ring the poison centre', urgent: true as const };
      const text = composeReply({ ...given, care: { ...given.care, answers: [eaten, ...given.care.answers] } });
      expect(text).toMatch(/^Dear [^\n]*\n\nBefore anything else: bean\nRing the poison centre\.\n\nThank you/);
      expect(text.match(/poison centre/g)).toHaveLength(1);
      expect(text).toContain('You also asked\n\nPruning');
    });
    it('leaves out what the advice says anyway, but not whether it spreads', () => {
      const given = input(false);
      const answers = ['remedy', 'outlook', 'spread'].map((topic) => ({ plant: 'Mildew', topic, answer: `the ${topic} line` }));
      const text = composeReply({ ...given, care: { ...given.care, answers } });
      expect(text).toContain('spread\nthe spread line.');
      expect(text).not.toMatch(/remedy|outlook/);
    });
    it('answers it beside the trouble that was told', () => {
      const text = composeReply(input(false));
      expect(text).toMatch(/in 100/);
      expect(text).toContain('You also asked\n\nPruning');
      expect(text.match(/Poisonous or irritating/g)).toHaveLength(1);
    });
  });
});
