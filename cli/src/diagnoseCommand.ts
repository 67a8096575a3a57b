import { caseInput, firstFault } from '@sounding/contract/caseInput.ts';
import { CaseError, CaseReader, type CaseDiagnosis, type CaseToDiagnose } from '@sounding/core/consult/diagnoseCase.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { parseJsonOrLines, UsageError } from './input.ts';

/** Turns one parsed value into a case, filling what may be missing. @throws UsageError naming field and reason */
export function toCase(value: unknown, prefix: string): CaseToDiagnose & { id?: string | number } {
  const parsed = caseInput.safeParse(value);
  if (!parsed.success) throw new UsageError(prefix + firstFault(parsed.error));
  const { id, date, place, climate, hemisphere, host, words, readings } = parsed.data;
  return {
    ...(id === undefined ? {} : { id }),
    date: date ?? null,
    climate: place?.climate ?? climate ?? null,
    hemisphere: place?.hemisphere ?? hemisphere ?? ((place?.lat ?? 0) < 0 ? 'S' : 'N'),
    host: host ?? null,
    words,
    readings,
  };
}

/** Diagnoses every case of a text: one JSON document in gives one out, JSON Lines give JSON Lines. */
export function diagnoseText(text: string, edition: Edition): string {
  const rows = parseJsonOrLines(text);
  const reader = new CaseReader(edition);
  return rows
    .map(({ line, value }) => {
      const prefix = line === null ? '' : `line ${line}: `;
      const input = toCase(value, prefix);
      let diagnosis: CaseDiagnosis;
      try {
        diagnosis = reader.diagnose(input);
      } catch (error) {
        if (error instanceof CaseError) throw new UsageError(prefix + error.message);
        throw error;
      }
      const out = input.id === undefined ? diagnosis : { id: input.id, ...diagnosis };
      return line === null ? JSON.stringify(out, null, 2) : JSON.stringify(out);
    })
    .join('\n');
}

/** Plants, causes and findings with their ids and names. */
export function vocabulary(edition: Edition): string {
  return JSON.stringify(
    {
      edition: edition.version,
      plants: edition.plants.map(({ id, name, latin, also }) => ({ id, name, latin, also })),
      causes: edition.causes.map(({ id, name, latin, also, kind }) => ({ id, name, ...(latin ? { latin } : {}), also, kind })),
      findings: edition.findings.map(({ id, name, organ, ask, answers }) => ({
        id,
        name,
        organ,
        ask,
        answers: answers.map(({ id: answer, say }) => ({ id: answer, say })),
      })),
    },
    null,
    2,
  );
}
