import * as mupdf from 'mupdf';

/** Dots of a rendered page in a millimetre. */
export const PER_MM = 10;

/** A page as rendered, and whether a dot of it is dark. */
export function rendered(bytes: Buffer, page: number) {
  const document = mupdf.Document.openDocument(bytes, 'application/pdf');
  const scale = (25.4 / 72) * PER_MM;
  const pixels = document
    .loadPage(page)
    .toPixmap(mupdf.Matrix.scale(scale, scale), mupdf.ColorSpace.DeviceGray, false, true);
  const [data, wide, high] = [pixels.getPixels(), pixels.getWidth(), pixels.getHeight()];
  return {
    pages: document.countPages(),
    wide,
    high,
    isDark: (x: number, y: number) => (data[y * wide + x] ?? 255) < 140,
  };
}
export type Page = ReturnType<typeof rendered>;

/** The longest dark line across a page between two heights, mm. */
export function longestLine({ wide, isDark }: Page, fromMm: number, toMm: number): number {
  let longest = 0;
  for (let y = Math.round(fromMm * PER_MM); y < toMm * PER_MM; y++)
    for (let x = 0, run = 0; x < wide; x++) longest = Math.max(longest, (run = isDark(x, y) ? run + 1 : 0));
  return longest / PER_MM;
}

/** How far the dark dots between two heights reach across, mm. */
export function reach({ wide, isDark }: Page, fromMm: number, toMm: number): [number, number] {
  let [left, right] = [wide, 0];
  for (let y = Math.round(fromMm * PER_MM); y < toMm * PER_MM; y++)
    for (let x = 0; x < wide; x++) if (isDark(x, y)) [left, right] = [Math.min(left, x), Math.max(right, x)];
  return [left / PER_MM, right / PER_MM];
}
