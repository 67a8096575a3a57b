import { readFileSync } from 'node:fs';
import { simulateCallers } from './callers.ts';
const ed = JSON.parse(readFileSync(new URL('../../knowledge/dist/edition.json', import.meta.url), 'utf8'));
const r = simulateCallers(ed, 3, 1);
console.log('TOTAL', JSON.stringify(r.all), 'q', r.questionsACall.toFixed(2), 'sprayed', r.normalsSprayed);
