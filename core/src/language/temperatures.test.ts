import { describe, expect, it } from '@jest/globals';
import { coldestSaid, hottestSaid, temperatureAnswered, temperaturesSaid } from './temperatures.ts';

describe('a temperature', () => {
  it.each([
    ['minus two last night', -2],
    ['it was -6 in January', -6],
    ['five degrees of frost', -5],
    ['ten degrees below one night', -10],
    ['it dipped to zero in the small hours', 0],
    ['nights down to 8', 8],
    ['eight degrees overnight', 8],
    ['the thermometer on the shed read minus one', -1],
    ['28F', -2.2],
    ['it fell to nineteen Fahrenheit', -7.2],
    ['down to 28', -2.2],
    ['it got down into the twenties Fahrenheit', -3.9],
  ])('"%s" is a low of %d °C', (said, celsius) => expect(coldestSaid(said)?.celsius).toBeCloseTo(celsius, 1));
  it.each([
    ['thirty eight in the shade', 38],
    ["it's been a hundred and five every day", 40.6],
    ['it got to 44 in there', 44],
    ['in the high thirties', 38],
    ['temps in the nineties all week', 35],
    ['over 35 degrees', 35],
    ['temperature: 41C', 41],
    ['it hit 100', 37.8],
    ['after four days of ninety plus', 32.2],
  ])('"%s" is a high of %d °C', (said, celsius) => expect(hottestSaid(said)?.celsius).toBeCloseTo(celsius, 1));
  it.each([
    'it reached 44 cm',
    'six inches below the soil',
    'up to 40 spots',
    '2-3 leaves',
    'been there 40 years',
    'three below the graft',
    'stored at 4 degrees',
    "it hasn't dropped below 10",
    'turned 180 degrees',
    'over 50 percent',
    'my mother is over ninety, and it is her rose',
    'will it survive minus three outside?',
  ])('is not in "%s"', (said) => expect(temperaturesSaid(said)).toEqual([]));
  it('told of the night is no heat, and a mild one no cold', () => {
    expect(hottestSaid('38 degrees at night')).toBeNull();
    expect(coldestSaid('about 20 degrees')).toBeNull();
  });
  it('is quoted in the words that say it', () => expect(coldestSaid('We had minus nine here in January')?.from).toBe('minus nine'));
});

describe('an answer to how hot or cold it was', () => {
  it.each([
    ['37 last week', 'high', 37],
    ['about a hundred', 'high', 37.8],
    ['thirty', 'low', -1.1],
    ['six', 'low', 6],
    ['it was minus four, then 12', 'low', -4],
  ] as const)('"%s" (%s) is %d °C', (say, way, celsius) => expect(temperatureAnswered(say, way)?.celsius).toBeCloseTo(celsius, 1));
  it.each(['no idea', 'for 3 weeks'])('"%s" is none', (say) => expect(temperatureAnswered(say, 'high')).toBeNull());
});
