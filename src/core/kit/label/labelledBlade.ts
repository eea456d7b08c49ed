import type { BladeModel, BladeType } from '../../blade/schema';
import { STEEL_IDS } from '../../blade/words';
import type { BriefFigure, StepBrief } from '../../formats/briefFile';
import { BRIEF_FIGURES } from '../../formats/briefFile';
import { typicalBlade } from '../candidates/typicalBlade';
import type { Label } from './label';

/** A knife as a label tells it, what is missing from its kind's usual build; `assumed` names those figures. */
export interface Labelled {
  blade: BladeModel;
  assumed: BriefFigure[];
}

/** Figures that are much alike over all lengths of a kind. */
const MIDDLING = ['behindEdgeMm', 'edgeAngleDeg', 'hrc', 'spineHeelMm', 'balanceMm'] as const;

/** The kind's usual build at a length: its typical blade, with the middling figures of the models of its kind where there are any. */
function usualBuild(
  type: BladeType,
  known: Parameters<typeof typicalBlade>[1],
  hand: 'left' | 'right',
  models: readonly BladeModel[],
): BladeModel {
  const usual = typicalBlade(type, known, hand);
  const alike = models.filter((model) => model.type === type.id);
  const middling = MIDDLING.flatMap((figure) => {
    const values = alike.flatMap((model) => model[figure] ?? []).sort((a, b) => a - b);
    const middle = values[Math.floor(values.length / 2)];
    return middle === undefined ? [] : [[figure, middle] as const];
  });
  const build = { ...usual, ...Object.fromEntries(middling) };
  const thicker = build.spineHeelMm / usual.spineHeelMm;
  return { ...build, spineMidMm: usual.spineMidMm * thicker, spineTipMm: usual.spineTipMm * thicker };
}

/**
 * The blade a label describes, of a stated kind, for a hand. At least the length should be known; the rest is taken from the kind's usual build
 * among `models`.
 */
export function labelledBlade(
  type: BladeType,
  label: Label,
  hand: 'left' | 'right',
  models: readonly BladeModel[] = [],
): Labelled {
  const steel = STEEL_IDS.find((id) => id === label.steel);
  const usual = usualBuild(type, { lengthMm: label.lengthMm ?? undefined, steel }, hand, models);
  const bevel = label.bevel ?? usual.bevel;
  const edgeAngleDeg = label.edgeAngleDeg ?? usual.edgeAngleDeg;
  const spineHeelMm = label.spineHeelMm ?? usual.spineHeelMm;
  const thicker = spineHeelMm / usual.spineHeelMm;
  const heelHeightMm = label.heelHeightMm ?? usual.heelHeightMm;
  const blade: BladeModel = {
    ...usual,
    id: 'label',
    heelHeightMm,
    bellyMm: Math.min(usual.bellyMm, heelHeightMm),
    weightG: label.weightG ?? usual.weightG,
    hrc: steel === 'ceramic' ? null : (label.hrc ?? usual.hrc),
    spineHeelMm,
    spineMidMm: usual.spineMidMm * thicker,
    spineTipMm: Math.min(spineHeelMm, usual.spineTipMm * thicker),
    edgeAngleDeg,
    edgeAngleBackDeg: bevel === 'single' ? 0 : edgeAngleDeg,
    bevel,
    handed: bevel === 'double' ? 'either' : label.handed === 'left' || label.handed === 'right' ? label.handed : hand,
    handleStyle: label.handleStyle ?? usual.handleStyle,
    ...(label.serrated && usual.serration === 'none' ? { serration: 'scalloped' as const, serrationPitchMm: 6 } : {}),
  };
  const known: Partial<Record<BriefFigure, unknown>> = { ...label };
  return { blade, assumed: BRIEF_FIGURES.filter((figure) => known[figure] == null && blade[figure] !== null) };
}

/** Where a knife stands to a brief. */
export interface Outside {
  figure: BriefFigure;
  value: number;
  range: [number, number];
}

/** The figures of a knife that lie outside a brief's ranges; those that are only assumed are not held against it. */
export function outsideOf({ blade, assumed }: Labelled, { ranges }: Pick<StepBrief, 'ranges'>): Outside[] {
  return BRIEF_FIGURES.flatMap((figure) => {
    const [range, value] = [ranges[figure], blade[figure]];
    if (!range || value === null || assumed.includes(figure)) return [];
    return value < range[0] || value > range[1] ? [{ figure, value, range }] : [];
  });
}
