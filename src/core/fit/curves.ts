/**
 * 0 below `from`, 1 above `to`, a straight line between.
 *
 * @example ramp(15, 10, 20) // 0.5
 */
export function ramp(x: number, from: number, to: number): number {
  return Math.min(1, Math.max(0, (x - from) / (to - from)));
}

/** 1 while `excess` is not positive, then a bell-shaped fall with the given scale; never negative, never a cliff. */
export function fallOff(excess: number, scale: number): number {
  if (excess <= 0) return 1;
  const z = excess / scale;
  return 1 / (1 + z * z);
}
