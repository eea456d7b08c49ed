import type { BladeModel, BladeType } from '../blade/schema';
import { hardness } from '../blade/strength';
import { EDGE, SCORE_WORDS, TYPICAL, UPKEEP, WORTH } from '../constants';
import type { Tool } from '../cutting/dish';
import type { TaskLoad } from '../cutting/load';
import { isGroundTooAcute, isSharpened, type EdgeCare, type EdgeLife } from '../edge/keenness';
import { bladeTraits, type BladeTraits } from '../fit/traits';
import type { Kitchen, Owned } from '../kitchen/kitchen';
import { CATALOGUE_CURRENCY, convertMinor, toMinor } from '../money/currency';
import type { Reference } from '../reference';
import { ramp } from '../fit/curves';
import { rescued, rescues } from './demand';
import { isAllRound, kindOfRole, kindOfWork } from './kinds';
import { damageLeft, edgeHere, keennessNow, scored, scoredAt, sharpScores, type Scored, type Scoring } from './scored';
import { typicalBlade } from './typicalBlade';
import { usefulness } from './value';
import { costOf, surchargeOf, type MoneyScale } from './worth';

/** Something a plan may do: buy a knife, put an owned one right, have one sharpened through the year, or get a tool. */
export interface Candidate {
  id: string;
  action: 'buy' | 'sharpen' | 'repair' | 'service' | 'tool';
  type: BladeType | null;
  blade: BladeTraits | null;
  tool: Tool | null;
  /** Index into the owned knives that this step puts right. */
  owned: number | null;
  /** All that is paid for it, minor units: price, first sharpening, a year's service. */
  priceMinor: number;
  /** Of that the service through the year: a step of its own in the plan. */
  serviceMinor?: number;
  /** Of that a first sharpening: the factory edge is too acute for its steel. */
  regrindMinor?: number;
  /** The offer its price rests on, in a sentence. */
  offer?: string;
  /** It comes in a set or not at all: nothing can take its place alone. */
  inSet?: boolean;
  /** A sound piece of its type is owned already. */
  isAgain?: boolean;
  /** A general knife where leftover money is to go into the main knife. */
  isMain?: boolean;
  /** What a side taken in a disagreement puts against it, coverage. */
  dislike?: number;
  /** Best score over the hands by task, 0–100, on an average day. */
  scores: Float64Array;
  /** What it does, by the columns of the demand, 0–1. */
  rows: Float64Array;
  /** What of that the choice counts: beside a sound owned knife of its kind no polish. */
  counted: Float64Array;
  /** What it would do were it not sharpened through the year. */
  unserviced?: { scores: Float64Array; rows: Float64Array };
  edge: EdgeLife | null;
}

/** An owned knife as it is today. */
export interface OwnedKnife {
  owned: Owned;
  type: BladeType;
  blade: BladeTraits;
  scores: Float64Array;
  rows: Float64Array;
  /** The same, put right and kept as this kitchen keeps its edges. */
  restored: Scored;
}

/** What one sharpening costs here, minor units. */
export function sharpeningMinor(
  { habits, currency }: Kitchen,
  event: keyof typeof UPKEEP.sharpeningEur = habits.sharpening,
): number {
  const paid = event === 'professional' || event === 'none' ? habits.sharpeningPrice : null;
  return paid === null
    ? convertMinor(100 * UPKEEP.sharpeningEur[event].value, CATALOGUE_CURRENCY, currency)
    : toMinor(paid, currency);
}

/** Handle styles each stated taste allows. */
const HANDLES: Record<string, readonly string[]> = {
  western: ['western'],
  japanese: ['octagon', 'oval', 'd-shape'],
  moulded: ['moulded'],
  metal: ['metal'],
};

/** Whether the kitchen's limits allow buying this model. */
export function isAllowed(model: BladeModel, limits: Kitchen['limits']): boolean {
  if (limits.never.includes(model.type) || limits.never.includes(model.id)) return false;
  if (limits.must.includes(model.id)) return true;
  if (limits.maker && model.maker !== limits.maker) return false;
  if (limits.steel.length > 0 && !limits.steel.includes(model.steel)) return false;
  return !limits.handle || (HANDLES[limits.handle] ?? []).includes(model.handleStyle);
}

/**
 * Whether a kitchen has the work a role is for: specialist blades are chosen by which animal or fish is really taken apart
 * (handbook 1.5), a slicer by what is sliced long, a bread knife by bread. General, vegetable and small knives always are.
 */
