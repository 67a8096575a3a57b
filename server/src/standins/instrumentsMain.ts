import type { AddressInfo } from 'node:net';
import { createInstrument, TABLE_INSTRUMENTS } from './instruments.ts';

/**
 * The simulated instruments as a process of their own. Says their addresses on standard output once all listen. Signal USR1 breaks the next
 * reading of each off in the middle.
 */
const SINCE_S = 1_700_000_000;
const FIRST_PORT = Number(process.env['INSTRUMENTS_PORT'] ?? 0);
// numbers must not come again after a start, and nothing is kept here between two
const firstSeq = Math.floor(Date.now() / 1000) - SINCE_S;
const instruments = TABLE_INSTRUMENTS.map((one) => createInstrument(one, firstSeq));
const addresses = await Promise.all(
  instruments.map(
    ({ server }, i) =>
      new Promise<string>((resolve) =>
        server.listen(FIRST_PORT === 0 ? 0 : FIRST_PORT + i, '127.0.0.1', () => resolve(`127.0.0.1:${(server.address() as AddressInfo).port}`)),
      ),
  ),
);
process.stdout.write(`instruments: ${addresses.join(',')}\n`);
process.on('SIGUSR1', () => instruments.forEach((one) => one.breakNext()));
// the application that started it may die without a word
process.on('disconnect', () => process.exit(0));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => process.exit(0));
