import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { inSentence } from '../edition/names.ts';
import { POISON } from '../edition/care.ts';
import { UNLISTED } from '../edition/causes.ts';
import { WORDING } from '../edition/findings.ts';
import type { CareAnswer, CareDate } from '../consult/careAnswers.ts';
import { isInTheAdvice } from '../consult/causeAnswers.ts';
import type { Standing } from '../consult/consult.ts';
import { ASK_OPENLY } from '../consult/openly.ts';
import { likelihoodWord, POSSIBLE, readingText } from '../consult/words.ts';
import type { Overturning } from '../diagnosis/overturn.ts';
import type { Reading } from '../edition/reading.ts';
import { isWorkable } from '../season/windows.ts';
import { longDate, type IsoDate } from '../season/calendar.ts';
import { whenSaid } from '../treatment/whenSaid.ts';
import { isTimeToLeave, type OptionStanding } from '../treatment/decide.ts';
import { reasonsInWords } from '../treatment/verdicts.ts';

export interface ReplyInput {
  edition: Edition;
  caller: string;
  plant: Plant | null;
  standing: Standing;
  readings: Reading[];
  desk: string;
  advisor: string;
  today: IsoDate;
  /** What is measured out and when, as it was worked out from a label; null = nothing is. */
  plan?: ReplyPlan | null;
  /** What was asked of care; `only` = nothing else was, so no cause is named. */
  care?: ReplyCare | null;
}

export interface ReplyCare {
  only: boolean;
  answers: CareAnswer[];
  dates: CareDate[];
}

export interface ReplyPlan {
  /** The product with its amount, repeats and waits in one sentence; null = no amount may be given. */
  dose: string | null;
  days: { on: IsoDate; hours: string | null; say: string }[];
  gear: string[];
  /** Only licensed people may use what is labelled for it. */
  refer: boolean;
  /** Lines of sums that were put into the case. */
  sums: string[];
  /** Days on which to look at something again. */
  checks: { on: IsoDate; what: string }[];
}

/** Every written reply ends with this. */
export const LABELS_FIRST =
  'Labels and local rules come first: whatever is written here, the label of a product and the rules where you live decide.';

const sentence = (text: string): string => (/[.!?]$/.test(text.trim()) ? text.trim() : `${text.trim()}.`);

function optionText(standing: OptionStanding): string {
  const { option } = standing;
  const parts = [`${option.title} (${whenSaid(standing.timing)}): ${sentence(option.how)}`];
  if (option.repeat) parts.push(`Repeat ${sentence(option.repeat)}`);
  if (option.not.length > 0) parts.push(`Not: ${option.not.join('; ').replace(/\.$/, '')}.`);
  return parts.join(' ');
}

/** Readings one below the other, under what they have in common. */
const listed = (title: string, readings: readonly string[]): string[] =>
  readings.length > 0 ? [`${title}:`, ...readings.map((one) => `– ${inSentence(one)}`)] : [];

function howWeKnow(input: ReplyInput, cause: Cause): string[] {
  const { standing, edition, readings } = input;
  const evidence = standing.candidates[0]?.evidence ?? [];
  const textOf = (finding: string, otherwise = '') => readingText(edition, finding, readings.find((r) => r.finding === finding)?.answer ?? otherwise);
  const told = evidence
    .filter((e) => e.decibans >= 1 && e.finding !== WORDING)
    .sort((a, b) => b.decibans - a.decibans)
    .slice(0, 4)
    .map((e) => textOf(e.finding, e.answers[0]));
  const worded = evidence.some((e) => e.finding === WORDING && e.decibans >= 1);
  const untold = worded ? 'What speaks for it is the way you put it.' : 'You told us little that settles it.';
  return [
    ...(told.length > 0 ? listed('What speaks for it', told) : [untold]),
    ...listed(
      'What it does not explain',
      standing.unexplained.map((id) => textOf(id)),
    ),
    ...cause.lookAlikes
      .filter((like) => (standing.candidates.find((c) => c.cause === like.cause)?.probability ?? 0) > 0.05)
      .slice(0, 1)
      .map((like) => `It could also be ${inSentence(edition.causes.find((c) => c.id === like.cause)?.name ?? like.cause)}. ${sentence(like.say)}`),
  ];
}

