import { z } from '../zod';
import { BLADE_BOUNDS } from './bounds';
import {
  LIST_NAME_MOST,
  BEVELS,
  HANDED,
  HANDLE_STYLES,
  MAKES,
  ORIGINS,
  ROLES,
  SERRATIONS,
  STEEL_IDS,
  SURFACES,
  TIPS,
  WORKS,
} from './words';

const pair = z.tuple([z.number(), z.number()]);
const flag = z.union([z.boolean(), z.stringbool()]);
/** A figure that may be left out: in a table, an empty cell. */
const said = <T extends z.ZodType>(schema: T) =>
  z.preprocess((v) => (v === '' ? undefined : v), schema.optional()).optional();
const figure = (low: number, high: number) => z.coerce.number().min(low).max(high);

/** A generic blade type: the trade word, its role in a kit and the usual range of each figure (mm, g, degrees per side). */
export const bladeTypeSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  role: z.enum(ROLES),
  /** What sets its work apart from the rest of its role. */
  work: z.enum(WORKS).optional(),
  /** A knife of the trade that few shops show and few hands know. */
  seldom: z.literal(true).optional(),
  /** The handle it usually has; a western one where none is named. */
  usualHandle: z.enum(HANDLE_STYLES).optional(),
  blurb: z.string(),
  lengthMm: pair,
  usualLengthMm: z.number(),
  heelHeightMm: pair,
  spineHeelMm: pair,
  spineTipMm: pair,
  flatShare: pair,
  bellyMm: pair,
  tips: z.array(z.enum(TIPS)),
  weightG: pair,
  hrc: pair,
  edgeAngleDeg: pair,
  bevels: z.array(z.enum(BEVELS)),
  serrations: z.array(z.enum(SERRATIONS)),
  flex: pair,
});
export type BladeType = z.infer<typeof bladeTypeSchema>;

/** A steel family, 0–10 each way, with the least edge angle per side (degrees) it carries without rolling or chipping. */
export const steelSchema = z.strictObject({
  id: z.enum(STEEL_IDS),
  name: z.string(),
  hrc: pair.nullable(),
  tough: z.number().min(0).max(10),
  wear: z.number().min(0).max(10),
  rustProof: z.number().min(0).max(10),
  easeOfSharpening: z.number().min(0).max(10),
  leastAngleDeg: z.number(),
  note: z.string(),
});
export type Steel = z.infer<typeof steelSchema>;

/**
 * One knife, described by numbers enough to draw its silhouette and to compute with it. Flat, so that a CSV row is
 * the same thing. Lengths in mm, weight in g, angles in degrees per side, `balanceMm` forward of the heel (negative:
 * towards the handle), `handleOffsetMm` how far the handle is raised above its usual place, `flex` 0 stiff – 1 limp,
 * `bellyMm` how far the tip end of the edge rises above the flat line (negative for a hooked blade), price in minor units. `assumed` names the figures that nobody told, taken from
 * the kind's usual build.
 */
export const bladeModelSchema = z
  .strictObject({
    id: z
      .string()
      .regex(/^[a-z0-9][a-z0-9-]*$/, 'use lower-case letters, digits and dashes')
      .max(80),
    maker: z.string().min(1).max(80),
    name: z.string().min(1).max(120),
    type: z.string().min(1).max(40),
    lengthMm: figure(...BLADE_BOUNDS.lengthMm),
    heelHeightMm: figure(...BLADE_BOUNDS.heelHeightMm),
    spineHeelMm: figure(...BLADE_BOUNDS.spineHeelMm),
    spineMidMm: figure(...BLADE_BOUNDS.spineMidMm),
    spineTipMm: figure(...BLADE_BOUNDS.spineTipMm),
    flatShare: figure(...BLADE_BOUNDS.flatShare),
    bellyMm: figure(...BLADE_BOUNDS.bellyMm),
    tip: z.enum(TIPS),
    spineLine: z.enum(['straight', 'falling', 'rising']),
    flex: figure(...BLADE_BOUNDS.flex),
    grind: z.enum(['flat', 'convex', 'hollow']),
    behindEdgeMm: figure(...BLADE_BOUNDS.behindEdgeMm),
    edgeAngleDeg: figure(...BLADE_BOUNDS.edgeAngleDeg),
    edgeAngleBackDeg: figure(...BLADE_BOUNDS.edgeAngleBackDeg),
    bevel: z.enum(BEVELS),
    handed: z.enum(HANDED),
    microBevel: flag,
    serration: z.enum(SERRATIONS),
    serrationPitchMm: figure(...BLADE_BOUNDS.serrationPitchMm),
    surface: z.enum(SURFACES),
    handleStyle: z.enum(HANDLE_STYLES),
    handleLengthMm: figure(...BLADE_BOUNDS.handleLengthMm),
    handleHeightMm: figure(...BLADE_BOUNDS.handleHeightMm),
    handleThicknessMm: figure(...BLADE_BOUNDS.handleThicknessMm),
    handleOffsetMm: figure(...BLADE_BOUNDS.handleOffsetMm),
    handleHanded: z.enum(HANDED),
    tang: z.enum(['full', 'hidden']),
    bolster: z.enum(['none', 'half', 'full']),
    easedSpine: flag,
    weightG: figure(...BLADE_BOUNDS.weightG),
    balanceMm: figure(...BLADE_BOUNDS.balanceMm),
    steel: z.enum(STEEL_IDS),
    hrc: z.preprocess((v) => (v === '' ? null : v), figure(...BLADE_BOUNDS.hrc).nullable()),
    priceMinor: figure(...BLADE_BOUNDS.priceMinor).int(),
    currency: z.string().regex(/^[A-Z]{3}$/, 'use a three-letter currency code such as EUR'),
    /** How it was made, by whom, and whether its steel shows a pattern; left out where nobody says. */
    make: said(z.enum(MAKES)),
    origin: said(z.enum(ORIGINS)),
    patterned: said(flag),
    /** The shop's list it was read from. */
    list: said(z.string().min(1).max(LIST_NAME_MOST)),
    assumed: z
      .preprocess(
        (v) => (v === '' ? undefined : typeof v === 'string' ? v.split(' ') : v),
        z.array(z.string().max(40)).max(40).optional(),
      )
      .optional(),
  })
  .superRefine((m, ctx) => {
    const fault = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (m.bevel === 'single' && m.handed === 'either')
      fault('handed', 'a single bevel is ground for one hand; use right or left');
    if (m.bevel === 'double' && m.handed !== 'either') fault('handed', 'a double bevel suits both hands; use either');
    if (m.spineTipMm > m.spineHeelMm) fault('spineTipMm', 'the spine cannot be thicker at the tip than at the heel');
    if (m.serration === 'none' && m.serrationPitchMm > 0)
      fault('serrationPitchMm', 'a plain edge has no pitch; use 0, or name the serration');
    if (m.serration !== 'none' && m.serrationPitchMm <= 0)
      fault('serrationPitchMm', 'a serrated edge needs its pitch in mm, for example 5');
    if (m.bellyMm > m.heelHeightMm) fault('bellyMm', 'the edge cannot rise above the spine');
  });
export type BladeModel = z.infer<typeof bladeModelSchema>;
