// Which server runs on a cluster, told from what PostgreSQL writes of itself.
import { readFileSync, readlinkSync, realpathSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';

/** Whether a process lives. */
export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

/** Whether something listens on a loopback port. */
export function answers(port) {
  return new Promise((resolve) => {
    const socket = connect({ port, host: '127.0.0.1' });
    socket.once('connect', () => (socket.destroy(), resolve(true)));
    socket.once('error', () => resolve(false));
  });
}

/** Whether a process works in a folder, as PostgreSQL does in its cluster; where that cannot be told, it is taken to. */
function worksIn(pid, folder) {
  try {
    return readlinkSync(`/proc/${pid}/cwd`) === realpathSync(folder);
  } catch (error) {
    return error.code !== 'ENOENT' || process.platform !== 'linux';
  }
}

/** Process and port of the server that runs on a cluster, or null: a file left by a dead one, or by a stranger, is none. */
export function readRunning(folder) {
  try {
    const [pid, , , port] = readFileSync(join(folder, 'postmaster.pid'), 'utf8').split('\n').map(Number);
    return pid > 1 && isAlive(pid) && worksIn(pid, folder) ? { pid, port: port > 0 ? port : null } : null;
  } catch {
    return null;
  }
}

/** Removes what names a server that does not run; PostgreSQL would take an empty or foreign file for one that does. */
export function dropStalePid(folder) {
  if (readRunning(folder) === null) rmSync(join(folder, 'postmaster.pid'), { force: true });
}
