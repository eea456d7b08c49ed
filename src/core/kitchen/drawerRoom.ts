import { MOST } from '../formats/kitchenBounds';
import type { KitchenFile } from '../formats/kitchenFile';

/** Whether the list of owned knives has no room for so many more. */
export const isDrawerFull = ({ owned = [] }: KitchenFile, more = 1): boolean => owned.length + more > MOST.owned;
