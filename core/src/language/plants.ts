import { distance } from 'fastest-levenshtein';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { withoutTakenBackPlants } from './corrections.ts';
import { AFTER_HOST, closest, meantBeside, type PlantMention } from './mentions.ts';
import { isNearby, isOfEarlierCall, isOfNextDoor, isOwned, isShade, OWNING, withGuests } from './nearness.ts';
import { isPersonsName } from './people.ts';
import { ShortNames } from './shortNames.ts';
import { tokenise, type Token } from './tokens.ts';

/** One way of naming a plant, as stems. */
interface NameEntry {
  plant: Plant;
  parts: { stem: string; word: string; exact: string | null }[];
  /** Earlier entries win where two plants share a name. */
  order: number;
}

/** Names of a plant in the ways people say them: common, and scientific where it has one; one that ends in "!" is taken in that form only. */
export function namesOfPlant(plant: Plant): string[] {
  const names = [plant.name, ...plant.also];
  return plant.generic ? names : [plant.id.replace(/-/g, ' '), plant.latin, ...names];
}

/** "I squashed one" names no squash: a verb's ending that the name does not have. */
const isVerbOf = (word: string, name: string): boolean => /(ed|ing)$/.test(word) && !/(ed|ing)$/.test(name);
/** Letters written twice as once: the "carot" that is a carrot rather than a carob. */
const single = (stem: string): string => stem.replace(/(.)\1/g, '$1');
/** Letters by which the form of a name may differ: cherry, "cherrys". */
const ENDING = 1;
/** How much farther off a name is that needs another letter, in letters. */
const LETTER_EXCHANGED = 0.5;

/** Shorter words are too near each other to guess a plant from a slip: "limey" is no lime. */
const LEAST_TO_FORGIVE = 6;

const SAID_OF = /^(is|has|keeps|was|looks)$/;

/** "My orange is sticky": what is owned and does something is the plant, where the bare word is a colour. */
function isOneOf(tokens: readonly Token[], at: number): boolean {
  return OWNING.has(tokens[at - 1]?.word ?? '') && SAID_OF.test(tokens[at + 1]?.word ?? '');
}

/** Reads plant names out of talk, forgiving a slip or two of spelling in longer names. */
export class PlantNames {
  private readonly byFirstStem = new Map<string, NameEntry[]>();
  /** Names of one word by their stem, with the word. */
  private readonly single = new Map<string, { plant: Plant; word: string }>();
  private readonly shortNames: ShortNames;

  constructor(
    private readonly edition: Edition,
    private readonly knownWord: (token: Token) => boolean,
  ) {
    const named = new Set<string>();
    const add = (name: string, plant: Plant): void => {
      // a name that ends in "!" is taken in exactly that form: "oranges" is a plant, "orange" a colour
      const exact = name.endsWith('!');
      const tokens = tokenise(name, edition.lexicon.irregular);
      const first = tokens[0];
      if (!first) return;
      named.add(name.toLowerCase());
      const entry = { plant, parts: tokens.map(({ stem, word }) => ({ stem, word, exact: exact ? word : null })), order: named.size };
      this.byFirstStem.set(first.stem, [...(this.byFirstStem.get(first.stem) ?? []), entry]);
      if (tokens.length === 1 && !exact && !this.single.has(first.stem)) this.single.set(first.stem, { plant, word: first.word });
    };
    for (const plant of edition.plants) for (const name of namesOfPlant(plant)) add(name, plant);
    // a bare genus means the plant whose own name it is, else the first of its kind
    for (const plant of edition.plants) if (!plant.generic && !named.has(plant.genus.toLowerCase())) add(plant.genus, plant);
    this.shortNames = new ShortNames(edition, namesOfPlant);
  }

  private near(token: Token): { plant: Plant; distance: number } | null {
    if (token.word.length < LEAST_TO_FORGIVE || this.knownWord(token)) return null;
    const allowed = token.word.length >= 9 ? 2 : 1;
    let best: { plant: Plant; distance: number } | null = null;
    let least = Infinity;
    for (const [stem, { plant, word }] of this.single) {
      if (stem[0] !== token.stem[0] || Math.abs(stem.length - token.stem.length) > allowed) continue;
      if (Math.abs(word.length - token.word.length) > allowed + ENDING) continue; // "grateful" is no grape
      const d = distance(stem, token.stem);
      // the same stem and yet no name is a verb
      const exchanged = d + (single(stem) === single(token.stem) ? 0 : LETTER_EXCHANGED);
      if (d > 0 && d <= allowed && exchanged < least) {
        best = { plant, distance: d };
        least = exchanged;
      }
    }
    return best;
  }

