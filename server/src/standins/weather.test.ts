import { describe, expect, it } from '@jest/globals';
import { DEMO_STATIONS } from '../demo/lindwater.ts';
import { simulateWeather } from './weather.ts';

const { climate } = DEMO_STATIONS[0]!;

describe('simulated weather', () => {
  it('is the same for the same seed, whatever span is asked for', () => {
    const whole = simulateWeather(climate, '2024-01-01', '2024-12-31');
    expect(simulateWeather(climate, '2024-06-01', '2024-06-30')).toEqual(whole.filter((d) => d.on >= '2024-06-01' && d.on <= '2024-06-30'));
    expect(simulateWeather({ ...climate, seed: 1 }, '2024-06-01', '2024-06-02')).not.toEqual(whole.slice(152, 154));
  });
  it('has a possible day every day', () => {
    for (const day of simulateWeather(climate, '2023-01-01', '2025-12-31')) {
      expect(day.minC).toBeLessThan(day.maxC);
      expect(day.rainMm).toBeGreaterThanOrEqual(0);
      expect(day.humidityPct).toBeLessThanOrEqual(100);
    }
  });
  it('has warm summers and cold winters', () => {
    const days = simulateWeather(climate, '2020-01-01', '2025-12-31');
    const mean = (month: string) => {
      const own = days.filter((d) => d.on.slice(5, 7) === month);
      return own.reduce((s, d) => s + (d.minC + d.maxC) / 2, 0) / own.length;
    };
    expect(mean('07')).toBeGreaterThan(16);
    expect(mean('01')).toBeLessThan(4);
  });
});
