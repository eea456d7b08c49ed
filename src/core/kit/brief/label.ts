import type { BladeModel, BladeType } from '../../blade/schema';
import { STEEL_IDS } from '../../blade/words';
import type { BriefFigure, StepBrief } from '../../formats/briefFile';
import { BRIEF_FIGURES } from '../../formats/briefFile';
import { typicalBlade } from '../candidates/typicalBlade';

/** What a shop's label tells of a knife; null where it does not. Mm, g, HRC, degrees a side; the price in the shop's money. */
export interface Label {
  lengthMm: number | null;
  heelHeightMm: number | null;
  weightG: number | null;
  hrc: number | null;
  spineHeelMm: number | null;
  edgeAngleDeg: number | null;
  price: number | null;
  steel: BladeModel['steel'] | null;
  handleStyle: BladeModel['handleStyle'] | null;
  bevel: BladeModel['bevel'] | null;
  serrated: boolean | null;
}

const NUMBER = String.raw`(\d{1,4}(?:[.,]\d{1,2})?)`;
const asNumber = (text: string | undefined) => (text === undefined ? NaN : Number(text.replace(',', '.')));

/** Lengths as shops write them, with what makes millimetres of them. */
const UNITS: readonly [string, number][] = [
  ['mm|millimet(?:er|re)s?', 1],
  ['cm|centimet(?:er|re)s?', 10],
  ['"|”|″|in(?:ch(?:es)?)?\\b|-inch', 25.4],
];

/** The first length after one of some words, or of a plausible size anywhere. */
function lengthIn(text: string, before: string | null, [low, high]: readonly [number, number]): number | null {
  for (const [unit, mm] of UNITS) {
    const pattern = new RegExp(`${before ? `(?:${before})[^\\d\\n]{0,24}` : ''}${NUMBER}\\s?(?:${unit})`, 'gi');
    for (const found of text.matchAll(pattern)) {
      const length = Math.round(asNumber(found[1]) * mm * 10) / 10;
      if (length >= low && length <= high) return length;
    }
  }
  return null;
}

const first = (text: string, patterns: readonly RegExp[]): number | null => {
  for (const pattern of patterns) {
    const value = asNumber(pattern.exec(text)?.[1]);
    if (Number.isFinite(value)) return value;
  }
  return null;
};

const STEEL_WORDS: readonly [RegExp, BladeModel['steel']][] = [
  [/ceramic|zirconi/i, 'ceramic'],
  [/clad|san ?mai|laminat/i, 'clad-carbon'],
  [/powder/i, 'powder-stainless'],
  [/semi-?stainless/i, 'semi-stainless'],
  [/tough carbon|spring steel/i, 'tough-carbon'],
  [/alloyed carbon/i, 'alloyed-carbon'],
  [/(?:plain|high|white|pure)?[ -]?carbon steel/i, 'plain-carbon'],
  [/hard stainless/i, 'hard-stainless'],
  [/soft stainless/i, 'soft-stainless'],
  [/stainless/i, 'mid-stainless'],
];
const HANDLE_WORDS: readonly [RegExp, BladeModel['handleStyle']][] = [
  [/octagon/i, 'octagon'],
  [/d[- ]shape/i, 'd-shape'],
  [/\boval\b/i, 'oval'],
  [/mou?lded|polymer|plastic handle|rubber/i, 'moulded'],
  [/(?:steel|metal) handle/i, 'metal'],
  [/rivet|western handle|full tang/i, 'western'],
];
const BEVEL_WORDS: readonly [RegExp, BladeModel['bevel']][] = [
  [/single[- ]bevel|single[- ]edged|one[- ]sided/i, 'single'],
  [/(?:70|60|80)\s?\/\s?(?:30|40|20)|asymmetric|uneven bevel/i, 'uneven'],
  [/double[- ]bevel|50\s?\/\s?50|both sides/i, 'double'],
];
const wordIn = <T>(text: string, words: readonly [RegExp, T][]): T | null =>
  words.find(([pattern]) => pattern.test(text))?.[1] ?? null;

/**
 * Picks the figures and words out of what a shop writes of a knife: lengths in mm, cm and inches, weight, hardness, angle, steel, handle, bevel.
 * Whatever is not there stays null.
 *
 * @example readLabel('Gyuto 21 cm, 60 HRC, 165 g').lengthMm // 210
 */
export function readLabel(text: string): Label {
  const angle = first(text, [
    new RegExp(`${NUMBER}\\s?(?:°|degrees?)\\s*(?:a|per|each)\\s*side`, 'i'),
    new RegExp(`${NUMBER}\\s?(?:°|degrees?)`, 'i'),
  ]);
  const isWhole = angle !== null && /inclusive|in total|included angle/i.test(text);
  const hrc = first(text, [
    new RegExp(`${NUMBER}(?:\\s?[-–±/]\\s?\\d+(?:[.,]\\d)?)?\\s?(?:HRC|Rockwell)`, 'i'),
    new RegExp(`(?:HRC|Rockwell|hardness)[^\\d]{0,12}${NUMBER}`, 'i'),
  ]);
  const grams = first(text, [new RegExp(`${NUMBER}\\s?(?:g|gr|grams?)\\b`, 'i')]);
  const ounces = first(text, [new RegExp(`${NUMBER}\\s?(?:oz|ounces?)\\b`, 'i')]);
  const weightG = grams ?? (ounces === null ? null : Math.round(ounces * 28.35));
  const price = first(text, [
    new RegExp(`(?:€|£|\\$|EUR|GBP|USD|CHF)\\s?${NUMBER}`, 'i'),
    new RegExp(`${NUMBER}\\s?(?:€|£|EUR|GBP|USD|CHF)`, 'i'),
  ]);
  const within = (value: number | null, low: number, high: number) =>
    value !== null && value >= low && value <= high ? value : null;
  return {
    lengthMm: lengthIn(text, 'blade|edge|cutting edge|length', [40, 450]) ?? lengthIn(text, null, [60, 450]),
    heelHeightMm: lengthIn(text, 'heel|height|tall|blade width', [10, 130]),
    spineHeelMm: lengthIn(text, 'spine|thick(?:ness)?', [0.8, 12]),
    weightG: within(weightG, 15, 1500),
    hrc: within(hrc, 48, 69),
    edgeAngleDeg: within(isWhole && angle !== null ? angle / 2 : angle, 5, 50),
    price,
    steel: wordIn(text, STEEL_WORDS),
    handleStyle: wordIn(text, HANDLE_WORDS),
    bevel: wordIn(text, BEVEL_WORDS),
    serrated: /serrated|scalloped|wavy edge|teeth/i.test(text) ? true : null,
  };
}

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
    handed: bevel === 'double' ? 'either' : hand,
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
