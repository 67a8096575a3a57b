import { hostWeight, strayWeight } from '../edition/hosts.ts';
import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { namesOfPlant } from '../language/plants.ts';
import { stemOf } from '../language/tokens.ts';
import { NearNames } from './nearNames.ts';

const plain = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\d]+/gu, ' ')
    .trim();

const JOINING = /^(?:of|on|in|the|a|by|from|to|and)$/;

/** The words that tell of a name. */
const wordsOf = (name: string): string[] =>
  name
    .split(' ')
    .filter((word) => !JOINING.test(word))
    .map((word) => (word === 'leaves' ? 'leaf' : word.replace(/s$/, '')));

/** The same in one order and form: "foot rot of papaya" is papaya foot rot, split bark is a bark split, and what is normal is natural. */
const wordsTold = (name: string, irregular: Record<string, string>): string =>
  [...new Set(wordsOf(name).map((word) => stemOf(word === 'normal' ? 'natural' : word, irregular)))].sort().join(' ');

/** What of the names of a cause says no more than another does: by its words in any order and form. The name it is called by here stays. */
export function spareNames({ name, latin, also }: Pick<Cause, 'name' | 'latin' | 'also'>, irregular: Record<string, string>): string[] {
  const told = (one: string) => wordsTold(plain(one), irregular);
  const before = [name, ...(latin ? [latin] : [])];
  const known = [...before, ...also].map(told);
  return also.filter((_, n) => known.indexOf(known[before.length + n]!) < before.length + n);
}

/** "Angular leaf spot of cucumber" is called angular leaf spot; one word alone would be too little ("lack of water"). */
const withoutWhere = (name: string): string[] => {
  const [head = ''] = name.split(/ of | on | in /);
  return head !== name && head.includes(' ') ? [head] : [];
};

/** "Pythium and Rhizoctonia" names two organisms. */
const namesOf = (cause: Cause): string[] => [
  cause.id,
  cause.name,
  ...cause.name.split(/,| and | or /),
  ...withoutWhere(cause.name),
  ...(cause.latin ? [cause.latin, ...cause.latin.split(/,| and /)] : []),
  ...cause.also,
];

/** Runs of two words and more within a name, the longest first. */
function phrasesIn(name: string): string[] {
  const words = name.split(' ');
  const out: string[] = [];
  for (let length = words.length - 1; length >= 2; length--)
    for (let from = 0; from + length <= words.length; from++) out.push(words.slice(from, from + length).join(' '));
  return out;
}

/** "Sunburn after moving outdoors" is sunburn. */
const kindOf = (name: string): string => name.split(/ (?:after|at|by|caused|due|during|for|from|in|of|on|through|with) /)[0] ?? '';

const CALLED_NORMAL = /^(?:normal|natural|healthy|nothing wrong|no problem|none)\b|\b(?:normal|natural)$/;

type Index = Map<string, Set<string>>;

interface PlantName {
  plant: Plant;
  words: string[];
}

const isWithin = (words: readonly string[], all: readonly string[]): boolean => words.every((word) => all.includes(word));

/** Finds causes by any name they go by. A cause listed by genus alone answers to every species of that genus. */
export class CauseNames {
  private readonly byName: Index = new Map();
  private readonly byWords: Index = new Map();
  private readonly byGenus: Index = new Map();
  private readonly normal: ReadonlySet<string>;
  private readonly causes: ReadonlyMap<string, Cause>;
  private readonly plants: PlantName[];
  private readonly wordsOfNames: ReadonlyMap<Cause, string[][]>;
  private readonly namesOfHosts: ReadonlyMap<Plant, string[]>;
  private near: NearNames | null = null;
  /** Ways to find a name, the surest first. */
  private readonly looks: ((name: string, plant: Plant | null) => string[])[] = [
    (name, plant) => [...this.namedInAnyOrder(name), ...this.namedWithPlant(name, plant)],
    (name, plant) => this.onPlant(name, plant),
    (name) => this.within(name),
    (name) => this.ofGenus(name),
  ];

  constructor(private readonly edition: Edition) {
    const file = (into: Index, name: string, id: string) => into.set(name, (into.get(name) ?? new Set()).add(id));
    for (const cause of edition.causes) {
      for (const name of namesOf(cause).map(plain)) {
        if (name === '') continue;
        file(this.byName, name, cause.id);
        file(this.byWords, this.told(name), cause.id);
      }
      for (const name of (cause.latin ?? '').split(/,| and /).map(plain)) if (/^[a-z]+$/.test(name)) file(this.byGenus, name, cause.id);
    }
    this.plants = edition.plants
      .filter(({ generic }) => !generic)
      .flatMap((plant) => namesOfPlant(plant).map((name): PlantName => ({ plant, words: wordsOf(plain(name)) })))
      .filter(({ words }) => words.length > 0)
      .sort((a, b) => b.words.length - a.words.length);
    this.wordsOfNames = new Map(edition.causes.map((cause) => [cause, namesOf(cause).map((name) => wordsOf(plain(name)))]));
    this.namesOfHosts = new Map(edition.plants.map((plant) => [plant, namesOfPlant(plant).map(plain)]));
    this.causes = new Map(edition.causes.map((cause) => [cause.id, cause]));
    this.normal = new Set(edition.causes.filter(({ kind }) => kind === 'normal').map(({ id }) => id));
  }

