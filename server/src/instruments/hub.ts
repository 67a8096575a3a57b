import { connect, type Socket } from 'node:net';
import type { InstrumentView } from '@sounding/contract/instruments.ts';
import {
  fromInstrument,
  LineCutter,
  sayTo,
  seqOf,
  type FromInstrument,
  type InstrumentKind,
  type ToInstrument,
} from '@sounding/core/instruments/line.ts';
import type { NewInstrumentReading } from '../db/instrumentReadings.ts';

const RETRY_MS = [250, 500, 1000, 2000, 5000];
/** An instrument that says nothing of itself for so long is none. */
const HELLO_MS = 3000;

const SAID_OF_ERRORS: Record<string, string> = {
  ECONNREFUSED: 'nothing answers at its address',
  ECONNRESET: 'it broke the connection off',
  EHOSTUNREACH: 'its address cannot be reached',
  ETIMEDOUT: 'its address does not answer in time',
};

interface Hello {
  kind: InstrumentKind;
  serial: string;
  name: string;
}

/**
 * One instrument on a socket. It is called again whenever it goes away, and told that a reading is kept only once it is stored:
 * what it has not been told, it sends again.
 */
class Line {
  private socket: Socket | null = null;
  private hello: Hello | null = null;
  private connected = false;
  private trouble: string | null = null;
  private failures = 0;
  private timer: NodeJS.Timeout | undefined;
  private silence: NodeJS.Timeout | undefined;
  private stopped = false;
  /** Lines are worked through one after another, in the order they came. */
  private work: Promise<void> = Promise.resolve();

  constructor(
    readonly host: string,
    readonly port: number,
    private readonly keep: (reading: NewInstrumentReading) => Promise<void>,
  ) {}

  get view(): InstrumentView {
    return {
      address: `${this.host}:${this.port}`,
      state: this.connected ? 'connected' : this.hello ? 'lost' : 'never-seen',
      kind: this.hello?.kind ?? null,
      serial: this.hello?.serial ?? null,
      name: this.hello?.name ?? null,
      trouble: this.trouble,
    };
  }

  start(): void {
    const socket = connect(this.port, this.host);
    const cutter = new LineCutter();
    this.socket = socket;
    socket.setEncoding('ascii');
    this.silence = setTimeout(() => socket.destroy(new Error('it does not say what it is')), HELLO_MS);
    socket.on('data', (piece: string) => {
      for (const text of cutter.feed(piece)) this.work = this.work.then(() => this.hear(text)).catch((error: unknown) => this.fail(socket, error));
    });
    socket.on('error', (error: NodeJS.ErrnoException) => {
      this.trouble = this.hello ? (SAID_OF_ERRORS[error.code ?? ''] ?? `it is lost: ${error.message}`) : null;
    });
    socket.on('close', () => {
      clearTimeout(this.silence);
      this.socket = null;
      this.connected = false;
      if (cutter.unfinished !== '') this.trouble = 'lost in the middle of a reading; it sends that one again when it is back';
      else if (this.hello && !this.trouble) this.trouble = 'it has gone away';
      if (this.stopped) return;
      this.timer = setTimeout(() => this.start(), RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)]);
    });
  }

  /** Asks for a reading; false when nobody is there to take it. */
  take(): boolean {
    return this.connected && this.say({ kind: 'take' });
  }

  stop(): void {
    this.stopped = true;
    clearTimeout(this.timer);
    clearTimeout(this.silence);
    this.socket?.destroy();
  }

  private say(message: ToInstrument): boolean {
    if (!this.socket || this.socket.destroyed) return false;
    this.socket.write(`${sayTo(message)}\n`);
    return true;
  }

  /** A store that fails ends the connection: the reading stays with the instrument and comes again. */
  private fail(socket: Socket, error: unknown): void {
    this.trouble = `a reading could not be stored and comes again: ${error instanceof Error ? error.message : String(error)}`;
    socket.destroy();
  }

  private async hear(text: string): Promise<void> {
    const heard = fromInstrument(text);
    if (heard.ok) return this.answer(heard.message);
    this.trouble = heard.detail;
    // figures that cannot be come out the same every time: it need not send them again
    const seq = heard.reason === 'checksum' ? null : seqOf(text);
    if (seq !== null) this.say({ kind: 'kept', seq });
  }

  private async answer(message: FromInstrument): Promise<void> {
    switch (message.kind) {
      case 'hello':
        clearTimeout(this.silence);
        this.hello = { kind: message.instrument, serial: message.serial, name: message.name };
        this.connected = true;
        this.failures = 0;
        this.trouble = null;
        return;
      case 'fault':
        this.trouble = message.text;
        return;
      case 'reading':
        if (!this.hello) throw new Error('a reading came before the instrument said what it is');
        await this.keep({ serial: this.hello.serial, seq: message.seq, instrument: this.hello.kind, measured: message.measured });
        this.trouble = null;
        this.say({ kind: 'kept', seq: message.seq });
    }
  }
}

/** The instruments at the table of a desk, each called on its own address. */
export class InstrumentHub {
  private readonly lines: Line[];

  /**
   * @param addresses "host:port"
   * @param keep stores a reading; until it has, the instrument keeps it
   * @param deskId whose table they stand on; null = nobody's
   * @throws Error for an address that is none
   */
  constructor(
    addresses: readonly string[],
    keep: (reading: NewInstrumentReading) => Promise<void>,
    readonly deskId: string | null = null,
  ) {
    this.lines = addresses.map((address) => {
      const [, host, port] = /^(.+):(\d{1,5})$/.exec(address) ?? [];
      if (!host || !port || Number(port) > 65_535) throw new Error(`"${address}" is no address of an instrument: host:port is wanted`);
      return new Line(host, Number(port), keep);
    });
  }

  start(): void {
    for (const one of this.lines) one.start();
  }

  stop(): void {
    for (const one of this.lines) one.stop();
  }

  get views(): InstrumentView[] {
    return this.lines.map(({ view }) => view);
  }

  /** Asks the instrument with this serial for a reading; false when it is not there. */
  take(serial: string): boolean {
    return this.lines.find(({ view }) => view.serial === serial)?.take() ?? false;
  }
}