function hasWorkFor(type: BladeType, loads: readonly TaskLoad[]): boolean {
  const does = (test: (task: TaskLoad['task']) => boolean) => loads.some(({ task }) => test(task));
  switch (type.role) {
    case 'fish':
      return does((t) => t.group === 'Fish and shellfish');
    case 'butchery':
      // a butcher's long sweep is for primals and steaks; the others for what is really taken apart
      return type.lengthMm[0] >= TYPICAL.longButchery.value
        ? does((t) => t.group === 'Raw meat and poultry' && t.long)
        : does(
            (t) => t.group === 'Raw meat and poultry' || t.motions[0] === 'cleave' || t.group === 'Fish and shellfish',
          );
    case 'slicer':
      return does((t) => t.group === 'Cooked meat' || t.group === 'Fish and shellfish' || (t.long && t.clean === 3));
    case 'serrated':
      // teeth are chosen for crust: a long serrated knife is a bread knife, and needs bread
      return type.id === 'serrated-utility' || does((t) => t.contains.includes('bread'));
    case 'table':
      return does((t) => t.atTable === true);
    case 'other':
      return does((t) => t.withChild === true || t.motions[0] === 'pry');
    default:
      return true;
  }
}

/** What candidates are made from. */
export interface Making extends Scoring {
  kitchen: Kitchen;
  models: readonly BladeModel[];
  reference: Reference;
  /** Edges are sharpened through the year by a service that is bought with the kit; null where the kitchen's habits hold. */
  service: EdgeCare | null;
}

/** All that may be bought, each as it serves by itself, whatever is owned. */
export interface Sold {
  sold: Candidate[];
}

/** A table knife is one a seat or none, and nothing else sits at a table of several. */
function atTable(blade: Scored, isTable: boolean, { loads, kitchen }: Making): Scored {
  if (isTable || kitchen.seats <= 1) return blade;
  const pressing = rescued(loads);
  const people = blade.rows.length - pressing.length;
  loads.forEach(({ task }, t) => {
    if (!task.atTable) return;
    blade.scores[t] = 0;
    for (let column = t; column < people; column += loads.length) blade.rows[column] = 0;
    const rescue = pressing.indexOf(t);
    if (rescue >= 0) blade.rows[people + rescue] = 0;
  });
  return blade;
}

/** What the sides taken in the trade's disagreements put against a model, coverage (handbook 5.3). */
function dislike({ blade, steel }: BladeTraits, type: BladeType, { tastes }: Kitchen): number {
  const taste = WORTH.taste.value;
  const against = (is: boolean, weight = taste) => (is ? weight : 0);
  const clad = blade.steel === 'clad-carbon' || blade.steel === 'semi-stainless';
  const stainless = steel.rustProof >= 8;
  const surfaced = blade.surface === 'dimpled' || blade.surface === 'hammered';
  const soft = hardness(blade) < EDGE.honing.hardFrom.value;
  const main = isAllRound(type);
  return (
    against(tastes.steel === 'stainless' && !stainless) +
    against(tastes.steel === 'clad' && !clad) +
    against(tastes.steel === 'reactive' && (stainless || clad)) +
    against(main && tastes.main === 'sturdy' && !soft) +
    against(main && tastes.main === 'thin' && soft) +
    against(tastes.dimples === 'help' && !surfaced && main, WORTH.looks.value) +
    against(tastes.dimples === 'decorate' && surfaced, WORTH.looks.value) +
    against(tastes.bolster === 'none' && blade.bolster === 'full') +
    against(tastes.bolster === 'full' && main && blade.bolster !== 'full') +
    against(tastes.third === 'carving' && type.role === 'serrated') +
    against(tastes.third === 'serrated' && type.role === 'slicer') +
    against(tastes.specialist === 'never' && ['butchery', 'fish', 'slicer'].includes(type.role), 4 * taste) -
    against(tastes.specialist === 'early' && ['butchery', 'fish', 'slicer'].includes(type.role)) +
    against(tastes.looks === 'plain' && blade.surface !== 'polished', WORTH.looks.value) +
    against(tastes.looks === 'hammered' && blade.surface !== 'hammered', WORTH.looks.value) +
    against(tastes.looks === 'rough-forged' && blade.surface !== 'rough-forged', WORTH.looks.value)
  );
}

