/** A number the score rests on, with its unit, the reason for it and where it comes from. */
export interface Constant {
  value: number;
  unit: string;
  why: string;
  from: 'geometry' | 'trade practice' | 'handbook' | 'house judgement';
}

export const c = (value: number, unit: string, why: string, from: Constant['from']): Constant => ({
  value,
  unit,
  why,
  from,
});
