import type { Edition } from '../edition/edition.ts';
import type { Finding, Scale } from '../edition/findings.ts';
import { ageSaid } from './ages.ts';
import { daysSaid, everyDaysSaid } from './durations.ts';
import { NUMBER, numberSaid } from './numbers.ts';
import { compilePhrase, PhraseBook } from './phrases.ts';
import { coldestSaid, hottestSaid, temperatureAnswered, type SaidExtreme } from './temperatures.ts';
import type { Token } from './tokens.ts';

const DECIMAL = String.raw`${NUMBER}(?:\s+point\s+${NUMBER}|\s+and a (half))?`;
const PH = new RegExp(String.raw`\bp\.?h\b\D{0,24}?${DECIMAL}`, 'i');
const BARE = new RegExp(DECIMAL, 'i');

/** A pH between 3 and 10; @param named true where the answer need not say "pH" itself. */
export function phSaid(say: string, named: boolean): number | null {
  const [, whole, tenths, half] = PH.exec(say) ?? (named ? (BARE.exec(say) ?? []) : []);
  if (whole === undefined) return null;
  const value = numberSaid(whole) + (half ? 0.5 : tenths === undefined ? 0 : numberSaid(tenths) / 10);
  return value >= 3 && value <= 10 ? value : null;
}

/** What a number in an answer says on each scale. */
const ANSWERED: Readonly<Record<Scale, (say: string) => number | null>> = {
  ph: (say) => phSaid(say, true),
  age: (say) => ageSaid(say)?.days ?? daysSaid(say),
  days: daysSaid,
  'every-days': everyDaysSaid,
  coldest: (say) => temperatureAnswered(say, 'low')?.celsius ?? null,
  hottest: (say) => temperatureAnswered(say, 'high')?.celsius ?? null,
};

interface Told {
  value: number;
  from?: string;
}
const asTemperature = (said: SaidExtreme | null): Told | null => said && { value: said.celsius, from: said.from };

/** What is said on a scale though nobody asked, and in which words; times are said of too many things. */
const TOLD: Partial<Readonly<Record<Scale, (text: string) => Told | null>>> = {
  ph: (text) => {
    const value = phSaid(text, false);
    return value === null ? null : { value };
  },
  age: (text) => {
    const said = ageSaid(text);
    return said && { value: said.days, from: said.from };
  },
  coldest: (text) => asTemperature(coldestSaid(text)),
  hottest: (text) => asTemperature(hottestSaid(text)),
};

/** A reading by a number; `from` where the words are known. */
export interface Measured {
  finding: string;
  answer: string;
  from?: string;
}

/** Findings whose answers are stretches of a scale – age, pace, pH, watering, cold and heat: a number said of them falls into one. */
export class Scales {
  private readonly questions: PhraseBook<Finding>;
  private readonly scaled: readonly Finding[];
  private readonly timed: ReadonlySet<string>;

  constructor({ findings, lexicon }: Edition, isSmall: (token: Token) => boolean) {
    const scaled = findings.filter(({ scale }) => scale);
    this.questions = new PhraseBook(
      scaled.flatMap((finding) => finding.scale!.asked.map((pattern) => compilePhrase(pattern, finding, lexicon))),
      isSmall,
    );
    this.timed = new Set(scaled.filter(({ scale }) => scale!.of === 'days' || scale!.of === 'age').map(({ id }) => id));
    this.scaled = scaled;
  }

  /** True for a finding that stretches of time are said of. */
  isTimed(finding: string): boolean {
    return this.timed.has(finding);
  }

  /** What a number says in answer to a question about its scale. */
  answered(question: readonly Token[], say: string): Measured[] {
    const asked = new Set(this.questions.matches(question).map(({ value }) => value));
    return [...asked].flatMap((finding) => this.answeredOf(finding, say));
  }

  /** What a number says in answer to the question of a finding of ours; nothing where it has no scale. */
  answeredOf(asked: Finding, say: string): Measured[] {
    return asked.scale ? this.placed(asked, ANSWERED[asked.scale.of](say)) : [];
  }

  /** What numbers tell unasked: a pH, an age, a frost, a heat. */
  told(text: string): Measured[] {
    return this.scaled.flatMap((finding) => {
      const said = TOLD[finding.scale!.of]?.(text);
      return said ? this.placed(finding, said.value).map((one) => ({ ...one, ...(said.from ? { from: said.from } : {}) })) : [];
    });
  }

  /** Readings but those that take the time a plant has stood for how long it ails: "sown a month ago". */
  besides<T extends { finding: string; from: string }>(measured: readonly Measured[], readings: readonly T[]): T[] {
    const ages = measured.flatMap(({ finding, from }) => (from && this.isTimed(finding) ? [from] : []));
    const isOfAge = (from: string) => ages.some((age) => from.split(' ').every((word) => age.includes(word)));
    return readings.filter(({ finding, from }) => !(this.isTimed(finding) && isOfAge(from)));
  }

  /** The answer whose stretch a number falls into. A temperature neither cold nor hot says nothing: rooms and soils have one as well. */
  private placed({ id, answers, absent, scale }: Finding, value: number | null): Measured[] {
    const reaching = answers.filter(({ upTo }) => value !== null && upTo !== undefined && value <= upTo);
    const answer = reaching.reduce<Finding['answers'][number] | null>((least, one) => (least && least.upTo! <= one.upTo! ? least : one), null);
    const isNoNews = answer?.id === absent && (scale?.of === 'coldest' || scale?.of === 'hottest');
    return answer && !isNoNews ? [{ finding: id, answer: answer.id }] : [];
  }
}
