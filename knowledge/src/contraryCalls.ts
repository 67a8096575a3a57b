import { readFileSync } from 'node:fs';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { practiceCalls } from './calls.ts';
import { ContraryReadings, mostMet, type Contrary } from './contrary.ts';

/**
 * `npm run contrary [READING]`: what practice calls told that their causes do not account for, by reading, the most frequent first; with `--pairs`, by
 * cause and reading, the rates to mend; some minutes.
 */
const file = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8');
const contraries = new ContraryReadings(JSON.parse(file('../dist/edition.json')) as Edition);
const words = process.argv.slice(2);
const [wanted = ''] = words.filter((word) => !word.startsWith('--'));
const met = practiceCalls()
  .flatMap((call) => contraries.of(call))
  .filter(({ reading }) => reading.startsWith(wanted));
const heading = ({ cause, reading }: Contrary) => (words.includes('--pairs') ? `${cause}, ${reading}` : reading);
for (const [name, all] of mostMet(met, heading)) {
  process.stdout.write(`${name} (${all.length})\n`);
  for (const { cause, from, decibans } of all) process.stdout.write(`  ${cause} «${from}» ${decibans.toFixed(0)}\n`);
}
process.stdout.write(`${met.length} in all\n`);
