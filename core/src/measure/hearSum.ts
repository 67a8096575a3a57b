import { dimensionOf, type Amount, type Dimension, type Unit } from '../quantities/units.ts';
import { SUMS } from './all.ts';
import type { Entered, SumDefinition } from './sum.ts';

/** A unit word that means two things: which of them is asked, never guessed. */
export interface Doubt {
  field: string;
  heard: string;
  options: Unit[];
}

/** A line typed as it was heard, put into the sum it belongs to. */
export interface HeardSum {
  sum: SumDefinition;
  entered: Entered;
  doubts: Doubt[];
}

/** Unit words as people say them. Where there are several, the first stands until the advisor has chosen. */
const UNIT_WORDS: readonly [RegExp, readonly Unit[]][] = [
  [/^(?:sq\.?|square) ?(?:ft|feet|foot)$/, ['sqft']],
  [/^(?:sq\.?|square) ?(?:yds?|yards?)$/, ['sqyd']],
  [/^(?:m2|m²|sqm|(?:sq\.?|square) ?(?:m|met(?:er|re)s?))$/, ['m2']],
  [/^acres?$/, ['acre']],
  [/^(?:ha|hectares?)$/, ['ha']],
  [/^(?:tbsps?|tablespoons?)$/, ['tbsp-us']],
  [/^(?:tsps?|teaspoons?)$/, ['tsp-us']],
  [/^(?:fl\.? ?oz|fluid ounces?)$/, ['floz-us', 'floz-imp']],
  [/^(?:oz|ounces?)$/, ['oz', 'floz-us']],
  [/^(?:lbs?|pounds?)$/, ['lb']],
  [/^(?:gal|gals|gallons?)$/, ['gal-us', 'gal-imp']],
  [/^us (?:gal|gallons?)$/, ['gal-us']],
  [/^imperial (?:gal|gallons?)$/, ['gal-imp']],
  [/^(?:pts?|pints?)$/, ['pt-us', 'pt-imp']],
  [/^(?:qts?|quarts?)$/, ['qt-us']],
  [/^cups?$/, ['cup-us']],
  [/^(?:ml|millilit(?:er|re)s?|cc)$/, ['ml']],
  [/^(?:l|lit(?:er|re)s?)$/, ['l']],
  [/^(?:kg|kilos?|kilograms?)$/, ['kg']],
  [/^(?:g|gr|grams?)$/, ['g']],
  [/^mg$/, ['mg']],
  [/^(?:mm|millimet(?:er|re)s?)$/, ['mm']],
  [/^(?:cm|centimet(?:er|re)s?)$/, ['cm']],
  [/^(?:m|met(?:er|re)s?)$/, ['m']],
  [/^(?:in|inch|inches|")$/, ['in']],
  [/^(?:ft|foot|feet|')$/, ['ft']],
];
const UNIT_AT =
  /^(?:(?:sq\.?|square) ?(?:ft|feet|foot|yds?|yards?|m\b|met(?:er|re)s?)|(?:us|imperial) (?:gal|gallons?)|fl\.? ?oz|fluid ounces?|[a-z]+[²2]?|["'])/;

interface Quantity {
  value: string;
  units: readonly Unit[];
  heard: string;
  /** Words between the quantity before and this one. */
  before: string;
  /** The word right after, as in "2 gal sprayer". */
  after: string;
}

/** Numbers with their units in the order they are said; a number without one borrows that of its neighbour in "3 by 5 inches". */
function quantities(text: string): Quantity[] {
  const found: Quantity[] = [];
  const pattern = /(\d+(?:[.,]\d+)?|\ba\b|\bper\b(?= (?!\d)))/g;
  let end = 0;
  for (const match of text.matchAll(pattern)) {
    const start = match.index;
    if (start < end) continue;
    const rest = text
      .slice(start + match[0].length)
      .trimStart()
      .replace(/^-/, '');
    const word = UNIT_AT.exec(rest)?.[0] ?? '';
    const units = UNIT_WORDS.find(([words]) => words.test(word))?.[1] ?? [];
    const counted = /\d/.test(match[0]);
    // "per gallon" is one gallon; "a leaf" is no amount
    if (!counted && units.length === 0) continue;
    const from = end;
    end = start + match[0].length + (units.length > 0 ? text.slice(start + match[0].length).indexOf(word) + word.length : 0);
    found.push({
      value: counted ? match[0].replace(',', '.') : '1',
      units,
      heard: units.length > 0 ? word : '',
      before: text.slice(from, start) + (match[0] === 'per' ? ' per ' : ''),
      after: /^\W*([a-z]+)/.exec(text.slice(end))?.[1] ?? '',
    });
  }
  for (let i = found.length - 2; i >= 0; i--)
    if (found[i]!.units.length === 0 && /\b(?:by|x)\b|×/.test(found[i + 1]!.before))
      found[i] = { ...found[i]!, units: found[i + 1]!.units, heard: found[i + 1]!.heard };
  return found;
}

interface Talk {
  text: string;
  all: readonly Quantity[];
  of: (dimension: Dimension) => Quantity[];
}

/** How a sum hears a line: words that point to it, and what of the quantities goes where. */
interface Ear {
  sum: string;
  words: RegExp;
  /** More than words: quantities that must be there. */
  needs?: (talk: Talk) => boolean;
  fill: (talk: Talk) => Record<string, Quantity | string | undefined>;
}

const isRate = (q: Quantity): boolean => /\b(?:per|to|for|in)\b|\//.test(q.before);
const texture = ({ text }: Talk): string | undefined => /\b(sand|loam|clay)/.exec(text)?.[1];

const EARS: readonly Ear[] = [
  {
    sum: 'soil-mix',
    words: /\bparts?\b.*,.*\bparts?\b|\bmix of\b|^\d+ [a-z ]+, ?\d+ [a-z ]+/,
    // parts have no units
    needs: ({ text, all }) => text.includes(',') && all.filter(({ units }) => units.length === 0).length > 1,
    fill: ({ text, of }) => {
      const volumes = of('volume');
      // what is to be filled is said after the parts
      const mix = text
        .replace(/^.*?\bmix of\b/, '')
        .replace(/\b(?:to fill|for|makes?)\b.*$/, '')
        .trim();
      return { mix, total: volumes[volumes.length - 1] };
    },
  },
  {
    sum: 'emitters',
    words: /\bemitters?\b|\bdrippers?\b|\bdrip line\b.*\bhours?\b/,
    fill: ({ text, of }) => ({
      count: /(\d+) ?(?:emitters?|drippers?)/.exec(text)?.[1],
      each: /(\d+(?:\.\d+)?) ?(?:l|lit(?:er|re)s?) ?(?:\/|an?|per) ?h/.exec(text)?.[1],
      wanted: of('volume').find(
        (q) => !/^ ?(?:\/|an?|per)? ?h/.test(text.slice(text.indexOf(`${q.value} ${q.heard}`) + `${q.value} ${q.heard}`.length)),
      ),
    }),
  },
  {
    sum: 'hose-end',
    words: /\bhose[- ]end\b|\bdial\b/,
    fill: ({ of }) => {
      const volumes = of('volume');
      const [product, per, drawn, drawnPer] = volumes;
      return volumes.length >= 4 ? { product, per, drawn, drawnPer, spray: volumes[4] } : { product, per };
    },
  },
  {
    sum: 'week-water',
    words: /\b(?:a|this|per|each) week\b|\bweekly\b/,
    needs: ({ of }) => of('area').length > 0,
    fill: ({ of, text }) => ({
      area: of('area')[0],
      rain: /(\d+(?:\.\d+)?) ?mm\b/.exec(text)?.[1],
      planting: /\blawn\b|\bgrass\b/.test(text)
        ? 'cool-lawn'
        : /\bvegetable|\btomato/.test(text)
          ? 'vegetables'
          : /\bshrub|\bhedge/.test(text)
            ? 'shrubs'
            : undefined,
      warmth: /\bhot\b|\bheat\b/.test(text) ? 'hot' : /\bcool\b|\bcold\b/.test(text) ? 'cool' : undefined,
    }),
  },
  {
    sum: 'soil-ph',
    words: /\bph\b/,
    fill: (talk) => {
      const plain = talk.all.filter(({ units }) => units.length === 0);
      return { from: plain[0]?.value, to: plain[1]?.value, texture: texture(talk), area: talk.of('area')[0] };
    },
  },
  { sum: 'roof', words: /\broof\b|\bbarrel\b/, fill: ({ of }) => ({ roof: of('area')[0], rain: of('length')[0], barrel: of('volume')[0] }) },
  {
    sum: 'wound',
    words: /\bwound|\bbark (?:off|missing|torn)|\bstrimmer|\bgash/,
    fill: ({ of }) => {
      const lengths = of('length');
      return lengths.length >= 3 ? { width: lengths[0], height: lengths[1], trunk: lengths[2] } : { width: lengths[0], trunk: lengths[1] };
    },
  },
  { sum: 'succulent', words: /\bcactus|\bcacti|\bsucculent|\bjade\b|\baloe\b|\becheveria/, fill: ({ of }) => ({ pot: of('length')[0] }) },
  { sum: 'barrier', words: /\bbarrier\b|\bliner\b/, fill: ({ of }) => ({ length: of('length')[0], depth: of('length')[1] }) },
  { sum: 'leaching', words: /\bleach/, fill: ({ all }) => ({ water: all[0]?.value, soil: all[1]?.value }) },
  { sum: 'plugs', words: /\bplugs?\b|\bapart\b|\bspacing\b/, fill: ({ of }) => ({ area: of('area')[0], spacing: of('length')[0] }) },
  {
    sum: 'drench',
    words: /\btrunk\b|\bdrench/,
    needs: ({ of }) => of('volume').length > 0 && of('length').length > 0,
    fill: ({ of, text }) => {
      const lengths = of('length');
      return {
        rate: of('volume')[0],
        per: lengths.length > 1 ? lengths.find(isRate) : undefined,
        trunk: lengths[lengths.length - 1],
        measured: /\bround\b|\bgirth\b/.test(text) ? 'round' : undefined,
      };
    },
  },
  {
    sum: 'layer',
    words: /\bmulch|\bcompost\b.*\bdeep|\bdeep\b|\blayer\b|\btopsoil\b/,
    needs: ({ of }) => of('area').length > 0,
    fill: ({ of }) => ({ area: of('area')[0], depth: of('length')[0], bag: of('volume')[0] }),
  },
  {
    sum: 'fertiliser',
    words: /\bfertili[sz]er\b|\bnitrogen\b|\b\d+-\d+-\d+\b/,
    needs: ({ of }) => of('area').length > 0,
    fill: ({ of, text }) => ({ nitrogen: /(\d+)-\d+-\d+/.exec(text)?.[1], area: of('area')[0] }),
  },
  {
    sum: 'granules',
    words: /./,
    needs: ({ of }) => of('mass').length > 0 && of('area').length > 0,
    fill: ({ of, all }) => {
      const areas = of('area');
      const mass = of('mass')[0];
      // "10 lb per 5000": the bare number is an area like the one that was named
      const bare = all.find((q) => q.units.length === 0 && isRate(q));
      const per = areas.find(isRate) ?? (bare && areas[0] ? { ...bare, units: areas[0].units, heard: areas[0].heard } : undefined);
      return { rate: mass, per, area: areas.find((q) => q !== per) };
    },
  },
  {
    sum: 'parts',
    words: /\bparts?\b|\b\d+ ?: ?\d+\b|\bhalf and half\b/,
    fill: ({ text, of }) => {
      const ratio = /(\d+(?:\.\d+)?) ?(?::|parts? .*?to) ?(\d+(?:\.\d+)?)/.exec(text);
      return { one: ratio?.[1], other: ratio?.[2], total: of('volume')[of('volume').length - 1] };
    },
  },
  {
    sum: 'dilution',
    words: /./,
    needs: ({ of }) => of('volume').length > 1,
    fill: ({ of }) => {
      const volumes = of('volume');
      const per = volumes.slice(1).find(isRate);
      return { product: volumes[0], per, water: volumes.slice(1).find((q) => q !== per) };
    },
  },
];

/** Ambiguous units are asked about; the first meaning is filled in meanwhile. */
function toEntered(sum: SumDefinition, filled: Record<string, Quantity | string | undefined>): { entered: Entered; doubts: Doubt[] } {
  const entered: Entered = {};
  const doubts: Doubt[] = [];
  for (const field of sum.fields) {
    const heard = filled[field.id];
    if (heard === undefined) continue;
    if (typeof heard === 'string') {
      entered[field.id] = heard;
      continue;
    }
    if (field.kind !== 'amount') {
      entered[field.id] = heard.value;
      continue;
    }
    const units = heard.units.filter((unit) => dimensionOf(unit) === field.dimension);
    const amount: Amount = { value: heard.value, unit: units[0] ?? field.start.unit };
    entered[field.id] = amount;
    if (units.length > 1) doubts.push({ field: field.id, heard: heard.heard, options: units });
  }
  return { entered, doubts };
}

/**
 * Puts a line such as "1200 sq ft at 10 lb per 5000" into the sum it means.
 * @returns null when no sum is meant by it
 */
export function hearSum(line: string): HeardSum | null {
  const text = line
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/(\d),(\d{3})\b/g, '$1$2')
    .trim();
  const all = quantities(text);
  const of = (dimension: Dimension) => all.filter(({ units }) => units.some((unit) => dimensionOf(unit) === dimension));
  const talk: Talk = { text, all, of };
  if (all.length === 0) return null;
  for (const ear of EARS) {
    if (!ear.words.test(text) || (ear.needs && !ear.needs(talk))) continue;
    const sum = SUMS.find(({ id }) => id === ear.sum);
    if (sum) return { sum, ...toEntered(sum, ear.fill(talk)) };
  }
  return null;
}