/** Models as knives to be bought, in order of id, whether or not this kitchen has work for them. Table knives are bought one a seat. */
function forSale(making: Making, models: readonly BladeModel[]): Candidate[] {
  const { kitchen, reference, service } = making;
  const { habits, currency, tastes } = kitchen;
  const event = sharpeningMinor(kitchen, habits.sharpening === 'none' ? 'professional' : habits.sharpening);
  const unsharpened = habits.sharpening === 'none' || habits.sharpening === 'pull-through';
  return models
    .filter((model) => isAllowed(model, kitchen.limits))
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap((model): Candidate[] => {
      const type = reference.types.get(model.type);
      if (!type) return [];
      const blade = bladeTraits(model, reference, habits.roughUse);
      const tooAcute = isGroundTooAcute(model, blade.steel);
      // nobody without a sharpener is sold an edge that has to be opened up first
      if (tooAcute && unsharpened && !kitchen.limits.must.includes(model.id)) return [];
      const isTable = type.role === 'table';
      const served = service && isSharpened(model) && !isTable;
      const plain = atTable(scored(blade, making), isTable, making);
      const best = served ? atTable(scored(blade, { ...making, care: service }), isTable, making) : plain;
      const each = convertMinor(model.priceMinor, model.currency, currency);
      const serviceMinor = served ? EDGE.visits.service.value * event : 0;
      const regrindMinor = tooAcute ? event : 0;
      return [
        {
          id: model.id,
          action: 'buy',
          type,
          blade,
          tool: null,
          owned: null,
          priceMinor: (isTable ? each * kitchen.seats : each) + serviceMinor + regrindMinor,
          ...(serviceMinor > 0 ? { serviceMinor, unserviced: plain } : {}),
          ...(regrindMinor > 0 ? { regrindMinor } : {}),
          ...(tastes.leftover === 'main' && isAllRound(type) ? { isMain: true } : {}),
          dislike: dislike(blade, type, kitchen),
          ...best,
          counted: best.rows,
        },
      ];
    });
}

/** Whether a knife is worth buying here: it has work to do, or the limits ask for it by name. */
export function isBuyable(
  { id, type }: Pick<Candidate, 'id' | 'type'>,
  { kitchen, loads }: Pick<Making, 'kitchen' | 'loads'>,
): boolean {
  const { must } = kitchen.limits;
  return type !== null && (must.includes(type.id) || must.includes(id) || hasWorkFor(type, loads));
}

/** What is for sale here: knives worth buying, and the pieces of sets. */
export function soldHere(making: Making): Candidate[] {
  const { models, reference } = making;
  const inSets = new Set([...reference.sets.values()].flatMap(({ pieces }) => pieces));
  return forSale(
    making,
    models.filter(
      ({ id, type }) => inSets.has(id) || isBuyable({ id, type: reference.types.get(type) ?? null }, making),
    ),
  );
}

/** The blade of an owned knife: its model, or a middling one of its type, with what was measured of it. */
function ownedBlade(owned: Owned, type: BladeType, model: BladeModel | undefined, hand: 'left' | 'right'): BladeModel {
  const blade = model ?? typicalBlade(type, owned, hand);
  const { heelHeightMm, weightG, spineMm, behindEdgeMm } = owned;
  if (heelHeightMm === undefined && weightG === undefined && spineMm === undefined && behindEdgeMm === undefined)
    return blade;
  const thinner = spineMm === undefined ? 1 : spineMm / blade.spineHeelMm;
  return {
    ...blade,
    heelHeightMm: heelHeightMm ?? blade.heelHeightMm,
    weightG: weightG ?? blade.weightG,
    spineHeelMm: blade.spineHeelMm * thinner,
    spineMidMm: blade.spineMidMm * thinner,
    spineTipMm: Math.min(blade.spineTipMm, blade.spineHeelMm * thinner),
    bellyMm: Math.min(blade.bellyMm, heelHeightMm ?? blade.heelHeightMm),
    behindEdgeMm: behindEdgeMm ?? blade.behindEdgeMm,
  };
}

/** Rows of an owned knife without what its cooks may not use, or nothing for a keepsake and what is lent. */
function forItsUsers(made: Scored, owned: Owned, index: number, { hands, loads }: Making): Scored {
  if (owned.keep !== 'use') return { ...made, scores: made.scores.map(() => 0), rows: made.rows.map(() => 0) };
  const T = loads.length;
  const barred = hands.map(({ cook }) => cook.cook.mayUse !== null && !cook.cook.mayUse.includes(index));
  if (!barred.includes(true)) return made;
  const rows = made.rows.map((value, column) => (barred[Math.floor(column / T)] ? 0 : value));
  return barred.every(Boolean)
    ? { ...made, rows: rows.map(() => 0), scores: made.scores.map(() => 0) }
    : { ...made, rows };
}

