import MiniSearch from 'minisearch';
import type { Edition } from '@sounding/core/edition/edition.ts';

export type LibraryKind = 'cause' | 'plant' | 'symptom';
export interface LibraryHit {
  kind: LibraryKind;
  /** Id of the cause or plant; finding and answer with a dot between for a symptom. */
  id: string;
  name: string;
  aside: string;
}

interface Entry extends LibraryHit {
  key: string;
  names: string;
  text: string;
}

/** A phrase's words without those that must not stand by it: "holes -bark" is nothing about bark. */
const wordsIn = (phrase: string): string => phrase.replace(/(?:^|\s)-\S+/g, '');

function entriesOf(edition: Edition): Entry[] {
  const entry = (kind: LibraryKind, id: string, name: string, aside: string, names: readonly string[], text: string): Entry => ({
    kind,
    id,
    name,
    aside,
    key: `${kind} ${id}`,
    names: [name, ...names].join(' '),
    text,
  });
  return [
    ...edition.causes.map((c) => entry('cause', c.id, c.name, c.latin ?? '', [c.latin ?? '', ...c.also], c.story)),
    ...edition.plants.map((p) => entry('plant', p.id, p.name, p.generic ? '' : p.latin, [p.generic ? '' : p.latin, ...p.also], p.family)),
    ...edition.findings.flatMap((f) =>
      f.answers
        .filter((a) => a.id !== f.absent)
        .map((a) => {
          const words = a.words.map(wordsIn).join(' ');
          // "yes" by itself says nothing: what was asked is the name then
          return /^(yes|no)$/.test(a.say)
            ? entry('symptom', `${f.id}.${a.id}`, f.name, a.say, [], words)
            : entry('symptom', `${f.id}.${a.id}`, a.say, f.name.toLowerCase(), [f.name], words);
        }),
    ),
  ];
}

/** Looks through names first, then stories and callers' words; forgives a slip of spelling. */
export class LibrarySearch {
  private readonly index = new MiniSearch<Entry>({
    idField: 'key',
    fields: ['names', 'text'],
    storeFields: ['kind', 'id', 'name', 'aside'],
    searchOptions: { boost: { names: 4 }, prefix: true, fuzzy: (term) => (term.length > 4 ? 0.2 : false), combineWith: 'AND' },
  });

  constructor(edition: Edition) {
    this.index.addAll(entriesOf(edition));
  }

  /** Best first. */
  find(words: string): LibraryHit[] {
    return this.index.search(words).map((hit) => ({
      kind: hit['kind'] as LibraryKind,
      id: String(hit['id']),
      name: String(hit['name']),
      aside: String(hit['aside']),
    }));
  }
}
