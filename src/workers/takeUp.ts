import { z } from '../core/zod';
import { kitchenFileSchema, type KitchenFile } from '../core/formats/kitchenFile';

const historySchema = z.object({
  past: z.array(kitchenFileSchema).max(100),
  present: kitchenFileSchema,
  future: z.array(kitchenFileSchema).max(100),
});
/** What a page left unsaved: the kitchen, the version it was made on, and the earlier kitchen that was being saved just then. */
const leftSchema = z.object({
  version: z.number(),
  kitchen: kitchenFileSchema,
  sent: kitchenFileSchema.nullable(),
  cutOff: z.boolean(),
});

type Stored = { version: number; kitchen: KitchenFile };

function parsed<T>(schema: z.ZodType<T>, text: string): T | null {
  try {
    return schema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}

const same = (a: KitchenFile, b: KitchenFile) =>
  JSON.stringify(kitchenFileSchema.parse(a)) === JSON.stringify(kitchenFileSchema.parse(b));

/**
 * How the stored kitchen stands to what the last page left unsaved: it has it all (`same`), it is an earlier state of it (`behind`), or somebody
 * else has written it (`foreign`).
 */
export const standing = (text: string, stored: Stored) => standingOf(parsed(leftSchema, text), stored);

function standingOf(left: z.infer<typeof leftSchema> | null, stored: Stored): 'same' | 'behind' | 'foreign' {
  if (!left) return 'foreign';
  if (same(left.kitchen, stored.kitchen)) return 'same';
  if (left.version === stored.version || (left.sent && same(left.sent, stored.kitchen))) return 'behind';
  return 'foreign';
}

/**
 * What a page goes on from: the kitchen the last page left unsaved, where the server has not got it yet, and what was done and undone there,
 * as long as it ended with that kitchen. `conflict`: it was cut off from the server, and someone else has written meanwhile.
 */
export function takeUp(stored: Stored, historyText: string, leftText: string) {
  const left = parsed(leftSchema, leftText);
  const how = standingOf(left, stored);
  const conflict = how === 'foreign' && left?.cutOff === true;
  const kitchen = left && (how === 'behind' || conflict) ? left.kitchen : null;
  const read = parsed(historySchema, historyText);
  const goesOn = read && same(read.present, kitchen ?? stored.kitchen);
  return { kitchen, conflict, history: goesOn ? { past: read.past, future: read.future } : null };
}
