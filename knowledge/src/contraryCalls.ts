import { readFileSync } from 'node:fs';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { practiceCalls } from './calls.ts';
import { ContraryReadings, type Contrary } from './contrary.ts';

/** `npm run contrary [READING]`: what practice calls told that their causes do not account for, by reading, the most frequent first; some minutes. */
const file = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8');
const contraries = new ContraryReadings(JSON.parse(file('../dist/edition.json')) as Edition);
const [wanted = ''] = process.argv.slice(2);
const byReading = new Map<string, Contrary[]>();
for (const call of practiceCalls())
  for (const contrary of contraries.of(call))
    if (contrary.reading.startsWith(wanted)) byReading.set(contrary.reading, [...(byReading.get(contrary.reading) ?? []), contrary]);
for (const [reading, all] of [...byReading].sort((a, b) => b[1].length - a[1].length)) {
  process.stdout.write(`${reading} (${all.length})\n`);
  for (const { cause, from, decibans } of all) process.stdout.write(`  ${cause} «${from}» ${decibans.toFixed(0)}\n`);
}
