import { CauseNames, spareNames } from '@sounding/core/consult/causeNames.ts';
import { spokenForms } from '@sounding/core/language/claims.ts';
import { compilePhrase } from '@sounding/core/language/phrases.ts';
import { stemOf } from '@sounding/core/language/tokens.ts';
import { hostWeight, isAmong } from '@sounding/core/edition/hosts.ts';
import { separation } from '@sounding/core/library/separation.ts';
import type { Cause } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import type { HostSelector } from '@sounding/core/edition/plants.ts';
import type { Window } from '@sounding/core/edition/windows.ts';
import { countWords } from '@sounding/core/edition/wordList.ts';
import { sumOf } from '@sounding/core/measure/all.ts';
import type { Compiled } from './compile.ts';
import { lintCare } from './lintCare.ts';
import { doubles, unreachable } from './lintReach.ts';
import type { Complaint, Place } from './read.ts';

/** Fewest findings a worked-out cause may have. */
const LEAST_FINDINGS = 6;
/** Two causes differ on a finding when the chance that they answer it differently is at least this. */
const SEPARATES = 0.3;

type Say = (text: string, level?: Complaint['level']) => void;

function lintLookAlikes(cause: Cause, edition: Edition, say: Say): void {
  for (const like of cause.lookAlikes) {
    const other = edition.causes.find((c) => c.id === like.cause);
    if (!other) {
      say(`look-alike "${like.cause}" is not a cause`);
      continue;
    }
    const findings = like.separate.map((id) => edition.findings.find((f) => f.id === id));
    like.separate.forEach((id, i) => !findings[i] && say(`look-alike ${like.cause}: finding "${id}" does not exist`));
    const best = Math.max(0, ...findings.map((finding) => (finding ? separation(finding, cause, other) : 0)));
    if (best < SEPARATES)
      say(`nothing named separates it from its look-alike "${like.cause}" (best difference ${best.toFixed(2)}, wanted ${SEPARATES})`);
  }
}

function lintRates(cause: Cause, edition: Edition, say: Say): void {
  if (cause.rates.length < LEAST_FINDINGS) say(`has ${cause.rates.length} findings, wanted at least ${LEAST_FINDINGS}`);
  for (const rate of cause.rates) {
    const finding = edition.findings.find((f) => f.id === rate.finding);
    if (!finding) {
      say(`finding "${rate.finding}" does not exist`);
      continue;
    }
    for (const answer of Object.keys(rate.answers)) {
      if (!finding.answers.some((a) => a.id === answer))
        say(`finding "${rate.finding}" has no answer "${answer}" (it has ${finding.answers.map((a) => a.id).join(', ')})`);
    }
    const words = Object.values(rate.answers);
    if (words.filter((word) => word === 'always').length > 1) say(`finding "${rate.finding}": two answers cannot both be "always"`);
    // "always" shuts the other answers out; what it leaves over cannot be "often"
    if (words.includes('always') && words.some((word) => word === 'usually' || word === 'often'))
      say(`finding "${rate.finding}": "always" leaves no room for an answer that is "often" or "usually"`, 'warning');
    if (words.length === finding.answers.length && words.every((word) => word === 'never')) say(`finding "${rate.finding}": every answer is "never"`);
  }
}

function lintSources(what: string, item: { mark: string; source?: string | undefined }, edition: Edition, say: Say): void {
  if (item.mark === 'published' && !item.source) say(`${what} is marked published but names no source`);
  if (item.source && !edition.sources.some((s) => s.id === item.source)) say(`${what}: source "${item.source}" is not in sources.yaml`);
}

const hasDates = ({ degreeDays, frost, calendar, event }: Window) => Boolean(degreeDays ?? frost ?? calendar ?? event);

