/** A number the score rests on, with its unit, the reason for it and where it comes from. */
export interface Constant {
  value: number;
  unit: string;
  why: string;
  from: 'geometry' | 'trade practice' | 'handbook' | 'house judgement';
}

const c = (value: number, unit: string, why: string, from: Constant['from']): Constant => ({ value, unit, why, from });

/** Every constant of the fit score, in one place. Change one here and the screens that explain it follow. */
export const FIT = {
  mode: {
    second: c(0.95, 'factor', 'the second-best way of doing a task costs a little time', 'house judgement'),
    third: c(0.9, 'factor', 'so does the third', 'house judgement'),
    later: c(0.85, 'factor', 'and any later one', 'house judgement'),
  },
  reach: {
    tipLoss: c(10, 'mm', 'the last centimetre before the tip does not slice', 'trade practice'),
    longFood: c(150, 'mm', 'food longer than this is drawn along, not across', 'trade practice'),
    longFoodShare: c(0.25, 'share', 'what each millimetre beyond still asks for', 'house judgement'),
    drawDepth: c(
      4.5,
      'mm per mm',
      'a soft clean slice is drawn, not pressed: edge travel for each mm of depth',
      'trade practice',
    ),
    follow: c(20, 'mm', 'a draw starts and ends a little outside the food', 'geometry'),
    followShare: c(0.32, 'of width', 'wider food needs a longer follow-through', 'geometry'),
    perStroke: c(0.8, 'exponent', 'how fast a second and third stroke spoil a face', 'house judgement'),
  },
  span: {
    stack: c(45, 'mm', 'edge wanted beside the food for heaps and a second piece', 'trade practice'),
    perPass: c(0.9, 'exponent', 'each extra pass costs nearly a whole pass of time', 'geometry'),
  },
  contact: {
    chopFull: c(0.85, 'share', 'straight chopping wants nearly all of the edge down at once', 'geometry'),
    pushFull: c(0.6, 'share', 'a forward push rolls the rest of the edge through', 'geometry'),
    floor: c(0.42, 'score', 'strips that hang together still have to be torn apart', 'house judgement'),
    hardStop: c(0.16, 'rad', 'a rock over less turn than this ends in a hard stop', 'geometry'),
  },
  motion: {
    even: c(0.15, 'share', 'habit bends to the food: part of every hand cuts as the food asks', 'house judgement'),
    carried: c(0.9, 'score', 'mean carry over all motions from which nothing more is to be wished', 'house judgement'),
    unlisted: c(0.4, 'weight', 'a motion the task does not list is used less on it', 'house judgement'),
    rockTurn: c(0.22, 'rad', 'turn over the belly at which a rock feels round', 'geometry'),
    serratedBoard: c(0.45, 'factor', 'a serrated edge neither rocks, pushes nor chops', 'trade practice'),
    serratedPull: c(0.7, 'factor', 'a serrated edge can be drawn, at the price of the face', 'trade practice'),
    limp: c(0.5, 'factor', 'a limp blade wanders when it is pushed into a board', 'trade practice'),
  },
  clearance: {
    enough: c(8, 'mm', 'room at which knuckles are never in the way', 'trade practice'),
    scale: c(17, 'mm', 'how far below that the hand gives up', 'house judgement'),
    floor: c(0.3, 'score', 'working past the edge of the board is possible, not pleasant', 'house judgement'),
  },
  inHand: {
    easyLength: c(88, 'mm', 'the longest edge a thumb can guide along', 'trade practice'),
    lengthScale: c(34, 'mm', 'falls steeply above 120 mm', 'handbook'),
    easyHeight: c(24, 'mm', 'low blades turn inside the food', 'trade practice'),
    heightScale: c(22, 'mm', 'a tall blade hides the work from the hand', 'house judgement'),
    easyWeight: c(80, 'g', 'light enough to hold in the air', 'trade practice'),
    weightScale: c(140, 'g', 'beyond it the wrist does the holding', 'house judgement'),
    sheet: c(95, 'mm', 'edge beyond the width of a sheet that is rolled against it', 'geometry'),
    sheetHeight: c(52, 'mm', 'side that guides a sheet', 'geometry'),
    sheetGuide: c(40, 'mm', 'a lower side does not guide a sheet', 'geometry'),
    sheetWeight: c(250, 'g', 'a sheet knife is held still and may weigh', 'house judgement'),
    serrated: c(0.7, 'factor', 'a serrated edge catches instead of gliding under skin', 'trade practice'),
  },
  tip: {
    steady: c(120, 'mm', 'pinch to tip at which any hand is steady', 'trade practice'),
    perFood: c(1, 'mm per mm', 'larger food forgives a longer blade, less so where precision is wanted', 'geometry'),
    perFoodExact: c(0.3, 'mm per mm', 'the same where precision is everything', 'house judgement'),
    turnHeight: c(36, 'mm', 'a blade lower than this turns round a joint', 'trade practice'),
    turnScale: c(28, 'mm', 'how fast a taller one gets stuck', 'house judgement'),
    turnLoad: c(4, 'load', 'work round bone, where turning counts', 'house judgement'),
    scale: c(120, 'mm', 'how fast a far tip starts to wander', 'house judgement'),
    thin: c(0.8, 'mm', 'a tip this thin slips in without splitting', 'trade practice'),
  },
  wedge: {
    from: c(4, 'firmness', 'below it food gives way', 'handbook'),
    free: c(0.8, 'mm', 'a blade this thin at depth passes unnoticed', 'geometry'),
    most: c(8, 'firmness', 'beyond it food cracks as much as it is cut', 'house judgement'),
    breaks: c(6, 'load', 'bone and shell give by breaking, they neither wedge nor steer', 'house judgement'),
    scale: c(0.038, 'per mm and firmness', 'how hard thick steel splits firm food', 'house judgement'),
  },
  mass: {
    wanted: c(170, 'g', 'weight that helps through dense food', 'trade practice'),
    wantedCleaving: c(480, 'g', 'a cleaver does its work by falling', 'trade practice'),
    power: c(0.45, 'exponent', 'half the weight is much less than half the help', 'house judgement'),
    sessionHours: c(3, 'h a week', 'cutting time above which weight tires', 'house judgement'),
    tiring: c(0.0012, 'per g and hour', 'how weight adds up over a long week', 'house judgement'),
  },
  face: {
    behindEdge: c(0.15, 'mm', 'a blade this thin behind the edge parts food without bruising', 'trade practice'),
    behindEdgeScale: c(0.4, 'per mm', 'how thickness behind the edge shows in the face', 'house judgement'),
    angle: c(11, '° a side', 'an edge this acute leaves a shining face', 'trade practice'),
    angleScale: c(0.011, 'per degree', 'how a blunter edge shows', 'house judgement'),
    alongBone: c(
      3,
      'load',
      'flesh is taken off bone: the blade rides along it and the face hardly shows',
      'trade practice',
    ),
    flatBack: c(1.15, 'factor', 'a flat back lies along the bone', 'trade practice'),
    tearFine: c(0.82, 'factor', 'fine teeth tear a little', 'trade practice'),
    tearCoarse: c(0.6, 'factor', 'coarse teeth tear a lot', 'trade practice'),
    tearSawn: c(0.4, 'share', 'sawn gently, soft crumb and skin tear much less', 'trade practice'),
    single: c(1.05, 'factor', 'a single bevel lets the slice fall away untouched', 'trade practice'),
    low: c(38, 'mm', 'slicers are no taller than this', 'trade practice'),
    tallDrag: c(0.016, 'per mm', 'a taller side drags on a clean slice', 'house judgement'),
  },
  crust: {
    plain: c(0.22, 'score', 'a plain edge must be pressed, and the crumb is crushed', 'trade practice'),
    keen: c(0.22, 'score', 'a very keen hard edge bites crust much better', 'house judgement'),
    long: c(0.14, 'score', 'length lets a plain edge saw instead of press', 'house judgement'),
  },
  steer: {
    single: c(0.5, 'score', 'drift of a single bevel in tall dense food', 'house judgement'),
    uneven: c(0.18, 'score', 'drift of an uneven bevel there', 'house judgement'),
  },
  release: {
    perStick: c(0.035, 'score per level', 'starch and wet slices cling to tall polished sides', 'house judgement'),
    tall: c(50, 'mm', 'height of side that counts as tall', 'house judgement'),
    helped: c(0.6, 'factor', 'dimples, hammering and rough sides cling less', 'trade practice'),
  },
  flex: {
    stiffWhereWanted: c(0.74, 'score', 'a stiff blade still skins a fish, wasting some', 'trade practice'),
    limpWhereUnwanted: c(0.55, 'score', 'a limp blade skids off a joint', 'trade practice'),
  },
  edgeSafety: {
    impact: c(1.15, 'factor', 'a swung blow meets the bone with all its weight', 'house judgement'),
    chop: c(1, 'factor', 'a short drop meets all of it', 'house judgement'),
    push: c(0.8, 'factor', 'a push meets most of it', 'house judgement'),
    tip: c(0.7, 'factor', 'a tip works round it', 'house judgement'),
    glance: c(0.55, 'factor', 'a drawn or hand-held edge only glances off', 'house judgement'),
    rough: c(4.5, 'load', 'shared, borrowed, dropped and twisted knives meet at least this', 'house judgement'),
    fall: c(0.22, 'per load', 'how fast missing strength costs score', 'house judgement'),
    veto: c(2.1, 'load', 'missing this much the edge will chip', 'house judgement'),
    hardOnBone: c(60, 'HRC', 'nothing this hard is swung at bone or shell', 'handbook'),
    boneLoad: c(6, 'load', 'what counts as bone or shell under a blow', 'handbook'),
  },
  corrosion: {
    acid: c(0.3, 'score', 'acid marks reactive steel left wet', 'trade practice'),
    wet: c(0.5, 'score', 'reactive steel left wet rusts whatever it cut', 'trade practice'),
    wiped: c(0.3, 'factor', 'wiping after the work is nearly in time', 'trade practice'),
    wipedDuring: c(0.08, 'factor', 'wiping during the work is in time', 'trade practice'),
    machine: c(0.3, 'score', 'a dishwasher ruins reactive steel', 'trade practice'),
    safe: c(8, 'rust-proof', 'families this rust-proof are left alone', 'handbook'),
  },
  practice: {
    single: c(0.55, 'demand', 'single bevels ask for training', 'trade practice'),
    long: c(240, 'mm', 'longer board knives ask for practice', 'handbook'),
    longScale: c(160, 'mm', 'how fast extra length asks for more', 'house judgement'),
    thinHard: c(0.3, 'demand', 'thin hard edges ask for a quiet hand', 'trade practice'),
    cost: c(0.55, 'score', 'what missing practice costs at the most', 'house judgement'),
  },
  comfort: {
    scale: c(62, 'mm', 'how far outside the wanted band a board knife stops feeling right', 'house judgement'),
    girth: c(0.002, 'per mm', 'a handle off the wanted girth', 'house judgement'),
    taste: c(0.0009, 'per g', 'weight away from a stated taste', 'house judgement'),
  },
  board: {
    share: c(0.68, 'of the long side', 'edge a board carries with ease', 'trade practice'),
    scale: c(110, 'mm', 'how fast a longer edge overhangs', 'house judgement'),
    hard: c(0.93, 'factor', 'glass and stone dull any edge at once', 'trade practice'),
  },
  handle: {
    roughWood: c(0.88, 'factor', 'glued wood handles dislike blows and twisting', 'trade practice'),
    machineWood: c(0.82, 'factor', 'and the dishwasher', 'trade practice'),
    machineRiveted: c(0.95, 'factor', 'riveted handles stand it a little better', 'trade practice'),
  },
  flatSide: {
    wide: c(42, 'mm', 'side broad enough to crush a clove under the palm', 'geometry'),
  },
  table: {
    easy: c(122, 'mm', 'longest blade that sits well beside a plate', 'trade practice'),
    scale: c(35, 'mm', 'beyond it a kitchen knife is out of place', 'house judgement'),
  },
  child: {
    length: c(120, 'mm', 'longest blade for a learner', 'handbook'),
    keenAngle: c(25, '° a side', 'a plain edge more acute than this is keen', 'house judgement'),
  },
  condition: {
    keen: c(1, 'factor', 'as sharp as it gets', 'handbook'),
    serviceable: c(0.88, 'factor', 'still cuts tomato skin with a little pressure', 'house judgement'),
    dull: c(0.6, 'factor', 'slides off tomato skin', 'handbook'),
    chipped: c(0.5, 'factor', 'catches and leaves bits', 'handbook'),
    wornOut: c(0.35, 'factor', 'too little blade or edge left', 'handbook'),
  },
} as const satisfies Record<string, Record<string, Constant>>;

