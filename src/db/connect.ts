import { drizzle } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

/** How long the database may take, ms: to let us in, to answer, to wait for another's lock, to leave a transaction open. */
const TIMEOUTS = {
  connectionTimeoutMillis: 3_000,
  statement_timeout: 10_000,
  lock_timeout: 5_000,
  idle_in_transaction_session_timeout: 15_000,
  // on our side as well: a database that hangs tells nobody
  query_timeout: 12_000,
};

/** Connections of one process. */
const MOST_CONNECTIONS = 8;

/** Opens a pool on the database named by the URL. `patient`: for migrations, which may take their time. */
export function connect(url: string, { patient = false } = {}) {
  const pool = new Pool({
    connectionString: url,
    max: Number(process.env.DATABASE_CONNECTIONS) || MOST_CONNECTIONS,
    ...(patient ? { connectionTimeoutMillis: TIMEOUTS.connectionTimeoutMillis } : TIMEOUTS),
  });
  // a lost connection must not end the server, whether it was idle or in the middle of a query: the query fails by itself, the next one gets
  // a new connection
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  return { db: drizzle(pool, { schema }), pool };
}
export type Database = ReturnType<typeof connect>['db'];
/** What a transaction is given to work with. */
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/**
 * Runs `work` in a transaction on a connection of its own. Drizzle's own way of taking one from the pool never gives it back where `begin`
 * fails, so that a few lost connections emptied the pool for good. A connection on which anything failed is closed, not used again.
 */
export async function inTransaction<T>(db: Database, work: (tx: Transaction) => Promise<T>): Promise<T> {
  const client = await db.$client.connect();
  let failed = true;
  try {
    const done = await drizzle(client, { schema }).transaction(work);
    failed = false;
    return done;
  } finally {
    client.release(failed);
  }
}