  private named(name: string): string[] {
    return [name, name.replace(/s$/, ''), `${name}s`].flatMap((key) => [...(this.byName.get(key) ?? [])]);
  }

  private told(name: string): string {
    return wordsTold(name, this.edition.lexicon.irregular);
  }

  /** By the whole name, else by its words in whatever order and form. */
  private namedInAnyOrder(name: string): string[] {
    const whole = this.named(name);
    return whole.length > 0 ? whole : [...(this.byWords.get(this.told(name)) ?? [])];
  }

  /** The "weevil" of a sweet potato is the sweet potato weevil, where a cause goes by that name. */
  private namedWithPlant(name: string, plant: Plant | null): string[] {
    const hosts = plant === null ? [] : (this.namesOfHosts.get(plant) ?? namesOfPlant(plant).map(plain));
    return hosts.flatMap((host) => this.namedInAnyOrder(`${host} ${name}`));
  }

  /** By the plant in the name, or else that of the call, and what is left of it: a "pansy leaf spot" is any leaf spot that pansies have. */
  private onPlant(name: string, ofCall: Plant | null): string[] {
    const words = wordsOf(name);
    const named = this.plants.filter((one) => one.words.length < words.length && isWithin(one.words, words));
    const longest = named.filter((one) => one.words.length === named[0]?.words.length);
    const rest = words.filter((word) => !longest.some((one) => one.words.includes(word)));
    const hosts = longest.length > 0 ? longest.map(({ plant }) => plant) : ofCall ? [ofCall] : [];
    // "sawfly" is a name by itself, "browning" is none
    const isName = longest.length > 0 || rest.length > 1 || this.named(name).length > 0;
    if (rest.length === 0 || !isName) return [];
    const isCalled = (cause: Cause) => this.wordsOfNames.get(cause)!.some((words) => isWithin(rest, words) && rest.includes(words.at(-1)!));
    return this.edition.causes.filter((cause) => isCalled(cause) && hosts.some((plant) => hostWeight(cause, plant) > 0)).map(({ id }) => id);
  }

  private ofGenus(name: string): string[] {
    const genus = /^[a-z]+ [a-z]/.test(name) ? name.split(' ')[0]! : '';
    return [...(this.byGenus.get(genus) ?? [])];
  }

  /** Ids of the causes that go by any of these names; else of those on this plant that go by what the names say besides it: "hosta anthracnose". */
  find(names: readonly string[], plant: Plant | null = null): string[] {
    const wanted = names.map(plain);
    const whole = wanted.flatMap((name) => [...this.namedInAnyOrder(name), ...this.ofGenus(name)]);
    return [...new Set(whole.length > 0 || plant === null ? whole : wanted.flatMap((name) => this.onPlant(name, plant)))];
  }

  /**
   * For the looser names of practice calls: a whole name counts first, by itself or behind that of the plant, then what of that name a plant in it has, then a known name within a longer one, then a
   * genus; what cannot befall the plant of the call gives way to the next of these, and counts where none finds anything else. What is first called normal, and
   * by no name of a normal state, or only called normal, may be any of them; at last a name counts that says nearly the same, or what it is a kind of.
   */
  forPractice(names: readonly string[], plant: Plant | null = null): string[] {
    const wanted = names.map(plain);
    const isCalledNormal = (name: string) => CALLED_NORMAL.test(name);
    let elsewhere: string[] = [];
    for (const look of this.looks) {
      const found = new Set(wanted.flatMap((name) => look(name, plant)));
      if (found.size > 0 && wanted.slice(0, 1).some(isCalledNormal) && ![...found].some((id) => this.normal.has(id)))
        for (const id of this.normal) found.add(id);
      const here = [...found].filter((id) => plant === null || this.befalls(this.causes.get(id)!, plant));
      if (here.length > 0) return here;
      if (elsewhere.length === 0) elsewhere = [...found];
    }
    if (wanted.some(isCalledNormal)) return [...this.normal];
    const near = this.nearest(wanted, plant);
    if (near.length === 0 && elsewhere.length > 0) return elsewhere;
    return [...new Set(near.length > 0 ? near : wanted.flatMap((name) => this.named(kindOf(name))))];
  }

  /** What says nearly the same: of what can befall the plant, or else of everything. */
  private nearest(names: readonly string[], plant: Plant | null): string[] {
    const near = (this.near ??= new NearNames(this.edition, (cause) => namesOf(cause).map(plain)));
    const anywhere = () => names.flatMap((name) => near.find(name));
    if (plant === null) return anywhere();
    const here = new Set(this.edition.causes.filter((cause) => this.befalls(cause, plant)).map(({ id }) => id));
    const found = names.flatMap((name) => near.find(name, here));
    return found.length > 0 ? found : anywhere();
  }

  private befalls(cause: Cause, plant: Plant): boolean {
    return hostWeight(cause, plant) > 0 || strayWeight(cause, plant, this.edition) > 0;
  }

  /** By the longest known name within a longer one. */
  private within(name: string): string[] {
    const known = phrasesIn(name).map((phrase) => this.namedInAnyOrder(phrase));
    return known.find((ids) => ids.length > 0) ?? [];
  }
}
