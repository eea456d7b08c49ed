import { readReference } from '../src/core/reference/read';
import cuisines from './cuisines.json';
import dishes from './dishes.json';
import handChecks from './handTest.json';
import sets from './sets.json';
import steels from './steels.json';
import tasks from './tasks.json';
import tools from './tools.json';
import types from './types.json';
import volumes from './volumes.json';

/** The shipped trade knowledge as lists, parsed once: in the browser, when the site is built (scripts/lib/checked-data.mjs). */
export const rows = readReference({ types, steels, tasks, dishes, cuisines, tools, sets, volumes, handChecks });