const isLeftForTheSeason = ({ options, decision }: Standing): boolean => options.some((o) => o.option.id === decision.option && isTimeToLeave(o));

/** Whether the decision is one for this host alone. */
const isForThisHost = ({ options, decision }: Standing): boolean =>
  options.some(({ option }) => option.id === decision.option && option.hosts !== undefined);

/** The options worth writing down: what is chosen first, then what can be done now, then what to note for later. */
function chosenOptions(standing: Standing): OptionStanding[] {
  const { options, decision } = standing;
  const chosen = options.filter(({ option }) => option.id === decision.option);
  // what is said for this very plant stands alone: the rest was written for others
  if (isForThisHost(standing)) return decision.act === 'leave' ? [] : chosen;
  if (isLeftForTheSeason(standing)) return [];
  const rest = options.filter((o) => !chosen.includes(o) && o.option.act !== 'leave' && o.option.effect !== 'poor');
  const gentle = rest.filter(({ option }) => option.act === 'culture' || option.act === 'physical' || option.act === 'biological');
  const now = gentle.filter(({ timing }) => isWorkable(timing.state));
  const preferredLater = rest.filter(({ option, timing }) => option.preferred && !isWorkable(timing.state));
  return [...new Set([...chosen, ...preferredLater, ...now])].slice(0, 3);
}

/** A name for the letter: "your peach", where the card covers "Peach and nectarine". */
function hostName(plant: Plant | null): string {
  if (!plant) return 'plant';
  return / and | family/.test(plant.name) ? plant.id.replace(/-/g, ' ') : inSentence(plant.name);
}

/** How many things a caller can be asked to look at in one letter. */
const LOOK_AT = 3;

/** What to look at; a letter cannot say "you told us", so what was told is asked for only where nothing else is. */
function unsure({ standing, edition }: ReplyInput, cause: Cause): string[] {
  const fresh = standing.questions.filter(({ again }) => !again);
  const particulars = (fresh.length > 0 ? fresh : standing.questions).flatMap((q) => edition.findings.find((f) => f.id === q.finding)?.ask ?? []);
  const asks = [...(standing.openly === 'what' ? [ASK_OPENLY.what] : []), ...particulars].slice(0, LOOK_AT);
  const reported = cause.notifiable ? ['It may have to be reported: until that is clear, cut nothing and move nothing off the place.'] : [];
  return [
    'That is not sure enough to act on, so please treat nothing yet.',
    ...reported,
    '',
    'Please look and tell us',
    ...asks.map((ask) => `– ${ask}`),
    '',
  ];
}

/** Where to go with what a garden advisor cannot or may not do; only those the case calls for. */
function whoToTurnTo({ standing, plan }: ReplyInput, cause: Cause): string[] {
  const asked = new Set(standing.options.filter(({ option }) => option.act === 'refer').map(({ option }) => option.id));
  const act = standing.decision.act;
  // what is left to someone else is no matter for a sample
  const sample = asked.has('laboratory') || (act === 'refer' && ![...OTHERS].some((id) => asked.has(id)));
  const tall = (standing.circumstances.heightM ?? 0) > TALL_M;
  const who: (string | false)[] = [
    (cause.notifiable || asked.has('authority')) && 'the plant health authority, by telephone; move nothing',
    sample && !cause.notifiable && 'a plant laboratory, with a fresh, partly affected sample in paper',
    (asked.has('arborist') || asked.has('fell') || tall) && 'a qualified arborist',
    (asked.has('licensed') || (plan?.refer ?? false)) && 'a licensed applicator; ask for the licence',
    asked.has('trap-law') && 'the local authority, before any trap is set',
  ];
  return who.filter((one): one is string => typeof one === 'string');
}
/** Options that leave the matter to somebody, other than a laboratory. */
const OTHERS = new Set(['arborist', 'fell', 'licensed', 'authority']);
/** From this height on the work is not a caller's. */
const TALL_M = 5;

