import type { Cause } from '../edition/causes.ts';
import type { School } from '../edition/provenance.ts';

/**
 * A cause as a desk answers it: where one of its options takes a side in a disputed question and the desk follows a view, the options
 * of that view go first and those of the other views are marked. The edition's own words stay as they are.
 */
export function withHouseLines(cause: Cause, schools: readonly School[], lines: Readonly<Record<string, number>>): Cause {
  let options = cause.options;
  for (const school of schools) {
    const line = lines[school.id];
    const view = line === undefined ? undefined : school.views[line];
    if (!view || !cause.options.some((option) => option.school === school.id)) continue;
    const ours = view.options ?? [];
    const theirs = school.views.flatMap((other) => (other === view ? [] : (other.options ?? []))).filter((id) => !ours.includes(id));
    const preferred = options.find(({ id }) => ours.includes(id));
    options = options.map((option) => {
      const { preferred: was, ...rest } = option;
      // what is said for certain hosts stands beside the view a desk follows everywhere
      const kept = was && !theirs.includes(option.id) && (!preferred || option.hosts);
      const isPreferred = option === preferred || kept;
      return { ...rest, ...(isPreferred ? { preferred: true as const } : {}), ...(theirs.includes(option.id) ? { offLine: view.say } : {}) };
    });
  }
  return options === cause.options ? cause : { ...cause, options };
}
