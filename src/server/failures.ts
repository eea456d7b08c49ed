/** What can go wrong with the database that is no fault of the request, and how it is written down. */

/**
 * SQLSTATE classes and codes of a database that is gone, starting, stopping, being exchanged for another (3D000, 55000), out of connections, or of
 * a change that lost to another one (40001, 40P01) and may be tried again (PostgreSQL, appendix A).
 */
const AWAY = /^(?:08...|57P0[1-5]|53300|57014|55P03|25P03|3D000|55000|40001|40P01)$/;
/** SQLSTATE of a full disk and of memory or other means run out. */
const FULL = /^53[12]00$/;
/** Network errors of Node, and what the driver says where it has no code. */
const NETWORK = /^(?:ECONN(?:REFUSED|RESET|ABORTED)|EPIPE|ETIMEDOUT|ENOTFOUND|EHOSTUNREACH|EAI_AGAIN)$/;
const DRIVER =
  /^(?:Connection terminated|timeout exceeded when trying to connect|Query read timeout|Client has encountered)/i;

/** An error and what caused it, outermost first. */
function* causes(error: unknown): Generator<Error> {
  for (let at: unknown = error, depth = 0; at instanceof Error && depth < 8; at = at.cause, depth++) yield at;
}
const codeOf = (error: Error): string => ('code' in error && typeof error.code === 'string' ? error.code : '');

/** Whether an error means that the database is `away` (it may be back in a moment) or has no room left (`full`); null for anything else. */
export function outage(error: unknown): 'away' | 'full' | null {
  for (const each of causes(error)) {
    const code = codeOf(each);
    if (FULL.test(code)) return 'full';
    if (AWAY.test(code) || NETWORK.test(code) || DRIVER.test(each.message)) return 'away';
  }
  return null;
}

/** An error for the log: its kind, code and place. The outer message of a query holds its parameters and is left out. */
export function described(error: unknown): { error: string; code?: string; at?: string } {
  const last = [...causes(error)].at(-1);
  if (!last) return { error: 'something that is no error was thrown' };
  const code = codeOf(last);
  const at = /\n\s+at [^\n]+(?:\n\s+at [^\n]+){0,7}/.exec(last.stack ?? '')?.[0].trim();
  return { error: `${last.name}: ${last.message.slice(0, 200)}`, ...(code ? { code } : {}), ...(at ? { at } : {}) };
}
