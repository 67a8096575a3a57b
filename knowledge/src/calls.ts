import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { PracticeCall } from '@sounding/core/consult/practiceCall.ts';

/** The practice calls of a folder of knowledge: one call a line, in numbered files, none so large that tools treat it otherwise than text. */
export const callsBeside = (root: string): string => join(root, '../callers/practice');

export interface CallLine {
  /** Its path from the folder of knowledge, as complaints name it. */
  file: string;
  line: number;
  text: string;
}

/** Every line that is not blank, in the order of the files. A folder of knowledge need not have any calls. */
export function callLines(folder: string): CallLine[] {
  if (!existsSync(folder)) return [];
  const files = readdirSync(folder).filter((name) => name.endsWith('.jsonl'));
  return files
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
    .flatMap((name) =>
      readFileSync(join(folder, name), 'utf8')
        .split('\n')
        .map((text, at) => ({ file: `../callers/practice/${name}`, line: at + 1, text })),
    )
    .filter(({ text }) => text.trim() !== '');
}

/** `id` is unlike that of any other call. */
export type NamedCall = PracticeCall & { id: string };

const nothingKnown = (): Omit<PracticeCall, 'opening'> => ({
  host: null,
  date: null,
  climate: null,
  hemisphere: 'N',
  facts: [],
  cause: null,
  also: [],
  action: null,
});

/** Our own practice calls (`folder` as it is shipped), what a call leaves out filled in. */
export function practiceCalls(folder = callsBeside(fileURLToPath(new URL('../data', import.meta.url)))): NamedCall[] {
  return callLines(folder).map(({ text }) => ({ ...nothingKnown(), ...(JSON.parse(text) as NamedCall) }));
}
