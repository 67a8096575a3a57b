import { CUT_BACK, EAT, POISON } from '../edition/care.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { WHOLE_CARD, type CareQuestion } from '../language/careQuestions.ts';
import { worksFor } from '../season/works.ts';
import { WOODY } from '../treatment/circumstances.ts';
import { windowStanding, type SeasonContext, type WindowStanding } from '../season/windows.ts';

/** Care topics that speak to each other: a question about pruning also wants to hear which wood flowers. */
const KIN: Record<string, string[]> = {
  prune: ['prune', 'flowers-on'],
  'flowers-on': ['flowers-on', 'prune'],
  'cut-back': ['cut-back', 'prune'],
  mow: ['mow', 'cut-back'],
  winter: ['winter', 'hardiness'],
  hardiness: ['hardiness', 'winter'],
  rebloom: ['rebloom', 'cut-back', 'flowers-on'],
  'first-crop': ['first-crop', 'harvest'],
};
/** Where the plant itself is cut: a lawn is mown, and what is woody is pruned. */
const CUT_ITSELF = ['mow', 'prune', 'cut-back'];

export interface CareAnswer {
  plant: string;
  topic: string;
  answer: string;
  /** Somebody or an animal ate of it: this is done before anything else. */
  urgent?: true;
  /** What the advice on the cause answers instead, once there is one. */
  orCause?: true;
}

/** A piece of work that an answer speaks of, and when it is to be done this year. */
export interface CareDate {
  topic: string;
  name: string;
  how: string;
  timing: WindowStanding;
}

/** Who is asked when some of it was eaten: never this desk. Many cards are for several plants, so none gives its Latin name for that of what was eaten. */
const RING =
  'ring the poison centre, for an animal the vet, at once: give the plant’s own name, from its label if there is one, and keep a piece of it.';
const IF_EATEN = `If any was eaten or chewed, ${RING}`;
const NOW_EATEN = `R${RING.slice(1)}`;

/** Stands for the plant where none was named. */
const ANY_PLANT = 'plants in general';

/** Topics of the card that speak to a question, the nearest first. */
function keysFor(edition: Edition, plant: Plant | null, { topic, itself }: CareQuestion): string[] {
  if (topic === WHOLE_CARD) return edition.careTopics.map(({ id }) => id);
  const isCut = topic === CUT_BACK && itself && plant?.groups.some((group) => WOODY.has(group));
  const isMown = (topic === CUT_BACK || topic === 'prune') && plant?.care['mow'] !== undefined;
  return isCut || isMown ? CUT_ITSELF : (KIN[topic] ?? [topic]);
}

/** What the plant's card says on a topic of care and its kin; what holds for plants in general without a plant, or where its card is silent. */
function answersOn(edition: Edition, plant: Plant | null, question: CareQuestion): CareAnswer[] {
  const { topic } = question;
  // told from what the plant's card says is poisonous, not from its lines of care
  if (topic === POISON && (plant?.poisonous || question.eaten)) {
    const known = plant?.poisonous ?? 'That we know no harm of it makes it not safe.';
    const whose = { plant: plant?.name ?? ANY_PLANT, topic };
    return [question.eaten ? { ...whose, answer: `${NOW_EATEN} ${known}`, urgent: true } : { ...whose, answer: `${known} ${IF_EATEN}` }];
  }
  const own = keysFor(edition, plant, question).flatMap((key) =>
    plant?.care[key] ? [{ plant: plant.name, topic: key, answer: plant.care[key] }] : [],
  );
  if (own.length > 0) return own;
  const general = edition.careTopics.find(({ id }) => id === topic)?.general;
  const rule = general ? [{ plant: ANY_PLANT, topic, answer: general }] : [];
  // who asks what can be eaten of a plant must hear first what is poisonous of it
  return plant?.poisonous && topic === EAT ? [{ plant: plant.name, topic: POISON, answer: plant.poisonous }, ...rule] : rule;
}

/**
 * The answers to questions of care, each once.
 * @param plant the call's own, whose card answers unless a question names another
 */
export function careAnswers(edition: Edition, plant: Plant | null, questions: readonly CareQuestion[]): CareAnswer[] {
  const all = questions.flatMap((question) => {
    const named = edition.plants.filter(({ id }) => question.of?.includes(id));
    // who ate of one plant may have taken it for the other: "I thought it was comfrey"
    const meant: (Plant | null)[] =
      question.eaten && plant ? [plant, ...named.filter(({ id }) => id !== plant.id)] : named.length > 0 ? named : [plant];
    const answers = meant.flatMap((one) => answersOn(edition, one, question));
    return question.orCause ? answers.map((answer): CareAnswer => ({ ...answer, orCause: true })) : answers;
  });
  return all.filter(({ topic, plant: whose }, n) => all.findIndex((other) => other.topic === topic && other.plant === whose) === n);
}

/** The works of the year on the topics that were answered, with their days at this place. */
export function careDates(edition: Edition, plant: Plant, topics: readonly string[], context: SeasonContext): CareDate[] {
  return worksFor(edition, plant)
    .filter(({ topic }) => topics.includes(topic))
    .map(({ topic, name, how, window }) => ({ topic, name, how, timing: windowStanding(window, context) }));
}
