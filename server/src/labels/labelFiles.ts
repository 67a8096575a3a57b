import Papa from 'papaparse';
import { z } from 'zod';
import { labelBody } from '@sounding/contract/labels.ts';
import type { Amount, Unit } from '@sounding/core/quantities/units.ts';
import type { Label, LabelUse } from '@sounding/core/treatment/label.ts';

/** What a file of labels gave: whole labels, and what could not be taken, by place in the file. */
export interface LabelFile {
  labels: Label[];
  faults: { where: string; detail: string }[];
}

/** Columns of the CSV: one line a use; those of the product are repeated on each of its lines. Lists are divided by ";", amounts are "20 ml". */
const COLUMNS = [
  'id',
  'name',
  'registration',
  'actives',
  'formulation',
  'signal_scheme',
  'signal_word',
  'restricted',
  'home_use',
  'jurisdictions',
  'valid_from',
  'valid_until',
  'gear',
  'packs',
  'from_c',
  'below_c',
  'most_wind_ms',
  'rain_free_hours',
  'bees',
  'water_distance_m',
  'use_id',
  'line',
  'method',
  'crops',
  'pests',
  'rate',
  'per',
  'of',
  'least_share',
  'carrier',
  'carrier_on',
  'most_per_use',
  'most_per_year',
  'most_uses',
  'interval_days',
  'reentry_hours',
  'pre_harvest_days',
  'season_from',
  'season_to',
] as const;
type Row = Record<(typeof COLUMNS)[number], string>;

const list = (text: string): string[] =>
  text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean);
const amount = (text: string): Amount | null => {
  const match = /^([\d.,]+)\s*(\S+)$/.exec(text.trim());
  // an unreadable amount is handed on as it is: the schema says what is wrong with it
  return text.trim() === '' ? null : { value: match?.[1]?.replace(',', '.') ?? text, unit: (match?.[2] ?? '') as Unit };
};
const number = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')));
const yes = (text: string): boolean => /^(yes|true|1|x)$/i.test(text.trim());
const sayAmount = (value: Amount | null): string => (value ? `${value.value} ${value.unit}` : '');

function useOf(row: Row): unknown {
  const carrier = amount(row.carrier);
  return {
    id: row.use_id,
    line: row.line,
    method: row.method,
    crops: list(row.crops),
    pests: list(row.pests),
    rate: amount(row.rate) ?? undefined,
    per: row.per,
    of: amount(row.of),
    leastShare: number(row.least_share),
    carrier: carrier ? { amount: carrier, on: amount(row.carrier_on) } : null,
    mostPerUse: amount(row.most_per_use),
    mostPerYear: amount(row.most_per_year),
    mostUses: number(row.most_uses) ?? undefined,
    intervalDays: number(row.interval_days) ?? undefined,
    reentryHours: number(row.reentry_hours) ?? 0,
    preHarvestDays: number(row.pre_harvest_days),
    season: row.season_from.trim() === '' ? null : { from: row.season_from, to: row.season_to },
  };
}

function labelOf(rows: readonly Row[]): unknown {
  const row = rows[0]!;
  return {
    id: row.id,
    name: row.name,
    registration: row.registration,
    actives: list(row.actives).map((active) => {
      const [name = '', concentration = '', group = 'not grouped'] = active.split('|').map((part) => part.trim());
      return { name, concentration, group };
    }),
    formulation: row.formulation,
    signalWord: { scheme: row.signal_scheme, word: row.signal_word },
    restricted: yes(row.restricted),
    homeUse: yes(row.home_use),
    jurisdictions: list(row.jurisdictions),
    validFrom: row.valid_from,
    validUntil: row.valid_until.trim() === '' ? null : row.valid_until,
    gear: list(row.gear),
    packs: list(row.packs).flatMap((pack) => amount(pack) ?? []),
    limits: {
      fromC: number(row.from_c),
      belowC: number(row.below_c),
      mostWindMs: number(row.most_wind_ms),
      rainFreeHours: number(row.rain_free_hours),
      bees: yes(row.bees),
      waterDistanceM: number(row.water_distance_m),
    },
    uses: rows.map(useOf),
  };
}

/** Names of fields as people who fill in the CSV know them. */
const SAID: Record<string, string> = {
  rate: 'rate',
  of: 'of',
  mostUses: 'most_uses',
  intervalDays: 'interval_days',
  validUntil: 'valid_until',
  validFrom: 'valid_from',
};

