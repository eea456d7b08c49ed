/** A part of a quantity that is cut in a way of its own. */
export interface Share {
  amount: number;
  cut: string;
}

const COUNT = 'one|two|three|four|five|\\d+|half|the others?|the rest|the remaining|another';
const CUT = 'sliced|diced|chopped|minced|halved|quartered|grated|shredded|crushed|julienned|cubed|left whole';
const HOW = '(?:(?:finely|thinly|roughly|coarsely|very)\\s+)*';
/** "1 sliced and 1 finely chopped", "half diced, half sliced". */
const COUNTED = new RegExp(`\\b(${COUNT})\\s+(${HOW}(?:${CUT}))\\b`, 'gi');
/** "slice one, dice the other". */
const ORDERED = new RegExp(
  `\\b(${HOW})(slice|dice|chop|mince|halve|quarter|grate|shred|crush|julienne|cube)\\s+(${COUNT})\\b`,
  'gi',
);
const NUMBERS: Record<string, number> = { one: 1, two: 2, three: 3, four: 4, five: 5, another: 1 };
const DONE: Record<string, string> = { chop: 'chopped' };

/**
 * The parts of a quantity where a line cuts them in different ways; null where it does not, or where the parts come to more than there is.
 *
 * @example sharesOf('2 onions: slice one, dice the other', 2) // [{ amount: 1, cut: 'sliced' }, { amount: 1, cut: 'diced' }]
 */
export function sharesOf(line: string, quantity: number): Share[] | null {
  const said = [
    ...[...line.matchAll(COUNTED)].map(({ 1: count = '', 2: cut = '' }) => ({ count, cut })),
    ...[...line.matchAll(ORDERED)].map(({ 1: how = '', 2: verb = '', 3: count = '' }) => ({
      count,
      cut: `${how}${DONE[verb.toLowerCase()] ?? `${verb.toLowerCase()}d`}`,
    })),
  ];
  if (said.length < 2) return null;
  const known = said.map(({ count }) => {
    const word = count.toLowerCase();
    if (word === 'half') return quantity / 2;
    return NUMBERS[word] ?? (/^\d/.test(word) ? Number(word) : null);
  });
  const taken = known.reduce<number>((sum, amount) => sum + (amount ?? 0), 0);
  const rest = quantity - taken;
  const open = known.filter((amount) => amount === null).length;
  if (rest < -1e-9 || open > 1 || (open === 1 && rest <= 0)) return null;
  return said.map(({ cut }, i) => ({ amount: known[i] ?? rest, cut: cut.trim() }));
}
