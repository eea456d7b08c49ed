import { drizzle } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

/** Opens a pool on the database named by the URL. */
export function connect(url: string) {
  const pool = new Pool({ connectionString: url, max: 8 });
  // a dropped idle connection is replaced on the next query; it must not end the server
  pool.on('error', () => undefined);
  return { db: drizzle(pool, { schema }), pool };
}
export type Database = ReturnType<typeof connect>['db'];
