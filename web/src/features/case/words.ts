import type { RankedQuestion, Reason } from '@sounding/core/diagnosis/questions.ts';
import { inSentence } from '@sounding/core/edition/names.ts';
import { UNLISTED, type CauseKind } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Answer, Channel, Finding } from '@sounding/core/edition/findings.ts';
import type { Act, TreatmentOption } from '@sounding/core/edition/options.ts';
import { burdenOf, type Burden } from '@sounding/core/treatment/burden.ts';
import type { Standing } from '@sounding/core/consult/consult.ts';
import { isWorkable, type WindowStanding } from '@sounding/core/season/windows.ts';
import { sayDay, sayShortDay } from '../../app/dates.ts';

export const ACT_WORDS: Record<Act, string> = {
  leave: 'Leave it alone',
  culture: 'Change the care',
  physical: 'By hand',
  biological: 'With living helpers',
  contact: 'Spray',
  systemic: 'Systemic',
  remove: 'Take it out',
  refer: 'Refer',
};

/** "By hand, from 1 Oct 2026": the rung, and from when where its time has not come. */
export function actText({ decision, options }: Pick<Standing, 'decision' | 'options'>): string {
  const chosen = options.find(({ option }) => option.id === decision.option);
  const later = decision.noteFor !== null && chosen?.option.act === decision.act && decision.act !== 'leave' && !isWorkable(chosen.timing.state);
  return ACT_WORDS[decision.act] + (later && decision.noteFor ? `, from ${sayDay(decision.noteFor)}` : '');
}

/** What is decided, or would be if it were sure enough to act on. */
export function decisionText(standing: Pick<Standing, 'decision' | 'options'>): string {
  const act = actText(standing);
  return standing.decision.firm ? act : `Not yet – it would be: ${act.charAt(0).toLowerCase()}${act.slice(1)}`;
}

const EFFORT_WORDS: Record<Burden['effort'], string> = { none: 'no work', little: 'little work', some: 'some work', much: 'much work' };
const COST_WORDS: Record<Burden['cost'], string> = { nothing: 'costs nothing', little: 'costs little', some: 'costs some money', much: 'costs much' };
/** "some work, costs nothing": what an option asks of the caller and of their purse. */
export function burdenText(option: TreatmentOption): string {
  const { effort, cost } = burdenOf(option);
  return `${EFFORT_WORDS[effort]}, ${COST_WORDS[cost]}`;
}

export const KIND_WORDS: Record<CauseKind, string> = {
  normal: 'normal',
  fungus: 'fungus',
  oomycete: 'water mould',
  bacterium: 'bacterium',
  virus: 'virus',
  nematode: 'nematode',
  insect: 'insect',
  mite: 'mite',
  mollusc: 'mollusc',
  animal: 'animal',
  plant: 'plant',
  nutrient: 'nutrition',
  water: 'water',
  temperature: 'weather',
  light: 'light',
  chemical: 'chemical',
  mechanical: 'wound',
  cultural: 'care',
  unlisted: 'unlisted',
};

export const CHANNEL_WORDS: Record<Channel, string> = {
  caller: 'caller says',
  'caller-unsure': 'not sure',
  'caller-looked': 'caller looked',
  photo: 'photo',
  'in-hand': 'in the hand',
  bench: 'bench test',
  laboratory: 'laboratory',
};

export const percent = (p: number): string => (p > 0 && p < 0.005 ? '<1' : p > 0.995 && p < 1 ? '>99' : String(Math.round(p * 100)));

/** "up to 74 %", "up past 99 %", "down below 1 %". */
export function movedText(by: number, to: number): string {
  const share = percent(to);
  const where = share.startsWith('>') ? 'past' : share.startsWith('<') ? 'below' : 'to';
  return `${by > 0 ? 'up' : 'down'} ${where} ${share.replace(/[<>]/, '')}\u00a0%`;
}

/** "now, until 5 Jun", "from 24 Apr", "over; again 24 Apr". */
export function timingText(timing: WindowStanding): string {
  const year = (date: string) => ` ${date.slice(0, 4)}`;
  switch (timing.state) {
    case 'any-time':
      return 'any time';
    case 'open':
      return timing.to ? `now, until ${sayShortDay(timing.to)}` : 'now';
    case 'closing':
      return timing.to ? `now, ends ${sayShortDay(timing.to)}` : 'ending';
    case 'not-yet': {
      if (!timing.from) return 'not yet';
      const band =
        timing.fromBand && timing.fromBand[0] !== timing.fromBand[1]
          ? ` (${sayShortDay(timing.fromBand[0])} – ${sayShortDay(timing.fromBand[1])})`
          : '';
      return `from ${sayShortDay(timing.from)}${year(timing.from)}${band}`;
    }
    case 'closed':
      return timing.nextFrom ? `too late; note ${sayShortDay(timing.nextFrom)}${year(timing.nextFrom)}` : 'too late this season';
    case 'unknown':
      return timing.basis;
  }
}

/** Why a question is worth the caller's time: which causes it tells apart, and what it could change in the advice. */
export function reasonText(reason: Reason, edition: Edition): string {
  const name = (id: string) => (id === UNLISTED ? 'something unlisted' : inSentence(edition.causes.find((c) => c.id === id)?.name ?? id));
  const [one, other] = reason.splits;
  const splits = one && other ? `splits ${name(one)} from ${name(other)}` : null;
  const changes = reason.changes ? `could turn “${ACT_WORDS[reason.changes.from]}” into “${ACT_WORDS[reason.changes.to]}”` : null;
  return [splits, changes].filter(Boolean).join('; ') || 'makes surer';
}

/** Answers that fit the dock and the number keys; a caller who says something else is typed in words. */
const MOST_SHOWN = 11;

/** The answers put on keys: all of a short question, of a long one the likeliest as things stand, in the question's own order. */
export function answersShown(finding: Finding, question: RankedQuestion): Answer[] {
  if (finding.answers.length <= MOST_SHOWN) return finding.answers;
  const likely = finding.answers
    .map((answer, i) => ({ answer, p: answer.id === finding.absent ? 1 : (question.answerProbabilities[i] ?? 0) }))
    .sort((a, b) => b.p - a.p)
    .slice(0, MOST_SHOWN);
  return finding.answers.filter((answer) => likely.some((one) => one.answer === answer));
}
