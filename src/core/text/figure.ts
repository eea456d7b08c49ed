/** A figure with so many decimals at most, none of them needless: 18.5, 60. */
export const figure = (value: number, digits = 1): string => String(Number(value.toFixed(digits)));