function checked(value: unknown, where: string, lineOf: (path: readonly PropertyKey[]) => string, out: LabelFile): void {
  const parsed = labelBody.safeParse(value);
  if (parsed.success) out.labels.push(parsed.data);
  else
    for (const issue of parsed.error.issues) {
      const field = issue.path.map((part) => SAID[String(part)] ?? String(part)).join('.');
      const missing = issue.code === 'invalid_type' && issue.message.includes('undefined') ? 'is missing' : issue.message;
      out.faults.push({ where: `${lineOf(issue.path) || where}`, detail: `${field || 'label'}: ${missing}` });
    }
}

function fromCsv(text: string): LabelFile {
  const out: LabelFile = { labels: [], faults: [] };
  const parsed = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true });
  const missing = COLUMNS.filter((column) => !parsed.meta.fields?.includes(column));
  if (missing.length > 0) return { labels: [], faults: [{ where: 'line 1', detail: `columns missing: ${missing.join(', ')}` }] };
  for (const error of parsed.errors) out.faults.push({ where: `line ${(error.row ?? 0) + 2}`, detail: error.message });
  const groups = new Map<string, { row: Row; line: number }[]>();
  parsed.data.forEach((data, i) => {
    const row = Object.fromEntries(COLUMNS.map((column) => [column, data[column] ?? ''])) as Row;
    groups.set(row.id, [...(groups.get(row.id) ?? []), { row, line: i + 2 }]);
  });
  for (const rows of groups.values())
    checked(
      labelOf(rows.map(({ row }) => row)),
      `line ${rows[0]!.line}`,
      (path) => `line ${(path[0] === 'uses' ? rows[Number(path[1])]?.line : undefined) ?? rows[0]!.line}`,
      out,
    );
  return out;
}

function fromJson(text: string): LabelFile {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return { labels: [], faults: [{ where: 'file', detail: `is not JSON: ${error instanceof Error ? error.message : String(error)}` }] };
  }
  const out: LabelFile = { labels: [], faults: [] };
  const rows = z.array(z.unknown()).safeParse(value);
  if (!rows.success) return { labels: [], faults: [{ where: 'file', detail: 'is not a list of labels' }] };
  rows.data.forEach((row, i) => checked(row, `label ${i + 1}`, () => `label ${i + 1}`, out));
  return out;
}

export const readLabels = (text: string, format: 'csv' | 'json'): LabelFile => (format === 'csv' ? fromCsv(text) : fromJson(text));

const rowOf = (label: Label, use: LabelUse): Row => ({
  id: label.id,
  name: label.name,
  registration: label.registration,
  actives: label.actives.map(({ name, concentration, group }) => `${name} | ${concentration} | ${group}`).join('; '),
  formulation: label.formulation,
  signal_scheme: label.signalWord.scheme,
  signal_word: label.signalWord.word,
  restricted: label.restricted ? 'yes' : 'no',
  home_use: label.homeUse ? 'yes' : 'no',
  jurisdictions: label.jurisdictions.join('; '),
  valid_from: label.validFrom,
  valid_until: label.validUntil ?? '',
  gear: label.gear.join('; '),
  packs: label.packs.map(sayAmount).join('; '),
  from_c: String(label.limits.fromC ?? ''),
  below_c: String(label.limits.belowC ?? ''),
  most_wind_ms: String(label.limits.mostWindMs ?? ''),
  rain_free_hours: String(label.limits.rainFreeHours ?? ''),
  bees: label.limits.bees ? 'yes' : 'no',
  water_distance_m: String(label.limits.waterDistanceM ?? ''),
  use_id: use.id,
  line: use.line,
  method: use.method,
  crops: use.crops.join('; '),
  pests: use.pests.join('; '),
  rate: sayAmount(use.rate),
  per: use.per,
  of: sayAmount(use.of),
  least_share: String(use.leastShare ?? ''),
  carrier: sayAmount(use.carrier?.amount ?? null),
  carrier_on: sayAmount(use.carrier?.on ?? null),
  most_per_use: sayAmount(use.mostPerUse),
  most_per_year: sayAmount(use.mostPerYear),
  most_uses: String(use.mostUses),
  interval_days: String(use.intervalDays),
  reentry_hours: String(use.reentryHours),
  pre_harvest_days: String(use.preHarvestDays ?? ''),
  season_from: use.season?.from ?? '',
  season_to: use.season?.to ?? '',
});

export const writeLabels = (labels: readonly Label[], format: 'csv' | 'json'): string =>
  format === 'json'
    ? `${JSON.stringify(labels, null, 2)}\n`
    : `${Papa.unparse({ fields: [...COLUMNS], data: labels.flatMap((label) => label.uses.map((use) => rowOf(label, use))) }, { newline: '\n' })}\n`;
