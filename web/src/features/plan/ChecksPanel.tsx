import type { PlanBody } from '@sounding/contract/plan.ts';
import { sayDay } from '../../app/dates.ts';
import { Button } from '../../ui/controls.tsx';
import { Rows } from '../../ui/rows.ts';

interface Props {
  checks: NonNullable<PlanBody['checks']>;
  calendarHref: string;
  onPlan: (change: Partial<PlanBody>) => void;
}

/** What the caller is to look at again, and when; it goes into the calendar file and the letter. */
export function ChecksPanel({ checks, calendarHref, onPlan }: Props) {
  if (checks.length === 0) return null;
  return (
    <section aria-label="Look again">
      <h2>Look again</h2>
      <Rows>
        {[...checks]
          .sort((a, b) => a.on.localeCompare(b.on))
          .map((check) => (
            <li key={check.id}>
              <span>
                <b>{sayDay(check.on)}</b> {check.what}: {check.why}
              </span>
              <Button weight="quiet" onPress={() => onPlan({ checks: checks.filter(({ id }) => id !== check.id) })}>
                Take out
              </Button>
            </li>
          ))}
      </Rows>
      <a href={calendarHref}>Calendar file</a>
    </section>
  );
}
