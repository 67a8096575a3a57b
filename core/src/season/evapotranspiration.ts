import { saturationKPa } from './air.ts';
import { daylightHours, extraterrestrialRadiationMJ } from './sun.ts';

export interface EvaporationDay {
  minC: number;
  maxC: number;
  /** Actual vapour pressure, kPa. */
  vapourKPa: number;
  /** Wind at 2 m, m/s. */
  windMs: number;
  /** Hours of sunshine; where not known radiation is estimated from the day's range of temperature. */
  sunshineHours?: number;
  latDegrees: number;
  altitudeM: number;
  dayOfYear: number;
  /** Heat that goes into the ground, MJ m⁻² day⁻¹: about 0 over a day, 0.14 times the rise of the mean over a month (FAO-56 eq. 44). */
  soilHeatMJ?: number;
}

/** Grass of 12 cm with a resistance of 70 s/m: FAO's reference crop. */
const ALBEDO = 0.23;
const STEFAN_BOLTZMANN_MJ = 4.903e-9; // MJ K⁻⁴ m⁻² day⁻¹
/** Share of radiation that comes through, from the range of temperature: 0.16 inland, 0.19 at the coast (FAO-56 eq. 50). */
const RANGE_FACTOR = 0.16;
const KELVIN = 273.16;

/** Wind measured at another height, at 2 m (FAO-56 eq. 47). */
export const windAt2m = (windMs: number, heightM: number): number => (windMs * 4.87) / Math.log(67.8 * heightM - 5.42);

/**
 * Reference evapotranspiration by the FAO Penman–Monteith equation.
 * Source: Allen, Pereira, Raes & Smith (1998), FAO Irrigation and Drainage Paper 56, eq. 6.
 * @returns mm/day, zero or more
 */
export function referenceEvapotranspirationMm(day: EvaporationDay): number {
  const { minC, maxC, vapourKPa, windMs, latDegrees, altitudeM, dayOfYear, soilHeatMJ = 0 } = day;
  const meanC = (minC + maxC) / 2;
  const saturation = (saturationKPa(minC) + saturationKPa(maxC)) / 2;
  const slope = (4098 * saturationKPa(meanC)) / (meanC + 237.3) ** 2;
  const pressureKPa = 101.3 * ((293 - 0.0065 * altitudeM) / 293) ** 5.26;
  const psychrometric = 0.000665 * pressureKPa;
  const extraterrestrial = extraterrestrialRadiationMJ(latDegrees, dayOfYear);
  const clearSky = (0.75 + 2e-5 * altitudeM) * extraterrestrial;
  const fromSun = (hours: number) => (0.25 + (0.5 * hours) / Math.max(0.1, daylightHours(latDegrees, dayOfYear))) * extraterrestrial;
  const solar =
    day.sunshineHours === undefined
      ? Math.min(clearSky, RANGE_FACTOR * Math.sqrt(Math.max(0, maxC - minC)) * extraterrestrial)
      : fromSun(day.sunshineHours);
  const clearness = clearSky > 0 ? Math.min(1, solar / clearSky) : 0.5;
  const longWave =
    STEFAN_BOLTZMANN_MJ *
    (((maxC + KELVIN) ** 4 + (minC + KELVIN) ** 4) / 2) *
    (0.34 - 0.14 * Math.sqrt(Math.max(0, vapourKPa))) *
    (1.35 * clearness - 0.35);
  const net = (1 - ALBEDO) * solar - longWave;
  const drying = ((900 * psychrometric) / (meanC + 273)) * windMs * (saturation - vapourKPa);
  return Math.max(0, (0.408 * slope * (net - soilHeatMJ) + drying) / (slope + psychrometric * (1 + 0.34 * windMs)));
}

/** From temperatures alone, for stations that measure nothing else. Source: Hargreaves & Samani (1985), FAO-56 eq. 52. @returns mm/day */
export function hargreavesMm(minC: number, maxC: number, latDegrees: number, dayOfYear: number): number {
  const radiationMm = 0.408 * extraterrestrialRadiationMJ(latDegrees, dayOfYear);
  return Math.max(0, 0.0023 * ((minC + maxC) / 2 + 17.8) * Math.sqrt(Math.max(0, maxC - minC)) * radiationMm);
}
