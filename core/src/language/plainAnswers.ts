import type { Finding } from '../edition/findings.ts';
import { asksByName, asksWhether, deniedAsk, DENIES, repliedTo, settledBy } from './answers.ts';
import { deniedOf, type UnderstoodReading } from './taking.ts';
import type { Understanding } from './understanding.ts';
import type { Vocabulary } from './vocabulary.ts';

/** "Is it near a heater?" – "no" does not put it out of doors. */
const ASKS_NEAR = /\b(?:near|beside|next to|close to|by (?:a|the|any))\b/i;

const ASKS_ANY = /^\s*(?:and |so )?(?:(?:are|is) there )?any\b/i;

/** What is on a plant besides its parts. */
const THING =
  '(?:spots?|blotch(?:es)?|marks?|holes?|rings?|bumps?|lumps?|webs?|webbing|powder|mould|mold|fuzz|dust|coating|insects?|bugs?|flies|caterpillars?|worms?|grubs?|droppings|eggs?|galls?|mushrooms?|patch(?:es)?|mounds?|tunnels?|curls?|rolls?|gum)';
const THINGS = new RegExp(`^${THING}$`);
/** A thing that only says where: "insects inside the curls", "sunken round the gum". */
const ROUND_A_THING = new RegExp(`\\s(?:in|inside|on|under|round|around|at|between|behind|from) (?:the|these|those) ${THING}(?=\\s*[?.]?\\s*$)`, 'i');

export const isSeen = ({ kind }: Finding): boolean => kind === 'symptom' || kind === 'sign';

/** What a yes or no comes to. */
interface Meant {
  finding: string;
  answer: string;
}

/** What a plain yes or no says to a question: the question's own words as a statement, or denied. */
export class PlainAnswers {
  /**
   * @param stated what the words of a question say as a statement; the advisor asks for no advice with them
   * @param isPart true for the name of a part of a plant
   */
  constructor(
    private readonly stated: (text: string) => Understanding,
    private readonly findings: ReadonlyMap<string, Finding>,
    private readonly vocabulary: Vocabulary,
    private readonly isPart: (word: string) => boolean,
  ) {}

  /** "Do the spots have rings?": the spots are there, whatever the answer; of a part of the plant it is asked whether there is anything. */
  asksOfWhatIsThere(ask: string): boolean {
    const tokens = this.vocabulary.mended(ask.replace(ROUND_A_THING, ''));
    const at = tokens.findIndex(({ word }) => word === 'the' || word === 'these' || word === 'those');
    const what = tokens[at + 1];
    return at >= 0 && what !== undefined && THINGS.test(what.word);
  }

  /** What the words of a question say; without the thing they only place something by, where they say anything without it. */
  private asStatement(ask: string): readonly UnderstoodReading[] {
    const { readings } = this.stated(ask.replace(ROUND_A_THING, ''));
    return readings.length > 0 ? readings : this.stated(ask).readings;
  }

  /** What a yes or no says to a question in anybody's words: the question read as a statement, or denied. */
  bySense(ask: string, affirmed: boolean): Meant[] {
    return this.asStatement(ask.replace(/[?]/g, '')).flatMap(({ finding: id, answer, choices }) => {
      const finding = this.findings.get(id);
      if (!finding || choices.length > 0) return [];
      if (affirmed) return [{ finding: id, answer }];
      // "light in the hall?" – "not much" leaves it in the hall
      if (finding.kind === 'site' && !asksWhether(ask)) return [];
      if (answer.startsWith('not:')) return [];
      // "is the underside clean?" – "no"
      if (answer === finding.absent)
        return isSeen(finding) && asksWhether(ask) && !DENIES.test(ask) ? [{ finding: id, answer: `not:${answer}` }] : [];
      return [{ finding: id, answer: this.asksOfWhatIsThere(ask) ? `not:${answer}` : deniedOf(finding, answer) }];
    });
  }

  /** Without the absence of a thing that is asked about as being there: "do the spots have rings?" – "no rings, a halo". */
  withoutAbsent(ask: string, own: Understanding): Understanding {
    if (!this.asksOfWhatIsThere(ask)) return own;
    const there = new Set(this.bySense(ask, true).map(({ finding }) => finding));
    return { ...own, readings: own.readings.filter(({ finding, answer }) => !there.has(finding) || answer !== this.findings.get(finding)?.absent) };
  }

  /** What the thing a question asks for says when it is denied. */
  private denied(ask: string): Understanding {
    return this.stated(deniedAsk(ask.replace(ROUND_A_THING, ''), this.isPart));
  }

  /** Of what is read of nothing but a question that speaks of a thing as being there, no absence: "are the holes round?" – "no". */
  thereAfterAll(ask: string, read: Understanding): Understanding {
    if (!this.asksOfWhatIsThere(ask)) return read;
    return { ...read, readings: read.readings.filter(({ finding, answer }) => answer !== this.findings.get(finding)?.absent) };
  }

  /** What a no would have said, turned round: "any spots?" – "yes" there are, of a kind nobody knows; "does it flower?" – "yes" it is not without flowers. */
  againstDenial(ask: string): Meant[] {
    return this.denied(ask).readings.flatMap(({ finding: id, answer, choices }) => {
      const finding = this.findings.get(id);
      if (!finding || choices.length > 0 || answer.startsWith('not:')) return [];
      const [other, ...more] = finding.answers.filter((one) => one.id !== answer);
      const turned = more.length === 0 && other ? other.id : `not:${answer}`;
      const there = answer === finding.absent ? settledBy(finding, true) : asksWhether(ask) ? turned : null;
      return there === null ? [] : [{ finding: id, answer: there }];
    });
  }

  /** What a yes or no means: settled by a finding of ours, or by the sense of anybody's question. */
  meantBy(ask: string, asked: Finding | null, say: string, affirmed: boolean): Meant[] {
    if (asked) {
      const settled = repliedTo(asked, affirmed, say);
      return settled === null ? [] : [{ finding: asked.id, answer: settled }];
    }
    const meant = this.bySense(ask, affirmed);
    if (affirmed && meant.length === 0 && (ASKS_ANY.test(ask) || asksByName(ask))) return this.againstDenial(ask);
    // "just this one?" – where the no before it does not reach, it denies nothing
    const denied = affirmed ? [] : this.thereAfterAll(ask, this.withoutAsked(ask, this.denied(ask))).readings;
    // "does it recover at night?" – "no" means that it stays limp, not that it never wilts
    const inFull = ({ finding }: Meant) =>
      denied.find((one) => one.finding === finding && one.answer !== this.findings.get(finding)?.absent && !one.answer.startsWith('not:'));
    const said = affirmed ? meant : meant.length > 0 ? meant.map((one) => inFull(one) ?? one) : denied;
    const isOnlyDenied = ({ answer }: Meant) => answer.startsWith('not:');
    const leavesPlace = ASKS_NEAR.test(ask) || (!asksWhether(ask) && said.some((one) => !isOnlyDenied(one)));
    return affirmed || !leavesPlace ? said : said.filter((one) => !isOnlyDenied(one));
  }

  /** Without what the question itself affirms, which a no cannot mean: "does it perk up at night?" – "no, it stays flopped". */
  withoutAsked(ask: string, inLight: Understanding): Understanding {
    const affirmed = this.bySense(ask, true);
    const isAsked = (reading: UnderstoodReading) => affirmed.some(({ finding, answer }) => finding === reading.finding && answer === reading.answer);
    return { ...inLight, readings: inLight.readings.filter((reading) => !isAsked(reading)) };
  }
}
