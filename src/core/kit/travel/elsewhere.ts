import { usualPlace } from '../../keeping/usualPlaces';
import type { AwayFile, KitchenFile } from '../../formats/kitchenFile';
import type { Pocket } from '../../formats/storageFile';
import { cookLeft } from '../../kitchen/deeds';

/** The pockets of the roll that travels; a usual one where none is described. */
export const pocketsOf = ({ pockets }: AwayFile): readonly Pocket[] => pockets ?? usualPlace.roll().pockets;

/**
 * Another kitchen as a kitchen file: its board, habits and cooking where they are said, else those at home; the cook who travels, and what is owned. Nothing
 * is bought there, what is lent out at home may come along, and keepsakes stay.
 */
export function kitchenElsewhere(file: KitchenFile, away: AwayFile): KitchenFile {
  const traveller = away.cook ?? 0;
  const others = (file.cooks ?? []).map((_, i) => i).filter((i) => i !== traveller);
  const alone = others.reduceRight(cookLeft, file);
  return {
    ...alone,
    name: away.name ?? 'Elsewhere',
    board: away.board ?? file.board,
    habits: { ...file.habits, ...(away.roughUse === undefined ? {} : { roughUse: away.roughUse }) },
    cooking: away.cooking ?? file.cooking,
    cooksAtOnce: 1,
    budget: { total: 0 },
    limits: {},
    storage: undefined,
    owned: file.owned?.map((knife) => (knife.keep === 'lend' ? { ...knife, keep: 'use' } : knife)),
  };
}