/** True for what a caller can come upon later: a thing seen on the plant, not that there is none, nor where it stands. */
const canBeFound =
  ({ findings }: Edition) =>
  ({ finding: id, answer }: Overturning): boolean => {
    const finding = findings.find((one) => one.id === id);
    return finding !== undefined && ['symptom', 'sign', 'test'].includes(finding.kind) && answer !== finding.absent;
  };

/** The single look that would put another cause first, in words. */
function changeOfMind({ standing, edition }: ReplyInput): string | null {
  const one = standing.overturnings.find(canBeFound(edition));
  const other = edition.causes.find((c) => c.id === one?.cause);
  return one && other
    ? `We would think of ${inSentence(other.name)} instead if you found this: ${readingText(edition, one.finding, one.answer).toLowerCase()}.`
    : null;
}

function howMuch({ plan }: ReplyInput): string[] {
  if (!plan) return [];
  const sums = plan.sums.map((line) => `– ${sentence(line)}`);
  if (!plan.dose) return sums.length > 0 ? ['How much', ...sums, ''] : [];
  const days = plan.days.map(({ on, hours, say }) => `${longDate(on)}${hours ? ` (${hours} o’clock by the sun)` : ''}${say ? `: ${say}` : ''}`);
  return [
    'How much, and on which days',
    `– ${sentence(plan.dose)}`,
    ...sums,
    ...(days.length > 0 ? [`– ${days.join('; ')}. Look at the weather first: no wind, no rain, no heat.`] : []),
    ...(plan.gear.length > 0 ? [`– Wear ${plan.gear.join(', ')}. Keep what is left in its pack; never pour it away.`] : []),
    '',
  ];
}

function lookAgain({ plan }: ReplyInput): string[] {
  const checks = plan?.checks ?? [];
  return checks.length > 0 ? ['Look again', ...checks.map(({ on, what }) => `– ${longDate(on)}: ${sentence(what)}`), ''] : [];
}

/** What of the plant harms; not every part of it does. */
const poisonLine = (plant: Plant, parts: string): string => `Poisonous or irritating in ${inSentence(plant.name)}: ${parts}`;

/** "It is late blight. Cut the struck parts out" – the letter has just named it. */
function withoutItsName({ name, also, replyLine }: Cause): string {
  const [opening, said] = /^It is (?:an? |the )?([^.,:;]+)\. /.exec(replyLine) ?? [];
  const words = new Set(
    [name, ...also]
      .join(' ')
      .toLowerCase()
      .split(/[^\p{L}]+/u),
  );
  const isOnlyTheName =
    said !== undefined &&
    said
      .toLowerCase()
      .split(/[^\p{L}]+/u)
      .every((word) => words.has(word));
  return isOnlyTheName ? replyLine.slice(opening!.length) : replyLine;
}

function advised(input: ReplyInput, cause: Cause): string[] {
  const { standing, plant } = input;
  const options = chosenOptions(standing);
  const known = reasonsInWords(standing.circumstances, standing.options);
  // the cause has been named; its line says what to do at other times of the year, on other plants
  const line = isLeftForTheSeason(standing) || isForThisHost(standing) ? [] : [sentence(withoutItsName(cause))];
  const repeated = options.some(({ option }) => option.how === standing.decision.why);
  const why = repeated ? [] : [sentence(standing.decision.why)];
  const lines = [...line, '', 'How we know', ...howWeKnow(input, cause), '', 'What to do', ...why];
  if (known.length > 0) lines.push(`We have reckoned with this: ${known.join('; ')}.`);
  lines.push(...options.map((option) => `– ${optionText(option)}`));
  if (standing.decision.noteFor) lines.push(`Please note ${longDate(standing.decision.noteFor)} in your calendar.`);
  lines.push('', ...howMuch(input));
  const poison = plant?.poisonous ? [poisonLine(plant, plant.poisonous)] : [];
  const cautions = [...new Set([...cause.cautions, ...options.flatMap(({ option }) => option.cautions), ...poison])];
  if (cautions.length > 0) lines.push('Take care', cautions.map(sentence).join(' '), '');
  const who = whoToTurnTo(input, cause);
  if (who.length > 0) lines.push('Who to turn to', sentence(capital(who.join('; '))), '');
  const change = changeOfMind(input);
  lines.push(
    'When to call again',
    `If it spreads, if new growth shows it too, or if you see something that does not fit.${change ? ` ${change}` : ''}`,
    '',
  );
  return lines;
}

