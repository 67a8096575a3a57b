import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema>;
/** A database, or a transaction on it: readers and writers take either. */
export type Queryable = Pick<Database, 'select' | 'selectDistinctOn' | 'insert' | 'update' | 'delete' | 'execute'>;

const MIGRATION_LOCK = 47_430_001;

export interface Connection {
  db: Database;
  pool: pg.Pool;
}

/** Opens a pool that outlives restarts of the database server. `onTrouble` hears of connections lost while idle. */
export function connect(url: string, onTrouble: (error: Error) => void): Connection {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 4000, statement_timeout: 15_000 });
  pool.on('error', onTrouble);
  return { pool, db: drizzle(pool, { schema, casing: 'snake_case' }) };
}

/**
 * Brings the database up to the newest migration; two processes may do so at once.
 * @throws Error when a migration was left out, which happens when an older one is merged behind a newer
 */
export async function migrateDatabase({ db, pool }: Connection, folder: string): Promise<void> {
  const journal = JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as { entries: unknown[] };
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(db, { migrationsFolder: folder });
    const applied = await client.query<{ n: number }>('select count(*)::int as n from drizzle.__drizzle_migrations');
    const n = applied.rows[0]?.n ?? 0;
    if (n < journal.entries.length)
      throw new Error(
        `${journal.entries.length - n} of ${journal.entries.length} migrations were not applied: check that "when" rises in the journal`,
      );
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    client.release();
  }
}
