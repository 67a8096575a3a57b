import type { Mark } from '../edition/provenance.ts';
import { inBase, type Amount, type Dimension, type Unit } from '../quantities/units.ts';

/** A sum of the bench: what it asks for, and how it is worked out. Nothing here knows of a screen. */
export interface SumDefinition {
  id: string;
  name: string;
  group: 'mixing' | 'soil' | 'water' | 'plants' | 'weather';
  /** What it answers, as an advisor would ask it. */
  asks: string;
  fields: readonly Field[];
  work: (values: SumValues) => SumResult;
}

export type Field =
  | { id: string; label: string; kind: 'amount'; dimension: Dimension; start: Amount }
  | { id: string; label: string; kind: 'number'; start: string; unit?: string; least?: number; most?: number }
  | { id: string; label: string; kind: 'choice'; options: readonly { id: string; say: string }[]; start: string };

/** A figure that is not arithmetic, with where it comes from. */
export interface Figure {
  what: string;
  mark: Mark;
  source?: string;
}

export interface SumResult {
  /** The answer, first in the caller's own kind of units, then in the other. */
  lines: string[];
  /** The working, step by step. */
  steps: string[];
  figures: Figure[];
  cautions: string[];
  /** One sentence for the letter. */
  reply: string;
}

/** What was put into a sum: amounts with their units, numbers and choices as text. */
export type Entered = Record<string, Amount | string>;

/** Something entered cannot be; `field` says where. */
export class SumFault extends Error {
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}

/** Reads what was entered by the definition of the fields, in base units (ml, g, m², cm). @throws SumFault */
export class SumValues {
  constructor(
    private readonly fields: readonly Field[],
    private readonly entered: Entered,
  ) {}

  private field<K extends Field['kind']>(id: string, kind: K): Extract<Field, { kind: K }> {
    const field = this.fields.find((f) => f.id === id && f.kind === kind);
    if (!field) throw new Error(`the sum has no ${kind} "${id}"`);
    return field as Extract<Field, { kind: K }>;
  }

  written(id: string): Amount {
    const field = this.field(id, 'amount');
    const entered = this.entered[id] ?? field.start;
    return typeof entered === 'string' ? { ...field.start, value: entered } : entered;
  }

  /** An amount above zero, in the base unit of its dimension. */
  amount(id: string): number {
    const amount = this.written(id);
    let value: number;
    try {
      value = inBase(amount).valueOf();
    } catch {
      throw new SumFault(id, `"${amount.value}" is not a number`);
    }
    if (value <= 0) throw new SumFault(id, 'must be more than nothing');
    return value;
  }

  unit(id: string): Unit {
    return this.written(id).unit;
  }

  number(id: string): number {
    const field = this.field(id, 'number');
    const entered = this.entered[id] ?? field.start;
    const text = (typeof entered === 'string' ? entered : entered.value).trim().replace(',', '.');
    const value = text === '' ? NaN : Number(text);
    if (!Number.isFinite(value)) throw new SumFault(id, `"${text}" is not a number`);
    const unit = field.unit ? ` ${field.unit}` : '';
    if (field.least !== undefined && value < field.least) throw new SumFault(id, `${value}${unit} cannot be: at least ${field.least}`);
    if (field.most !== undefined && value > field.most) throw new SumFault(id, `${value}${unit} cannot be: at most ${field.most}`);
    return value;
  }

  text(id: string): string {
    const field = this.field(id, 'number');
    const entered = this.entered[id] ?? field.start;
    return typeof entered === 'string' ? entered : entered.value;
  }

  choice<T extends string>(id: string): T {
    const field = this.field(id, 'choice');
    const entered = this.entered[id] ?? field.start;
    const found = field.options.find((option) => option.id === entered);
    if (!found) throw new SumFault(id, 'choose one');
    return found.id as T;
  }
}

/** Soils by feel, as the sums of water and of lime know them. */
export const TEXTURES = [
  { id: 'sand', say: 'sand' },
  { id: 'loam', say: 'loam' },
  { id: 'clay', say: 'clay' },
] as const;

/** 3 significant figures, without trailing noughts. */
export const round3 = (value: number): string => (value === 0 ? '0' : String(Number(value.toPrecision(3))));

const PER_UNIT = { galUs: 3785.411784, lb: 453.59237, sqFt: 0.09290304, inch: 2.54, oz: 28.349523125, ft: 30.48, flOz: 29.5735295625 };
/** A base amount in both unit systems, metric first. */
export const bothVolumes = (ml: number): [string, string] =>
  ml >= 1000
    ? [`${round3(ml / 1000)} litres`, `${round3(ml / PER_UNIT.galUs)} US gal`]
    : [`${round3(ml)} ml`, `${round3(ml / PER_UNIT.flOz)} US fl oz`];
export const bothMasses = (g: number): [string, string] =>
  g >= 1000
    ? [`${round3(g / 1000)} kg`, `${round3(g / PER_UNIT.lb)} lb`]
    : [`${round3(g)} g`, g >= PER_UNIT.lb ? `${round3(g / PER_UNIT.lb)} lb` : `${round3(g / PER_UNIT.oz)} oz`];
export const bothLengths = (cm: number): [string, string] =>
  cm >= 300 ? [`${round3(cm / 100)} m`, `${round3(cm / PER_UNIT.ft)} ft`] : [`${round3(cm)} cm`, `${round3(cm / PER_UNIT.inch)} in`];
export const bothAreas = (m2: number): [string, string] => [`${round3(m2)} m²`, `${round3(m2 / PER_UNIT.sqFt)} sq ft`];

const US_UNITS = new Set<Unit>([
  'tsp-us',
  'tbsp-us',
  'floz-us',
  'cup-us',
  'pt-us',
  'qt-us',
  'gal-us',
  'oz',
  'lb',
  'sqft',
  'sqyd',
  'acre',
  'in',
  'ft',
]);
/** "2.4 lb (1.09 kg)": the caller's own system first. */
export const said = ([metric, us]: [string, string], unit: Unit): string => (US_UNITS.has(unit) ? `${us} (${metric})` : `${metric} (${us})`);
