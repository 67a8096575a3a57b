import { memo } from 'react';
import { Aside } from '../library/parts.tsx';
import { ReliabilityPlot } from './ReliabilityPlot.tsx';

/** Whether what was said with such and such a chance turned out so. */
export const HowAnswersTurnedOut = memo(function HowAnswersTurnedOut({ stated }: { stated: readonly { said: number; right: boolean }[] }) {
  return (
    <section aria-label="How answers turned out">
      <h2>How answers turned out</h2>
      <Aside>
        {stated.length} confirmed {stated.length === 1 ? 'outcome' : 'outcomes'}: across what was said, upwards what was so, in 100.
      </Aside>
      <ReliabilityPlot stated={stated.map(({ said, right }) => ({ probability: said, right }))} />
    </section>
  );
});
