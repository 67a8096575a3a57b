import type { Heard } from '../../engine/engine.worker.ts';

/** For a finding, the answer an advisor took in place of the one read first. */
export type Senses = Readonly<Record<string, string>>;

/** What was heard, with the senses an advisor has chosen: the answer changes places with the one read first. */
export function inSenses(heard: Heard, senses: Senses): Heard {
  return {
    ...heard,
    readings: heard.readings.map((reading) => {
      const wanted = senses[reading.finding];
      if (wanted === undefined || !reading.choices.includes(wanted)) return reading;
      return { ...reading, answer: wanted, choices: reading.choices.map((choice) => (choice === wanted ? reading.answer : choice)) };
    }),
  };
}
