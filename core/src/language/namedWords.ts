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
/** What the name of a plant stands for that is not named for what is eaten: who says "my box is brown" means all of it. */
const WHOLE = { word: 'hostplant', stem: 'hostplant' };
const EATEN = ['vegetable', 'soft-fruit', ...NAMED_FOR_FRUIT];

/** Words of plants' names, by whether they mean the plant or its fruit. */
export function namedWords(tokens: readonly Token[], plants: readonly PlantMention[]): NamedWords {
  const isFruit = ({ groups }: Plant, i: number) =>
    tokens[i]!.word.endsWith('s') && !PLANTS.has(tokens[i]!.word) && groups.some((group) => NAMED_FOR_FRUIT.has(group));
  const which = (fruit: boolean) => new Set(plants.flatMap(({ plant, nearby, at }) => at.filter((i) => (!nearby && isFruit(plant, i)) === fruit)));
  return { plants: which(false), fruit: which(true) };
}

/** The words with what plants' names stand for in phrases; those that only describe the host are passed over. */
export function withNamesMeant(tokens: readonly Token[], plants: readonly PlantMention[]): Token[] {
  const { fruit } = namedWords(tokens, plants);
  const whole = new Set(
    plants.flatMap(({ plant, nearby, at }) => (nearby || EATEN.some((group) => plant.groups.includes(group)) ? [] : at.slice(-1))),
  );
  const meant = (i: number) => (fruit.has(i) ? { standsFor: FRUIT } : whole.has(i) ? { standsFor: WHOLE } : {});
  return withoutHostWords(tokens, plants).map((token, i) => ({ ...token, ...(token.word === '' ? {} : meant(i)) }));
}