/** A name two plants go by is a coin tossed for the host. Plants that stand for many kinds ("various") share that one. */
function lintPlantNames(edition: Edition, sayAt: (id: string) => Say): void {
  const owners = new Map<string, string>();
  for (const plant of edition.plants)
    for (const name of new Set([plant.name, plant.latin, ...plant.also].map((name) => name.toLowerCase()))) {
      const owner = owners.get(name);
      if (owner === undefined) owners.set(name, plant.id);
      else if (!plant.generic) sayAt(plant.id)(`"${name}" is what "${owner}" goes by`);
    }
}

function lintTreatment(cause: Cause, edition: Edition, say: Say): void {
  const windows = new Set(cause.windows.map((w) => w.id));
  for (const window of cause.windows) {
    if (!hasDates(window) && !window.anyTime) say(`window "${window.id}" has neither degree-days, frost, calendar nor event`);
    if (window.infection && !window.calendar) say(`window "${window.id}" goes by infection weather and has no calendar to bound it`);
    if (window.frost && window.frost.to <= window.frost.from) say(`window "${window.id}" ends before it begins`);
    if (window.degreeDays && window.degreeDays.to <= window.degreeDays.from) say(`window "${window.id}" ends before it begins`);
    lintSources(`window "${window.id}"`, window, edition, say);
  }
  for (const option of cause.options) {
    if (option.window && !windows.has(option.window)) say(`option "${option.id}": window "${option.window}" does not exist`);
    const strong = option.act === 'contact' || option.act === 'systemic';
    if (strong && option.cautions.length === 0) say(`option "${option.id}" is a spray or drench without a caution`);
    if (strong && !option.window) say(`option "${option.id}" is a spray or drench without a window`);
    lintSources(`option "${option.id}"`, option, edition, say);
  }
  const preferred = cause.options.filter((o) => o.preferred && !o.hosts);
  for (const { id, hosts } of cause.options)
    for (const host of hosts ?? [])
      if (!edition.plants.some((plant) => isAmong([host], plant) && hostWeight(cause, plant) > 0))
        say(`option "${id}" is for ${Object.values(host).join(' ')}, which is no host of it`);
  if (preferred.length !== 1) say(`has ${preferred.length} preferred options, wanted exactly one`);
  // what goes back to plain green is cut out by hand: that treats nothing
  if (cause.kind === 'normal' && !['leave', 'culture', 'physical'].includes(preferred[0]?.act ?? ''))
    say('is normal for the plant but is answered with a treatment');
}

function lintPhrases(edition: Edition, say: (id: string, text: string) => void): void {
  const spoken = [
    ...edition.findings.flatMap((f) => [...f.answers.flatMap((a) => a.words), ...(f.some ?? [])].map((words) => ({ id: f.id, words }))),
    ...edition.careTopics.flatMap((t) => [...t.words, ...(t.told ?? [])].map((words) => ({ id: t.id, words }))),
  ];
  const known = new Set(edition.findings.map(({ id }) => id));
  for (const { id, after } of edition.findings)
    for (const other of after ?? []) if (!known.has(other)) say(id, `is asked after "${other}", which is no finding`);
  for (const { id, answers, absent, some } of edition.findings) {
    if (some && absent === undefined) say(id, 'has words for "there, but not of what kind", and no answer for "not there"');
    const seen = new Map<string, string>();
    for (const answer of answers)
      for (const words of answer.words) {
        const first = seen.get(words);
        if (first !== undefined) say(id, `phrase "${words}" of answer "${answer.id}" stands already at "${first}"`);
        seen.set(words, answer.id);
      }
  }
  for (const { id, words } of spoken) {
    try {
      compilePhrase(words, null, edition.lexicon);
    } catch (error) {
      say(id, `phrase "${words}": ${error instanceof Error ? error.message : String(error)}`);
    }
  }
}

const selectorText = (selector: HostSelector) =>
  Object.entries(selector)
    .filter(([name]) => name !== 'weight' && name !== 'note')
    .flat()
    .join(' ');

