import type { BladeModel } from '../../blade/schema';
import { SERRATIONS, TIPS } from '../../blade/words';
import { WORTH } from '../../constants';
import { because, type Loss, type Trial } from './trial';

/** A trait of a blade that is one of a few words: what it may be, how each is told, and what changes with it. */
interface Trait {
  /** As a thing that does not matter. */
  name: string;
  of: (blade: BladeModel) => string;
  values: readonly string[];
  told: Record<string, string>;
  as: (blade: BladeModel, value: string) => Partial<BladeModel>;
}

const plain = (
  key: keyof BladeModel,
  name: string,
  told: Record<string, string>,
  values: readonly string[] = Object.keys(told),
): Trait => ({
  name,
  of: (blade) => String(blade[key]),
  values,
  told,
  as: (_, value) => ({ [key]: value }),
});

const TRAITS: readonly Trait[] = [
  {
    ...plain('serration', 'whether it has teeth', {
      none: 'a plain edge without teeth',
      pointed: 'pointed teeth',
      scalloped: 'a scalloped edge',
    }),
    values: SERRATIONS,
    as: ({ serrationPitchMm }, value) => ({
      serration: value as BladeModel['serration'],
      serrationPitchMm: value === 'none' ? 0 : serrationPitchMm || 6,
    }),
  },
  {
    name: 'how its bevel is ground',
    of: ({ bevel, handed }) => (bevel === 'double' ? 'double' : `${bevel} ${handed}`),
    values: ['double', 'single right', 'single left', 'uneven right', 'uneven left'],
    told: {
      double: 'an edge ground evenly on both sides',
      'single right': 'a single bevel for the right hand',
      'single left': 'a single bevel for the left hand',
      'uneven right': 'an uneven bevel for the right hand',
      'uneven left': 'an uneven bevel for the left hand',
    },
    as: ({ edgeAngleDeg }, value) => {
      const [bevel, handed = 'either'] = value.split(' ') as [BladeModel['bevel'], BladeModel['handed'] | undefined];
      return { bevel, handed, edgeAngleBackDeg: bevel === 'single' ? 0 : edgeAngleDeg };
    },
  },
  {
    name: 'the family of its steel',
    of: ({ steel }) =>
      steel === 'ceramic'
        ? 'ceramic'
        : /carbon|semi/.test(steel)
          ? steel === 'semi-stainless'
            ? 'semi'
            : 'carbon'
          : 'stainless',
    values: ['stainless', 'semi', 'carbon', 'ceramic'],
    told: {
      stainless: 'stainless steel',
      semi: 'semi-stainless steel',
      carbon: 'carbon steel that rusts when it is left wet',
      ceramic: 'a ceramic blade',
    },
    as: (_, value) =>
      value === 'ceramic'
        ? { steel: 'ceramic', hrc: null }
        : {
            steel: ({ stainless: 'mid-stainless', semi: 'semi-stainless', carbon: 'plain-carbon' } as const)[
              value as 'stainless' | 'semi' | 'carbon'
            ],
          },
  },
  plain(
    'tip',
    'the shape of its tip',
    {
      point: 'a pointed tip',
      dropped: 'a dropped tip',
      clipped: 'a clipped tip',
      square: 'a square end without a tip',
      sickle: 'a sickle tip',
      round: 'a round end',
      upswept: 'an upswept tip',
      hooked: 'a hooked blade',
      blunt: 'a blunt end',
    },
    TIPS,
  ),
  plain('handleStyle', 'the make of its handle', {
    western: 'a riveted handle',
    octagon: 'an octagonal handle',
    oval: 'an oval handle',
    'd-shape': 'a D-shaped handle',
    moulded: 'a moulded handle',
    metal: 'a metal handle',
  }),
  plain('bolster', 'whether it has a bolster', {
    none: 'no bolster',
    half: 'a half bolster',
    full: 'a full bolster down to the heel',
  }),
  plain('surface', 'how its sides are finished', {
    polished: 'smooth sides',
    hammered: 'hammered sides',
    dimpled: 'dimpled sides',
    'rough-forged': 'sides left rough from the forge',
  }),
  {
    name: 'how far it bends',
    of: ({ flex }) => (flex < 0.2 ? 'stiff' : flex < 0.5 ? 'springy' : 'limp'),
    values: ['stiff', 'springy', 'limp'],
    told: { stiff: 'a stiff blade', springy: 'a blade with some spring', limp: 'a blade that bends easily' },
    as: (_, value) => ({
      flex: ({ stiff: 0.03, springy: 0.3, limp: 0.7 } as const)[value as 'stiff' | 'springy' | 'limp'],
    }),
  },
  {
    ...plain('easedSpine', 'whether the corners of spine and heel are rounded', {
      true: 'rounded corners at spine and heel',
      false: 'sharp corners at spine and heel',
    }),
    as: (_, value) => ({ easedSpine: value === 'true' }),
  },
  plain('handleHanded', 'which hand its handle is shaped for', {
    either: 'a handle for either hand',
    right: 'a handle shaped for the right hand',
    left: 'a handle shaped for the left hand',
  }),
];

/** What of a blade's make matters to its cook. */
export interface Make {
  must: string[];
  avoid: string[];
  indifferent: string[];
}

const told = (loss: Loss | null) => (loss ? because(loss) : '');

/** Losses of a point's fraction that are told at most, the heaviest first. */
const AVOIDED = 6;

/**
 * Every trait of a step's blade tried as everything else it might be: what must be there (all else costs half a point or more), what is to be
 * avoided and why, and what does not matter.
 */
export function makeOf(trial: Trial): Make {
  const most = 100 * WORTH.halfPoint.value;
  const make: Make = { must: [], avoid: [], indifferent: [] };
  const avoided: { lost: number; words: string }[] = [];
  for (const trait of TRAITS) {
    const own = trait.of(trial.pick);
    const others = trait.values.filter((value) => value !== own && trait.told[value] !== undefined);
    const tried = others.map((value) => {
      const changes = trait.as(trial.pick, value);
      return { value, changes, lost: trial.drop(changes) };
    });
    const worse = tried.filter(({ lost }) => lost >= most);
    if (worse.length === 0) make.indifferent.push(trait.name);
    else if (worse.length === tried.length && trait.told[own]) make.must.push(trait.told[own]);
    else
      for (const { value, changes, lost } of worse)
        avoided.push({ lost, words: `${trait.told[value] ?? value}${told(trial.loss(changes))}` });
  }
  make.avoid = avoided
    .sort((a, b) => b.lost - a.lost)
    .slice(0, AVOIDED)
    .map(({ words }) => words);
  return make;
}
