import { connect, type Database } from '../db/connect';

let opened: Database | null = null;

/** The server's database, opened on first use. Throws when DATABASE_URL is not set. */
export function database(): Database {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the server with npm start');
  opened ??= connect(url).db;
  return opened;
}
