import type { Plant } from '../edition/plants.ts';
import type { NamedWords } from './organs.ts';
import { withoutHostWords, type PlantMention } from './mentions.ts';
import { wordsOf, type Token } from './tokens.ts';

/** What the plural of such a name stands for in a phrase: "guavas full of holes" is said of fruit. */
const FRUIT = { word: 'fruit', stem: 'fruit' };
/** Plants whose name in the plural is their fruit: "my oranges" are not trees. */
const NAMED_FOR_FRUIT = new Set(['fruit-tree', 'citrus', 'nut-tree', 'tropical-fruit']);
/** Such a name ends in the plant itself: "coffee trees" drop leaves, not fruit. */
const PLANTS = wordsOf('trees bushes shrubs plants vines seedlings saplings palms');
/** "My olives have spots on the leaves" is said of trees: the part comes behind, within a few words of its preposition. */
const PARTS = wordsOf('leaf leaves foliage');
const PLACING = wordsOf('on of in under underneath along');
const FRUIT_ITSELF = wordsOf('fruit fruits skin skins husk husks');
const MOST_WORDS_BETWEEN = 3;
/** What the name of a plant stands for that is not named for what is eaten: who says "my box is brown" means all of it. */
const WHOLE = { word: 'hostplant', stem: 'hostplant' };
const EATEN = ['vegetable', 'soft-fruit', ...NAMED_FOR_FRUIT];

/** True where what is told of a plant sits on a part of it that is no fruit. */
function isToldOfAPart(tokens: readonly Token[], at: number): boolean {
  const behind = tokens.slice(at + 1).filter(({ breath }) => breath === tokens[at]!.breath);
  const part = behind.findIndex(({ word }) => PARTS.has(word));
  const placed = behind.slice(Math.max(0, part - 1 - MOST_WORDS_BETWEEN), Math.max(0, part)).some(({ word }) => PLACING.has(word));
  return placed && !PLACING.has(tokens[at - 1]?.word ?? '') && !behind.some(({ word }) => FRUIT_ITSELF.has(word));
}

const isCalledAsFruit = (tokens: readonly Token[], at: number, { groups }: Plant): boolean =>
  tokens[at]!.word.endsWith('s') && !PLANTS.has(tokens[at]!.word) && groups.some((group) => NAMED_FOR_FRUIT.has(group));

/** Words of plants' names, by whether they mean the plant or its fruit. */
export function namedWords(tokens: readonly Token[], plants: readonly PlantMention[]): NamedWords {
  const isFruit = (plant: Plant, i: number) => isCalledAsFruit(tokens, i, plant) && !isToldOfAPart(tokens, i);
  const which = (fruit: boolean) => new Set(plants.flatMap(({ plant, nearby, at }) => at.filter((i) => (!nearby && isFruit(plant, i)) === fruit)));
  return { plants: which(false), fruit: which(true) };
}

/** The words with what plants' names stand for in phrases; those that only describe the host are passed over. */
export function withNamesMeant(tokens: readonly Token[], plants: readonly PlantMention[]): Token[] {
  const { fruit } = namedWords(tokens, plants);
  const whole = new Set(
    plants.flatMap(({ plant, nearby, at }) => (nearby || EATEN.some((group) => plant.groups.includes(group)) ? [] : at.slice(-1))),
  );
  const trees = new Set(
    plants.flatMap(({ plant, nearby, at }) => (nearby ? [] : at.filter((i) => isCalledAsFruit(tokens, i, plant) && isToldOfAPart(tokens, i)))),
  );
  const meant = (i: number) => (fruit.has(i) ? { standsFor: FRUIT } : trees.has(i) ? WHOLE : whole.has(i) ? { standsFor: WHOLE } : {});
  return withoutHostWords(tokens, plants).map((token, i) => ({ ...token, ...(token.word === '' ? {} : meant(i)) }));
}