/** The owned knives as they are. An owned model that left the catalogue is taken for a typical blade of its type. */
export function ownedKnives(making: Making): OwnedKnife[] {
  const { kitchen, models, reference, service } = making;
  const hand = kitchen.cooks.every((cook) => cook.handed === 'left') ? 'left' : 'right';
  const typeOf = ({ type, model }: Owned) => type ?? models.find((m) => m.id === model)?.type ?? '';
  const tableKnives = kitchen.owned.filter((o) => reference.types.get(typeOf(o))?.role === 'table').length;
  return kitchen.owned.flatMap((owned, index) => {
    const model = models.find((m) => m.id === owned.model);
    const type = reference.types.get(typeOf(owned));
    if (!type) return [];
    const blade = bladeTraits(ownedBlade(owned, type, model, hand), reference, kitchen.habits.roughUse);
    const enough = type.role === 'table' && tableKnives >= kitchen.seats;
    const sharp = sharpScores(blade, making);
    const made = (keenness: number, left: number, edge: EdgeLife) =>
      forItsUsers(atTable({ ...scoredAt(sharp, keenness, left, making), edge }, enough, making), owned, index, making);
    const edge = edgeHere(blade, making, sharp);
    const kept = service ? edgeHere(blade, { ...making, care: service }, sharp) : edge;
    const now = made(keennessNow(owned.condition, edge.averageKeenness), damageLeft(owned.condition), edge);
    const restored = made(kept.averageKeenness, 1, kept);
    return [{ owned, type, blade, scores: now.scores, rows: now.rows, restored }];
  });
}

/** Whether an owned knife is sound, or would be with a sharpening or a repair: not worn out, and in use. */
export const isSound = ({ owned }: OwnedKnife): boolean => owned.keep === 'use' && owned.condition !== 'worn-out';

/**
 * Putting owned knives right: sharpening what is dull, repairing what is chipped, and, where a service is bought, keeping what is sound. Worn-out
 * knives are past it.
 */
export function careSteps(
  { kitchen, service }: Pick<Making, 'kitchen' | 'service'>,
  owned: readonly OwnedKnife[],
): Candidate[] {
  return owned.flatMap((knife, index): Candidate[] => {
    const { condition, keep } = knife.owned;
    if (condition === 'worn-out' || keep !== 'use' || knife.type.role === 'table') return [];
    if (!isSharpened(knife.blade.blade)) return [];
    const action =
      condition === 'chipped'
        ? 'repair'
        : condition === 'keen' || (service && condition === 'serviceable')
          ? 'service'
          : 'sharpen';
    if (action === 'service' && !service) return [];
    const event = sharpeningMinor(
      kitchen,
      action === 'repair' ? 'repair' : service ? 'professional' : kitchen.habits.sharpening,
    );
    const visit = sharpeningMinor(kitchen, 'professional');
    const serviceMinor = !service
      ? 0
      : action === 'service'
        ? EDGE.visits.service.value * visit
        : (EDGE.visits.service.value - 1) * visit;
    return [
      {
        id: `${action}-${index}`,
        action,
        type: knife.type,
        blade: knife.blade,
        tool: null,
        owned: index,
        priceMinor: (action === 'service' ? 0 : event) + serviceMinor,
        ...(serviceMinor > 0 ? { serviceMinor, unserviced: { scores: knife.scores, rows: knife.rows } } : {}),
        ...knife.restored,
        counted: knife.restored.rows,
      },
    ];
  });
}

/**
 * What a new knife counts beside a sound owned one of its kind of work: what it rescues, work that stands below a need brought up to done well;
 * all work up to done well; or everything it does.
 */
export const COUNTS = ['rescue', 'done well', 'everything'] as const;
export type Counts = (typeof COUNTS)[number];

/** Most that counts of a new knife where an owned one of its kind is worth `had`, usefulness 0–1. */
function mostBeside(had: number, counts: Counts): number {
  const { needFrom, likeCap } = WORTH;
  const [none, enough] = [usefulness(SCORE_WORDS.manages.value), usefulness(needFrom.value)];
  const helped = counts === 'rescue' ? 1 - ramp(had, none, enough) : 1;
  return Math.max(had, likeCap.value * helped);
}

/**
 * Beside a sound owned knife of the same kind of work a new one counts only what it rescues (handbook 8.1), or as much more as is asked for. A
 * second piece of an owned kind is told as one.
 */
