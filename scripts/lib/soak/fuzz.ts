// Bodies no page would send, the same ones for the same seed.

/** Small generator of pseudo-random numbers in [0, 1). */
export function randomFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const ODD = [
  null,
  true,
  0,
  -1,
  1e308,
  2 ** 31,
  0.1,
  '',
  ' ',
  'x'.repeat(5000),
  'a\u0000b',
  '\ud800',
  '🔪',
  '=1+1',
  "'; drop table kitchen; --",
  '../../etc',
  [],
  {},
  [[]],
  { a: {} },
  Array.from({ length: 500 }, () => 0),
];
const KITCHEN = {
  format: 'scabbard.kitchen',
  version: 1,
  name: 'Fuzz',
  cooks: [{ handLengthMm: 180, motions: { rock: 1 } }],
  cooking: {
    cuisines: [{ id: 'italian', share: 1 }],
    ownDishes: [{ id: 'd', name: 'D', tasks: [{ id: 'onion-dice', amount: 1 }] }],
    tasks: [{ id: 'onion-dice', times: 1, per: 'week' }],
  },
  owned: [{ type: 'chef', condition: 'keen', boughtOn: '2025-01-31', paid: 50 }],
  budget: { total: 200 },
  limits: { never: ['bread'], must: ['paring'] },
};

/** A copy with an odd value put somewhere, a key renamed or taken out, or two places exchanged. */
function spoilt(value, random) {
  const pick = (list) => list[Math.floor(random() * list.length)];
  if (random() < 0.25 || typeof value !== 'object' || value === null) return pick(ODD);
  const copy = Array.isArray(value) ? [...value] : { ...value };
  const keys = Object.keys(copy);
  if (keys.length === 0) return pick(ODD);
  const key = pick(keys);
  const how = random();
  if (how < 0.1) delete copy[key];
  else if (how < 0.2) copy[pick(['__proto__', 'constructor', '', 'nane', '\u0000'])] = copy[key];
  else copy[key] = spoilt(copy[key], random);
  return copy;
}

/** A body, as text: spoilt JSON, cut off JSON, or no JSON. */
function body(shape, random) {
  const text = JSON.stringify(spoilt(shape, random)) ?? '';
  const how = random();
  if (how < 0.05) return text.slice(0, Math.floor(random() * text.length));
  if (how < 0.08) return '['.repeat(Math.floor(random() * 20_000));
  if (how < 0.1) return String.fromCharCode(...Array.from({ length: 60 }, () => Math.floor(random() * 0xffff)));
  return text;
}

/** One odd request for a user. */
export function oddRequest(user, random) {
  const api = `/api${user.path}`;
  const MODEL = { models: [{ id: 'm', type: 'chef', maker: 'x', name: 'y', lengthMm: 200 }], duplicates: 'skip' };
  const doors = [
    ['PUT', api, { version: 1, kitchen: KITCHEN }],
    ['POST', '/api/kitchens', { from: 'file', kitchen: KITCHEN }],
    ['POST', '/api/kitchens', { from: 'sample', sample: 'millrace-flat' }],
    ['POST', `${api}/snapshots`, { kind: 'scenario', name: 'x', kitchen: KITCHEN }],
    ['PATCH', api, { name: 'x' }],
    ['POST', '/api/catalogue', MODEL],
    [
      'POST',
      '/api/workspace',
      { format: 'scabbard.workspace', version: 1, models: [], kitchens: [{ kitchen: KITCHEN, kept: [] }] },
    ],
    ['POST', '/api/workspace/open', { code: 'ABCDE-ABCDE' }],
    ['DELETE', `${api}/snapshots/${random()}`, {}],
    ['DELETE', `/api/catalogue/${encodeURIComponent(String(random()))}%00`, {}],
    ['OPTIONS', api, {}],
  ];
  const [method, path, shape] = doors[Math.floor(random() * doors.length)];
  return { method, path, body: body(shape, random) };
}
