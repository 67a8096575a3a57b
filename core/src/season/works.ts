import { hostWeight } from '../edition/hosts.ts';
import type { CareTask } from '../edition/care.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';

/** True for work written for this plant or its genus rather than for plants of its sort. */
const isOwn = ({ hosts }: CareTask, plant: Plant): boolean =>
  hosts.include.some((host) => ('plant' in host && host.plant === plant.id) || ('genus' in host && host.genus === plant.genus));

/** The works of the year for a plant; on a topic on which it has work of its own, that goes over the work of its sort. */
export function worksFor(edition: Edition, plant: Plant): CareTask[] {
  const works = (edition.careTasks ?? []).filter((work) => hostWeight(work, plant) > 0);
  const hasOwn = new Set(works.filter((work) => isOwn(work, plant)).map(({ topic }) => topic));
  return works.filter((work) => isOwn(work, plant) || !hasOwn.has(work.topic));
}

/** The works for plants of its sort that are taken over for a plant. */
export const worksOfItsSort = (edition: Edition, plant: Plant): CareTask[] => worksFor(edition, plant).filter((work) => !isOwn(work, plant));
