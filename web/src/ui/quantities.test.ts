import { describe, expect, it } from '@jest/globals';
import { setQuantities } from './quantities.ts';

describe('quantities in running text', () => {
  it.each([
    ['Hardy to about -25 °C; more below.', 'Hardy to about \u221225\u00a0°C; more below.'],
    ['5 to 7.5 cm, a hand clear', '5 to 7.5\u00a0cm, a hand clear'],
    ['half (-2 °C) of 20 %', 'half (\u22122\u00a0°C) of 20\u00a0%'],
    ['2-3 buds, 4 months', '2-3 buds, 4 months'],
  ])('"%s"', (text, set) => expect(setQuantities(text)).toBe(set));
});
