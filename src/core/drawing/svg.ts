import { pathOfShape, type Drawing, type Role } from './shape';

/** How each part is painted in a file for others: plain colours that print. */
const PAINT: Record<Role, string> = {
  steel: 'fill="#e9eeec"',
  handle: 'fill="#c9b79a"',
  fitting: 'fill="#d5dad8"',
  line: 'fill="none"',
  faint: 'fill="none" stroke-opacity="0.6"',
  hand: 'fill="#f1e3cf"',
};
/** Between two drawings, and round all of them, mm. */
const GAP = 14;
const LETTERS = 5;

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/**
 * Drawings one below the other, each under its name, as an SVG file at true size: a user unit is a millimetre. The ends of the handles lie on one line.
 */
export function svgOf(title: string, things: readonly { name: string; drawing: Drawing }[]): string {
  const wide = Math.max(50, ...things.map(({ drawing }) => drawing.right - drawing.left)) + 2 * GAP;
  let y = GAP;
  const groups = things.map(({ name, drawing }) => {
    const top = y + LETTERS + 2;
    y = top + (drawing.top - drawing.bottom) + GAP;
    const paths = drawing.shapes.map(
      (shape) =>
        `<path ${PAINT[shape.role]} d="${pathOfShape(shape, (p) => ({
          x: GAP + p.x - drawing.left,
          y: top + drawing.top - p.y,
        }))}"/>`,
    );
    return `<g><title>${escaped(name)}</title><text x="${GAP}" y="${(top - 2).toFixed(2)}" font-size="${LETTERS}" fill="#1f2a2e" stroke="none" font-family="sans-serif">${escaped(name)}</text>${paths.join('')}</g>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${wide.toFixed(2)}mm" height="${y.toFixed(2)}mm" viewBox="0 0 ${wide.toFixed(2)} ${y.toFixed(2)}" stroke="#1f2a2e" stroke-width="0.6" stroke-linejoin="round">`,
    `<title>${escaped(title)}</title>`,
    ...groups,
    '</svg>\n',
  ].join('\n');
}
