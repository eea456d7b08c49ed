/** A rule of a kit's worth with what breaks it: a piece of a file under src/core that stands there once, and what is put in its stead. */
export const RULES: readonly { name: string; file: string; from: string; to: string }[];
