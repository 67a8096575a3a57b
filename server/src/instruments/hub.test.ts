import type { AddressInfo } from 'node:net';
import { setTimeout as pause } from 'node:timers/promises';
import { afterEach, describe, expect, it } from '@jest/globals';
import { line } from '@sounding/core/instruments/line.ts';
import { createServer, type Server, type Socket } from 'node:net';
import type { NewInstrumentReading } from '../db/instrumentReadings.ts';
import { createInstrument, TABLE_INSTRUMENTS, type InstrumentStandin } from '../standins/instruments.ts';
import { InstrumentHub } from './hub.ts';

const FIRST_SEQ = 100;
const PATIENCE_MS = 5000;
let closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing.reverse()) close();
  closing = [];
});

function listen(server: Server, port = 0): Promise<number> {
  const sockets = new Set<Socket>();
  server.on('connection', (socket) => sockets.add(socket));
  closing.push(() => {
    server.close();
    sockets.forEach((socket) => socket.destroy());
  });
  return new Promise((resolve) => server.listen(port, '127.0.0.1', () => resolve((server.address() as AddressInfo).port)));
}

async function until(what: () => boolean): Promise<void> {
  for (let waited = 0; !what(); waited += 10) {
    if (waited > PATIENCE_MS) throw new Error(`waited in vain for ${what.toString()}`);
    await pause(10);
  }
}

interface Table {
  instrument: InstrumentStandin;
  hub: InstrumentHub;
  kept: NewInstrumentReading[];
  state: () => string;
}

/** A soil probe and a desk that listens to it; `store` may refuse. */
async function setTable(store: (reading: NewInstrumentReading) => Promise<void> = () => Promise.resolve()): Promise<Table> {
  const instrument = createInstrument(TABLE_INSTRUMENTS[0]!, FIRST_SEQ);
  const port = await listen(instrument.server);
  const kept: NewInstrumentReading[] = [];
  const hub = new InstrumentHub([`127.0.0.1:${port}`], async (reading) => {
    await store(reading);
    kept.push(reading);
  });
  hub.start();
  closing.push(() => hub.stop());
  const state = () => hub.views[0]?.state ?? '';
  await until(() => state() === 'connected');
  return { instrument, hub, kept, state };
}

describe('an instrument at the table', () => {
  it('says what it is, measures when asked, and forgets a reading once it is kept', async () => {
    const { hub, kept, instrument } = await setTable();
    expect(hub.views[0]).toMatchObject({ kind: 'soil-probe', serial: 'LP-01', trouble: null });
    expect(hub.take('LP-01')).toBe(true);
    await until(() => instrument.unkept() === 0 && kept.length === 1);
    expect(kept[0]).toMatchObject({ serial: 'LP-01', seq: FIRST_SEQ + 1, instrument: 'soil-probe' });
    expect(Object.keys(kept[0]?.measured ?? {})).toEqual(['moisture', 'ec', 'temperature']);
  });
  it('lost in the middle of a reading: says so, and has the reading when it is back', async () => {
    const { hub, kept, instrument, state } = await setTable();
    instrument.breakNext();
    hub.take('LP-01');
    await until(() => state() === 'lost');
    expect(hub.views[0]?.trouble).toContain('middle of a reading');
    expect(hub.take('LP-01')).toBe(false);
    await until(() => kept.length === 1);
    expect(kept[0]?.seq).toBe(FIRST_SEQ + 1);
    expect(hub.views[0]).toMatchObject({ state: 'connected', trouble: null });
  });
  it('gives again what could not be stored, in order', async () => {
    let refusals = 2;
    const { instrument, kept } = await setTable(() => (refusals-- > 0 ? Promise.reject(new Error('no database')) : Promise.resolve()));
    instrument.press();
    instrument.press();
    await until(() => instrument.unkept() === 0);
    expect([...new Set(kept.map(({ seq }) => seq))]).toEqual([FIRST_SEQ + 1, FIRST_SEQ + 2]);
  });
  it('measures while nobody listens, and tells it all later', async () => {
    const { instrument, hub, kept } = await setTable();
    hub.stop();
    instrument.press();
    instrument.press();
    const later: number[] = [];
    const { port } = instrument.server.address() as AddressInfo;
    const again = new InstrumentHub([`127.0.0.1:${port}`], ({ seq }) => Promise.resolve(void later.push(seq)));
    again.start();
    closing.push(() => again.stop());
    await until(() => later.length === 2);
    expect(kept).toEqual([]);
    expect(later).toEqual([FIRST_SEQ + 1, FIRST_SEQ + 2]);
  });
});

describe('an instrument that goes wrong', () => {
  /** Something on a socket that says these lines and notes the answers. */
  async function saying(...lines: string[]) {
    const answers: string[] = [];
    const port = await listen(
      createServer((socket) => {
        socket.on('error', () => socket.destroy());
        socket.on('data', (piece) => void answers.push(piece.toString()));
        for (const text of lines) socket.write(`${text}\n`);
      }),
    );
    const kept: NewInstrumentReading[] = [];
    const hub = new InstrumentHub([`127.0.0.1:${port}`], (reading) => Promise.resolve(void kept.push(reading)));
    hub.start();
    closing.push(() => hub.stop());
    return { hub, kept, answers };
  }
  const HELLO = line(['HELLO', 1, 'ph-pen', 'X-1', 'pen']);

  it('impossible figures are named, not stored, and not asked for again', async () => {
    const { hub, kept, answers } = await saying(HELLO, line(['READING', 5, 'ph', 15.2, 'pH']));
    await until(() => answers.length > 0);
    expect(hub.views[0]?.trouble).toBe('ph 15.2 pH cannot be: 0 to 14');
    expect(answers.join('')).toBe(`${line(['KEPT', 5])}\n`);
    expect(kept).toEqual([]);
  });
  it('a line whose checksum disagrees is not stored and stays with the instrument', async () => {
    const { hub, kept, answers } = await saying(HELLO, 'READING,5,ph,7.2,pH*00');
    await until(() => hub.views[0]?.trouble !== null);
    expect(hub.views[0]?.trouble).toContain('checksum');
    expect([kept, answers]).toEqual([[], []]);
  });
  it('tells of its own fault', async () => {
    const { hub } = await saying(HELLO, line(['FAULT', 'battery low']));
    await until(() => hub.views[0]?.trouble === 'battery low');
  });
  it('an address that is none is refused at the start', () =>
    expect(() => new InstrumentHub(['nowhere'], () => Promise.resolve())).toThrow('host:port'));
});
