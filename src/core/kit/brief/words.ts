import type { BladeModel, BladeType, Steel } from '../../blade/schema';
import { knuckleRoomMm } from '../../blade/hold';
import { BRIEF_FIGURES, type BriefFigure, type StepBrief } from '../../formats/briefFile';
import type { Cook, Kitchen } from '../../kitchen/kitchen';
import { showMoney } from '../../money/currency';
import type { Make } from './traits';
import type { Ranges } from './ranges';
import { lowerFirst } from '../../text/case';
import { FIGURE_WORDS } from '../../formats/figures';

const span = ([low, high]: readonly [number, number], unit: string) =>
  low === high ? `${low}${unit}` : `${low}–${high}${unit}`;

/** The brief as one would tell a seller. */
export function briefInWords(
  type: BladeType,
  ranges: Ranges,
  { must }: Make,
  priceMinor: number,
  currency: string,
): string {
  const { lengthMm, heelHeightMm, weightG, hrc, spineHeelMm, behindEdgeMm, edgeAngleDeg } = ranges;
  const figures = [
    heelHeightMm && `${span(heelHeightMm, ' mm')} tall at the heel`,
    weightG && span(weightG, ' g'),
    hrc && `steel of ${span(hrc, ' HRC')}`,
    spineHeelMm && `a spine of ${span(spineHeelMm, ' mm')} at the heel`,
    behindEdgeMm && `${span(behindEdgeMm, ' mm')} behind the edge`,
    edgeAngleDeg && `an edge of ${span(edgeAngleDeg, '°')} a side`,
  ].filter(Boolean);
  const long = lengthMm ? ` of ${span(lengthMm, ' mm')}` : '';
  const sentence = `A ${lowerFirst(type.name)}${long}${figures.length > 0 ? `: ${figures.join(', ')}` : ''}.`;
  const needs = must.length > 0 ? ` It has ${must.join(', ')}.` : '';
  return `${sentence}${needs} Up to ${showMoney(priceMinor, currency)}.`;
}

/** Questions for the seller, each with how much it matters here. */
export function questionsFor(ranges: Ranges, steel: Steel, { habits }: Pick<Kitchen, 'habits'>): string[] {
  const width = (figure: BriefFigure) => {
    const range = ranges[figure];
    return range ? (range[1] - range[0]) / Math.max(1e-9, (range[0] + range[1]) / 2) : Infinity;
  };
  const byFigure: { figure: BriefFigure; ask: string }[] = [
    {
      figure: 'behindEdgeMm',
      ask: 'How thin is it behind the edge? May I see it go through a carrot or a sheet of paper?',
    },
    { figure: 'hrc', ask: 'How hard is the steel, in HRC, and does it chip or roll when it is misused?' },
    {
      figure: 'edgeAngleDeg',
      ask: 'At what angle a side does it come ground, and is a first sharpening in the price?',
    },
    { figure: 'weightG', ask: 'What does it weigh? May I lay it on a scale?' },
    { figure: 'spineHeelMm', ask: 'How thick is the spine at the heel and at the tip?' },
    { figure: 'heelHeightMm', ask: 'How tall is it at the heel? May I hold it over a board?' },
  ];
  const narrow = byFigure
    .filter(({ figure }) => ranges[figure] !== null)
    .sort((a, b) => width(a.figure) - width(b.figure))
    .map(({ ask }) => ask);
  const general = [
    ...(steel.rustProof < 6 ? ['How is it kept from rusting, in use and put away?'] : []),
    ...(habits.sharpening === 'stones'
      ? []
      : ['Who sharpens it, what does that cost, and how long is one without it?']),
    'May I bring it back unused if it does not suit my hand?',
    'What steel is it, and what is the handle made of?',
  ];
  return [...narrow.slice(0, 2), ...general].slice(0, 3);
}

/** What to look at with the knife in the hand, in the order of a two-minute test. */
export function checksFor(blade: BladeModel, cook: Cook, make: Make): string[] {
  const room = knuckleRoomMm(blade, cook.palmBreadthMm, cook.grip === 'handle' ? 'handle' : 'pinch');
  const checks = [
    'Pinch it where heel and handle meet: no corner of spine, heel or bolster bites the first joint.',
    'The handle fills the palm, without a gap and without squeezing, and stays so when wet.',
    blade.heelHeightMm > 35
      ? room >= 0
        ? `Heel on a board: your knuckles clear it. This one leaves about ${Math.round(room)} mm.`
        : 'Heel on a board: your knuckles touch it with this one; work at the board’s edge, or ask for a taller one.'
      : 'It is worked in the hand: edge and tip can be seen and felt past the thumb.',
    'Loosen the lower fingers: it rests where you want it, tipping neither forward nor back against your taste.',
  ];
  if (cook.handed === 'left') checks.push('Left hand: the bevel and the handle are not made for the right one.');
  if (make.must.some((words) => words.includes('rounded')))
    checks.push('Run a thumb along spine and heel: the corners are rounded.');
  return checks;
}

/** What does not matter, figures and make together. */
export const indifferentTo = (ranges: StepBrief['ranges'], make: Make): string[] => [
  ...BRIEF_FIGURES.filter((figure) => ranges[figure] === null).map((figure) => FIGURE_WORDS[figure].its),
  ...make.indifferent,
];
