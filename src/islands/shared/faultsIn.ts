import { FaultyInput, type Fault } from '../../core/formats/faults';
import { Refused } from '../../client/http';

/** What went wrong with something brought in or asked for: the faults of the file, or what the server says, told as of `where`. */
export function faultsIn(error: unknown, where = 'server'): Fault[] {
  if (error instanceof FaultyInput) return error.faults;
  if (error instanceof Refused)
    return error.faults.length > 0 ? error.faults : [{ path: where, message: error.message }];
  return [{ path: 'file', message: 'could not be read; try again' }];
}
