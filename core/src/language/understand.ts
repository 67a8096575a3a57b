import { distance } from 'fastest-levenshtein';
import { type Cause, type Channel, type Edition, type Finding, type Organ, type Plant } from '../edition/edition.ts';
import { canShow } from '../diagnosis/hosts.ts';
import type { Reading } from '../diagnosis/posterior.ts';
import { askingIn, tellsTrouble } from './asking.ts';
import { boundTo } from './binding.ts';
import { CareQuestions, type CarePhrase, type CareQuestion } from './careQuestions.ts';
import { claimable, claimPattern, likeliest } from './claims.ts';
import { measurementsIn, type Measurement } from './measures.ts';
import { scopesOf } from './negation.ts';
import { compilePhrase, PhraseBook, type Phrase, type PhraseMatch } from './phrases.ts';
import { closest, PlantNames, type PlantMention } from './plants.ts';
import { stemOf, tokenise, type Token } from './tokens.ts';

/** What a caller said, or what they answered to a question that was put to them. */
export type Utterance = string | { ask: string; say: string };

export interface UnderstoodReading extends Reading {
  /** The caller's words it was read from. */
  from: string;
  /** Other answers to the same finding that the words allow, best first. */
  choices: string[];
}

export interface Understanding {
  plants: PlantMention[];
  host: Plant | null;
  readings: UnderstoodReading[];
  /** Causes the caller names themselves; kept as a claim, never as evidence. */
  claims: { cause: string; from: string }[];
  care: CareQuestion[];
  /** What may be a question of care where no trouble is told: topics spoken of, and what asks to do something unsaid. */
  maybeCare: { mentioned: CareQuestion[]; unplaced: CareQuestion[]; trouble: boolean };
  /** True where care is asked for and no word tells of trouble: then nothing is to be found out. */
  onlyCare: boolean;
  /** Lengths that were said; one the plant cannot have carries the question to put at once. */
  measurements: Measurement[];
  notUnderstood: string[];
  /** The words that were affirmed, without names of plants and causes: weighed by their likeness to each cause, see likeness.ts. */
  wording: string;
}

type Meaning =
  { kind: 'finding'; finding: Finding; answer: string } | { kind: 'care'; topic: string; told: boolean } | { kind: 'claim'; causes: Cause[] };

const ofCare = ({ value, ...match }: PhraseMatch<Meaning>): CarePhrase[] => (value.kind === 'care' ? [{ ...match, value }] : []);

/** Where, when and what went before, as against what is seen: one phrase may tell both. */
const aboutWhere = ({ kind }: Finding): boolean => kind === 'pattern' || kind === 'history' || kind === 'site';
const circumstantial = (meaning: Meaning): boolean => meaning.kind === 'finding' && aboutWhere(meaning.finding);

/** What "no …" says of a finding; null where it says nothing: "not fed for ages" is no word on how fast it came. */
function deniedAnswer(finding: Finding, answer: string): string | null {
  if (answer === finding.absent) return null;
  if (finding.absent !== undefined) return finding.absent;
  return finding.kind === 'pattern' ? null : `not:${answer}`;
}

/** An answer this much rarer among plants than another to the same finding is the more particular of the two. */
const PARTICULAR = 0.6;
/** Asked of what was seen: "green things like tomatoes on my potatoes, are they poisonous". */
const ON_SEEING = new Set(['poison']);
const PRONOUNS = new Set(['they', 'them', 'these', 'those']);
/** Tokens to either side in which an organ is taken to be the one spoken of. */
const ORGAN_REACH = 8;
/** Words back that a "they" looks for what it stands for. */
const PRONOUN_REACH = 14;

/** A yes at the beginning; a no that stands by itself, not one that belongs to the next word ("no webs"). */
const SAYS_YES = /^\s*(yes|yeah|yep|aye|yup|definitely|certainly|absolutely|correct)\b|^\s*(a bit|a little)\s*($|[,.;!])/i;
const SAYS_NO =
  /^\s*(no|nope|nah|none|never|not really|not at all|nothing|not that i can see)\s*($|[,.;:!–-]|\b(it|they|i|there|she|he|we|nothing|none|not)\b)/i;
