import type { z } from 'zod';
import type { Complaint, Placed } from './read.ts';
import type { CauseRow, FormRow, plantRow, sharedWindowRow, SharedOptionRow, careFormRow } from './schema.ts';

/** A cause after its form has filled what it left open. */
export type WholeCause = Omit<CauseRow, 'kind' | 'mark' | 'options' | 'leave-when' | 'worth'> &
  Required<Pick<CauseRow, 'kind' | 'mark' | 'options' | 'leave-when' | 'worth'>>;

type Say = (text: string) => void;

/** What must be reported is not left alone by what others of its form may be; where it is at home, its own entry says so. */
const REPORTED_FIRST = 'Never before plant health has been told and has answered.';

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
    'leave-when': row['leave-when'] ?? (form && row.notifiable ? REPORTED_FIRST : form?.['leave-when']),
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
  const named = new Set(
    [...row.options, ...row['host-options']].flatMap((option) => option.window ?? (option.use ? shared.get(option.use)?.window : undefined) ?? []),
  );
  return [...named].flatMap((id) => {
    if (id in row.windows) return [];
    const found = windows.get(id);
    if (!found) return [];
    return [[id, found] as [string, Omit<z.infer<typeof sharedWindowRow>, 'id'>]];
  });
}

type CareForms = ReadonlyMap<string, z.infer<typeof careFormRow>>;

/** A form's lines over those of the form it is like. @throws RangeError when there is no such form */
function linesOf(id: string, forms: CareForms): Record<string, string> {
  const form = forms.get(id);
  if (!form) throw new RangeError(`there is no care form "${id}"`);
  return { ...(form.like === undefined ? {} : linesOf(form.like, forms)), ...form.care };
}

/** A plant that the frost line below kills does not winter like others of its form, unless its form is for indoors. */
const TENDER = -5;
const INDOORS = /^(house|succulent|citrus|tropical)/;

/** What follows from the lowest temperature a plant stands, °C, over what its form says in general. */
function fromHardiness(hardyC: number, form: string): Record<string, string> {
  const stands = hardyC > 0 ? `Not below ${hardyC} °C.` : `About ${hardyC} °C in open ground; in pots less.`;
  if (hardyC < TENDER || INDOORS.test(form)) return { hardiness: stands };
  return {
    hardiness: stands,
    winter: `Outdoors only where it stays above ${hardyC} °C; elsewhere lift it or bring its pot in before frost: 5 to 10 °C, hardly any water, bright if it keeps its leaves.`,
  };
}

/** The care lines of a plant over what its hardiness says, over those of its care form. */
export function careOf(row: Placed<z.infer<typeof plantRow>>, forms: CareForms, complaints: Complaint[]): Record<string, string> {
  const form = row['care-as'];
  if (form === undefined) return row.care;
  try {
    const hardiness = row['hardy-c'] === undefined ? {} : fromHardiness(row['hardy-c'], form);
    return { ...linesOf(form, forms), ...hardiness, ...row.care };
  } catch (error) {
    complaints.push({ ...row.place, level: 'error', text: `${row.id}: ${error instanceof Error ? error.message : String(error)}` });
    return row.care;
  }
}