/** How much each part counts: the exponent on its value. Those marked with a level are multiplied by the task's need. */
export const PART_WEIGHTS = {
  reach: c(0.9, 'exponent', 'a torn face is the first thing seen on long slices', 'house judgement'),
  span: c(0.5, 'exponent', 'a short blade is slow, not wrong', 'house judgement'),
  contact: c(0.17, 'exponent per need', 'hanging strips matter as much as the cut wants separation', 'house judgement'),
  motion: c(0.9, 'exponent', 'a blade that fights the hand is put back', 'house judgement'),
  clearance: c(0.9, 'exponent', 'knuckles on the board end the work', 'house judgement'),
  'in-hand': c(1, 'exponent', 'in the air the blade is all that counts', 'house judgement'),
  tip: c(0.3, 'exponent per need', 'as much as the task wants precision', 'house judgement'),
  wedge: c(0.9, 'exponent', 'split food is not cut food', 'house judgement'),
  mass: c(0.5, 'exponent', 'weight helps and tires', 'house judgement'),
  face: c(0.27, 'exponent per need', 'as much as the face will be looked at', 'house judgement'),
  crust: c(1, 'exponent', 'crust is bitten or crushed', 'house judgement'),
  steer: c(1, 'exponent', 'a drifting cut is a bad cut', 'house judgement'),
  release: c(1, 'exponent', 'clinging slices slow every stroke', 'house judgement'),
  flex: c(1, 'exponent', 'flex is wanted or unwanted outright', 'house judgement'),
  'edge-safety': c(1, 'exponent', 'a damaged edge is no saving', 'house judgement'),
  corrosion: c(1, 'exponent', 'rust ends a knife', 'house judgement'),
  practice: c(1, 'exponent', 'a blade that asks too much is not used', 'house judgement'),
  comfort: c(0.42, 'exponent', 'length by hand, board and nerve', 'house judgement'),
  board: c(0.6, 'exponent', 'an edge that overhangs the board', 'house judgement'),
  handle: c(1, 'exponent', 'handles fail before blades in rough use', 'house judgement'),
  'flat-side': c(0.8, 'exponent', 'crushing needs a broad side', 'house judgement'),
  table: c(1, 'exponent', 'a table is no workbench', 'house judgement'),
  condition: c(1, 'exponent', 'a dull edge is dull everywhere', 'handbook'),
} as const satisfies Record<string, Constant>;
export type PartId = keyof typeof PART_WEIGHTS;
