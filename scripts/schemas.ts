// Writes docs/schema from the Zod schemas; a test in cli keeps them equal.
import { mkdirSync, writeFileSync } from 'node:fs';
import { publishedSchemas } from '../contract/src/caseOutput.ts';

const folder = new URL('../docs/schema/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const [name, schema] of Object.entries(publishedSchemas())) writeFileSync(new URL(name, folder), `${JSON.stringify(schema, null, 2)}\n`);
