import fc from 'fast-check';

/** Property tests draw the same examples every time; `SEED=7 npm test` draws others. */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 2026) });