  /** Every name of a plant whose words stand in the talk, overlapping ones too. */
  private spokenIn(tokens: readonly Token[]): { entry: NameEntry; at: number[] }[] {
    return tokens.flatMap((token, start) =>
      (this.byFirstStem.get(token.stem) ?? [])
        .filter(({ parts }) =>
          parts.every(({ stem, exact, word }, i) => {
            const here = tokens[start + i];
            if (here === undefined || here.stem !== stem || isVerbOf(here.word, word)) return false;
            return exact === null || here.word === exact || isOneOf(tokens, start + i);
          }),
        )
        .map((entry) => ({ entry, at: entry.parts.map((_, i) => start + i) })),
    );
  }

  /** Words that would name a plant if they were not somebody's name. */
  people(tokens: readonly Token[]): ReadonlySet<number> {
    return new Set(this.spokenIn(tokens).flatMap(({ at }) => (isPersonsName(tokens, at) ? at : [])));
  }

  /** Mentions in the order they are spoken, longest names first where they overlap. */
  find(tokens: readonly Token[]): PlantMention[] {
    const taken = new Set<number>();
    const mentions: PlantMention[] = [];
    const take = (plant: Plant, at: number[], d: number): void => {
      at.forEach((i) => taken.add(i));
      mentions.push({
        plant,
        at,
        nearby: isNearby(tokens, at, this.edition.lexicon),
        owned: isOwned(tokens, at[0]!),
        ofNextDoor: isOfNextDoor(tokens, at[0]!, this.edition.lexicon),
        earlier: isOfEarlierCall(tokens, at[0]!),
        mayMean: at.length === 1 ? this.shortNames.at(tokens, at[0]!) : new Set(),
        shade: isShade(tokens, at),
        distance: d,
      });
    };
    const spoken = this.spokenIn(tokens).filter(({ at }) => !isPersonsName(tokens, at));
    spoken.sort((a, b) => b.at.length - a.at.length || a.at[0]! - b.at[0]! || a.entry.order - b.entry.order);
    // "melon vine" is no grapevine
    const ends = new Set(spoken.filter(({ entry }) => !entry.plant.generic).map(({ at }) => at.at(-1)!));
    const isItsKind = (at: readonly number[]) => at.length === 1 && AFTER_HOST.has(tokens[at[0]!]!.word) && ends.has(at[0]! - 1);
    for (const { entry, at } of spoken) if (!at.some((i) => taken.has(i)) && !isItsKind(at)) take(entry.plant, at, 0);
    tokens.forEach((token, index) => {
      if (taken.has(index)) return;
      const near = isPersonsName(tokens, [index]) ? null : this.near(token);
      if (near) take(near.plant, [index], near.distance);
    });
    const close = mentions.filter(({ plant, shade, nearby }) => !shade && !nearby && !plant.generic);
    const host = close.find(({ plant: one }) => mentions.some(({ plant, mayMean }) => plant !== one && mayMean.has(one))) ?? close[0];
    const inOrder = meantBeside(mentions, host?.plant ?? null).sort((a, b) => a.at[0]! - b.at[0]!);
    return withoutTakenBackPlants(withGuests(tokens, inOrder), tokens);
  }

  /** The plant that a whole name or id means, or null. */
  resolve(name: string): Plant | null {
    const direct = this.edition.plants.find((plant) => plant.id === name);
    if (direct) return direct;
    const spoken = (words: string) => this.find(tokenise(words, this.edition.lexicon.irregular));
    // asked for as a name, "orange" and "pink" are plants, though in talk only the plural is; no slip is forgiven there: a karee is no kale
    return closest(spoken(name)) ?? closest(spoken(`${name.trim()}s`).filter(({ distance }) => distance === 0));
  }
}
