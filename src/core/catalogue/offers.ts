import { z } from '../zod';

/** A set sold whole: its pieces by model, its price in EUR minor units. */
export const setSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  maker: z.string(),
  pieces: z.array(z.string()).min(2).max(20),
  priceMinor: z.number().int().positive(),
});

export type KnifeSet = z.infer<typeof setSchema>;

/** So many knives of one maker or more in one basket: a share off each. */
export const volumeSchema = z.strictObject({
  maker: z.string(),
  from: z.number().int().min(2).max(12),
  off: z.number().min(0).max(0.9),
});

export type VolumeOffer = z.infer<typeof volumeSchema>;
