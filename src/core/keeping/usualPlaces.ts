import type { StorageKind, StoragePlace } from '../formats/storageFile';

/** A place of ordinary size, to be measured and put right. */
export const usualPlace: { [K in StorageKind]: () => StoragePlace & { kind: K } } = {
  block: () => ({
    kind: 'block',
    slots: [
      { lengthMm: 240, heightMm: 55, thicknessMm: 4.5 },
      { lengthMm: 215, heightMm: 50, thicknessMm: 4 },
      { lengthMm: 205, heightMm: 40, thicknessMm: 3.5 },
      { lengthMm: 150, heightMm: 34, thicknessMm: 3 },
      { lengthMm: 110, heightMm: 28, thicknessMm: 3 },
    ],
  }),
  tray: () => ({ kind: 'tray', lengthMm: 450, widthMm: 300, heightMm: 60, slats: null }),
  strip: () => ({ kind: 'strip', lengthMm: 450, belowMm: 250 }),
  roll: () => ({
    kind: 'roll',
    pockets: [
      ...Array.from({ length: 4 }, () => ({ lengthMm: 430, widthMm: 65 })),
      ...Array.from({ length: 4 }, () => ({ lengthMm: 330, widthMm: 45 })),
    ],
  }),
  drawer: () => ({
    kind: 'drawer',
    lengthMm: 450,
    widthMm: 350,
    heightMm: 80,
    guards: [
      { lengthMm: 240, heightMm: 55 },
      { lengthMm: 180, heightMm: 45 },
      { lengthMm: 110, heightMm: 30 },
    ],
  }),
};
