import { MOST } from '../formats/kitchenBounds';
import type { KitchenFile } from '../formats/kitchenFile';

/** Whether the list of owned knives has no room for another. */
export const isDrawerFull = ({ owned = [] }: KitchenFile): boolean => owned.length >= MOST.owned;
