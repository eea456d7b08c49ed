/** @typedef {(() => Promise<unknown>)[]} Stops What ends things that were started; called in reverse order. */

const PARENT_EVERY = 1_000;

/**
 * Runs work that starts things. Whatever it pushes onto `stops` is stopped in reverse order when the work ends, fails, a signal asks the command
 * to end, or the npm that runs it is gone.
 */
export async function withStops(work) {
  /** @type {Stops} */
  const stops = [];
  let ending = null;
  const end = () =>
    (ending ??= (async () => {
      while (stops.length > 0) await stops.pop()();
    })());
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => void end().then(() => process.exit(signal === 'SIGINT' ? 130 : 0)));
  const parent = process.ppid;
  if (process.env.npm_lifecycle_event)
    setInterval(() => {
      if (process.ppid !== parent) void end().then(() => process.exit(0));
    }, PARENT_EVERY).unref();
  try {
    return await work(stops, () => ending !== null);
  } finally {
    await end();
  }
}
