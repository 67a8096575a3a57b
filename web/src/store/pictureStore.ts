import { del, get, set } from 'idb-keyval';

/** Pictures are drawn anew before they are kept, always as this. */
export const PICTURE_TYPE = 'image/jpeg';

const key = (id: string): string => `picture ${id}`;

/** Pictures on their way to the record: kept in the browser until they are stored, as the words are. */
export const keepPicture = (id: string, image: Blob): Promise<void> => set(key(id), image);
export const keptPicture = (id: string): Promise<Blob | undefined> => get<Blob>(key(id));
export const dropPicture = (id: string): Promise<void> => del(key(id));
