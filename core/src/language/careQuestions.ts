import type { CareTopic } from '../edition/edition.ts';
import { stemOf, type Token } from './tokens.ts';

/** "should I", "do you", "can it", "when to": what opens a question about what to do, with or without a question mark. */
const OPENERS = new Set(['should', 'can', 'could', 'do', 'does', 'must', 'shall', 'may', 'will', 'would']);
const ASKERS = new Set(['when', 'how', 'where', 'time', 'way']);
const SUBJECTS = new Set(['i', 'you', 'we', 'it', 'they', 'one', 'he', 'she', 'my', 'the']);
/** Words between the opening of the question and the verb. */
const REACH = 9;

/** "do I cut …" and "when to cut …": index of the first word after the opening, or -1. */
function openingAt(tokens: readonly Token[], index: number): number {
  const [here, next, after] = [tokens[index], tokens[index + 1], tokens[index + 2]];
  if (!here || !next) return -1;
  if (OPENERS.has(here.word) && SUBJECTS.has(next.word)) return index + 2;
  if (ASKERS.has(here.word) && next.word === 'to' && after) return index + 2;
  return -1;
}

/** Reads questions of care by their verb, wherever it stands after the opening: "there is a flower stalk, do I leave it?" */
export class CareQuestions {
  private readonly topicOf = new Map<string, string>();

  constructor(
    topics: readonly CareTopic[],
    private readonly irregular: Record<string, string>,
  ) {
    for (const topic of topics) for (const verb of topic.verbs ?? []) this.topicOf.set(stemOf(verb, irregular), topic.id);
  }

  /** One topic for each question at most, with the words it was read from. */
  find(tokens: readonly Token[]): { topic: string; from: string; at: number }[] {
    return tokens.flatMap((opener, index) => {
      const start = openingAt(tokens, index);
      if (start < 0) return [];
      for (let i = start; i < tokens.length && i <= start + REACH; i++) {
        const token = tokens[i]!;
        if (token.clause !== opener.clause) break;
        const topic = this.topicOf.get(stemOf(token.word, this.irregular));
        if (!topic) continue;
        const words = tokens.slice(index, i + 1).map((t) => t.text);
        return [{ topic, from: words.join(' '), at: i }];
      }
      return [];
    });
  }
}
