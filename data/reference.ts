import { readReference } from '../src/core/reference';
import cuisines from './cuisines.json';
import dishes from './dishes.json';
import handChecks from './handTest.json';
import sets from './sets.json';
import steels from './steels.json';
import tasks from './tasks.json';
import tools from './tools.json';
import types from './types.json';
import volumes from './volumes.json';

/** The shipped trade knowledge, parsed once. */
export const reference = readReference({ types, steels, tasks, dishes, cuisines, tools, sets, volumes, handChecks });
