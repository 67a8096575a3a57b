/**
 * The line protocol of instruments at the table: one message a line of ASCII, fields parted by commas, then `*` and the checksum, the exclusive or
 * of all bytes before it as two hexadecimal digits (as NMEA 0183 has it). Set out in docs/formats.md.
 */

export const INSTRUMENT_KINDS = ['soil-probe', 'ph-pen', 'scale'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

export interface Quantity {
  unit: string;
  /** What the instrument can measure at all; beyond it something is broken. */
  least: number;
  most: number;
  say: string;
}
/** What instruments measure, by the name it has on the line. */
export const QUANTITIES = {
  moisture: { unit: '%vol', least: 0, most: 100, say: 'water in the soil' },
  ec: { unit: 'mS/cm', least: 0, most: 50, say: 'salt (EC)' },
  temperature: { unit: 'C', least: -40, most: 80, say: 'temperature' },
  ph: { unit: 'pH', least: 0, most: 14, say: 'pH' },
  mass: { unit: 'g', least: 0, most: 500_000, say: 'weight' },
} as const satisfies Record<string, Quantity>;
export type QuantityId = keyof typeof QUANTITIES;
export type Measured = Partial<Record<QuantityId, number>>;

/** What each kind of instrument sends. */
export const MEASURES: Record<InstrumentKind, readonly QuantityId[]> = {
  'soil-probe': ['moisture', 'ec', 'temperature'],
  'ph-pen': ['ph', 'temperature'],
  scale: ['mass'],
};

export type FromInstrument =
  | { kind: 'hello'; instrument: InstrumentKind; serial: string; name: string }
  | { kind: 'reading'; seq: number; measured: Measured }
  | { kind: 'fault'; text: string };
export type ToInstrument = { kind: 'take' } | { kind: 'kept'; seq: number };

export type Parsed<T> = { ok: true; message: T } | { ok: false; reason: 'checksum' | 'unknown' | 'impossible'; detail: string };

export const PROTOCOL_VERSION = '1';

export function checksum(body: string): string {
  const sum = [...body].reduce((xor, letter) => xor ^ letter.charCodeAt(0), 0) & 0xff;
  return sum.toString(16).toUpperCase().padStart(2, '0');
}

/** The line with its checksum, without the line feed. @throws RangeError when a field holds a separator */
export function line(fields: readonly (string | number)[]): string {
  const body = fields
    .map((field) => {
      if (/[^ -~]|[,*]/.test(String(field))) throw new RangeError(`"${field}" holds a separator of the line protocol, or more than ASCII`);
      return String(field);
    })
    .join(',');
  return `${body}*${checksum(body)}`;
}

export const sayTo = (message: ToInstrument): string => (message.kind === 'take' ? line(['TAKE']) : line(['KEPT', message.seq]));

/** The fields of a line whose checksum agrees, or why it is thrown away. */
function fieldsOf(text: string): Parsed<string[]> {
  const [, body, sum] = /^(.*)\*([0-9A-Fa-f]{2})\s*$/.exec(text) ?? [];
  if (body === undefined || sum === undefined)
    return { ok: false, reason: 'checksum', detail: `"${text.slice(0, 60)}" ends before its checksum: the line was cut off` };
  if (checksum(body) !== sum.toUpperCase())
    return { ok: false, reason: 'checksum', detail: `the checksum of "${body.slice(0, 60)}" is ${checksum(body)}, the line says ${sum}` };
  return { ok: true, message: body.split(',') };
}

function measuredOf(fields: readonly string[]): Parsed<Measured> {
  const measured: Measured = {};
  for (let i = 0; i < fields.length; i += 3) {
    const [id = '', written = '', unit = ''] = fields.slice(i, i + 3);
    if (!(id in QUANTITIES)) return { ok: false, reason: 'unknown', detail: `"${id}" is nothing that is measured here` };
    const quantity: Quantity = QUANTITIES[id as QuantityId];
    const value = Number(written);
    if (unit !== quantity.unit) return { ok: false, reason: 'unknown', detail: `${id} comes in "${unit}", wanted ${quantity.unit}` };
    if (written.trim() === '' || !Number.isFinite(value)) return { ok: false, reason: 'impossible', detail: `${id}: "${written}" is not a number` };
    if (value < quantity.least || value > quantity.most)
      return { ok: false, reason: 'impossible', detail: `${id} ${value} ${unit} cannot be: ${quantity.least} to ${quantity.most}` };
    measured[id as QuantityId] = value;
  }
  return Object.keys(measured).length > 0 ? { ok: true, message: measured } : { ok: false, reason: 'unknown', detail: 'a reading without a figure' };
}

/** Number of a reading, even when its figures are no good, so that it can be asked not to come again; null for other lines. */
export function seqOf(text: string): number | null {
  const fields = fieldsOf(text);
  const seq = fields.ok && fields.message[0] === 'READING' ? Number(fields.message[1]) : NaN;
  return Number.isSafeInteger(seq) && seq >= 0 ? seq : null;
}

/** Reads a line an instrument has sent. Nothing is thrown: a bad line says what is wrong with it. */
export function fromInstrument(text: string): Parsed<FromInstrument> {
  const fields = fieldsOf(text);
  if (!fields.ok) return fields;
  const [name, ...rest] = fields.message;
  switch (name) {
    case 'HELLO': {
      const [version, instrument = '', serial = '', ...called] = rest;
      if (version !== PROTOCOL_VERSION)
        return { ok: false, reason: 'unknown', detail: `it speaks version "${version ?? ''}", wanted ${PROTOCOL_VERSION}` };
      const kind = INSTRUMENT_KINDS.find((known) => known === instrument);
      if (!kind || serial === '') return { ok: false, reason: 'unknown', detail: `"${instrument}" is no instrument known here` };
      return { ok: true, message: { kind: 'hello', instrument: kind, serial, name: called.join(',') || kind } };
    }
    case 'READING': {
      const seq = seqOf(text);
      if (seq === null) return { ok: false, reason: 'unknown', detail: 'a reading without a number' };
      const measured = measuredOf(rest.slice(1));
      return measured.ok ? { ok: true, message: { kind: 'reading', seq, measured: measured.message } } : measured;
    }
    case 'FAULT':
      return { ok: true, message: { kind: 'fault', text: rest.join(',') } };
    default:
      return { ok: false, reason: 'unknown', detail: `"${name ?? ''}" is no message of this protocol` };
  }
}

/** Reads a line a desk has sent to an instrument. */
export function toInstrument(text: string): Parsed<ToInstrument> {
  const fields = fieldsOf(text);
  if (!fields.ok) return fields;
  const [name, seq] = fields.message;
  if (name === 'TAKE') return { ok: true, message: { kind: 'take' } };
  if (name === 'KEPT' && /^\d+$/.test(seq ?? '')) return { ok: true, message: { kind: 'kept', seq: Number(seq) } };
  return { ok: false, reason: 'unknown', detail: `"${name ?? ''}" is no message to an instrument` };
}

/** Cuts a stream into lines; what is not yet ended waits. */
export class LineCutter {
  private rest = '';

  /** Lines ended by this piece. */
  feed(piece: string): string[] {
    const parts = (this.rest + piece).split('\n');
    this.rest = parts.pop() ?? '';
    return parts.map((part) => part.replace(/\r$/, '')).filter((part) => part !== '');
  }

  /** What came after the last whole line; not empty when the other side went away in the middle of one. */
  get unfinished(): string {
    return this.rest;
  }
}
