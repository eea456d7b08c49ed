import { z } from '../zod';

/** A quantity as schema.org writes one beside a bare number or text. */
const quantitySchema = z.looseObject({
  value: z.union([z.string(), z.number()]).transform(String).optional(),
  minValue: z.union([z.string(), z.number()]).transform(String).optional(),
});

/** What a yield counts that is not people's plates: pieces, vessels, measures. */
const NOT_PORTIONS =
  /^(?:lo(?:af|aves)|cups?|pints?|quarts?|gallons?|lit(?:re|er)s?|[mcd]?l|k?g|grams?|ounces?|oz|lbs?|pounds?|jars?|bottles?|tins?|pans?|trays?|cakes?|tarts?|pies?|pizzas?|dozen|cookies|biscuits|muffins|cupcakes|rolls|buns|bagels|scones|pancakes|waffles|pieces|balls|bars|squares|slices|dumplings|inch|in|cm|tablespoons?|teaspoons?|tbsp|tsp|brote?|gläser|stück|bleche?|tassen?)$/i;

/**
 * Portions of a yield: "4", 4, ["4", "4 servings"], { value: 4 } or "4–6 people": the first number from 1 to 500 that counts plates. "2 loaves" and "7 cups"
 * are no portions; null where there is none.
 */
export function portionsOf(value: unknown): number | null {
  const words = (Array.isArray(value) ? value : [value]).map((each: unknown) => {
    if (typeof each === 'string' || typeof each === 'number') return String(each);
    const quantity = quantitySchema.safeParse(each).data;
    return quantity?.value ?? quantity?.minValue ?? '';
  });
  const counts = words.flatMap((text) =>
    [
      ...text.matchAll(
        /(\d+(?:\.\d+)?)(?:\s*(?:-|–|to|bis)\s*\d+)?(?:[-\s]*(?:large|small|medium|big|große|kleine)?\s*(\p{L}+))?/giu,
      ),
    ].map(([, number = '', noun = '']) => ({ number: Number(number), other: NOT_PORTIONS.test(noun) })),
  );
  const others = new Set(counts.filter(({ other }) => other).map(({ number }) => number));
  return (
    counts.find(({ number, other }) => !other && !others.has(number) && number >= 1 && number <= 500)?.number ?? null
  );
}