/** A host no plant answers to says nothing; one told twice, or taken in and shut out by the same breadth of selector, contradicts itself. */
function lintHosts(cause: Cause, plants: Edition['plants'], say: Say): void {
  for (const host of [...cause.hosts.include, ...cause.hosts.exclude])
    if (!plants.some((plant) => isAmong([host], plant))) say(`no plant of this edition is ${selectorText(host)}`);
  const shut = new Set(cause.hosts.exclude.map(selectorText));
  const told = new Set<string>();
  for (const host of cause.hosts.include.map(selectorText)) {
    if (shut.has(host)) say(`${host} is both a host and excluded`);
    if (told.has(host)) say(`${host} is a host twice`);
    told.add(host);
  }
}

/** One species: "Erwinia amylovora", not a genus and not a list of them. */
const SPECIES = /^[A-Z][a-z]+ [a-z]{4,}$/;

/** One thing under two names: causes of one name, or of one species on one plant. */
function lintNames(edition: Edition, sayOf: (id: string) => Say): void {
  const owner = new Map<string, string>();
  const ofSpecies = new Map<string, Cause[]>();
  for (const cause of edition.causes) {
    const name = cause.name.toLowerCase();
    const other = owner.get(name);
    if (other) sayOf(cause.id)(`has the same name as "${other}"`);
    owner.set(name, cause.id);
    const { latin } = cause;
    if (!latin || !SPECIES.test(latin)) continue;
    const others = ofSpecies.get(latin) ?? [];
    for (const one of others) {
      const plant = edition.plants.find((host) => hostWeight(cause, host) > 0 && hostWeight(one, host) > 0);
      if (plant) sayOf(cause.id)(`is ${latin} on ${plant.name}, and so is "${one.id}": one cause under two names?`);
    }
    ofSpecies.set(latin, [...others, cause]);
  }
}

/** Names that practice calls, and callers who claim them, would be understood by without their standing here. */
function lintSpareNames(cause: Cause, { irregular }: Edition['lexicon'], bearers: ReadonlyMap<string, number>, say: Say): void {
  // what another cause is called, word for word, would be understood as that one alone
  const spare = spareNames(cause, irregular).filter((name) => bearers.get(name.toLowerCase()) === 1);
  // a claim of one word counts in its own form only
  const stems = (spoken: string) => (spoken.includes(' ') ? spoken.replace(/\p{L}+/gu, (word) => stemOf(word, irregular)) : spoken.replace(/s$/, ''));
  const said = new Set(
    [cause.name, ...cause.also]
      .filter((name) => !spare.includes(name))
      .flatMap(spokenForms)
      .map(stems),
  );
  for (const name of spare)
    if (cause.kind === 'normal' || spokenForms(name).every((spoken) => said.has(stems(spoken))))
      say(`"${name}" says no more than another of its names`, 'warning');
}

function lintFamilies({ edition, families, places }: Compiled, sayAt: (id: string, place: Place | undefined) => Say): void {
  const names = new CauseNames(edition);
  for (const { family, causes, place } of families) {
    const plants = edition.plants.filter((plant) => plant.family === family);
    if (plants.length === 0) sayAt(family, place)('no plant of this edition belongs to the family');
    for (const id of causes) {
      const cause = edition.causes.find((c) => c.id === id);
      if (!cause) {
        sayAt(family, place)(`"${id}" is not a cause`);
        continue;
      }
      // a plant may have a kind of its own that goes by the same name: apple mildew is a powdery mildew
      const called = names.find([cause.name]);
      const kinds = edition.causes.filter((one) => called.includes(one.id));
      for (const plant of plants)
        if (kinds.every((one) => hostWeight(one, plant) === 0))
          sayAt(plant.id, places.plants.get(plant.id))(`lacks "${id}", which ${family} always have`);
    }
  }
}

function lintInspection(inspection: Inspection, edition: Edition, say: Say): void {
  lintSources('inspection', inspection, edition, say);
  for (const { finding: id, answer } of inspection.results.flatMap(({ readings }) => readings)) {
    const finding = edition.findings.find((f) => f.id === id);
    if (!finding) say(`finding "${id}" does not exist`);
    else if (!finding.answers.some((a) => a.id === answer)) say(`finding "${id}" has no answer "${answer}"`);
  }
  for (const group of inspection.only ?? [])
    if (!edition.plants.some(({ groups }) => groups.includes(group))) say(`no plant of this edition is of group "${group}"`);
  if (inspection.sum && !sumOf(inspection.sum)) say(`"${inspection.sum}" is no sum of the bench`);
}

