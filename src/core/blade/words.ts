/** Closed word lists of the blade description; every other module takes its types from here. */
export const TIPS = ['point', 'dropped', 'clipped', 'square', 'sickle', 'round', 'upswept', 'hooked', 'blunt'] as const;
export const STEEL_IDS = [
  'soft-stainless',
  'mid-stainless',
  'hard-stainless',
  'powder-stainless',
  'semi-stainless',
  'plain-carbon',
  'alloyed-carbon',
  'tough-carbon',
  'clad-carbon',
  'ceramic',
] as const;
export const HANDLE_STYLES = ['western', 'octagon', 'oval', 'd-shape', 'moulded', 'metal', 'folding'] as const;
export const BEVELS = ['double', 'uneven', 'single'] as const;
export const HANDED = ['right', 'left', 'either'] as const;
export const SERRATIONS = ['none', 'pointed', 'scalloped'] as const;
export const MAKES = ['forged', 'stamped'] as const;
export const ORIGINS = ['factory', 'hand-made'] as const;
export const SURFACES = ['polished', 'hammered', 'dimpled', 'rough-forged'] as const;
/** Kinds of work within a role: who owns a knife for one still lacks one for another. */
export const WORKS = ['raw-slices', 'breaking-meat', 'bone-chopping'] as const;
export const ROLES = [
  'general',
  'vegetable',
  'small',
  'serrated',
  'slicer',
  'butchery',
  'fish',
  'table',
  'other',
] as const;

/** Who made a knife of which nobody says. */
export const UNKNOWN_MAKER = 'Unknown';

/** Longest name of a shop's list, characters. */
export const LIST_NAME_MOST = 80;
