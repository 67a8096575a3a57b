import type { Organ } from './findings.ts';

export interface Lexicon {
  /** Named word classes used as {name} in phrase patterns. */
  classes: Record<string, string[]>;
  irregular: Record<string, string>;
  negators: string[];
  notNegating: string[];
  /** What denies the words before it: "the deer never come". Editions from before 2026.12 have none. */
  deniedBefore?: string[];
  /** Behind these words a denial ends, for what follows is taken for granted: "not understand", "get rid of". Editions from before 2026.12 have none. */
  granting?: string[];
  /** What advisors write for short, and what it stands for: "lvs" leaves, "b/w" between. Editions from before 2026.12 have none. */
  shortForms?: Record<string, string>;
  doubts: string[];
  stopWords: string[];
  /** Words of everyday speech that no slip of another word is meant by: "river" is not "riper". Editions from before 2026.12 have none. */
  everyday?: string[];
  /** Words before a plant name that make it a neighbour, not the host: "next to the juniper". */
  nearby: string[];
  /** The same, after the name: "a juniper next door". */
  nearbyAfter: string[];
  /** Words before a plant's name that make it a picture only: "a lump like a cauliflower". */
  likened: string[];
  /** Words after a plant's name that make it something else: "tomato food". */
  goods?: string[];
  /** What is put on plants: what was tried is no word on what is wrong, save where a finding asks for it. */
  remedies?: string[];
  /** Phrases that hold a plant's name and name none: "wood ash". */
  noPlant?: string[];
  organs: Partial<Record<Organ, string[]>>;
  /** Names of causes that anybody uses for what is seen: "bronzing", "light". Said alone they claim nothing. Editions from before 2026.12 have none. */
  seenNotNamed?: string[];
  /** Words that name a creature, a disease or a disorder: "moth", "*worm", "phytophthora*", "silver leaf". Editions from before 2026.12 have none: there every listed name is one. */
  naming?: string[];
}
