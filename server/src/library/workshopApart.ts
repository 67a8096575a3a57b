import { Piscina } from 'piscina';
import type { Workshop } from './workshop.ts';

/** A coordinator who writes saves again within a minute; after that the memory is given back. */
const IDLE_MS = 60_000;

/**
 * The workshop in a thread of its own, one job at a time, started with the first.
 * @param file the built `workshopThread`
 * @param root folder of the shipped knowledge
 */
export function workshopApart(file: string, root: string): Workshop & { close: () => Promise<void> } {
  const pool = new Piscina({ filename: file, workerData: root, minThreads: 0, maxThreads: 1, idleTimeout: IDLE_MS });
  const job =
    <Job extends keyof Workshop>(name: Job) =>
    (task: Parameters<Workshop[Job]>[0]): ReturnType<Workshop[Job]> =>
      pool.run(task, { name }) as ReturnType<Workshop[Job]>;
  return {
    compile: job('compile'),
    tryOut: job('tryOut'),
    text: job('text'),
    shippedEntry: job('shippedEntry'),
    differing: job('differing'),
    close: () => pool.destroy(),
  };
}
