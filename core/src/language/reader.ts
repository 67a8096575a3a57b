import type { Edition } from '../edition/edition.ts';
import type { Channel } from '../edition/findings.ts';
import { canShow } from '../edition/hosts.ts';
import type { Plant } from '../edition/plants.ts';
import { askingIn, tellsTrouble } from './asking.ts';
import { Bindings } from './binding.ts';
import { CareQuestions, type CareHeard, type CarePhrase } from './careQuestions.ts';
import { takesBack, withoutTakenBack } from './corrections.ts';
import { deniesElsewhere, deniesKnowing } from './granted.ts';
import { circumstantial, type Match } from './meaning.ts';
import { measurementsIn } from './measures.ts';
import { namedWords, withNamesMeant } from './namedWords.ts';
import { scopesOf, type Scopes } from './negation.ts';
import { toldBehind } from './ofWhatKind.ts';
import { opinionsIn } from './opinions.ts';
import type { Organs } from './organs.ts';
import { closest, type PlantMention } from './mentions.ts';
import type { PlantNames } from './plants.ts';
import type { Scales } from './scales.ts';
import { smallTalkIn } from './smallTalk.ts';
import { formerIn, liesIn, supposedIn } from './supposed.ts';
import { Taking } from './taking.ts';
import type { Token } from './tokens.ts';
import { onScale, type Understanding } from './understanding.ts';
import type { Vocabulary } from './vocabulary.ts';
import { asksWhatComes, isWondered } from './wondered.ts';

/** How a text is to be read. */
export interface Manner {
  /** Readings must rest on a word at or after this index that was not there before it; those before only give it its sense. */
  saidFrom?: number | undefined;
  /** Words of which the text is told: "grubs" of "yellow with black spots". */
  label?: readonly Token[];
  /** True for an advisor's question put as a statement: "is it in the shade" asks for no advice. */
  isStated?: boolean;
}

/** What a reader needs that others need as well. */
interface Tools {
  vocabulary: Vocabulary;
  organs: Organs;
  plantNames: PlantNames;
  scales: Scales;
}

/** The words of a text with the plants they name and what denies, doubts or only supposes them. */
interface Spoken extends Scopes {
  tokens: readonly Token[];
  plants: readonly PlantMention[];
  plantAt: ReadonlyMap<number, Plant>;
  named: ReadonlySet<number>;
  /** Words that are somebody's name. */
  people: ReadonlySet<number>;
  supposed: readonly boolean[];
}

const ofCare = ({ value, ...match }: Match): CarePhrase[] => (value.kind === 'care' ? [{ ...match, value }] : []);

/** Reads one text by itself: the phrases met in it, those of them that tell something, and how it was put. */
export class Reader {
  private readonly bindings: Bindings;
  private readonly careQuestions: CareQuestions;
  /** The word each negator begins with: "hardly" of "hardly any". */
  private readonly negatorHeads: ReadonlySet<string>;
  private readonly colours: ReadonlySet<string>;

  constructor(
    private readonly edition: Edition,
    private readonly tools: Tools,
  ) {
    const { lexicon, careTopics } = edition;
    this.bindings = new Bindings(lexicon);
    this.careQuestions = new CareQuestions(careTopics, lexicon.irregular, lexicon.classes['stock']);
    this.negatorHeads = new Set(lexicon.negators.map((negator) => negator.split(' ')[0]!));
    this.colours = new Set(lexicon.classes['colour']);
  }

  read(text: string, channel: Channel, { saidFrom = 0, label = [], isStated = false }: Manner = {}): Understanding {
    const { vocabulary, organs, scales } = this.tools;
    const spoken = this.spokenIn(text);
    const { tokens, plants, plantAt, negatedBy, doubted } = spoken;
    const host = closest(plants);
    const before = new Set(tokens.slice(0, saidFrom).map(({ stem }) => stem));
    const all = this.matchesIn(spoken, label).filter(({ at }) => at.some((i) => i >= saidFrom && !before.has(tokens[i]!.stem)));
    const care = isStated
      ? this.careQuestions.heard(tokens, plantAt, [], [])
      : this.careQuestions.heard(tokens, plantAt, askingIn(tokens), all.flatMap(ofCare));
    const opinionOf = channel === 'caller' ? opinionsIn(tokens, all) : () => null;
    for (const match of all) if (opinionOf(match) === 'own') for (const i of match.at) doubted[i] = true;

    const telling = all.filter(this.telling(spoken, all, care)).filter((match) => opinionOf(match) !== 'hearsay');
    const told = withoutTakenBack(telling, tokens);
    const takenBack = telling.filter((match) => !told.includes(match));
    const isPart = (token: Token) => organs.isPart(token);
    const former = formerIn(tokens);
    const { negatorHeads, colours } = this;
    const taking = new Taking({ tokens, named: plantAt, host, channel, negatedBy, doubted, former, negatorHeads, isPart, colours }, care.at);
    for (const match of told.toSorted((a, b) => b.score - a.score || a.at[0]! - b.at[0]!)) taking.take(match);

    const measured = scales.told(text);
    return {
      plants: [...plants],
      host,
      readings: onScale(measured, scales.besides(measured, taking.readings), text, channel),
      claims: taking.claims,
      care: care.questions,
      maybeCare: { mentioned: care.mentioned, unplaced: care.unplaced, trouble: tellsTrouble(tokens.filter((_, i) => !care.eatenAt.has(i))) },
      onlyCare: false,
      corrects: takesBack(tokens),
      tells: false,
      measurements: measurementsIn(text, host),
      notUnderstood: vocabulary.leftOver(tokens, new Set([...taking.covered, ...spoken.people])),
      wording: this.wordingOf(spoken, told, new Set([...taking.aside, ...care.eatenAt, ...takenBack.flatMap(({ at }) => at)])),
    };
  }

