// Files of every format that can be imported, made from their schemas, sent to the server. What it accepts must be something it accepts again.
import { z } from '../../../src/core/zod';
import { bladeModelSchema } from '../../../src/core/blade/schema';
import { kitchenFileSchema } from '../../../src/core/formats/kitchenFile';
import { planFileSchema } from '../../../src/core/formats/planFile';
import { sharpeningDaysSchema } from '../../../src/core/formats/sharpeningDays';
import { placedSchema, placeSchema } from '../../../src/core/formats/storageFile';
import { wallSheetSchema } from '../../../src/core/formats/wallSheet';
import { workspaceFileSchema } from '../../../src/core/formats/workspaceFile';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { say } from '../say.mjs';
import { User, type Answer } from './client';
import { Maker, pick, type Ids, type Random } from './fromSchema';
import { isBroken, type Bars } from './measures';

const ids: Ids = {
  type: [...reference.types.keys()],
  task: [...reference.tasks.keys()],
  tool: [...reference.tools.keys()],
  steel: [...reference.steels.keys()],
  model: shippedModels.slice(0, 40).map(({ id }) => id),
  id: [...reference.tasks.keys(), ...reference.cuisines.keys(), ...reference.dishes.keys(), 'own-a', 'own-b'],
  must: [...reference.types.keys()],
  never: [...reference.types.keys()],
  maker: shippedModels.slice(0, 20).map(({ maker }) => maker),
  currency: ['EUR', 'GBP', 'JPY', 'CHF'],
  words: ['leeks, sliced', 'two onions', 'a handful of chives'],
};

const paper = z.enum(['a4', 'letter']);
const knife = z.strictObject({ ref: z.string().max(80), name: z.string().max(200), blade: bladeModelSchema });

/** What is sent to an endpoint: its body by schema, and the path for a user. */
interface Door {
  method: string;
  path: (user: User) => string;
  schema: z.ZodType;
  weight: number;
}

const own = (rest: string) => (user: User) => `/api${user.sparePath}${rest}`;
const at = (path: string) => () => path;
const DOORS: Door[] = [
  { method: 'PUT', path: own(''), schema: z.object({ version: z.literal(1), kitchen: kitchenFileSchema }), weight: 5 },
  {
    method: 'POST',
    path: at('/api/kitchens'),
    schema: z.object({ from: z.literal('file'), kitchen: kitchenFileSchema }),
    weight: 3,
  },
  {
    method: 'POST',
    path: own('/snapshots'),
    schema: z.object({ kind: z.enum(['snapshot', 'scenario']), name: z.string(), kitchen: kitchenFileSchema }),
    weight: 2,
  },
  { method: 'POST', path: at('/api/workspace'), schema: workspaceFileSchema, weight: 4 },
  {
    method: 'POST',
    path: at('/api/catalogue'),
    schema: z.object({ models: z.array(bladeModelSchema), duplicates: z.enum(['skip', 'replace']) }),
    weight: 3,
  },
  {
    method: 'PUT',
    path: at('/api/corrections'),
    schema: z.object({ words: z.string().min(1).max(200), task: z.string().nullable() }),
    weight: 1,
  },
  { method: 'POST', path: own('/calendar'), schema: sharpeningDaysSchema, weight: 1 },
  {
    method: 'POST',
    path: own('/shown'),
    schema: z.object({ plan: planFileSchema, withPrices: z.boolean(), days: z.number().min(1).max(365) }),
    weight: 1,
  },
  { method: 'POST', path: at('/api/wall'), schema: z.object({ paper, sheet: wallSheetSchema }), weight: 0.05 },
  {
    method: 'POST',
    path: at('/api/life-size'),
    schema: z.object({ title: z.string().max(200), paper, knives: z.array(knife).min(1) }),
    weight: 0.05,
  },
  {
    method: 'POST',
    path: at('/api/places'),
    schema: z.object({
      title: z.string().max(200),
      paper,
      trueSize: z.boolean(),
      places: z.array(z.object({ name: z.string().max(80), place: placeSchema })).min(1),
      knives: z.array(knife),
      placed: z.array(placedSchema),
    }),
    weight: 0.05,
  },
  { method: 'PATCH', path: own(''), schema: z.object({ name: z.string().max(90) }), weight: 1 },
  { method: 'POST', path: at('/api/workspace/open'), schema: z.object({ code: z.string() }), weight: 0.5 },
];

