import type { Cause, Edition } from '../edition/edition.ts';
import { NearNames } from './nearNames.ts';

const plain = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\d]+/gu, ' ')
    .trim();

const JOINING = /^(?:of|on|in|the|a|by|from|to|and)$/;

/** The words that tell of a name, in one order: "foot rot of papaya" is papaya foot rot. */
const wordsTold = (name: string): string =>
  name
    .split(' ')
    .filter((word) => !JOINING.test(word))
    .map((word) => word.replace(/s$/, ''))
    .sort()
    .join(' ');

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

const CALLED_NORMAL = /^(normal|natural|healthy|nothing wrong|no problem|none)\b/;

type Index = Map<string, Set<string>>;

/** Finds causes by any name they go by. A cause listed by genus alone answers to every species of that genus. */
export class CauseNames {
  private readonly byName: Index = new Map();
  private readonly byWords: Index = new Map();
  private readonly byGenus: Index = new Map();
  private readonly normal: ReadonlySet<string>;
  private near: NearNames | null = null;

  constructor(private readonly edition: Edition) {
    const file = (into: Index, name: string, id: string) => into.set(name, (into.get(name) ?? new Set()).add(id));
    for (const cause of edition.causes) {
      for (const name of namesOf(cause).map(plain)) {
        if (name === '') continue;
        file(this.byName, name, cause.id);
        file(this.byWords, wordsTold(name), cause.id);
      }
      for (const name of (cause.latin ?? '').split(/,| and /).map(plain)) if (/^[a-z]+$/.test(name)) file(this.byGenus, name, cause.id);
    }
    this.normal = new Set(edition.causes.filter(({ kind }) => kind === 'normal').map(({ id }) => id));
  }

  private named(name: string): string[] {
    return [name, name.replace(/s$/, ''), `${name}s`].flatMap((key) => [...(this.byName.get(key) ?? [])]);
  }

  /** By the whole name, else by its words in whatever order. */
  private namedInAnyOrder(name: string): string[] {
    const whole = this.named(name);
    return whole.length > 0 ? whole : [...(this.byWords.get(wordsTold(name)) ?? [])];
  }

  private ofGenus(name: string): string[] {
    const genus = /^[a-z]+ [a-z]/.test(name) ? name.split(' ')[0]! : '';
    return [...(this.byGenus.get(genus) ?? [])];
  }

  /** Ids of the causes that go by any of these names. */
  find(names: readonly string[]): string[] {
    return [...new Set(names.map(plain).flatMap((name) => [...this.named(name), ...this.ofGenus(name)]))];
  }

  /**
   * For the looser names of practice calls: a whole name counts first, then a known name within a longer one, then a genus; what is first called
   * normal, and by no name of a normal state, or only called normal, may be any of them; at last a name counts that says nearly the same.
   */
  forPractice(names: readonly string[]): string[] {
    const wanted = names.map(plain);
    const within = (name: string) =>
      phrasesIn(name)
        .map((phrase) => this.named(phrase))
        .find((ids) => ids.length > 0) ?? [];
    const isCalledNormal = (name: string) => CALLED_NORMAL.test(name);
    for (const look of [(name: string) => this.namedInAnyOrder(name), within, (name: string) => this.ofGenus(name)]) {
      const found = wanted.flatMap(look);
      const mayBeAny = wanted.slice(0, 1).some(isCalledNormal) && !found.some((id) => this.normal.has(id));
      if (found.length > 0) return [...new Set(mayBeAny ? [...found, ...this.normal] : found)];
    }
    if (wanted.some(isCalledNormal)) return [...this.normal];
    this.near ??= new NearNames(this.edition, (cause) => namesOf(cause).map(plain));
    return [...new Set(wanted.flatMap((name) => this.near!.find(name)))];
  }
}
