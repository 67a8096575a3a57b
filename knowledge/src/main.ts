import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { callsBeside } from './calls.ts';
import { compile } from './compile.ts';
import { lint } from './lint.ts';
import { MOST_BYTES, TIGHTLY } from './tightly.ts';
import { keepTold } from './told.ts';

/**
 * `knowledge` lints and writes dist/edition.json, dist/works.json, dist/inspections.json and dist/told.json, with `--pack` also as it travels (VERSION.edition.br, some seconds);
 * `knowledge --lint` only lints. Exit 1 on any error.
 */
const here = join(dirname(fileURLToPath(import.meta.url)), '..');
const compiled = compile(join(here, 'data'));
const complaints = [...compiled.complaints, ...lint(compiled)];
for (const { file, line, level, text } of complaints) process.stderr.write(`knowledge/data/${file}:${line}: ${level}: ${text}\n`);
const errors = complaints.filter((c) => c.level === 'error').length;
const { edition } = compiled;
process.stderr.write(
  `knowledge ${edition.version}: ${edition.plants.length} plants, ${edition.causes.length} causes, ${edition.findings.length} findings; ${errors} errors, ${complaints.length - errors} warnings\n`,
);
if (errors > 0) process.exit(1);
if (!process.argv.includes('--lint')) {
  mkdirSync(join(here, 'dist'), { recursive: true });
  writeFileSync(join(here, 'dist', 'edition.json'), JSON.stringify(edition));
  writeFileSync(join(here, 'dist', 'works.json'), JSON.stringify(Object.fromEntries(compiled.works)));
  writeFileSync(join(here, 'dist', 'inspections.json'), JSON.stringify(compiled.inspections));
  keepTold(callsBeside(join(here, 'data')));
  for (const old of readdirSync(join(here, 'dist')).filter((name) => name.endsWith('.edition.br'))) rmSync(join(here, 'dist', old));
  if (process.argv.includes('--pack')) {
    const packed = brotliCompressSync(JSON.stringify(packEdition(edition)), TIGHTLY);
    writeFileSync(join(here, 'dist', `${edition.version}.edition.br`), packed);
    if (packed.length > MOST_BYTES) process.stderr.write(`warning: the edition weighs ${packed.length} bytes packed, more than ${MOST_BYTES}\n`);
  }
}