export function besideOwned(
  candidates: readonly Candidate[],
  owned: readonly OwnedKnife[],
  loads: readonly TaskLoad[],
  counts: Counts,
): Candidate[] {
  const pressing = rescued(loads).length;
  const sound = owned.filter(isSound);
  return candidates.map((c) => {
    if (c.action !== 'buy') return c;
    const alike = sound.filter((o) => kindOfRole(o.type) === kindOfWork(c));
    const isAgain = alike.length > 0;
    if (alike.length === 0 || counts === 'everything')
      return { ...c, counted: c.rows, isAgain: isAgain && counts !== 'everything' };
    const most = c.rows.length - pressing;
    const counted = c.rows.map((value, column) => {
      if (column >= most) return value;
      const had = alike.reduce((best, o) => Math.max(best, o.restored.rows[column] ?? 0), 0);
      return Math.min(value, mostBeside(had, counts));
    });
    return { ...c, counted, isAgain };
  });
}

/** Scores of a tool on the kitchen's tasks, 0–100. */
export function toolScores(toolId: string, loads: readonly TaskLoad[]): Float64Array {
  return new Float64Array(loads.map(({ task }) => 100 * (task.tools[toolId] ?? 0)));
}

/** A tool serves every hand alike. */
export function toolRows(
  scores: Float64Array,
  { loads, hands, pooled }: Pick<Scoring, 'loads' | 'hands' | 'pooled'>,
): Float64Array {
  const useful = [...scores].map(usefulness);
  const saved = rescued(loads).map((t) => rescues(scores[t] ?? 0));
  return new Float64Array([...hands.flatMap(() => useful), ...(pooled ? useful : []), ...saved]);
}

/** Tools that stand in for a blade in this kitchen and are not owned yet. */
export function toolSteps(making: Making): Candidate[] {
  const { kitchen, loads, reference } = making;
  return [...reference.tools.values()]
    .filter((tool) => !kitchen.tools.includes(tool.id) && !kitchen.limits.never.includes(tool.id))
    .flatMap((tool) => {
      const scores = toolScores(tool.id, loads);
      if (!scores.some((s) => s > 0)) return [];
      const rows = toolRows(scores, making);
      return [
        {
          id: tool.id,
          action: 'tool' as const,
          type: null,
          blade: null,
          tool,
          owned: null,
          priceMinor: convertMinor(tool.priceMinor, CATALOGUE_CURRENCY, kitchen.currency),
          scores,
          rows,
          counted: rows,
          edge: null,
        },
      ];
    });
}

/**
 * Drops what can never be the better choice: a candidate that another of its kind, or one of another kind that costs no more even as a second
 * piece of its own, equals or beats in everything for no more money. Of two equals the one first by id stays, so that the order of the catalogue changes
 * nothing. `lowest` is the least a candidate may come to cost with an offer.
 */
export function withoutDominated(
  candidates: readonly Candidate[],
  scale: MoneyScale,
  lowest = (c: Candidate): number => c.priceMinor,
): Candidate[] {
  const of = (figure: (c: Candidate) => number) => new Float64Array(candidates.map(figure));
  const price = of((c) => c.priceMinor);
  const cost = of((c) => costOf(c, scale));
  const least = of(lowest);
  const leastCost = of((c) => costOf({ ...c, priceMinor: lowest(c) }, scale));
  const extra = new Float64Array(candidates.map((c, i) => surchargeOf(c, cost[i] ?? 0, scale)));
  const sum = of((c) => c.counted.reduce((x, y) => x + y, 0));
  const kinds = candidates.map(kindOfWork);
  const beats = (a: number, b: number): boolean => {
    if ((price[a] ?? 0) > (least[b] ?? 0) || (cost[a] ?? 0) > (leastCost[b] ?? 0)) return false;
    // beside one of its own kind it costs more, where the other might not
    if (kinds[a] !== kinds[b] && (cost[a] ?? 0) + (extra[a] ?? 0) > (leastCost[b] ?? 0)) return false;
    const one = candidates[a];
    const other = candidates[b];
    if (!one || !other) return false;
    let strictly = (price[a] ?? 0) < (least[b] ?? 0) || (cost[a] ?? 0) < (leastCost[b] ?? 0);
    for (let t = 0; t < one.counted.length; t++) {
      const x = one.counted[t] ?? 0;
      const y = other.counted[t] ?? 0;
      if (x < y) return false;
      if (x > y) strictly = true;
    }
    return strictly || one.id < other.id;
  };
  // who is worth less altogether is beaten somewhere: only those worth as much are looked at
  const bySum = candidates.map((_, i) => i).sort((a, b) => (sum[b] ?? 0) - (sum[a] ?? 0));
  return candidates.filter((_, b) => {
    for (const a of bySum) {
      if ((sum[a] ?? 0) < (sum[b] ?? 0) - SAME_SUM) return true;
      if (a !== b && beats(a, b)) return false;
    }
    return true;
  });
}

/** Slack where figures are summed. */
const SAME_SUM = 1e-9;