  private spokenIn(text: string): Spoken {
    const { vocabulary, organs, plantNames } = this.tools;
    // a slip of the pen put right for a phrase must not make a plant of it, nor a plant's name a phrase: "peace lily" is no peach
    const written = vocabulary.asWritten(text);
    const plants = plantNames.find(written);
    const people = plantNames.people(written);
    const plantAt: ReadonlyMap<number, Plant> = new Map(plants.flatMap(({ plant, at }) => at.map((i) => [i, plant] as const)));
    const named: ReadonlySet<number> = new Set([...plantAt.keys(), ...people]);
    const tokens = organs.resolvePronouns(vocabulary.mended(text, named));
    const scopes = scopesOf(tokens, this.edition.lexicon);
    return { tokens, plants, plantAt, named, people, ...scopes, supposed: supposedIn(tokens, scopes.negatedBy) };
  }

  /**
   * Phrases met in the talk that say more than a plant's own name: "cottonwood" is no wool, and who has a black locust claims no locusts. Two plants in
   * one phrase say something: clover in the lawn.
   */
  private matchesIn({ tokens, plants, named, people }: Spoken, before: readonly Token[]): Match[] {
    const { vocabulary, organs } = this.tools;
    const ownNames = plants.filter(({ nearby }) => !nearby).map(({ at }) => new Set<number>(at));
    const isOwnName = ({ at }: Match) => ownNames.some((name) => at.every((i) => name.has(i)));
    const said = withNamesMeant(tokens, plants).map((token, i) => (people.has(i) ? { ...token, word: '', stem: '' } : token));
    const within = vocabulary.book.matches(said, named, before).filter((match) => match.value.kind === 'care' || !isOwnName(match));
    return [...within, ...toldBehind(vocabulary.book, said, within, (token) => organs.isPart(token))];
  }

  /** Whether a phrase tells something of the plant: of the organ spoken of, neither asked nor supposed nor denied of something else. */
  private telling(spoken: Spoken, all: readonly Match[], care: CareHeard): (match: Match) => boolean {
    const { tokens, plants, negatedBy, spared, supposed } = spoken;
    const { organs } = this.tools;
    const fitsOrgan = organs.fitting(tokens, namedWords(tokens, plants), all);
    const keepsTogether = this.bindings.keptIn(tokens);
    return (match) => {
      const { value, at } = match;
      if (!fitsOrgan(match) || !keepsTogether(at) || isWondered(tokens, match)) return false;
      // "I do not understand why it droops" does not say that it does not
      if (at.some((i) => at.includes(spared[i]!))) return false;
      if (value.kind !== 'finding') return true;
      const { finding, answer } = value;
      const isShownHere = plants.length === 0 || plants.some(({ plant }) => canShow(finding, plant));
      const own = at.filter((i) => !organs.isPart(tokens[i]!));
      const isSupposed = liesIn(supposed, tokens, own.length > 0 ? own : at);
      if (!isShownHere || isSupposed || care.asks(at, circumstantial(value))) return false;
      const inOrder = at.toSorted((a, b) => a - b);
      const isElsewhere = answer === finding.absent && deniesElsewhere(tokens, inOrder, negatedBy);
      return !isElsewhere && !at.some((i) => deniesKnowing(tokens, i));
    };
  }

  /** The words by which a thing was put: without small talk, names, what is denied or supposed, and small words. */
  private wordingOf({ tokens, plants, named, negatedBy, supposed }: Spoken, told: readonly Match[], aside: ReadonlySet<number>): string {
    const { vocabulary, organs } = this.tools;
    const spokenOf = plants.filter(({ nearby }) => !nearby);
    const telling = new Set([...spokenOf, ...told.filter(({ value }) => value.kind !== 'care' && !circumstantial(value))].flatMap(({ at }) => at));
    const smallTalk = smallTalkIn(
      tokens,
      (i) => telling.has(i),
      (token) => organs.isPart(token),
    );
    const isLeftOut = (token: Token, i: number) =>
      smallTalk[i] || named.has(i) || aside.has(i) || negatedBy[i] !== -1 || supposed[i] || asksWhatComes(tokens, token);
    const kept = tokens.filter((token, i) => !isLeftOut(token, i) && !vocabulary.isSmall(token) && !vocabulary.isRemedy(token));
    // "asdf qwer" is no way of putting anything
    return kept.some((token) => vocabulary.isKnown(token)) ? kept.map(({ word }) => word).join(' ') : '';
  }
}
