import { createServer, type Server, type Socket } from 'node:net';
import {
  line,
  LineCutter,
  MEASURES,
  PROTOCOL_VERSION,
  QUANTITIES,
  toInstrument,
  type InstrumentKind,
  type Measured,
} from '@sounding/core/instruments/line.ts';
import { generator } from '@sounding/core/numbers/random.ts';

export interface SimulatedInstrument {
  kind: InstrumentKind;
  serial: string;
  name: string;
  seed: number;
}

/** The instruments on the table of the demo's market hall. */
export const TABLE_INSTRUMENTS: readonly SimulatedInstrument[] = [
  { kind: 'soil-probe', serial: 'LP-01', name: 'soil probe', seed: 11 },
  { kind: 'ph-pen', serial: 'LH-01', name: 'pH pen', seed: 12 },
  { kind: 'scale', serial: 'LW-01', name: 'scale', seed: 13 },
];

/** Spans the simulated pots and bags lie in, with the decimals such an instrument shows. */
const SPANS: Record<keyof typeof QUANTITIES, { from: number; to: number; decimals: number }> = {
  moisture: { from: 6, to: 46, decimals: 1 },
  ec: { from: 0.3, to: 5.5, decimals: 2 },
  temperature: { from: 16, to: 24, decimals: 1 },
  ph: { from: 5, to: 8.3, decimals: 1 },
  mass: { from: 240, to: 2600, decimals: 0 },
};

export interface InstrumentStandin {
  server: Server;
  /** As if its own button were pressed. */
  press: () => void;
  /** The next reading breaks off in the middle of the line, and the connection with it. */
  breakNext: () => void;
  /** Readings it has not been told are kept. */
  unkept: () => number;
}

/**
 * A simulated instrument on a socket. It numbers its readings from `firstSeq`, which must lie above any it has used before, and holds each
 * one until it is told that it is kept; whoever connects gets those first.
 */
export function createInstrument({ kind, serial, name, seed }: SimulatedInstrument, firstSeq: number): InstrumentStandin {
  const random = generator(seed);
  const held = new Map<number, Measured>();
  let seq = firstSeq;
  let breaks = false;
  let client: Socket | null = null;
  const measure = (): Measured =>
    Object.fromEntries(
      MEASURES[kind].map((id) => {
        const { from, to, decimals } = SPANS[id];
        return [id, Number((from + (to - from) * random()).toFixed(decimals))];
      }),
    );
  const lineOf = (number: number, measured: Measured): string =>
    line(['READING', number, ...Object.entries(measured).flatMap(([id, value]) => [id, value, QUANTITIES[id as keyof typeof QUANTITIES].unit])]);
  const send = (number: number): void => {
    const measured = held.get(number);
    if (!client || !measured) return;
    const text = lineOf(number, measured);
    if (breaks) {
      breaks = false;
      const half = client;
      half.write(text.slice(0, Math.ceil(text.length / 2)), () => half.destroy());
    } else client.write(`${text}\n`);
  };
  const press = (): void => {
    held.set(++seq, measure());
    send(seq);
  };
  const server = createServer((socket) => {
    client?.destroy();
    client = socket;
    const cutter = new LineCutter();
    socket.setEncoding('ascii');
    socket.on('error', () => socket.destroy());
    socket.on('close', () => {
      if (client === socket) client = null;
    });
    socket.on('data', (piece: string) => {
      for (const text of cutter.feed(piece)) {
        const heard = toInstrument(text);
        if (!heard.ok) socket.write(`${line(['FAULT', 'not understood'])}\n`);
        else if (heard.message.kind === 'take') press();
        else held.delete(heard.message.seq);
      }
    });
    socket.write(`${line(['HELLO', PROTOCOL_VERSION, kind, serial, name])}\n`);
    for (const number of held.keys()) send(number);
  });
  return { server, press, breakNext: () => (breaks = true), unkept: () => held.size };
}