/** Text as a client that is broken, or means harm, may send it. */
function damaged(text: string, random: Random): string {
  const how = random();
  if (how < 0.01) return text.slice(0, Math.floor(random() * text.length));
  if (how < 0.015) return '['.repeat(Math.floor(random() * 20_000));
  if (how < 0.02) return String.fromCharCode(...Array.from({ length: 60 }, () => Math.floor(random() * 0xffff)));
  if (how < 0.025) return text.replace('":', '": ,');
  return text;
}

const storedSchema = z.object({ version: z.number(), kitchen: z.unknown() });

/** Saves what a kitchen holds once more: the server must accept what it stored. */
async function savedAgain(user: User, path: string): Promise<Answer | null> {
  const stored = await user.ask('GET', `/api${path}`);
  if (stored.status !== 200) return null;
  return user.ask('PUT', `/api${path}`, stored.text.replace(/^\{"id":"[^"]*",/, '{'));
}

/** One file sent; what was accepted is read back and sent again. */
async function sendOne(
  user: User,
  door: Door,
  maker: Maker,
  random: Random,
): Promise<{ sent: Answer; again: Answer | null }> {
  let body = maker.make();
  if (door.method === 'PUT' && typeof body === 'object' && body !== null && 'kitchen' in body) {
    const now = storedSchema.safeParse(JSON.parse((await user.ask('GET', `/api${user.sparePath}`)).text || 'null'));
    body = { ...body, version: now.success ? now.data.version : 1 };
  }
  const sent = await user.ask(door.method, door.path(user), damaged(JSON.stringify(body), random));
  const isKitchen = door.path(user).startsWith('/api/kitchens');
  if (sent.status >= 300 || !isKitchen) return { sent, again: null };
  const made = z.object({ id: z.string() }).safeParse(JSON.parse(sent.text || 'null'));
  return { sent, again: await savedAgain(user, made.success ? `/kitchens/${made.data.id}` : user.sparePath) };
}

/** Everything of a user is exported, imported by somebody new, and exported there: the two must be the same. */
async function roundTrip(user: User, port: number, number: number): Promise<string | null> {
  const exported = await user.ask('GET', '/api/workspace');
  const other = new User(port, number, 9);
  const imported = await other.ask('POST', '/api/workspace', exported.text);
  if (imported.status !== 201) return `an export is not imported: ${imported.status} ${imported.text.slice(0, 300)}`;
  other.cookie = imported.cookie;
  const again = await other.ask('GET', '/api/workspace');
  return again.text === exported.text ? null : 'an import is exported otherwise than it came';
}

/** Sends `count` files through `users`, twenty at a time. */
export async function fuzz(
  users: readonly User[],
  { count, port, random, bars }: { count: number; port: number; random: Random; bars: Bars },
): Promise<void> {
  const makers = DOORS.map((door) => ({ door, maker: new Maker(door.schema, ids, random) }));
  const weighted = makers.flatMap((each) => Array<typeof each>(Math.ceil(20 * each.door.weight)).fill(each));
  const tally = { accepted: 0, refused: 0, slowed: 0 };
  let left = count;
  await Promise.all(
    users.slice(0, 20).map(async (user) => {
      while (left-- > 0) {
        const { door, maker } = pick(weighted, random);
        const { sent, again } = await sendOne(user, door, maker, random);
        const what = `${door.method} ${door.path(user).replace(/[0-9a-f-]{36}/, '…')}`;
        bars.must(!isBroken(sent.status), `${what} answers a file with ${sent.status} ${sent.text.slice(0, 200)}`);
        if (again)
          bars.must(
            again.status === 200 || again.status === 429,
            `${what} stores what is refused afterwards: ${again.status} ${again.text.slice(0, 300)}`,
          );
        if (sent.status < 300) tally.accepted++;
        else if (sent.status === 429 || sent.status === 503) tally.slowed++;
        else tally.refused++;
      }
    }),
  );
  say(`  ${count} files: ${tally.accepted} accepted, ${tally.refused} refused, ${tally.slowed} told to wait`);
  bars.must(tally.accepted > 0.1 * count, 'a tenth of the files is such that it can be accepted');
  for (const [i, user] of users.slice(0, 20).entries()) {
    const wrong = await roundTrip(user, port, i);
    bars.must(wrong === null, wrong ?? '');
  }
}
