import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { isOwned } from './nearness.ts';
import { stemOf, wordsOf, type Token } from './tokens.ts';

const TRAILING_GROUPS = ['cucurbit', 'climber'];
const TRAILING_GENERA = new Set(['Solanum', 'Ipomoea', 'Dioscorea', 'Phaseolus', 'Pisum', 'Vigna']);
/** True for what people call vines, whatever it bears. */
const trails = ({ groups, genus }: Plant): boolean => TRAILING_GENERA.has(genus) || TRAILING_GROUPS.some((group) => groups.includes(group));

/** "The lily", "that fern", as "my lily": one that was spoken of. */
const SPOKEN_OF = wordsOf('the this that these those');

/** The word a name may be cut down to, null for one of a single word: the rose of a rose of Sharon. */
function headOf(name: string): string | null {
  const [named = '', ofWhat] = name.toLowerCase().replace('!', '').split(' of ');
  const words = named.split(/[\s-]+/);
  return words.length > 1 || ofWhat !== undefined ? words.at(-1)! : null;
}

/** Plants by the short names they go by once it is known which is spoken of. */
export class ShortNames {
  private readonly bySpeaking = new Map<string, Set<Plant>>();
  /** What a plant is grown to, or grows as, may be said of any number: "all the vines", "ferns". */
  private readonly byGrowth = new Map<string, Set<Plant>>();

  constructor(edition: Edition, namesOf: (plant: Plant) => readonly string[]) {
    const put = (into: Map<string, Set<Plant>>, word: string, plant: Plant) => {
      const stem = stemOf(word, edition.lexicon.irregular);
      into.set(stem, (into.get(stem) ?? new Set()).add(plant));
    };
    for (const plant of edition.plants) {
      for (const head of namesOf(plant).map(headOf)) if (head !== null) put(this.bySpeaking, head, plant);
      if (trails(plant)) put(this.byGrowth, 'vine', plant);
      for (const { words } of plant.sizes ?? []) for (const word of words) put(this.byGrowth, word, plant);
    }
  }

  /** Plants that one word, at this index of the talk, may mean beside the one it names. */
  at(tokens: readonly Token[], i: number): ReadonlySet<Plant> {
    const { stem } = tokens[i]!;
    const owned = isOwned(tokens, i);
    const spoken = owned || SPOKEN_OF.has(tokens[i - 1]?.word ?? '') ? this.bySpeaking.get(stem) : undefined;
    const grown = owned ? undefined : this.byGrowth.get(stem); // "my vine" bears grapes
    return new Set([...(grown ?? []), ...(spoken ?? [])]);
  }
}
