import type { Cause, CauseRate, RateWord } from '@sounding/core/edition/causes.ts';
import type { TreatmentOption } from '@sounding/core/edition/options.ts';
import type { HostSelector } from '@sounding/core/edition/plants.ts';
import type { Mark } from '@sounding/core/edition/provenance.ts';
import type { Window } from '@sounding/core/edition/windows.ts';
import { RATE_VALUES } from '@sounding/core/edition/causes.ts';
import type { z } from 'zod';
import { overForm, windowsUsed, type WholeCause } from './forms.ts';
import { provenanceOf } from './provenance.ts';
import type { Complaint, Placed } from './read.ts';
import type { activeRow, CauseRow, FormRow, heardRow, sharedWindowRow, SharedOptionRow } from './schema.ts';

const RATE_META = new Set(['mark', 'source', 'note']);

function toRate(finding: string, row: Record<string, unknown>, cause: WholeCause, say: (text: string) => void): CauseRate {
  const answers: Record<string, RateWord> = {};
  for (const [answer, word] of Object.entries(row)) {
    if (RATE_META.has(answer)) continue;
    if (typeof word === 'string' && word in RATE_VALUES) answers[answer] = word as RateWord;
    else say(`findings.${finding}.${answer}: "${String(word)}" is not one of ${Object.keys(RATE_VALUES).join(', ')}`);
  }
  return { finding, answers, ...provenanceOf(row, cause.mark) };
}

/** What the rows of the other files are looked up in. */
export interface Shared {
  options: Map<string, SharedOptionRow>;
  windows: Map<string, z.infer<typeof sharedWindowRow>>;
  actives: Map<string, z.infer<typeof activeRow>>;
  heard: Map<string, z.infer<typeof heardRow>>;
  /** The words of a text that tell something. */
  telling: (text: string) => string;
}

function activesOf(ids: readonly string[], shared: Shared, say: (text: string) => void): string[] {
  return ids.flatMap((id) => {
    const active = shared.actives.get(id);
    if (!active) say(`there is no active ingredient "${id}"`);
    return active ? [`${active.name} (${active.group})`] : [];
  });
}

function toOption(
  row: WholeCause['options'][number],
  place: string,
  cause: WholeCause,
  shared: Shared,
  say: (text: string) => void,
): TreatmentOption | null {
  const base = row.use === undefined ? undefined : shared.options.get(row.use);
  if (row.use !== undefined && !base) {
    say(`${place}: there is no shared option "${row.use}"`);
    return null;
  }
  const act = row.act ?? base?.act;
  const title = row.title ?? base?.title;
  const id = row.id ?? row.use;
  const ownHow = row.how ?? (id === undefined ? undefined : cause.how[id]);
  const how = ownHow ?? base?.how;
  if (!act || !title || !how || !id) {
    say(`${place}: needs id, act, title and how, or a shared option to use`);
    return null;
  }
  const repeat = row.repeat ?? base?.repeat;
  const school = row.school ?? base?.school;
  const window = row.window ?? base?.window;
  const effort = row.effort ?? base?.effort;
  const cost = row.cost ?? base?.cost;
  const cautionsOn = row['cautions-on'] ?? base?.['cautions-on'];
  const activeIds = row.actives ?? base?.actives ?? [];
  const actives = activesOf(activeIds, shared, say);
  const leastToxic =
    row['least-toxic'] ?? base?.['least-toxic'] ?? (activeIds.length > 0 && activeIds.every((active) => shared.actives.get(active)?.['least-toxic']));
  return {
    id,
    act,
    title,
    how,
    ...(window ? { window } : {}),
    ...(repeat ? { repeat } : {}),
    not: [...(base?.not ?? []), ...(row.not ?? [])],
    cautions: [...(base?.cautions ?? []), ...(row.cautions ?? [])],
    ...(cautionsOn ? { cautionsOn: cautionsOn as NonNullable<TreatmentOption['cautionsOn']> } : {}),
    effect: row.effect ?? base?.effect ?? 'fair',
    ...(effort ? { effort } : {}),
    ...(cost ? { cost } : {}),
    ...(row.prefer || cause.prefer === id ? { preferred: true } : {}),
    ...(school ? { school } : {}),
    ...(actives.length > 0 ? { actives } : {}),
    ...(leastToxic ? { leastToxic: true as const } : {}),
    ...((row['under-glass'] ?? base?.['under-glass']) ? { underGlass: true as const } : {}),
    ...(row.young ? { young: true as const } : {}),
    // what an entry says itself does not rest on what the shared option rests on
    ...provenanceOf(ownHow === undefined ? { ...base, ...row } : row, cause.mark),
  };
}

