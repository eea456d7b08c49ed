import type { BladeModel } from '../core/blade/schema';
import { box, drawingOf, type Point } from '../core/drawing/shape';
import type { Paper } from '../core/formats/paper';
import type { Placed, StoragePlace } from '../core/formats/storageFile';
import { knifeIn, pictureOf, type KnifePicture, type PlacePicture } from '../core/keeping/picture';
import { thingOf } from '../core/keeping/things';
import { Flow } from './flow';
import { FADED, INK, Sheets, Unprintable } from './sheet';
import { checkBar, cross, MARGIN } from './trueSize';

/** A storage with its knives, to be printed. */
export interface PlacesPaper {
  title: string;
  places: readonly { name: string; place: StoragePlace }[];
  knives: readonly { ref: string; name: string; blade: BladeModel }[];
  placed: readonly Placed[];
}

/** A knife in a picture, with its name and its corner, mm. */
interface Seen extends KnifePicture {
  name: string;
}

/** Height kept at the foot of a sheet for the check bar, and of the words at its head, mm. */
const FOOT = 20;
const HEAD = 9;
/** What of a place two sheets beside each other both show, mm. */
const OVERLAP = 12;
/** Most sheets for one place at true size. */
const MOST_SHEETS = 24;

const round = (mm: number) => Math.round(mm);

/** A place with what is in it. */
function seenIn({ place }: PlacesPaper['places'][number], at: number, { knives, placed }: PlacesPaper) {
  const here = placed.filter((each) => each.place === at);
  const things = here.flatMap((each) => {
    const knife = knives.find(({ ref }) => ref === each.ref);
    return knife ? [{ ...knife, at: each, thing: thingOf(knife.ref, knife.name, knife.blade) }] : [];
  });
  const longest = Math.max(0, ...things.map(({ thing }) => thing.bladeMm));
  return {
    picture: pictureOf(place, longest),
    seen: things.map(({ name, thing, blade, at: spot }): Seen => ({
      name,
      ...knifeIn(thing, blade, spot, place, longest),
    })),
  };
}

/** Every place on a page to a scale that fits it, with its measurements and where each knife is. */
export async function placesPlan(asked: PlacesPaper, paper: Paper): Promise<Buffer> {
  const sheets = new Sheets(paper, `${asked.title}: where the knives live`);
  const flow = new Flow(sheets, `${asked.title} · Scabbard · measured from the left and the back, in millimetres`);
  flow.text(`${asked.title}: where the knives live`, { size: 18, bold: true, after: 3 });
  asked.places.forEach((each, i) => {
    const { picture, seen } = seenIn(each, i, asked);
    const scale = Math.min(0.7, flow.wide / picture.wide, 150 / picture.deep);
    flow.room(picture.deep * scale + 22);
    flow.heading(each.name);
    flow.text(`${round(picture.wide)} × ${round(picture.deep)} mm as drawn, 1 : ${(1 / scale).toFixed(1)}`, {
      size: 8.5,
      color: FADED,
    });
    const { left, y } = flow;
    paint(sheets, picture, seen, (p) => ({ x: left + p.x * scale, y: y + p.y * scale }), 0.2);
    seen.forEach(({ box: at }, k) =>
      sheets.text(String(k + 1), left + (at.x + 3) * scale, y + (at.y + 2) * scale, { size: 8, bold: true, wide: 8 }),
    );
    flow.y += picture.deep * scale + 3;
    seen.forEach(({ name, box: at }, k) =>
      flow.item(
        `${name}: from ${round(at.x)} to ${round(at.x + at.wide)} mm across, from ${round(at.y)} to ${round(at.y + at.deep)} mm down`,
        { mark: String(k + 1) },
      ),
    );
  });
  return sheets.bytes();
}

function paint(
  sheets: Sheets,
  { cells, body }: PlacePicture,
  seen: readonly Seen[],
  at: (p: Point) => Point,
  line: number,
) {
  const frame = [
    ...(body ? [box('line', body.x, body.y, body.wide, body.deep)] : []),
    ...cells.map((cell) => box('faint', cell.x, cell.y, cell.wide, cell.deep)),
  ];
  sheets.drawing(drawingOf(frame), at, { line, outline: true });
  for (const { drawing, place } of seen) sheets.drawing(drawing, (p) => at(place(p)), { line });
}

/** Too large to be printed at true size on so many sheets. */
/**
 * Every place at true size over as many sheets as it takes, with marks where they join and a bar to check the print. Throws {@link Unprintable} where one
 * place would take more than two dozen.
 */
export async function placesAtTrueSize(asked: PlacesPaper, paper: Paper): Promise<Buffer> {
  const sheets = new Sheets(paper, `${asked.title}: where the knives live, at true size`, { landscape: true });
  const [roomWide, roomDeep] = [sheets.wide - 2 * MARGIN, sheets.high - MARGIN - HEAD - FOOT];
  asked.places.forEach((each, i) => {
    const { picture, seen } = seenIn(each, i, asked);
    const [across, down] = [tiles(picture.wide, roomWide), tiles(picture.deep, roomDeep)];
    if (across.length * down.length > MOST_SHEETS)
      throw new Unprintable(
        `${each.name} would take ${across.length * down.length} sheets at true size; print it as a plan.`,
      );
    down.forEach((fromY, row) =>
      across.forEach((fromX, column) => {
        sheets.page();
        checkBar(sheets);
        const many = across.length * down.length;
        const which =
          many === 1
            ? ''
            : `, sheet ${row * across.length + column + 1} of ${many}: row ${row + 1}, column ${column + 1}`;
        sheets.text(`${each.name}${which}`, MARGIN, MARGIN - 1, { size: 11, bold: true, wide: roomWide });
        const top = MARGIN + HEAD;
        const at = (p: Point) => ({ x: MARGIN + p.x - fromX, y: top + p.y - fromY });
        sheets.within(MARGIN - 0.2, top - 0.2, roomWide + 0.4, roomDeep + 0.4, () => {
          paint(sheets, picture, seen, at, 0.3);
          for (const { name, box: lies } of seen) {
            const corner = at({ x: lies.x + 3, y: lies.y + 1 });
            // a word beyond the sheet would begin a page of its own
            if (
              corner.y > top - 3 &&
              corner.y < top + roomDeep - 4 &&
              corner.x > -40 &&
              corner.x < sheets.wide - MARGIN
            )
              sheets.text(name, corner.x, corner.y, { size: 8, color: INK, wide: 80 });
          }
          for (const mark of marks(picture, across, down)) cross(sheets, at(mark));
        });
      }),
    );
  });
  return sheets.bytes();
}

/** Marks along the lines where sheets join: the same on both sides. */
function marks({ wide, deep }: PlacePicture, across: readonly number[], down: readonly number[]): Point[] {
  const joints = (from: readonly number[]) => from.slice(1).map((at) => at + OVERLAP / 2);
  const ends = (long: number) => [8, long - 8];
  const [xs, ys] = [joints(across), joints(down)];
  return [
    ...xs.flatMap((x) => [...ys, ...ends(deep)].map((y) => ({ x, y }))),
    ...ys.flatMap((y) => ends(wide).map((x) => ({ x, y }))),
  ];
}

/** Where sheets that show so much of a length begin, mm. */
function tiles(long: number, room: number): number[] {
  const many = long <= room ? 1 : Math.ceil((long - OVERLAP) / (room - OVERLAP));
  return Array.from({ length: many }, (_, i) => i * (room - OVERLAP));
}