const ANSWER_WORD = /^(yes|yeah|yep|aye|yup|no|nope|nah|definitely|certainly|absolutely|correct)$/i;
/** "Is it dying?" is a worry, not something seen. */
const WONDERS = /^(is|are|was) (it|this|that|they|these)\b|^(could|will|would|can|might) (it|this|that|they)\b|^(should|do|does|shall) (i|we)\b/;
/** What a question begins with before the thing it asks for: "are there any insects" – "no" says "no insects". */
const ASKS_WHETHER = /^.*?\b(any|some)\s+/i;
const UNKNOWN_ANSWER =
  /\b(do not know|don'?t know|no idea|not sure|could ?n[o']?t (say|tell)|can ?no?t (say|tell)|have ?n[o']?t (looked|checked))\b/i;

/** True for talk that answers the question before it rather than telling something new. */
export const answersQuestion = (say: string): boolean => SAYS_YES.test(say) || SAYS_NO.test(say);

/** What follows a plant's name that is not its fruit: "cherry tree", "apple leaves". */
const AFTER_HOST = new Set(
  'tree trees bush bushes plant plants leaf leaves foliage hedge vine vines cactus shrub shrubs branch branches trunk'.split(' '),
);

/**
 * A plant's name that means the plant as a whole says nothing of what is seen, so no phrase may use it: the "sugar" of a sugar maple is no powder,
 * the "coffee" of a coffee bush no colour. Its last word stays where it may be the fruit that is spoken of.
 */
function withoutHostWords(tokens: readonly Token[], plants: readonly PlantMention[]): Token[] {
  const hosts = plants.filter(({ nearby }) => !nearby); // a juniper hedge next door is something seen
  const ofName = new Set(hosts.flatMap(({ at }) => at.slice(0, -1)));
  const last = new Set(hosts.flatMap(({ at }) => at.slice(-1)));
  return tokens.map((token, i) =>
    ofName.has(i) || (last.has(i) && AFTER_HOST.has(tokens[i + 1]?.word ?? '')) ? { ...token, word: '', stem: '' } : token,
  );
}

/** Turns running talk into plant, readings and questions of care. Built once for an edition, then pure. */
export class Understander {
  private readonly book: PhraseBook<Meaning>;
  private readonly prose: ReadonlySet<string>;
  private readonly careQuestions: CareQuestions;
  /** The word each negator begins with: "hardly" of "hardly any". */
  private readonly negatorHeads: ReadonlySet<string>;
  private readonly plantNames: PlantNames;
  private readonly stopStems: Set<string>;
  private readonly stopWords: Set<string>;
  private readonly knownStems: ReadonlySet<string>;
  private readonly findings: Map<string, Finding>;
  /** Longer stems by their first two letters: slips of spelling are sought among these. */
  private readonly spellings = new Map<string, string[]>();

  constructor(private readonly edition: Edition) {
    const { lexicon } = edition;
    const phrases: Phrase<Meaning>[] = [];
    const add = (pattern: string, meaning: Meaning) => phrases.push(compilePhrase(pattern, meaning, lexicon));
    for (const finding of edition.findings)
      for (const answer of finding.answers) for (const words of answer.words) add(words, { kind: 'finding', finding, answer: answer.id });
    for (const { id: topic, words, told } of edition.careTopics) {
      for (const pattern of words) add(pattern, { kind: 'care', topic, told: false });
      for (const pattern of told ?? []) add(pattern, { kind: 'care', topic, told: true });
    }
    for (const [name, causes] of claimable(edition)) add(claimPattern(name), { kind: 'claim', causes });
    this.prose = this.proseStems();
    this.careQuestions = new CareQuestions(edition.careTopics, lexicon.irregular);
    this.negatorHeads = new Set(lexicon.negators.map((negator) => negator.split(' ')[0]!));
    this.stopWords = new Set(lexicon.stopWords);
    this.stopStems = new Set(lexicon.stopWords.map((word) => stemOf(word, lexicon.irregular)));
    this.book = new PhraseBook(phrases, (token) => this.stopWords.has(token.word));
    this.knownStems = this.book.stems;
    this.plantNames = new PlantNames(edition, (token) => this.isKnown(token));
    this.findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
    for (const stem of this.knownStems) {
      if (stem.length < 5) continue;
      const start = stem.slice(0, 2);
      this.spellings.set(start, [...(this.spellings.get(start) ?? []), stem]);
    }
  }

  /** Words of the entries' own prose are no slips of spelling, though no phrase asks for them: "mounds" is not mould. */
  private proseStems(): Set<string> {
    const texts = this.edition.causes.flatMap(({ story, replyLine, heard }) => [story, replyLine, ...(heard ?? [])]);
    return new Set(texts.flatMap((text) => tokenise(text, this.edition.lexicon.irregular).map(({ stem }) => stem)));
  }

  private isKnown(token: Token): boolean {
    return this.knownStems.has(token.stem) || this.prose.has(token.stem) || this.stopStems.has(token.stem) || /^\d/.test(token.word);
  }

  /** The host that a free name means, or null. */
  resolvePlant(name: string): Plant | null {
    return this.plantNames.resolve(name);
  }

  private share(finding: Finding, answer: string): number {
    return finding.answers.find(({ id }) => id === answer)?.background ?? 0;
  }

  private tokens(text: string): Token[] {
    const tokens = tokenise(text, this.edition.lexicon.irregular);
    return tokens.map((token) => {
      if (token.word.length < 5 || this.isKnown(token)) return token;
      const close = (this.spellings.get(token.stem.slice(0, 2)) ?? []).find(
        (stem) => Math.abs(stem.length - token.stem.length) <= 1 && distance(stem, token.stem) === 1,
      );
      return close ? { ...token, stem: close } : token;
    });
  }

  /** Organs spoken of, clause by clause; a clause that names none goes on with the last. */
  private organsOf(tokens: readonly Token[], named: ReadonlySet<number>): Set<Organ>[] {
    const byClause: Set<Organ>[] = [];
    let last = new Set<Organ>();
    for (let clause = 0; clause <= (tokens.at(-1)?.clause ?? 0); clause++) {
      const here = new Set<Organ>();
      for (const [index, token] of tokens.entries()) {
        if (token.clause !== clause || named.has(index)) continue; // "my courgettes" may mean the plant
        for (const [organ, words] of Object.entries(this.edition.lexicon.organs)) if (words.includes(token.word)) here.add(organ as Organ);
      }
      if (here.size > 0) last = here;
      byClause.push(last);
    }
    return byClause;
  }

  /** Lets every "they" stand for the organ spoken of before it. */
  private resolvePronouns(tokens: readonly Token[]): Token[] {
    const organWords = new Set(Object.values(this.edition.lexicon.organs).flat());
    let last = -1;
    return tokens.map((token, index) => {
      if (organWords.has(token.word)) last = index;
      const antecedent = last >= 0 && index - last <= PRONOUN_REACH ? tokens[last] : undefined;
      return antecedent && PRONOUNS.has(token.word) ? { ...token, standsFor: { word: antecedent.word, stem: antecedent.stem } } : token;
    });
  }

  /** @param saidFrom readings must rest on a word at or after this index; those before only give it its sense */
  private read(text: string, channel: Channel, saidFrom = 0): Understanding {
    const tokens = this.resolvePronouns(this.tokens(text));
    const { lexicon } = this.edition;
    const { negatedBy, doubted } = scopesOf(tokens, lexicon);
    // a slip of the pen put right for a phrase must not make a plant of it: "peace lily" is no peach
    const plants = this.plantNames.find(tokenise(text, this.edition.lexicon.irregular));
    const host = closest(plants.filter((mention) => !mention.nearby));
    const covered = new Set<number>(plants.flatMap((mention) => mention.at));
    const namedAt: ReadonlySet<number> = new Set(covered);
    const organs = this.organsOf(tokens, namedAt);
    const said = (at: readonly number[]) =>
      tokens
        .slice(at[0], at[at.length - 1]! + 1)
        .map((t) => t.text)
        .join(' ');

    const spoken = withoutHostWords(tokens, plants);
    const ownName = new Set<number>(plants.filter(({ nearby }) => !nearby).flatMap(({ at }) => at));
    // a word of the plant's own name says nothing of it: "cottonwood" is no wool, and who has a black locust claims no locusts
    const saysMore = (match: PhraseMatch<Meaning>): boolean => match.value.kind === 'care' || match.at.some((i) => !ownName.has(i));
    const all = this.book.matches(spoken, covered).filter((match) => match.at[match.at.length - 1]! >= saidFrom && saysMore(match));
    const organWords = new Set(Object.values(lexicon.organs).flat());
    /** True when the clause speaks of an organ, but too far from these words to be theirs: "it wilted, and there is sawdust at the stem". */
    const organWordFar = (match: PhraseMatch<Meaning>): boolean => {
      const { clause } = tokens[match.at[0]!]!;
      const [from, to] = [match.at[0]! - ORGAN_REACH, match.at[match.at.length - 1]! + ORGAN_REACH];
      const spokenAt = tokens.flatMap((token, i) => (token.clause === clause && organWords.has(token.word) && !namedAt.has(i) ? [i] : []));
      return spokenAt.length > 0 && spokenAt.every((i) => i < from || i > to);
    };
    const fitsOrgan = (match: PhraseMatch<Meaning>): boolean => {
      if (match.value.kind !== 'finding' || match.saying) return true;
      const { organ, kind } = match.value.finding;
      if (kind !== 'symptom') return true; // a creature or a fungus may sit anywhere
      const spoken = organs[tokens[match.at[0]!]!.clause];
      if (organWordFar(match)) return true;
      if (!spoken || spoken.size === 0 || organ === 'whole-plant' || organ === 'surroundings' || spoken.has(organ)) return true;
      return match.at.some((i) => lexicon.organs[organ]?.includes(tokens[i]!.word));
    };
    const wondering = (match: PhraseMatch<Meaning>): boolean => {
      const here = tokens[match.at[0]!]!;
      const opening = tokens.filter((token) => token.clause === here.clause).slice(0, 2);
      return match.value.kind === 'finding' && here.asking && WONDERS.test(opening.map((token) => token.word).join(' '));
    };
    const bound = boundTo(tokens, lexicon);
    const leavesBindingsWhole = (match: PhraseMatch<Meaning>): boolean =>
      match.at.every((i) => bound[i] === -1 || match.at.includes(bound[i]!) || tokens[i]!.clause !== tokens[bound[i]!]!.clause);
    const shownHere = (match: PhraseMatch<Meaning>): boolean => {
      const { value } = match;
      if (value.kind !== 'finding' || plants.length === 0) return true;
      return plants.some(({ plant }) => canShow(value.finding, plant));
    };
    const care = this.careQuestions.heard(tokens, namedAt, askingIn(tokens), all.flatMap(ofCare));
    const asks = (match: PhraseMatch<Meaning>): boolean => match.value.kind === 'finding' && care.asks(match.at, circumstantial(match.value));
    const usable = all
      .filter(
        (match) =>
          match.value.kind !== 'care' && fitsOrgan(match) && leavesBindingsWhole(match) && shownHere(match) && !wondering(match) && !asks(match),
      )
      .sort((a, b) => b.score - a.score || a.at[0]! - b.at[0]!);

    const found: { reading: UnderstoodReading; at: number }[] = [];
    const used: PhraseMatch<Meaning>[] = [];
    const claims: Understanding['claims'] = [];
    /** Words of a name given to the trouble, and of a question of care: no word on what is seen. */
    const asideAt = new Set<number>(care.at);
    care.at.forEach((i) => covered.add(i));
    for (const match of usable) {
      const { value } = match;
      // a longer phrase that holds all of these words has already said what they mean
      const outdone = used.some(
        (other) =>
          other.at.filter((i) => !namedAt.has(i)).length >= match.at.filter((i) => !namedAt.has(i)).length &&
          other.score >= match.score &&
          circumstantial(other.value) === circumstantial(value) &&
          match.at.every((i) => other.at.includes(i)),
      );
      if (outdone) continue;
      if (value.kind === 'claim') {
        // "blight" within "fire blight"; "no frost" claims no frost
        if (match.at.every((i) => asideAt.has(i)) || match.at.some((i) => negatedBy[i]! >= 0)) continue;
        // a name is no evidence: its words may still say what is seen
        const named = likeliest(value.causes, host);
        if (named && !claims.some((c) => c.cause === named.id)) claims.push({ cause: named.id, from: said(match.at) });
        match.at.forEach((i) => covered.add(i));
        match.at.forEach((i) => asideAt.add(i));
        continue;
      }
      if (value.kind === 'finding') {
        const { finding } = value;
        // a phrase that says "no" itself ("never flowered") is not denied again
        const deniesItself = match.at.some((k) => this.negatorHeads.has(tokens[k]!.word));
        const negator = deniesItself ? -1 : (match.at.map((k) => negatedBy[k] ?? -1).find((n) => n >= 0) ?? -1);
        const answer = negator < 0 ? value.answer : deniedAnswer(finding, value.answer);
        if (answer === null) {
          used.push(match);
          match.at.forEach((i) => covered.add(i));
          continue;
        }
        const same = found.find(({ reading }) => reading.finding === finding.id)?.reading;
        if (same) {
          if (same.answer !== answer && !same.choices.includes(answer)) {
            // "leaves turn yellow but the veins stay green": the more particular of two things said is meant
            const particular =
              !answer.startsWith('not:') &&
              !same.answer.startsWith('not:') &&
              this.share(finding, answer) < PARTICULAR * this.share(finding, same.answer);
            same.choices.push(particular ? same.answer : answer);
            if (particular) Object.assign(same, { answer, from: said(match.at) });
          }
        } else {
          const unsure = match.at.some((i) => doubted[i]);
          found.push({
            at: match.at[0]!,
            reading: {
              finding: finding.id,
              answer,
              channel: unsure && channel === 'caller' ? 'caller-unsure' : channel,
              from: said(negator < 0 ? match.at : [Math.min(negator, match.at[0]!), match.at[match.at.length - 1]!]),
              choices: [],
            },
          });
        }
        if (negator >= 0) covered.add(negator);
      }
      used.push(match);
      match.at.forEach((i) => covered.add(i));
    }
    const readings = found.sort((a, b) => a.at - b.at).map(({ reading }) => reading);
    return {
      plants,
      host,
      readings,
      claims,
      care: care.questions,
      maybeCare: { mentioned: care.mentioned, unplaced: care.unplaced, trouble: tellsTrouble(tokens) },
      onlyCare: false,
      measurements: measurementsIn(text, host),
      notUnderstood: this.leftOver(tokens, covered),
      wording: tokens
        .filter(
          (token, i) =>
            !namedAt.has(i) && !asideAt.has(i) && negatedBy[i] === -1 && !this.stopWords.has(token.word) && !this.stopStems.has(token.stem),
        )
        .map((token) => token.word)
        .join(' '),
    };
  }

  /** Runs of words nobody could place, without the small words around them. */
  private leftOver(tokens: readonly Token[], covered: ReadonlySet<number>): string[] {
    const runs: string[] = [];
    let run: string[] = [];
    const close = (): void => {
      if (run.length > 0) runs.push(run.join(' '));
      run = [];
    };
    tokens.forEach((token, index) => {
      const open = !covered.has(index) && !this.stopStems.has(token.stem) && !this.stopWords.has(token.word);
      if (open && tokens[index - 1]?.clause === token.clause) run.push(token.text);
      else if (open) {
        close();
        run.push(token.text);
      } else close();
    });
    close();
    return runs;
  }

  /** What a bare yes or no says to one of our own findings. */
  private settled(finding: Finding, affirmed: boolean): string | null {
    const plain = finding.answers.find((answer) => answer.id === (affirmed ? 'yes' : 'no'));
    if (plain) return plain.id;
    if (finding.absent === undefined) return null; // "over days or weeks?" – "yes" settles nothing
    if (!affirmed) return finding.absent;
    const present = finding.answers.filter((answer) => answer.id !== finding.absent);
    return present.length === 1 ? (present[0]?.id ?? null) : `not:${finding.absent}`;
  }

  /** What a yes or no says to a question in anybody's words: the question read as a statement, or denied. */
  private bySense(ask: string, affirmed: boolean): { finding: string; answer: string }[] {
    return this.read(ask.replace(/[?]/g, ''), 'caller').readings.flatMap(({ finding: id, answer, choices }) => {
      const finding = this.findings.get(id);
      if (!finding || choices.length > 0) return [];
      if (affirmed) return [{ finding: id, answer }];
      return answer === finding.absent || answer.startsWith('not:') ? [] : [{ finding: id, answer: finding.absent ?? `not:${answer}` }];
    });
  }

  /** "What colour are the spots?" – "orange": the words of the question give those of the answer their sense. */
  private inTheLightOf(ask: string, say: string, own: Understanding): Understanding {
    const question = ask.replace(/[.;!?:\n]/g, ' ');
    const together = this.read(`${question} ${say}`, 'caller', this.tokens(question).length);
    return together.readings.length === 0
      ? own
      : { ...own, readings: together.readings, notUnderstood: together.notUnderstood, wording: together.wording };
  }

  /** Reads an answer in the light of its question: "is it sticky?" – "yes, and the floor under it". */
  private readAnswer(ask: string, say: string): Understanding {
    const asked = this.edition.findings.find((finding) => finding.ask === ask || finding.id === ask) ?? null;
    if (UNKNOWN_ANSWER.test(say))
      return {
        plants: [],
        host: null,
        readings: [],
        claims: [],
        care: [],
        maybeCare: { mentioned: [], unplaced: [], trouble: false },
        onlyCare: false,
        measurements: [],
        notUnderstood: [],
        wording: '',
      };
    const own = this.read(say, 'caller');
    const affirmed = SAYS_YES.test(say);
    const denied = !affirmed && SAYS_NO.test(say);
    if (!affirmed && !denied) return own.readings.length > 0 ? own : this.inTheLightOf(ask, say, own);
    const settled = asked ? this.settled(asked, affirmed) : null;
    const meant = asked ? (settled === null ? [] : [{ finding: asked.id, answer: settled }]) : this.bySense(ask, affirmed);
    if (!asked && denied && meant.length === 0) meant.push(...this.read(`no ${ask.replace(ASKS_WHETHER, '').replace('?', '')}`, 'caller').readings);
    const channel: Channel = /\b(a bit|maybe|i think|perhaps|sort of|probably)\b/i.test(say) ? 'caller-unsure' : 'caller';
    const fromQuestion = meant
      .filter(({ finding }) => !own.readings.some((reading) => reading.finding === finding))
      .map(({ finding, answer }): UnderstoodReading => ({ finding, answer, channel, from: `${ask} – ${say}`, choices: [] }));
    const host = own.host ?? (asked ? null : this.read(ask, 'caller').host);
    return { ...own, readings: [...fromQuestion, ...own.readings], host, notUnderstood: own.notUnderstood.filter((run) => !ANSWER_WORD.test(run)) };
  }

  /** True where anything seen was read or a cause named. */
  private troubleRead(parts: readonly Understanding[]): boolean {
    return parts.some(({ readings, claims }) => claims.length > 0 || readings.some(({ finding }) => !aboutWhere(this.findings.get(finding)!)));
  }

  /** Questions of care. Where none was put and no trouble told, what was last spoken of; else the whole card for what asks to do something unsaid. */
  private careAskedIn(parts: readonly Understanding[]): CareQuestion[] {
    const placed = parts.flatMap(({ care }) => care);
    if (placed.length > 0 || this.troubleRead(parts)) return placed;
    const mentioned = parts.flatMap(({ maybeCare }) => maybeCare.mentioned).slice(-1);
    return mentioned.length > 0 ? mentioned : parts.flatMap(({ maybeCare }) => maybeCare.unplaced).slice(0, 1);
  }

  /**
   * Understands a list of utterances; later ones add to earlier ones.
   * @param known the host when it is known from elsewhere and the words do not name it
   */
  understand(words: readonly Utterance[], known: Plant | null = null): Understanding {
    const parts = words.map((utterance) =>
      typeof utterance === 'string' ? this.read(utterance, 'caller') : this.readAnswer(utterance.ask, utterance.say),
    );
    const onlyCare =
      parts.some(({ care }) => care.some(({ topic }) => !ON_SEEING.has(topic))) &&
      !this.troubleRead(parts) &&
      !parts.some(({ maybeCare }) => maybeCare.trouble);
    const host = (parts.find((part) => part.host && !part.host.generic) ?? parts.find((part) => part.host))?.host ?? null;
    return {
      plants: parts.flatMap((part) => part.plants),
      host,
      readings: parts.flatMap((part) => part.readings),
      claims: parts.flatMap((part) => part.claims),
      care: this.careAskedIn(parts),
      maybeCare: {
        mentioned: parts.flatMap(({ maybeCare }) => maybeCare.mentioned),
        unplaced: parts.flatMap(({ maybeCare }) => maybeCare.unplaced),
        trouble: parts.some(({ maybeCare }) => maybeCare.trouble),
      },
      onlyCare,
      measurements: words.flatMap((utterance) => measurementsIn(typeof utterance === 'string' ? utterance : utterance.say, host ?? known)),
      notUnderstood: parts.flatMap((part) => part.notUnderstood),
      wording: parts
        .map((part) => part.wording)
        .filter(Boolean)
        .join(' '),
    };
  }
}