function onHosts(
  { hosts, ...row }: WholeCause['host-options'][number],
  cause: WholeCause,
  shared: Shared,
  say: (text: string) => void,
): TreatmentOption[] {
  const option = toOption({ ...row, prefer: true }, `host-options ${row.id}`, cause, shared, say);
  return option ? [{ ...option, hosts: hosts as HostSelector[] }] : [];
}

export function toWindow(id: string, row: CauseRow['windows'][string], mark: Mark): Window {
  const dd = row['degree-days'];
  return {
    id,
    name: row.name,
    ...(dd
      ? {
          degreeDays: {
            baseC: dd['base-c'],
            ...(dd['upper-c'] === undefined ? {} : { upperC: dd['upper-c'] }),
            ...(dd.method ? { method: dd.method } : {}),
            ...(dd.cutoff ? { cutoff: dd.cutoff } : {}),
            ...(dd.generations ? { generations: dd.generations } : {}),
            biofix: dd.biofix,
            from: dd.from,
            to: dd.to,
          },
        }
      : {}),
    ...(row.frost ? { frost: row.frost } : {}),
    ...(row.infection ? { infection: row.infection } : {}),
    ...(row.calendar ? { calendar: row.calendar } : {}),
    ...(row.event ? { event: row.event } : {}),
    ...(row['event-days'] ? { eventDays: row['event-days'] } : {}),
    ...(row['any-time'] ? { anyTime: true } : {}),
    ...(row.outdoors ? { outdoors: true } : {}),
    ...provenanceOf(row, mark),
  };
}

/** A cause as it stands in an edition; null where its form is missing. */
export function toCause(placed: Placed<CauseRow>, forms: Map<string, FormRow>, shared: Shared, complaints: Complaint[]): Cause | null {
  const say = (text: string) => void complaints.push({ ...placed.place, level: 'error', text: `${placed.id}: ${text}` });
  const row = overForm(placed, forms, say);
  if (!row) return null;
  for (const id of Object.keys(row.how)) if (!row.options.some((option) => (option.id ?? option.use) === id)) say(`how: it has no option "${id}"`);
  const callers = shared.heard.get(row.id);
  const heard = row.heard ?? callers?.heard;
  const windows = [...Object.entries(row.windows), ...windowsUsed(row, shared.options, shared.windows)];
  return {
    id: row.id,
    name: row.name,
    ...(row.latin ? { latin: row.latin } : {}),
    also: [...new Set([...row.also, ...(callers?.also ?? [])])].filter((name) => name !== row.name),
    kind: row.kind,
    story: row.story.trim(),
    ...(heard ? { heard: shared.telling(heard) } : {}),
    commonness: row.common,
    hosts: { include: row.hosts as Cause['hosts']['include'], exclude: row['not-hosts'] as HostSelector[] },
    climates: row.climates,
    months: row.months,
    rates: Object.entries(row.findings).map(([finding, rates]) => toRate(finding, rates, row, say)),
    lookAlikes: row.like.map((like) => ({ cause: like.cause, separate: like.by, say: like.say })),
    windows: windows.map(([id, window]) => toWindow(id, window, row.mark)),
    options: [
      ...row['host-options'].flatMap((option) => onHosts(option, row, shared, say)),
      ...row.options.flatMap((option, i) => toOption(option, `options[${i}]`, row, shared, say) ?? []),
    ],
    leaveWhen: row['leave-when'],
    worth: row.worth,
    cautions: row.cautions,
    notifiable: row.notifiable,
    ...(row.index ? { index: row.index } : {}),
    replyLine: row.reply,
    ...(row.spreads ? { spreads: row.spreads } : {}),
    ...provenanceOf(row, row.mark),
  };
}
