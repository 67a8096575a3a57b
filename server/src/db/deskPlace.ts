import { eq } from 'drizzle-orm';
import type { Place } from '@sounding/contract/settings.ts';
import type { Database } from './connect.ts';
import type { Who } from './desk.ts';
import { writeRecords } from './deskRecords.ts';
import { desks } from './schema.ts';

/** Moves a desk or names it anew, and keeps who did it. */
export async function placeDesk(db: Database, who: Who, place: Place, at: Date): Promise<void> {
  await writeRecords(db, who, [{ kind: 'place', recordId: 'place', body: place, note: '' }], at, (tx) =>
    tx.update(desks).set(place).where(eq(desks.id, who.deskId)),
  );
}
