import { describe, expect, it } from '@jest/globals';
import { dewPointC, saturationKPa, vapourKPa, wetBulbC } from './air.ts';
import { hargreavesMm, referenceEvapotranspirationMm, windAt2m } from './evapotranspiration.ts';
import { waterBalance } from './waterBalance.ts';

describe('reference evapotranspiration (FAO-56, Allen et al. 1998)', () => {
  it('example 17: Bangkok in April, monthly means, 5.72 mm a day', () => {
    const et = referenceEvapotranspirationMm({
      minC: 25.6,
      maxC: 34.8,
      vapourKPa: 2.85,
      windMs: 2,
      sunshineHours: 8.5,
      latDegrees: 13 + 44 / 60,
      altitudeM: 2,
      dayOfYear: 105,
      soilHeatMJ: 0.14,
    });
    expect(et).toBeCloseTo(5.72, 1);
  });
  it('example 18: Uccle on 6 July, 3.88 mm', () => {
    const vapour = (saturationKPa(12.3) * 0.84 + saturationKPa(21.5) * 0.63) / 2; // eq. 17, from both humidities
    const et = referenceEvapotranspirationMm({
      minC: 12.3,
      maxC: 21.5,
      vapourKPa: vapour,
      windMs: windAt2m(10 / 3.6, 10),
      sunshineHours: 9.25,
      latDegrees: 50.8,
      altitudeM: 100,
      dayOfYear: 187,
    });
    expect(et).toBeCloseTo(3.88, 1);
  });
  it('example 20: Lyon in July from temperatures alone, 5.0 mm', () => expect(hargreavesMm(14.8, 26.6, 45 + 43 / 60, 196)).toBeCloseTo(5.0, 1));
  it('is never negative', () =>
    expect(
      referenceEvapotranspirationMm({ minC: -20, maxC: -15, vapourKPa: 0.1, windMs: 0, latDegrees: 60, altitudeM: 0, dayOfYear: 355 }),
    ).toBeGreaterThanOrEqual(0));
});

describe('moist air', () => {
  it('Stull (2011): 13.7 °C wet bulb at 20 °C and 50 %', () => expect(wetBulbC(20, 50)).toBeCloseTo(13.7, 1));
  it('the dew point turns the saturation formula round', () => expect(dewPointC(saturationKPa(11.3))).toBeCloseTo(11.3, 9));
  it('vapour pressure follows humidity', () => expect(vapourKPa(10, 20, 100)).toBeCloseTo((saturationKPa(10) + saturationKPa(20)) / 2, 12));
});

describe('water balance', () => {
  const bed = { texture: 'loam' as const, rootM: 0.3, cropFactor: 1, readyShare: 0.5 };
  const day = (on: string, rainMm: number) => ({ on, minC: 14, maxC: 28, rainMm, windMs: 2, humidityPct: 55 });
  const dry = Array.from({ length: 10 }, (_, i) => day(`2026-07-${String(i + 1).padStart(2, '0')}`, 0));
  it('empties by what evaporates until watering is due, and rain fills it', () => {
    const days = waterBalance(dry, bed, 47, 400);
    const sum = days.reduce((mm, { evapotranspirationMm }) => mm + evapotranspirationMm, 0);
    expect(days.at(-1)!.missingMm).toBeCloseTo(Math.min(45, sum), 6);
    expect(days.findIndex(({ due }) => due)).toBe(days.findIndex(({ missingMm }) => missingMm >= 22.5));
    expect(waterBalance([...dry, day('2026-07-11', 80)], bed, 47, 400).at(-1)!.missingMm).toBe(0);
  });
  it('does not count a sprinkle that only wets leaves', () =>
    expect(waterBalance([day('2026-07-01', 1.5)], bed, 47, 400)[0]!.missingMm).toBeGreaterThan(3));
});
