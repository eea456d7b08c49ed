import { FADED, INK, RULE, type Sheets, type TextStyle } from './sheet';

const MARGIN = 15;
const FOOT = 12;

/** Text and drawings set one below the other, page after page; every page says what it is of at its foot. */
export class Flow {
  y = MARGIN;
  private pages = 0;

  constructor(
    readonly sheets: Sheets,
    private readonly foot: string,
  ) {
    this.turn();
  }

  get left(): number {
    return MARGIN;
  }
  get wide(): number {
    return this.sheets.wide - 2 * MARGIN;
  }

  turn(): void {
    this.sheets.page();
    this.pages++;
    this.y = MARGIN;
    const at = this.sheets.high - FOOT;
    this.sheets.line({ x: MARGIN, y: at }, { x: this.sheets.wide - MARGIN, y: at });
    this.sheets.text(this.foot, MARGIN, at + 2, { size: 8, color: FADED, wide: this.wide - 20 });
    this.sheets.text(String(this.pages), this.sheets.wide - MARGIN - 20, at + 2, {
      size: 8,
      color: FADED,
      wide: 20,
      align: 'right',
    });
  }

  /** Turns the page unless so much still fits, mm. */
  room(high: number): void {
    if (this.y + high > this.sheets.high - FOOT - 4) this.turn();
  }

  text(words: string, style: Partial<TextStyle> & { after?: number; indent?: number } = {}): void {
    const { after = 1.5, indent = 0, wide = this.wide - indent, ...rest } = style;
    this.room(this.sheets.height(words, { ...rest, wide }));
    this.y += this.sheets.text(words, this.left + indent, this.y, { ...rest, wide }) + after;
  }

  heading(words: string): void {
    this.room(20);
    this.y += 3;
    this.text(words, { size: 13, bold: true, after: 2 });
  }

  /** Words behind a small mark. */
  item(words: string, { indent = 0, size = 9.5, color = INK, mark = '–' } = {}): void {
    const wide = this.wide - indent - 4;
    this.room(this.sheets.height(words, { size, wide }));
    this.sheets.text(mark, this.left + indent, this.y, { size, color, wide: 4 });
    this.y += this.sheets.text(words, this.left + indent + 4, this.y, { size, color, wide }) + 0.8;
  }

  rule(dash = 0): void {
    this.sheets.line({ x: this.left, y: this.y }, { x: this.left + this.wide, y: this.y }, { dash, color: RULE });
    this.y += 2.5;
  }
}
