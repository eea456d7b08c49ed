import { edgeHeightMm } from './edgeCurve';
import type { BladeModel } from './schema';

/** How far a falling or rising spine leaves the straight one halfway along, as a share of the heel height. */
const SPINE_LINE = { straight: 0, falling: -0.025, rising: 0.025 } as const;

/** Height of the spine above the flat line at `x` mm from the heel, mm. */
export function spineHeightMm(blade: BladeModel, x: number): number {
  const { lengthMm: length, heelHeightMm: heel, bellyMm: tip, spineLine } = blade;
  const after = (share: number) => Math.max(0, (x / length - share) / (1 - share));
  const line = SPINE_LINE[spineLine] * heel * Math.sin(Math.PI * Math.min(1, Math.max(0, x / length)));
  switch (blade.tip) {
    case 'point':
      return heel - (heel - tip) * Math.pow(after(0.25), 2.1) + line;
    case 'dropped':
      return heel - (heel - tip) * Math.pow(after(0.55), 2.2) + line;
    case 'clipped':
      return heel - (heel - tip) * after(0.8) + line;
    case 'sickle':
      return heel - (heel - tip) * Math.pow(after(0.82), 1.8) + line;
    case 'round':
    case 'blunt':
      return heel - 0.12 * (heel - tip) * Math.pow(after(0.5), 2) + line;
    case 'upswept':
      return heel - (heel - tip) * Math.pow(x / length, 0.9) + line;
    case 'hooked':
      return heel - (heel - tip) * Math.pow(after(0.15), 1.7) + line;
    case 'square':
      return heel - 0.04 * heel * (x / length) + line;
  }
}

/** Width of the blade, edge to spine, at a share of its length from the heel, mm. */
export const widthAtMm = (blade: BladeModel, share: number): number =>
  spineHeightMm(blade, share * blade.lengthMm) - edgeHeightMm(blade, share * blade.lengthMm);
