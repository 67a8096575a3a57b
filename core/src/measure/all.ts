import { MIXING } from './mixing.ts';
import { PLANTS } from './plants.ts';
import { SOIL } from './soil.ts';
import { SOIL_MIXES } from './soilMixes.ts';
import { SumValues, type Entered, type SumDefinition, type SumResult } from './sum.ts';
import { WATER } from './water.ts';
import { WATER_PLAN } from './waterPlan.ts';
import { WEATHER_SUMS } from './weatherSums.ts';

/** Every sum of the bench, in the order they are shown. */
export const SUMS: readonly SumDefinition[] = [...MIXING, ...WATER, ...WATER_PLAN, ...SOIL, ...SOIL_MIXES, ...PLANTS, ...WEATHER_SUMS];

export const sumOf = (id: string): SumDefinition | undefined => SUMS.find((sum) => sum.id === id);

/** Works a sum out. @throws SumFault naming the field that cannot be */
export const workOut = (sum: SumDefinition, entered: Entered): SumResult => sum.work(new SumValues(sum.fields, entered));
