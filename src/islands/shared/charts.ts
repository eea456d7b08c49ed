import { Chart } from 'chart.js';

// charts are lettered like the page around them
Chart.defaults.font.family = "'Familjen Grotesk Variable', sans-serif";
Chart.defaults.font.size = 13;

/** A colour of the look as it is now, by day or by night: charts draw on a canvas, which knows no style sheet. */
export const colour = (name: string): string =>
  typeof document === 'undefined' ? '' : getComputedStyle(document.documentElement).getPropertyValue(name).trim();
