import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { PAPERS, type Paper } from '../core/formats/paper';
import { pathOfShape, type Drawing, type Point, type Role } from '../core/drawing/shape';

const PT_PER_MM = 72 / 25.4;
export const INK = '#1f2a2e';
export const FADED = '#5b676b';
export const RULE = '#b9c0bd';
export const ACCENT = '#9a6a08';

/** How each part of a drawing is painted on paper. */
const PAINT: Record<Role, { fill?: string; line: number }> = {
  steel: { fill: '#eef1f0', line: 1 },
  handle: { fill: '#c9b79a', line: 1 },
  fitting: { fill: '#d5dad8', line: 1 },
  line: { line: 1 },
  faint: { line: 0.5 },
  hand: { fill: '#f1e3cf', line: 0.8 },
};

const require = createRequire(import.meta.url);
const FONTS = {
  plain: '@fontsource/familjen-grotesk/files/familjen-grotesk-latin-400-normal.woff',
  bold: '@fontsource/familjen-grotesk/files/familjen-grotesk-latin-700-normal.woff',
  plainWide: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf',
  boldWide: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf',
} as const;
/** Characters the narrow fonts hold; whatever has others is set in the wide ones. */
const NARROW = /^[\n\u0020-\u007e\u00a0-\u00ff\u2013\u2014\u2018\u2019\u201c\u201d\u2022\u2026\u20ac]*$/;

/** Most text that is set in one document, characters: a plan of sixty steps with every brief has a tenth of it. */
const MOST_TEXT = 300_000;
/** A word longer than this is broken, characters: setting one very long word takes time with the square of its length. */
const LONGEST_WORD = 40;
const LONG_WORD = new RegExp(`\\S{${LONGEST_WORD}}(?=\\S)`, 'g');
const broken = (words: string) => words.replace(LONG_WORD, '$& ');

/** Thrown where something cannot be put on paper; the message tells the reader what to do. */
export class Unprintable extends Error {}

export interface TextStyle {
  size?: number;
  bold?: boolean;
  color?: string;
  /** Width of the column, mm. */
  wide: number;
}

/** Pages measured in millimetres from the top left corner, written to bytes. The same calls give the same bytes. */
export class Sheets {
  private readonly doc: PDFKit.PDFDocument;
  private readonly chunks: Buffer[] = [];
  private characters = 0;
  /** The text measured last: it is usually the one written next. */
  private measured: { words: string; style: TextStyle; high: number } | null = null;
  readonly wide: number;
  readonly high: number;

  constructor(paper: Paper, title: string, { landscape = false } = {}) {
    const { wide, high } = PAPERS[paper];
    [this.wide, this.high] = landscape ? [high, wide] : [wide, high];
    this.doc = new PDFDocument({
      autoFirstPage: false,
      size: [this.wide * PT_PER_MM, this.high * PT_PER_MM],
      margin: 0,
      lang: 'en',
      displayTitle: true,
      pdfVersion: '1.7',
      // no clock: the same plan is the same file
      info: { Title: title, Producer: 'Scabbard', Creator: 'Scabbard', CreationDate: new Date(0) },
    });
    this.doc.on('data', (chunk: Buffer) => this.chunks.push(chunk));
    for (const [name, path] of Object.entries(FONTS)) this.doc.registerFont(name, require.resolve(path));
  }

  page(): void {
    this.doc.addPage();
  }

  private style(words: string, { size = 10, bold = false, color = INK }: Omit<TextStyle, 'wide'>): PDFKit.PDFDocument {
    const wide = NARROW.test(words) ? '' : 'Wide';
    return this.doc
      .font(`${bold ? 'bold' : 'plain'}${wide}`)
      .fontSize(wide === '' ? size : 0.88 * size)
      .fillColor(color);
  }

  /** How high some words stand in their column, mm. Throws {@link Unprintable} where there is too much text. */
  height(words: string, style: TextStyle): number {
    const { size, bold, wide } = style;
    const last = this.measured;
    if (last?.words === words && last.style.size === size && last.style.bold === bold && last.style.wide === wide)
      return last.high;
    this.count(words);
    const set = this.style(words, style);
    const high = set.heightOfString(broken(words), { width: wide * PT_PER_MM, lineGap: 1 }) / PT_PER_MM;
    this.measured = { words, style, high };
    return high;
  }

  /** Writes words from a corner on; returns how high they stand, mm. Throws {@link Unprintable} where there is too much text. */
  text(words: string, x: number, y: number, style: TextStyle & { align?: 'left' | 'right' | 'center' }): number {
    const high = this.height(words, style);
    this.style(words, style).text(broken(words), x * PT_PER_MM, y * PT_PER_MM, {
      width: style.wide * PT_PER_MM,
      lineGap: 1,
      align: style.align ?? 'left',
    });
    return high;
  }

  private count(words: string): void {
    this.characters += words.length;
    if (this.characters > MOST_TEXT)
      throw new Unprintable(
        'This is too much text for paper: choose fewer sheets or shorten the names in this kitchen.',
      );
  }

  /** A line between two points; `dash` in mm. */
  line(from: Point, to: Point, { color = RULE, width = 0.25, dash = 0 } = {}): void {
    this.doc.save().lineWidth(width * PT_PER_MM);
    if (dash > 0) this.doc.dash(dash * PT_PER_MM, {});
    this.doc
      .moveTo(from.x * PT_PER_MM, from.y * PT_PER_MM)
      .lineTo(to.x * PT_PER_MM, to.y * PT_PER_MM)
      .stroke(color)
      .restore();
  }

  box(x: number, y: number, wide: number, high: number, { color = RULE, fill = '' } = {}): void {
    this.doc.save().lineWidth(0.25 * PT_PER_MM);
    this.doc.rect(x * PT_PER_MM, y * PT_PER_MM, wide * PT_PER_MM, high * PT_PER_MM);
    if (fill) this.doc.fillAndStroke(fill, color);
    else this.doc.stroke(color);
    this.doc.restore();
  }

  /** Paints a drawing; `place` gives each of its points its place on the page, mm. `outline`: no filling, a line of that width, mm. */
  drawing({ shapes }: Drawing, place: (p: Point) => Point, { line = 0.25, outline = false } = {}): void {
    for (const shape of shapes) {
      const { fill, line: weight } = PAINT[shape.role];
      const path = pathOfShape(shape, (p) => {
        const { x, y } = place(p);
        return { x: x * PT_PER_MM, y: y * PT_PER_MM };
      });
      this.doc
        .save()
        .lineWidth(line * weight * PT_PER_MM)
        .lineJoin('round');
      this.doc.path(path);
      if (fill && shape.closed && !outline) this.doc.fillAndStroke(fill, INK);
      else this.doc.stroke(INK);
      this.doc.restore();
    }
  }

  /** Paints only within a box, mm. */
  within(x: number, y: number, wide: number, high: number, work: () => void): void {
    this.doc.save();
    this.doc.rect(x * PT_PER_MM, y * PT_PER_MM, wide * PT_PER_MM, high * PT_PER_MM).clip();
    work();
    this.doc.restore();
  }

  /** The finished file. */
  async bytes(): Promise<Buffer> {
    const done = new Promise<void>((resolve) => this.doc.on('end', resolve));
    this.doc.end();
    await done;
    return Buffer.concat(this.chunks);
  }
}
