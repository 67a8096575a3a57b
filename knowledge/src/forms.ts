import type { z } from 'zod';
import type { Complaint, Placed } from './read.ts';
import type { CauseRow, FormRow, plantRow, sharedWindowRow, SharedOptionRow, careFormRow } from './schema.ts';

/** A cause after its form has filled what it left open. */
export type WholeCause = Omit<CauseRow, 'kind' | 'mark' | 'options' | 'leave-when' | 'worth'> &
  Required<Pick<CauseRow, 'kind' | 'mark' | 'options' | 'leave-when' | 'worth'>>;

type Say = (text: string) => void;

const MUST_HAVE = ['kind', 'mark', 'options', 'leave-when', 'worth'] as const;

/** Lays a cause over its form: findings and windows one by one, everything else whole. Null when something is missing from both. */
export function overForm(row: CauseRow, forms: ReadonlyMap<string, FormRow>, say: Say): WholeCause | null {
  const form = row.form === undefined ? undefined : forms.get(row.form);
  if (row.form !== undefined && !form) say(`there is no form "${row.form}"`);
  const whole = {
    ...row,
    also: [...new Set([...row.also, ...(form?.also ?? [])])],
    kind: row.kind ?? form?.kind,
    mark: row.mark ?? form?.mark,
    options: row.options ?? form?.options,
    prefer: row.prefer ?? (row.options?.some((o) => o.prefer) ? undefined : form?.prefer),
    'leave-when': row['leave-when'] ?? form?.['leave-when'],
    worth: row.worth ?? form?.worth,
    findings: { ...form?.findings, ...row.findings },
    windows: { ...form?.windows, ...row.windows },
    cautions: [...(form?.cautions ?? []), ...row.cautions],
  };
  const missing = MUST_HAVE.filter((key) => whole[key] === undefined);
  if (missing.length > 0) say(`wants ${missing.join(', ')}, its own or from a form`);
  return missing.length > 0 ? null : (whole as WholeCause);
}

/** Shared windows that the options of a cause name and the cause does not define itself. */
export function windowsUsed(
  row: WholeCause,
  shared: ReadonlyMap<string, SharedOptionRow>,
  windows: ReadonlyMap<string, z.infer<typeof sharedWindowRow>>,
): [string, Omit<z.infer<typeof sharedWindowRow>, 'id'>][] {
  const named = new Set(row.options.flatMap((option) => option.window ?? (option.use ? shared.get(option.use)?.window : undefined) ?? []));
  return [...named].flatMap((id) => {
    if (id in row.windows) return [];
    const found = windows.get(id);
    if (!found) return [];
    return [[id, found] as [string, Omit<z.infer<typeof sharedWindowRow>, 'id'>]];
  });
}

/** The care lines of a plant over those of its care form. */
export function careOf(
  row: Placed<z.infer<typeof plantRow>>,
  forms: ReadonlyMap<string, z.infer<typeof careFormRow>>,
  complaints: Complaint[],
): Record<string, string> {
  const id = row['care-as'];
  const form = id === undefined ? undefined : forms.get(id);
  if (id !== undefined && !form) complaints.push({ ...row.place, level: 'error', text: `${row.id}: there is no care form "${id}"` });
  return { ...form?.care, ...row.care };
}
