import type { Plant } from '../edition/plants.ts';
import { wordsOf, type Token } from './tokens.ts';

/** A plant named in talk, and how. */
export interface PlantMention {
  plant: Plant;
  at: number[];
  /** True when the plant is not the one the call is about: a neighbour's, a likeness ("a lump like a cauliflower"), or what grows on it. */
  nearby: boolean;
  /** True for "my pear", "our old pear". */
  owned: boolean;
  /** True for "my neighbour's pear". */
  ofNextDoor: boolean;
  /** True where an earlier call was about it: "I rang last year about my tomatoes". */
  earlier: boolean;
  /** Other plants that may be meant by it: the peace lily of "the lily", the melons of a bare "vine". */
  mayMean: ReadonlySet<Plant>;
  /** True for what may be a shade: "olive brown spots", "lemon yellow leaves". */
  shade: boolean;
  /** Letters that had to be changed to read the name. */
  distance: number;
}

const isOther = ({ plant }: PlantMention, host: Plant | null): host is Plant => host !== null && plant !== host;

/** Mentions without what only means the host ("my melons did well, then all the vines wilted") or a shade of what is seen on it. */
export const meantBeside = (mentions: readonly PlantMention[], host: Plant | null): PlantMention[] =>
  mentions.filter((one) => !isOther(one, host) || !(one.shade || one.mayMean.has(host)));

/** Mentions where the plant on the table is known: what may mean it does, the lily and the tree. */
export const meantOn = (mentions: readonly PlantMention[], host: Plant): PlantMention[] =>
  meantBeside(
    mentions.map((one) => (one.mayMean.has(host) ? { ...one, plant: host } : one)),
    host,
  );

/**
 * The plant a call is about, among those named closely: what is come back to ("beans up the corn, and the corn has boils"), else the caller's own ("a walnut,
 * and my tomatoes wilt"), else the first, else the first "house plant" or the like.
 */
export function closest(mentions: readonly PlantMention[]): Plant | null {
  const all = mentions.filter(({ nearby }) => !nearby);
  const close = all.some(({ earlier }) => !earlier) ? all.filter(({ earlier }) => !earlier) : all;
  const named = close.filter(({ plant }) => !plant.generic);
  const timesNamed = (plant: Plant) => mentions.filter((mention) => mention.plant === plant).length;
  const most = Math.max(1, ...named.map(({ plant }) => timesNamed(plant)));
  const comesBack = most > 1 ? named.filter(({ plant }) => timesNamed(plant) === most) : named;
  return (comesBack.find(({ owned }) => owned) ?? comesBack[0] ?? close[0])?.plant ?? null;
}

/** What follows a plant's name that is not its fruit: "cherry tree", "apple leaves". */
export const AFTER_HOST = wordsOf(
  'tree trees bush bushes plant plants leaf leaves foliage hedge vine vines cactus shrub shrubs branch branches trunk',
);

/**
 * A plant's name that means the plant as a whole says nothing of what is seen, so no phrase may use it: the "sugar" of a sugar maple is no powder,
 * the "coffee" of a coffee bush no colour. Its last word stays where it may be the fruit that is spoken of.
 */
export function withoutHostWords(tokens: readonly Token[], plants: readonly PlantMention[]): Token[] {
  const hosts = plants.filter(({ nearby }) => !nearby); // a juniper hedge next door is something seen
  const ofName = new Set(hosts.flatMap(({ at }) => at.slice(0, -1)));
  const last = new Set(hosts.flatMap(({ at }) => at.slice(-1)));
  return tokens.map((token, i) =>
    ofName.has(i) || (last.has(i) && AFTER_HOST.has(tokens[i + 1]?.word ?? '')) ? { ...token, word: '', stem: '' } : token,
  );
}
