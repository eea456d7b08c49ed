import { sql } from 'drizzle-orm';
import { database } from '../server/database';
import { answering, json } from '../server/http';

/** Whether this server can answer: it asks the database. */
export const GET = answering(async () => {
  await database().execute(sql`select 1`);
  return json({ ready: true });
});
