import type { KitchenFile } from '../../../core/formats/kitchenFile';

/** A kitchen in which a cuisine has a share, or none. */
export const cuisineChosen =
  (id: string, share: number | null) =>
  (kitchen: KitchenFile): KitchenFile => {
    const now = kitchen.cooking?.cuisines ?? [];
    const known = now.some((c) => c.id === id);
    const cuisines =
      share === null
        ? now.filter((c) => c.id !== id)
        : known
          ? now.map((c) => (c.id === id ? { id, share } : c))
          : [...now, { id, share }];
    return { ...kitchen, cooking: { ...kitchen.cooking, cuisines } };
  };