/**
 * Checks what the schema cannot see: that the rows agree with each other.
 * @param changed with it, the slow questions (reach, doubles) are asked only of these causes
 */
export function lint(compiled: Compiled, changed: ReadonlySet<string> | null = null): Complaint[] {
  const { edition, places } = compiled;
  const complaints: Complaint[] = [];
  const sayAt =
    (id: string, place: Place | undefined): Say =>
    (text, level = 'error') =>
      void complaints.push({ ...(place ?? { file: 'knowledge', line: 1 }), level, text: `${id}: ${text}` });
  for (const finding of edition.findings) {
    const say = sayAt(finding.id, places.findings.get(finding.id));
    if (finding.absent && !finding.answers.some((a) => a.id === finding.absent)) say(`absent answer "${finding.absent}" is not one of its answers`);
    if (!edition.causes.some((c) => c.rates.some((r) => r.finding === finding.id))) say('no cause says anything about it', 'warning');
  }
  const bearers = countWords(edition.causes.flatMap(({ name, also }) => [...new Set([name, ...also].map((one) => one.toLowerCase()))]));
  for (const cause of edition.causes) {
    const say = sayAt(cause.id, places.causes.get(cause.id));
    lintRates(cause, edition, say);
    lintLookAlikes(cause, edition, say);
    lintTreatment(cause, edition, say);
    lintHosts(cause, edition.plants, say);
    lintSources('cause', cause, edition, say);
    lintSpareNames(cause, edition.lexicon, bearers, say);
    if (!edition.plants.some((plant) => hostWeight(cause, plant) > 0)) say('no plant of this edition is a host of it');
  }
  lintPlantNames(edition, (id) => sayAt(id, places.plants.get(id)));
  for (const plant of edition.plants) {
    const problems = edition.causes.filter((cause) => cause.kind !== 'normal' && hostWeight(cause, plant) > 0);
    if (problems.length < 3) sayAt(plant.id, places.plants.get(plant.id))(`only ${problems.length} causes can strike it`);
  }
  for (const task of edition.careTasks ?? []) {
    const say = sayAt(task.id, places.tasks.get(task.id));
    if (!edition.careTopics.some(({ id }) => id === task.topic)) say(`"${task.topic}" is no care topic`);
    if (!edition.plants.some((plant) => hostWeight(task, plant) > 0)) say('no plant of this edition is meant by it');
    if (!hasDates(task.window)) say('its window has no dates');
  }
  lintCare(edition, (id, text) => sayAt(id, places.tasks.get(id))(text));
  for (const inspection of compiled.inspections) lintInspection(inspection, edition, sayAt(inspection.id, places.inspections.get(inspection.id)));
  const cited = new Set(edition.causes.flatMap((c) => [c, ...c.rates, ...c.windows, ...c.options].flatMap((item) => item.source ?? [])));
  for (const source of edition.sources)
    if (!cited.has(source.id)) sayAt(source.id, { file: 'sources.yaml', line: 1 })('no figure rests on this source', 'warning');
  const sayOf = (id: string) => sayAt(id, places.causes.get(id));
  lintNames(edition, sayOf);
  lintFamilies(compiled, sayAt);
  for (const { cause, place } of unreachable(edition, changed))
    sayOf(cause.id)(`out of reach: a caller who sees all of it brings it only to place ${place}`);
  for (const [a, b] of doubles(edition, changed))
    sayOf(b.id)(`no finding tells it from "${a.id}", which strikes the same plants: one cause under two names?`);
  lintPhrases(edition, (id, text) => sayAt(id, places.findings.get(id))(text));
  return complaints;
}
