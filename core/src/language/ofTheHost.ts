import { canShow, hostWeight } from '../edition/hosts.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { closest, meantOn } from './mentions.ts';
import type { UnderstoodReading } from './taking.ts';
import type { Understanding } from './understanding.ts';

/** Whether what is said of one plant may be said of the other: a name that is not close may mean it. */
const mayBe = (plant: Plant, host: Plant): boolean => plant.generic === true || host.generic === true || plant.genus === host.genus;

/** True where a plant can show it, or anything at home on the plant is known to: digging among tulips is asked about for lawns. */
function isShown({ findings, causes }: Edition, { finding: id, answer }: UnderstoodReading, host: Plant): boolean {
  const finding = findings.find((one) => one.id === id);
  if (!finding || canShow(finding, host)) return true;
  const shown = answer.replace(/^not:/, '');
  return causes.some((cause) => cause.rates.some((rate) => rate.finding === id && shown in rate.answers) && hostWeight(cause, host) > 0);
}

/**
 * What was read, without what the plant of the call cannot show ("inside brown" of a chard is no fruit) and without what only another one is spared
 * ("the beans beside it are fine"). Words that lose their reading are kept as not understood.
 */
export function ofTheHost(heard: Understanding, host: Plant | null, edition: Edition): Understanding {
  if (!host) return heard;
  const plants = meantOn(heard.plants, host);
  const isAsHeard = plants.length === heard.plants.length && plants.every((one, i) => one === heard.plants[i]);
  const read = isAsHeard ? heard : { ...heard, plants, host: closest(plants) };
  const isOfHost = (reading: UnderstoodReading): boolean =>
    (read.plants.length > 0 || isShown(edition, reading, host)) && (!reading.sparing || mayBe(reading.sparing, host));
  const lost = read.readings.filter((reading) => !isOfHost(reading));
  if (lost.length === 0) return read;
  const left = lost.map(({ from }) => from);
  const notUnderstood = [...read.notUnderstood.filter((run) => !left.some((from) => from.includes(run))), ...left];
  return { ...read, readings: read.readings.filter(isOfHost), notUnderstood };
}
