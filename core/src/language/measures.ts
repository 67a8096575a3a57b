import type { Plant, PlantSize } from '../edition/plants.ts';
import { NUMBER, numberSaid } from './numbers.ts';

/** A length as it was said, and in metres. */
export interface Measurement {
  from: string;
  metres: number;
  /** What to ask back when it cannot be: the plant is never that size. */
  doubt: string | null;
}

/** Metres in a unit (NIST SP 811, exact). */
const UNITS: { name: RegExp; metres: number; plural: string; mistakenFor: string }[] = [
  { name: /^(?:inch|inches|in|")$/, metres: 0.0254, plural: 'inches', mistakenFor: 'feet' },
  { name: /^(?:foot|feet|ft|')$/, metres: 0.3048, plural: 'feet', mistakenFor: 'inches' },
  { name: /^(?:yard|yards|yd)$/, metres: 0.9144, plural: 'yards', mistakenFor: 'feet' },
  { name: /^(?:millimet(?:re|er)s?|mm)$/, metres: 0.001, plural: 'millimetres', mistakenFor: 'centimetres' },
  { name: /^(?:centimet(?:re|er)s?|cm)$/, metres: 0.01, plural: 'centimetres', mistakenFor: 'metres' },
  { name: /^(?:met(?:re|er)s?|m)$/, metres: 1, plural: 'metres', mistakenFor: 'centimetres' },
];

const LENGTH = new RegExp(
  String.raw`${NUMBER}[\s-]*(inch(?:es)?|feet|foot|ft|yards?|yd|millimet(?:re|er)s?|mm|centimet(?:re|er)s?|cm|met(?:re|er)s?|in|m|"|')(?![a-z])(?:[\s-]+(tall|high|long|in height|of growth))?`,
  'gi',
);
/** "It is … tall", "has grown to …": the plant itself, not a spot or a distance. */
const ABOUT_HEIGHT = /\b(tall|high|height|grown|grew|grow|reach(?:es|ed)?|stands?|only|plants?|ferns?|spears?)\b/i;
/** A plant is questioned when it would be this many times out of its usual size. */
const OUT_OF_SIZE = 2.5;

const say = (metres: number): string => (metres < 1 ? `${Math.round(metres * 100)} cm` : `${Number(metres.toFixed(1))} m`);

function sizeSpokenOf(sizes: readonly PlantSize[], text: string): PlantSize | undefined {
  const lower = text.toLowerCase();
  return sizes.find((size) => size.words.some((word) => lower.includes(word))) ?? sizes[0];
}

/** Asks back about a size the plant never has, with the slip of unit that would explain it. */
function doubtOf(metres: number, amount: number, unit: (typeof UNITS)[number], size: PlantSize, plant: Plant): string | null {
  const [least, most] = size.metres;
  if (metres >= least / OUT_OF_SIZE && metres <= most * OUT_OF_SIZE) return null;
  const meant = UNITS.find((u) => u.plural === unit.mistakenFor);
  const other = meant ? amount * meant.metres : metres;
  const slip = other >= least / OUT_OF_SIZE && other <= most * OUT_OF_SIZE ? ` Did they mean ${amount} ${unit.mistakenFor}?` : '';
  return `${amount} ${unit.plural}? ${plant.name}${size.what ? `, ${size.what},` : ''} is usually ${say(least)} to ${say(most)}.${slip}`;
}

/** Lengths in a statement, in any usual unit; those the plant cannot have carry the question to put at once. */
export function measurementsIn(text: string, plant: Plant | null): Measurement[] {
  return [...text.matchAll(LENGTH)].flatMap((match) => {
    const amount = numberSaid(match[1]!);
    const unit = UNITS.find(({ name }) => name.test(match[2]!.toLowerCase()));
    if (!unit || !Number.isFinite(amount)) return [];
    const metres = amount * unit.metres;
    const around = text.slice(Math.max(0, match.index - 40), match.index + match[0].length + 25);
    const size = plant?.sizes ? sizeSpokenOf(plant.sizes, text) : undefined;
    const doubt = plant && size && (match[3] !== undefined || ABOUT_HEIGHT.test(around)) ? doubtOf(metres, amount, unit, size, plant) : null;
    return [{ from: match[0].trim(), metres: Number(metres.toFixed(4)), doubt }];
  });
}
