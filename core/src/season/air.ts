/** Saturation vapour pressure, kPa. Source: FAO-56 eq. 11 (Tetens 1930). */
export const saturationKPa = (tempC: number): number => 0.6108 * Math.exp((17.27 * tempC) / (tempC + 237.3));

/** Actual vapour pressure from the day's mean relative humidity, kPa. Source: FAO-56 eq. 19. */
export const vapourKPa = (minC: number, maxC: number, humidityPct: number): number =>
  (humidityPct / 100) * ((saturationKPa(maxC) + saturationKPa(minC)) / 2);

/** Dew point of air that holds this vapour pressure, °C: the saturation formula turned round. */
export function dewPointC(vapour: number): number {
  const x = Math.log(vapour / 0.6108);
  return (237.3 * x) / (17.27 - x);
}

/**
 * Wet-bulb temperature at sea-level pressure, °C. Source: Stull (2011), J. Appl. Meteor. Climatol. 50:2267–2269; within about 1 °C for
 * 5–99 % and −20 to 50 °C.
 */
export function wetBulbC(tempC: number, humidityPct: number): number {
  return (
    tempC * Math.atan(0.151977 * Math.sqrt(humidityPct + 8.313659)) +
    Math.atan(tempC + humidityPct) -
    Math.atan(humidityPct - 1.676331) +
    0.00391838 * humidityPct ** 1.5 * Math.atan(0.023101 * humidityPct) -
    4.686035
  );
}

/** How far the wet bulb stands below the air: between 2 and 8 °C a fine spray neither dries on the way nor hangs (common practice). */
export const SPRAYING_DEPRESSION_C = { least: 2, most: 8 } as const;
export const wetBulbDepressionC = (tempC: number, humidityPct: number): number => tempC - wetBulbC(tempC, humidityPct);
