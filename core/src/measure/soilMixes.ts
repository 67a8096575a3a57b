import { sayAmount } from '../quantities/units.ts';
import { LIME_AT_ONCE_G_M2 } from './soil.ts';
import { bothMasses, bothVolumes, round3, said, SumFault, type SumDefinition } from './sum.ts';

/** "3 compost, 2 sharp sand, 1 grit": parts with their names, in the order they are written. @throws SumFault naming the part */
export function readParts(text: string): { parts: number; name: string }[] {
  const pieces = text.split(/[,;+]|\band\b/).filter((piece) => piece.trim() !== '');
  const read = pieces.map((piece, i) => {
    const [, number = '', name = ''] = /^\s*(?:(\d+(?:[.,]\d+)?|half)\s*(?:parts?)?\s*(?:of)?\s*)?(.*?)\s*$/i.exec(piece) ?? [];
    const parts = number === '' ? 1 : /half/i.test(number) ? 0.5 : Number(number.replace(',', '.'));
    if (name === '') throw new SumFault('mix', `part ${i + 1}: "${piece.trim()}" says of nothing`);
    if (!(parts > 0)) throw new SumFault('mix', `part ${i + 1}: "${piece.trim()}" must be more than nothing`);
    return { parts, name };
  });
  if (read.length < 2) throw new SumFault('mix', 'a mix wants two parts or more, with commas between: 3 compost, 1 sand');
  return read;
}

/** Fine things fill the gaps of coarse ones: a mix comes to less than its parts together (memory: 10 to 20 %). */
const SHRINKS = 0.15;

const mix: SumDefinition = {
  id: 'soil-mix',
  name: 'A mix of several parts',
  group: 'soil',
  asks: 'How much of each, and how many bags?',
  fields: [
    { id: 'mix', label: 'parts, with commas between', kind: 'number', start: '3 compost, 2 topsoil, 1 sharp sand' },
    { id: 'total', label: 'to fill', kind: 'amount', dimension: 'volume', start: { value: '120', unit: 'l' } },
    { id: 'bag', label: 'a bag holds', kind: 'amount', dimension: 'volume', start: { value: '40', unit: 'l' } },
  ],
  work(v) {
    const parts = readParts(v.text('mix'));
    const all = parts.reduce((sum, one) => sum + one.parts, 0);
    const total = v.amount('total');
    const loose = total * (1 + SHRINKS);
    const rows = parts.map(({ parts: n, name }) => {
      const ml = (loose * n) / all;
      const bags = Math.ceil(ml / v.amount('bag') - 1e-9);
      return { name, said: said(bothVolumes(ml), v.unit('total')), bags: `${bags} ${bags === 1 ? 'bag' : 'bags'}` };
    });
    return {
      lines: rows.map(({ name, said: volume, bags }) => `${name}: ${volume}, ${bags}`),
      steps: [`${parts.map(({ parts: n }) => n).join(' + ')} = ${round3(all)} parts`, `${sayAmount(v.written('total'))} and ${SHRINKS * 100} % more`],
      figures: [{ what: `a mix settles by about ${SHRINKS * 100} %`, mark: 'memory' }],
      cautions: ['Wet dusty parts before mixing, and wear a mask.'],
      reply: `To fill ${sayAmount(v.written('total'))} mix ${rows.map(({ name, said: volume }) => `${volume} of ${name}`).join(', ')}.`,
    };
  },
};

/** What a laboratory's lime figure is reckoned for. */
const LAB_DEPTH_CM = 15;

const limeByLab: SumDefinition = {
  id: 'lime-lab',
  name: 'Lime by the laboratory',
  group: 'soil',
  asks: 'The report says so much lime: how much of mine, for my bed?',
  fields: [
    { id: 'wanted', label: 'the report asks for', kind: 'number', start: '5', unit: 't a ha', least: 0.1, most: 50 },
    { id: 'value', label: 'my lime neutralises', kind: 'number', start: '90', unit: '%', least: 10, most: 180 },
    { id: 'depth', label: 'worked in to', kind: 'amount', dimension: 'length', start: { value: '15', unit: 'cm' } },
    { id: 'area', label: 'area', kind: 'amount', dimension: 'area', start: { value: '10', unit: 'm2' } },
  ],
  work(v) {
    const depthCm = v.amount('depth');
    if (depthCm > 60) throw new SumFault('depth', `${round3(depthCm)} cm deep: was another unit meant?`);
    // a tonne on a hectare is 100 g on a square metre
    const gM2 = ((v.number('wanted') * 100) / (v.number('value') / 100)) * (depthCm / LAB_DEPTH_CM);
    const grams = gM2 * v.amount('area');
    const turns = Math.ceil(gM2 / LIME_AT_ONCE_G_M2);
    const line = said(bothMasses(grams), v.unit('area'));
    return {
      lines: [`${line} of this lime`, `${round3(gM2)} g a m²${turns > 1 ? `, in ${turns} turns half a year apart` : ''}`],
      steps: [
        `${v.number('wanted')} t a ha = ${round3(v.number('wanted') * 100)} g a m² of pure lime to ${LAB_DEPTH_CM} cm`,
        `÷ ${v.number('value')} % × ${round3(depthCm)} ÷ ${LAB_DEPTH_CM} cm × ${sayAmount(v.written('area'))}`,
      ],
      figures: [
        { what: `a report's figure is for ${LAB_DEPTH_CM} cm, as calcium carbonate; look whether yours says otherwise`, mark: 'memory' },
        { what: `at most ${LIME_AT_ONCE_G_M2} g a m² at once`, mark: 'memory' },
      ],
      cautions: ['Burnt and slaked lime burn skin and eyes: gloves and goggles, on a still day. Not together with manure or ammonium feeds.'],
      reply: `Work in ${line} of this lime${turns > 1 ? `, in ${turns} turns half a year apart` : ''}, as the laboratory asks.`,
    };
  },
};
export const SOIL_MIXES: readonly SumDefinition[] = [mix, limeByLab];