/** Topics in which hands come near the sap. */
const TOUCHED = new Set(['prune', 'cut-back', 'divide', 'propagate', 'repot', 'compost', 'harvest']);

/** What is asked besides, and is not what the advice says. */
const lessUrgent = (care: ReplyCare | null | undefined): CareAnswer[] => (care?.answers ?? []).filter((one) => !one.urgent && !isInTheAdvice(one));

/** Where somebody ate of it that stands before what ails the plant. */
function urgentLines({ care }: ReplyInput): string[] {
  const urgent = care?.only ? [] : (care?.answers ?? []).filter((one) => one.urgent);
  return urgent.flatMap(({ plant, answer }) => [`Before anything else: ${inSentence(plant)}`, sentence(answer), '']);
}

/** What the card says to what was asked, topic by topic, each with its work and days. */
function careLines({ care, edition, plant, standing }: ReplyInput): string[] {
  const answers = care?.only ? care.answers : lessUrgent(care);
  const topicName = (id: string) => edition.careTopics.find((topic) => topic.id === id)?.name ?? id;
  // of another plant than the call's: "is my clivia poisonous", asked beside basil
  const ofAnother = (name: string) => name !== plant?.name && edition.plants.some((other) => other.name === name);
  const lines = answers.flatMap(({ topic, answer, plant: whose }) => [
    ofAnother(whose) ? `${topicName(topic)}: ${inSentence(whose)}` : topicName(topic),
    sentence(answer),
    ...(care?.dates ?? []).filter((date) => date.topic === topic).map((date) => `– ${date.name} (${whenSaid(date.timing)}): ${sentence(date.how)}`),
    '',
  ]);
  const saidOfIt = answers.some(({ topic, plant: whose }) => topic === POISON && !ofAnother(whose));
  const touched = answers.some(({ topic }) => TOUCHED.has(topic)) && !saidOfIt;
  const saidAlready = care?.only !== true && standing.decision.firm; // among the cautions of the cause
  return plant?.poisonous && touched && !saidAlready ? [...lines, 'Take care', sentence(poisonLine(plant, plant.poisonous)), ''] : lines;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The reply in plain words: what we think and how sure, how we know, what to do and when, cautions, when to call back. */
export function composeReply(input: ReplyInput): string {
  const { standing, edition, plant } = input;
  const leader = standing.candidates[0];
  const cause = edition.causes.find((c) => c.id === leader?.cause) ?? null;
  const thanks = `Thank you for asking about your ${hostName(plant)}.`;
  const lines: string[] = [`Dear ${input.caller},`, '', ...urgentLines(input)];
  if (input.care?.only) {
    lines.push(plant ? thanks : 'Thank you for your question.', '', ...careLines(input));
    lines.push('When to call again', 'If it does not look well: tell us then what you see.', '');
  } else if (!leader || !cause || leader.cause === UNLISTED) {
    lines.push(`${thanks} We cannot name the cause from what we know so far. ${standing.decision.why}`, '');
  } else {
    const name = `${inSentence(cause.name)}${cause.latin ? ` (${cause.latin})` : ''}`;
    const chance = `about ${Math.min(99, Math.round(leader.probability * 100))} in 100`;
    // before anything wrong was told a name would be a guess of the season's
    const untold = standing.openly === 'what' && !standing.decision.firm;
    const likely =
      leader.probability >= POSSIBLE
        ? `It is ${likelihoodWord(leader.probability)} ${name}: ${chance}.`
        : `It could be many things, likeliest so far ${name}: ${chance}.`;
    lines.push(`${thanks} ${untold ? 'We cannot say yet what it is.' : likely}`);
    lines.push(...(standing.decision.firm ? advised(input, cause) : unsure(input, cause)));
  }
  if (!input.care?.only && lessUrgent(input.care).length > 0) lines.push('You also asked', '', ...careLines(input));
  lines.push(...lookAgain(input));
  lines.push(LABELS_FIRST, '', `${input.advisor}, ${input.desk}, ${longDate(input.today)}`, `Knowledge edition ${edition.version}`);
  return lines.join('\n');
}
