import type { BladeModel, Steel } from '../blade/schema';
import { hardness } from '../blade/strength';
import { EDGE, STONES } from '../constants';
import type { DiaryEntry } from '../formats/diaryFile';
import { upperFirst } from '../text/case';
import { isSharpened } from './keenness';

/** One step at the stone: large words, what to look at, and a clock where something takes its time. */
export interface SessionStep {
  id: string;
  title: string;
  text: string;
  /** What is drawn beside it. */
  draw: 'angle' | 'sides' | 'none';
  /** Stones that soak side by side during it, with their minutes. */
  soaks?: { stone: string; minutes: number }[];
}

/** A session for a knife, or why there is none. */
export type Session =
  | {
      can: true;
      steps: SessionStep[];
      angleDeg: number;
      spineHeightMm: number;
      /** Stones it goes over, in words. */
      stones: string;
      caution: string | null;
    }
  | { can: false; why: string };

interface Given {
  blade: BladeModel;
  steel: Pick<Steel, 'rustProof'>;
  angleDeg: number;
  spineHeightMm: number;
  /** Tools in the order they are used, as the edge report names them. */
  stones: readonly string[];
  diary: readonly Pick<DiaryEntry, 'did' | 'by'>[];
}

const NAMES: Record<string, string> = {
  'stone-coarse': 'coarse stone',
  'stone-medium': 'medium stone, about 1000',
  'stone-fine': 'fine stone, about 3000',
  'stone-polish': 'polishing stone, 6000 or more',
};

/** How many sessions at the stone an edge asks for before it: hard, long and single-bevelled ones wait (handbook 9.5). */
function practiceAsked({ blade }: Pick<Given, 'blade'>): number {
  const { harder, longer, single } = STONES;
  return (
    (hardness(blade) >= EDGE.honing.hardFrom.value ? harder.value : 0) +
    (blade.lengthMm > STONES.longFrom.value ? longer.value : 0) +
    (blade.bevel === 'single' ? single.value : 0)
  );
}

function onStone(stone: string, { blade, angleDeg, spineHeightMm }: Given, first: boolean): SessionStep[] {
  const name = NAMES[stone] ?? stone;
  const passes = STONES.passes.value;
  const held = `Gap under the spine ${spineHeightMm.toFixed(1)} mm: ${Math.round(angleDeg)}° a side.`;
  if (blade.bevel === 'single')
    return [
      {
        id: `${stone}-bevel`,
        title: `${upperFirst(name)}: the bevel`,
        text: `Lay the bevel flat on its own face, press near the edge, and work from heel to tip until a burr stands along the whole flat side. ${passes} passes are a beginning.`,
        draw: 'angle',
      },
      {
        id: `${stone}-back`,
        title: `${upperFirst(name)}: the back`,
        text: 'Lay the flat back down, all of it touching, and draw it a few times without weight: only the burr comes off.',
        draw: 'sides',
      },
    ];
  return [
    {
      id: `${stone}-one`,
      title: `${upperFirst(name)}: first side`,
      text: `${held} Steady, heel to tip, until a burr stands along the whole other side. ${passes} passes are a beginning${first ? '; more where it was dull' : ''}.`,
      draw: 'angle',
    },
    {
      id: `${stone}-two`,
      title: `${upperFirst(name)}: other side`,
      text: `The same height and as many passes, until the burr has gone over. Then one light pass a side, in turn, three times.`,
      draw: 'sides',
    },
  ];
}

/** Why no stone helps a blade; null where one does. */
function whyNone(blade: BladeModel): string | null {
  if (isSharpened(blade)) return null;
  if (blade.steel === 'ceramic') return 'Ceramic is ground by its maker with diamond; a stone at home chips it.';
  return blade.serration !== 'none'
    ? 'Serrated: a stone takes its teeth. It bites for two to five years and is replaced; a rod in each tooth helps a little.'
    : 'A blunt prying blade has no edge to sharpen.';
}

/** What is said first to who has not sharpened enough for such a blade; null to all others. */
function practiceFirst(given: Given): string | null {
  const done = given.diary.filter(({ did, by }) => did === 'sharpened' && by === 'stones').length;
  const asked = practiceAsked(given);
  if (done >= asked) return null;
  const sessions = asked === 1 ? 'One session' : `${asked} sessions`;
  const told = done === 0 ? 'none is' : `${done} ${done === 1 ? 'is' : 'are'}`;
  return `${sessions} on a softer, shorter, double-bevelled knife first: ${told} in the diary. A mistake there costs nothing.`;
}

/** The steps of a session over some stones, in their order. */
function stepsOver(wet: readonly string[], given: Given): SessionStep[] {
  const soaks = wet.map((stone) => ({
    stone: NAMES[stone] ?? stone,
    minutes: STONES.soak[stone as keyof typeof STONES.soak].value,
  }));
  return [
    {
      id: 'place',
      title: 'Make the place ready',
      text: 'Good light, a firm table, the stone on a wet cloth so that it cannot slide. Cloths beside you. The edge away from you whenever the knife lies down. Slowly.',
      draw: 'none',
    },
    ...(soaks.some(({ minutes }) => minutes > 0)
      ? [
          {
            id: 'soak',
            title: 'Soak the stones, all at once',
            text: 'Under water until no more bubbles rise.',
            draw: 'none' as const,
            soaks: soaks.filter(({ minutes }) => minutes > 0),
          },
        ]
      : []),
    ...(given.steel.rustProof <= 4
      ? [
          {
            id: 'rust',
            title: 'Rust off',
            text: 'Meanwhile: rub red rust away with a rust eraser and water, along the blade, never across the edge. Grey patina stays.',
            draw: 'none' as const,
          },
        ]
      : []),
    {
      id: 'flat',
      title: 'Flatten the stones',
      text: 'Pencil lines across, then the flattening stone until they are gone: a hollow stone rounds an edge.',
      draw: 'none',
    },
    ...wet.flatMap((stone, i) => onStone(stone, given, i === 0)),
    {
      id: 'burr',
      title: 'Take off the last burr',
      text: 'Draw the edge backwards over newspaper or a strop, a few times a side, without weight.',
      draw: 'none',
    },
    {
      id: 'check',
      title: 'Rinse, dry, try it',
      text: 'On paper, then on a tomato, never on a finger. Where it catches, a few light passes more there.',
      draw: 'none',
    },
  ];
}

/**
 * A session at the stone for one blade (handbook 6.2 and 9.5): rust off, stones soaked side by side and flattened, each stone in its order with the
 * height to hold the spine, burr, finish and check. Told instead where no stone helps.
 *
 * @example sessionFor({ blade: bread, steel, stones: [], diary: [], angleDeg: 15, spineHeightMm: 8 }).can // false
 */
export function sessionFor(given: Given): Session {
  const { blade, stones, angleDeg, spineHeightMm } = given;
  const why = whyNone(blade);
  if (why !== null) return { can: false, why };
  const wet = stones.filter((stone) => stone.startsWith('stone-'));
  return {
    can: true,
    stones: wet
      .map((stone) => NAMES[stone] ?? stone)
      .join('; ')
      .slice(0, 80),
    angleDeg,
    spineHeightMm,
    caution: practiceFirst(given),
    steps: stepsOver(wet, given),
  };
}
