import type { STORAGES } from '../../core/formats/kitchenWords';
import type { StorageKind } from '../../core/formats/storageFile';

/** Names of the kinds of place. */
export const KIND_WORDS: Record<StorageKind, string> = {
  block: 'Block',
  tray: 'Drawer tray',
  strip: 'Magnetic strip',
  roll: 'Roll',
  drawer: 'Drawer, with blade guards',
};

/** What a kind of place is, in a line. */
export const KIND_NOTES: Record<StorageKind, string> = {
  block: 'Blades go in, handles stand out. Wood has to breathe; a slot decides what fits for years.',
  tray: 'Lies in a drawer: knives lie flat in it, or stand on their spines between slats.',
  strip: 'On the wall, in sight, edges to one side. Take them off spine first.',
  roll: 'A pocket a knife, to be carried. Dry them before they go in.',
  drawer: 'A plain drawer. What lies in it wears a guard; loose it cuts people and dulls.',
};

/** The kind of place that stands for what a kitchen says of its storage. */
export const kindOfHabit: Record<(typeof STORAGES)[number], StorageKind> = {
  block: 'block',
  strip: 'strip',
  tray: 'tray',
  roll: 'roll',
  guards: 'drawer',
  loose: 'drawer',
};
