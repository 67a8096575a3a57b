import type { Plant } from '@sounding/core/edition/plants.ts';
import { joints } from '@sounding/core/language/joints.ts';
import type { Heard } from '../../engine/engine.worker.ts';

const isTurf = ({ groups }: Plant): boolean => groups.includes('turf');
/** A kind instead of a plant, "the tree", may mean the one beside it; a lawn means no plant but a grass, or a weed in it. */
const isVague = (kind: Plant, beside: Plant): boolean =>
  kind.generic === true && (!isTurf(kind) || isTurf(beside) || beside.generic === true || beside.groups.includes('weed'));
const areApart = (one: Plant, other: Plant): boolean => one.id !== other.id && !isVague(one, other) && !isVague(other, one);

/**
 * The plant that words are about when it is another than the one on the table; null while they may belong to it.
 * Two plants named at once are compared, and an answer is about what was asked.
 */
export function anotherPlant(host: Plant | null, heard: Heard): Plant | null {
  const { asked, host: named, plants } = heard;
  if (!host || asked !== null || !named || !areApart(host, named)) return null;
  return heard.tells && plants.every(({ plant }) => plant.id === named.id) ? named : null;
}

/** Where in a line the words about another plant begin, 0 for the whole of it, and the plant that any before them are about. */
export interface Turn {
  other: Plant;
  here: Plant;
  from: number;
}

/** What a plant fails to do is a complaint: "the hydrangea has not flowered". */
const FAILS = /(?:\b(?:not|no|never)\b|n't\b)(?:\s+\w+)?\s+(?:flower|bloom|fruit|grow|set\b|com(?:e|ing)\b|sprout|leaf|leav|produc|bear|ripen)\w*/gi;
/** "Also the oak has holes" only goes on. */
const JOINED = /^\W*(?:(?:and|but|oh)\s+)?also\b/i;
/** What is said of a plant beside another tells of both: "the beans have it too", "the beans are fine". */
const BESIDE = /\b(?:too|also|same|likewise|as well|fine|ok|okay|healthy|untouched|not|no|never|nothing)\b|n't\b/i;

/** Where the words about another plant begin, when those before it tell of something else: "rings on the leaves, and I have a fern with brown tips". */
async function whereItTurns(said: string, here: Plant, other: Plant, listen: (part: string) => Promise<Heard>): Promise<number | null> {
  const places = joints(said);
  const before = (at: number) => listen(said.slice(0, at));
  // the last joint before its name, by halves: a letter has hundreds
  let [unnamed, end] = [0, places.length];
  while (unnamed < end) {
    const middle = Math.ceil((unnamed + end) / 2);
    const { plants } = await before(places[middle - 1]!);
    if (plants.some(({ plant }) => plant.id === other.id)) end = middle - 1;
    else unnamed = middle;
  }
  const at = places[unnamed - 1];
  const isTurn = at !== undefined && (await before(at)).tells && anotherPlant(here, await listen(said.slice(at)))?.id === other.id;
  return isTurn ? at : null;
}

/**
 * Whether a line turns to another plant, or is about another as a whole.
 * @param host the plant on the table, if it is known
 * @param noted the plant that was noted when the call came in
 * @param whole what was heard in the line
 * @param listen reads a part of it
 */
export async function turnOf(
  said: string,
  host: Plant | null,
  noted: Plant | null,
  whole: Heard,
  listen: (part: string) => Promise<Heard>,
): Promise<Turn | null> {
  const here = host ?? noted ?? whole.host;
  if (!here) return null;
  const apart = anotherPlant(host, whole);
  if (apart) return { other: apart, here, from: (await whereItTurns(said, here, apart, listen)) ?? 0 };
  const other = whole.plants.find(({ plant, nearby }) => !nearby && areApart(here, plant))?.plant;
  const from = other && whole.asked === null ? await whereItTurns(said, here, other, listen) : null;
  return other && from !== null && !BESIDE.test(said.slice(from).replace(JOINED, '').replace(FAILS, '')) ? { other, here, from } : null;
}
