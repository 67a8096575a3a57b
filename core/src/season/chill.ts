/** Chill of a run of hourly temperatures: what buds need before they wake. Three ways of counting, all in use. */

/** Hours from 0 up to and including 7.2 °C (45 °F). Source: Weinberger (1950); frozen hours do not count, as is now usual. */
export const chillHours = (hoursC: readonly number[]): number => hoursC.filter((t) => t > 0 && t <= 7.2).length;

/** Units of one hour by temperature: `below` this many degrees, so much. Source: Richardson, Seeley & Walker (1974), HortScience 9:331–332. */
const UTAH: readonly { below: number; units: number }[] = [
  { below: 1.5, units: 0 },
  { below: 2.5, units: 0.5 },
  { below: 9.2, units: 1 },
  { below: 12.5, units: 0.5 },
  { below: 16, units: 0 },
  { below: 18.1, units: -0.5 },
  { below: Infinity, units: -1 },
];
export const utahUnitsOfHour = (tempC: number): number => UTAH.find(({ below }) => tempC < below)?.units ?? 0;
export const utahUnits = (hoursC: readonly number[]): number => hoursC.reduce((sum, t) => sum + utahUnitsOfHour(t), 0);

/** Constants of the dynamic model. Source: Fishman, Erez & Couvillon (1987), J. Theor. Biol. 124:473–483 and 126:309–321. */
export const DYNAMIC = { e0: 4153.5, e1: 12888.8, a0: 139500, a1: 2.567e18, slope: 1.6, tf: 277 } as const;
const KELVIN = 273;

/** Rates of making and breaking the intermediate at a temperature, per hour. */
export function dynamicRates(tempC: number): { make: number; undo: number } {
  const t = tempC + KELVIN;
  return { make: DYNAMIC.a0 * Math.exp(-DYNAMIC.e0 / t), undo: DYNAMIC.a1 * Math.exp(-DYNAMIC.e1 / t) };
}
/** Share of a full intermediate that is fixed at a temperature. */
export function dynamicFixing(tempC: number): number {
  const t = tempC + KELVIN;
  const x = Math.exp((DYNAMIC.slope * DYNAMIC.tf * (t - DYNAMIC.tf)) / t);
  return x / (1 + x);
}

/**
 * Portions by the dynamic model, summed up to and including each hour: an intermediate builds up in the cold, breaks down in warmth, and is
 * fixed for good once it is full.
 */
export function chillPortionsByHour(hoursC: readonly number[]): number[] {
  let intermediate = 0;
  let portions = 0;
  return hoursC.map((tempC) => {
    const { make, undo } = dynamicRates(tempC);
    const level = make / undo;
    intermediate = level - (level - intermediate) * Math.exp(-undo);
    if (intermediate >= 1) {
      const fixed = intermediate * dynamicFixing(tempC);
      portions += fixed;
      intermediate -= fixed;
    }
    return portions;
  });
}

export const chillPortions = (hoursC: readonly number[]): number => chillPortionsByHour(hoursC).at(-1) ?? 0;
