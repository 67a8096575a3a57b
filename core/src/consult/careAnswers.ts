import type { Edition, Plant } from '../edition/edition.ts';
import { WHOLE_CARD, type CareQuestion } from '../language/careQuestions.ts';

/** Care topics that speak to each other: a question about pruning also wants to hear which wood flowers. */
const KIN: Record<string, string[]> = {
  prune: ['prune', 'flowers-on'],
  'flowers-on': ['flowers-on', 'prune'],
  'cut-back': ['cut-back', 'prune'],
  mow: ['mow', 'cut-back'],
  winter: ['winter', 'hardiness'],
  hardiness: ['hardiness', 'winter'],
  rebloom: ['rebloom', 'cut-back', 'flowers-on'],
};

export interface CareAnswer {
  plant: string;
  topic: string;
  answer: string;
}

/** Told from what the plant's card says is poisonous, not from its lines of care. */
const POISON = 'poison';

/** Stands for the plant where none was named. */
const ANY_PLANT = 'plants in general';

/** What the plant's card says on a topic of care and its kin; what holds for plants in general without a plant, or where its card is silent. */
function answersOn(edition: Edition, plant: Plant | null, topic: string): CareAnswer[] {
  if (plant && topic === POISON && plant.poisonous) return [{ plant: plant.name, topic, answer: plant.poisonous }];
  const keys = topic === WHOLE_CARD ? edition.careTopics.map(({ id }) => id) : (KIN[topic] ?? [topic]);
  const own = keys.flatMap((key) => (plant?.care[key] ? [{ plant: plant.name, topic: key, answer: plant.care[key] }] : []));
  if (own.length > 0) return own;
  const general = edition.careTopics.find(({ id }) => id === topic)?.general;
  return general ? [{ plant: ANY_PLANT, topic, answer: general }] : [];
}

/** The answers to questions of care, each once. */
export function careAnswers(edition: Edition, plant: Plant | null, questions: readonly CareQuestion[]): CareAnswer[] {
  const all = questions.flatMap(({ topic }) => answersOn(edition, plant, topic));
  return all.filter(({ topic }, n) => all.findIndex((other) => other.topic === topic) === n);
}
