import { described } from './failures';
import { purgeImports } from './importing';
import { purgeDeleted } from './kitchens';
import { log } from './log';
import { purgeShown } from './shownPlans';
import { purgeEmptyWorkspaces } from './workspaces';

const HOUR = 3_600_000;

/** Removes for good what was deleted long ago, links that have run out, and workspaces that hold nothing. Any number of servers may do so at once. */
export async function keepHouse(now: Date): Promise<void> {
  await purgeDeleted(now);
  await purgeShown(now);
  await purgeImports(now);
  await purgeEmptyWorkspaces(now);
}

/** Keeps house now and every hour from now on. */
export function beginHousekeeping(): void {
  const keep = () =>
    void keepHouse(new Date()).catch((error: unknown) => log.error(described(error), 'housekeeping failed'));
  keep();
  setInterval(keep, HOUR).unref();
}
