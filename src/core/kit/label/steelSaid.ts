import type { BladeModel } from '../../blade/schema';

/** What a text says of a blade's steel. `asked`: a steel is named that these words do not place. */
export interface SteelSaid {
  steel: BladeModel['steel'] | null;
  stainless: boolean | null;
  asked: string | null;
}

/** What is said of other parts than the blade. */
const OTHER_PARTS =
  /(?:stainless(?:[ -]steel)?|edelstahl|steel|carbon[ -]?fib(?:re|er))[\s-]*(?:handle|griff\w*|bolsters?|rivets?|nieten?|end ?cap|pommel|ring|ferrule|zwinge)|carbon[ -]?fib(?:re|er)|kohlefaser|karbonfaser/giu;
const KEEPS_BRIGHT =
  /(?:won[’']?t|will not|does not|doesn[’']?t|do not|never|cannot) rust|rostet nicht|no patina|keine patina|\bcan[’']?t rust/giu;
const NOT_BRIGHT =
  /(?:not|non|isn[’']?t|nicht)[ -]?(?:a )?(?:stainless|rust[ -]?(?:proof|free|resistant)|rostfrei\w*|rostbeständig\w*)/giu;
const RUSTS =
  /\brust(?:s|ing)?\b(?![ -]?(?:proof|free|resistant))|\brostet\b|rostend|rosten\b|\brost(?:anfällig|empfindlich)?\w*\b(?<!rostfrei\w*)(?<!rostbeständig\w*)|patina|\breactive|\breaktiv/iu;
const CARBON = /\bcarbon|kohlenstoff|karbonstahl|hochgekohlt|carbonstahl/iu;
const BRIGHT =
  /stainless|rostfrei|nichtrostend|rostbeständig|inox|edelstahl|rust[ -]?(?:proof|free|resistant)|corrosion[ -]resist/iu;
const CLAD =
  /\bclad|san[ -]?mai|laminat|mantel|dreilag|three[ -]layer|3[ -](?:layer|lag)|\bcore\b|kern(?:stahl|lage)?\b/iu;
const NAMED = /(?:steel|stahl\w*|klingenstahl|material|werkstoff|kern(?:stahl)?|core)\s*[:=]\s*([^\n,;()]{2,40})/giu;
/** Letters and digits mixed, as steels are numbered. */
const NUMBERED =
  /\b((?:[A-Z]{1,6}[- ]?\d{1,5}[A-Z]{0,3}|\d{1,3}[A-Z]{1,6}\d{0,3}|\d\.\d{4}))\b(?=[^.\n]{0,12}(?:steel|stahl|core|kern|blade|klinge))|(?:steel|stahl|core|kern)[^.\n\d]{0,6}\b([A-Z]{1,6}[- ]?\d{1,5}[A-Z]{0,3}|\d{1,3}[A-Z]{1,6}\d{0,3}|\d\.\d{4})\b/gu;

const has = (text: string, pattern: RegExp) => new RegExp(pattern.source, pattern.flags.replace('g', '')).test(text);

/** Stainless steel by how hard it is: the families part at 58 and 60 HRC. */
function stainlessOf(text: string, hrc: number | null): BladeModel['steel'] {
  if (/powder|pulver|\bPM\b/iu.test(text)) return 'powder-stainless';
  if (/hard stainless/iu.test(text)) return 'hard-stainless';
  if (/soft stainless/iu.test(text)) return 'soft-stainless';
  if (hrc === null) return 'mid-stainless';
  return hrc >= 60.5 ? 'hard-stainless' : hrc < 57.5 ? 'soft-stainless' : 'mid-stainless';
}

function carbonOf(text: string): BladeModel['steel'] {
  if (/tough carbon|spring steel|federstahl/iu.test(text)) return 'tough-carbon';
  return /alloyed carbon|legiert/iu.test(text) ? 'alloyed-carbon' : 'plain-carbon';
}

/**
 * The family of steel a text names, by the words every shop uses: stainless, semi-stainless, carbon, ceramic, powder; "will rust" and "patina" are
 * carbon. A steel's own name says nothing here: without such a word it is asked about, never taken for stainless. `hrc` sorts stainless steels.
 *
 * @example steelSaid('Carbon steel core, stainless cladding', null).steel // 'clad-carbon'
 */
export function steelSaid(text: string, hrc: number | null): SteelSaid {
  const blade = text.replace(OTHER_PARTS, ' ');
  const said = (steel: BladeModel['steel'], stainless: boolean): SteelSaid => ({ steel, stainless, asked: null });
  if (/ceramic|zirconi|keramik|zirkon/iu.test(blade)) return said('ceramic', true);
  if (/semi[- ]?stainless|halbrostfrei|bedingt rostfrei|rostträge/iu.test(blade)) return said('semi-stainless', false);
  const plain = blade.replace(KEEPS_BRIGHT, ' stainless ');
  const rusts = has(plain, NOT_BRIGHT) || has(plain.replace(NOT_BRIGHT, ' '), RUSTS);
  const bright = has(plain.replace(NOT_BRIGHT, ' '), BRIGHT);
  const carbon = has(plain, CARBON);
  const clad = has(plain, CLAD);
  const core =
    /(?:carbon|kohlenstoff\w*|reactive|reaktiv\w*)[^.,;\n]{0,24}(?:core|kern)|(?:core|kern)[^.,;\n]{0,16}(?:carbon|kohlenstoff)/iu.test(
      plain,
    );
  if (clad && bright && (core || rusts || (carbon && /clad|mantel/iu.test(plain)))) return said('clad-carbon', false);
  if (rusts) return said(clad ? 'clad-carbon' : carbonOf(plain), false);
  const coreNamed = clad && !/(?:stainless|rostfrei\w*)[^.,;\n]{0,24}(?:core|kern)/iu.test(plain) && nameIn(plain);
  // cladding that stays bright tells nothing of a core that has only a name
  if (coreNamed && bright && !carbon) return { steel: null, stainless: null, asked: coreNamed };
  if (bright) return said(stainlessOf(plain, hrc), true);
  if (carbon) return said(clad ? 'clad-carbon' : carbonOf(plain), false);
  const name = nameIn(plain) ?? (/damas[kctz]\w*|\bclad\b/iu.exec(plain)?.[0] || null);
  return { steel: null, stainless: null, asked: name };
}

/** The name of a steel a text gives; null where it names none. */
function nameIn(text: string): string | null {
  for (const [, named = ''] of text.matchAll(NAMED)) {
    const name = named.trim();
    if (name && !BRIGHT.test(name) && !CARBON.test(name) && !/^\d{1,3}\s?(?:mm|cm|°|HRC)/i.test(name)) return name;
  }
  for (const [, before, after] of text.matchAll(NUMBERED)) {
    const name = before ?? after ?? '';
    if (!/^HRC/i.test(name)) return name;
  }
  return null;
}
