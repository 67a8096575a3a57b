import type { Provenance } from '@sounding/core/edition/provenance.ts';

/** Leaves keys out instead of carrying `undefined`, so that equal knowledge gives equal bytes. */
export function provenanceOf(
  row: { mark?: Provenance['mark'] | undefined; source?: string | undefined; note?: string | undefined },
  otherwise: Provenance['mark'],
): Provenance {
  return { mark: row.mark ?? otherwise, ...(row.source ? { source: row.source } : {}), ...(row.note ? { note: row.note } : {}) };
}
