import { dayNumber, dayOfYear, type IsoDate } from './calendar.ts';

const RADIANS = Math.PI / 180;
const SOLAR_CONSTANT_MJ = 0.082; // MJ m⁻² min⁻¹, FAO-56 eq. 21

/** Solar declination, radians (FAO-56 eq. 24). */
const declination = (day: number): number => 0.409 * Math.sin((2 * Math.PI * day) / 365 - 1.39);

/** Sunset hour angle, radians; 0 in polar night, π in polar day (FAO-56 eq. 25). */
function sunsetAngle(latDegrees: number, day: number): number {
  const x = -Math.tan(latDegrees * RADIANS) * Math.tan(declination(day));
  return x >= 1 ? 0 : x <= -1 ? Math.PI : Math.acos(x);
}

/** Extraterrestrial radiation, MJ m⁻² day⁻¹. Source: Allen et al. (1998), FAO-56 eq. 21. */
export function extraterrestrialRadiationMJ(latDegrees: number, day: number): number {
  const distance = 1 + 0.033 * Math.cos((2 * Math.PI * day) / 365);
  const [lat, dec, angle] = [latDegrees * RADIANS, declination(day), sunsetAngle(latDegrees, day)];
  const beam = angle * Math.sin(lat) * Math.sin(dec) + Math.cos(lat) * Math.cos(dec) * Math.sin(angle);
  return Math.max(0, ((24 * 60) / Math.PI) * SOLAR_CONSTANT_MJ * distance * beam);
}

/** Hours between geometric sunrise and sunset. Source: FAO-56 eq. 34. */
export const daylightHours = (latDegrees: number, day: number): number => (24 / Math.PI) * sunsetAngle(latDegrees, day);

/** What the sun's height is at rising (refraction and half its disc), and at the edges of civil twilight, degrees. */
export const SUN_HEIGHTS = { rise: -0.833, civil: -6 } as const;

/** Minutes after 00:00 UTC of that date; may be below 0 or above 1440 where the zone is far from Greenwich. */
export interface SunTimes {
  riseMin: number;
  setMin: number;
}

/**
 * When the sun passes a height in the morning and in the evening. Source: Meeus (1991), low-accuracy solar coordinates, as the
 * general solar position calculations of national weather services use them.
 * @param heightDegrees default: the upper rim on the horizon
 * @returns null in polar day or night
 */
export function sunTimes(date: IsoDate, latDegrees: number, lonDegrees: number, heightDegrees: number = SUN_HEIGHTS.rise): SunTimes | null {
  // centuries since noon of 1 January 2000, taken at local noon
  const t = (dayNumber(date) - 10957 - lonDegrees / 360) / 36525;
  const meanLongitude = 280.46646 + t * 36000.76983;
  const anomaly = (357.52911 + t * 35999.05029) * RADIANS;
  const centre = (1.914602 - 0.004817 * t) * Math.sin(anomaly) + 0.019993 * Math.sin(2 * anomaly) + 0.000289 * Math.sin(3 * anomaly);
  const node = (125.04 - 1934.136 * t) * RADIANS;
  const longitude = (meanLongitude + centre - 0.00569 - 0.00478 * Math.sin(node)) * RADIANS;
  const tilt = (23.439291 - 0.0130042 * t + 0.00256 * Math.cos(node)) * RADIANS;
  const dec = Math.asin(Math.sin(tilt) * Math.sin(longitude));
  const y = Math.tan(tilt / 2) ** 2;
  const eccentricity = 0.016708634 - 0.000042037 * t;
  const mean = meanLongitude * RADIANS;
  const equationOfTimeMin =
    (4 / RADIANS) *
    (y * Math.sin(2 * mean) -
      2 * eccentricity * Math.sin(anomaly) +
      4 * eccentricity * y * Math.sin(anomaly) * Math.cos(2 * mean) -
      0.5 * y * y * Math.sin(4 * mean) -
      1.25 * eccentricity * eccentricity * Math.sin(2 * anomaly));
  const lat = latDegrees * RADIANS;
  const cosine = (Math.sin(heightDegrees * RADIANS) - Math.sin(lat) * Math.sin(dec)) / (Math.cos(lat) * Math.cos(dec));
  if (cosine < -1 || cosine > 1) return null;
  const noonMin = 720 - 4 * lonDegrees - equationOfTimeMin;
  const halfMin = (4 * Math.acos(cosine)) / RADIANS;
  return { riseMin: noonMin - halfMin, setMin: noonMin + halfMin };
}

export const daylightOn = (date: IsoDate, latDegrees: number): number => daylightHours(latDegrees, dayOfYear(date));
