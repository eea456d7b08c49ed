/**
 * Runs work that starts things. Whatever it pushes onto `stops` is stopped in reverse order when the work ends, fails, or a signal
 * asks the command to end.
 */
export async function withStops(work) {
  const stops = [];
  let ending = null;
  const end = () =>
    (ending ??= (async () => {
      while (stops.length > 0) await stops.pop()();
    })());
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => void end().then(() => process.exit(signal === 'SIGINT' ? 130 : 0)));
  try {
    return await work(stops, () => ending !== null);
  } finally {
    await end();
  }
}
