import type { BladeModel } from '../blade/schema';
import { BRIEF_FIGURES, type BriefFigure } from './briefFile';

/** How each figure of a brief is named: by itself, of a knife, where it does not matter; and what stands behind its number. */
export const FIGURE_WORDS: Record<BriefFigure, { name: string; the: string; its: string; unit: string }> = {
  lengthMm: { name: 'length', the: 'the length', its: 'its length', unit: ' mm' },
  heelHeightMm: {
    name: 'height at the heel',
    the: 'the height at the heel',
    its: 'its height at the heel',
    unit: ' mm',
  },
  weightG: { name: 'weight', the: 'the weight', its: 'its weight', unit: ' g' },
  hrc: { name: 'hardness', the: 'the hardness', its: 'how hard its steel is', unit: ' HRC' },
  spineHeelMm: { name: 'spine at the heel', the: 'the spine', its: 'how thick its spine is', unit: ' mm' },
  behindEdgeMm: {
    name: 'behind the edge',
    the: 'the thickness behind the edge',
    its: 'how thin it is behind the edge',
    unit: ' mm',
  },
  edgeAngleDeg: { name: 'edge angle', the: 'the edge angle', its: 'the angle of its edge', unit: '° a side' },
};

/** The names of the figures of a blade that nobody told, in the order in which they are told. */
export const assumedFigures = ({ assumed = [] }: Pick<BladeModel, 'assumed'>): string[] =>
  BRIEF_FIGURES.filter((figure) => assumed.includes(figure)).map((figure) => FIGURE_WORDS[figure].name);
