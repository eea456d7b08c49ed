import { EDGE, FIT } from '../constants';
import type { Task } from './task';

/** Kinds of work in a kitchen: people at the same kind of work at once each want a knife for it. */
export type WorkKind = 'board' | 'small' | 'bread' | 'slicing' | 'joints' | 'blow' | 'table' | 'child' | 'tool';

/** The kind of work a task is, told from how it is done. */
export function workKind(task: Task): WorkKind {
  const [first] = task.motions;
  if (task.atTable) return 'table';
  if (task.withChild) return 'child';
  if (first === undefined || task.instead) return 'tool';
  if (first === 'cleave' || first === 'pry') return 'blow';
  if (task.crust || first === 'saw') return 'bread';
  if (task.load >= FIT.joint.from.value && task.motions.includes('tip')) return 'joints';
  if (task.long) return 'slicing';
  return first === 'tip' || task.motions.includes('in-hand') ? 'small' : 'board';
}

/** How much a task asks of the edge's keenness, 0 nothing – 1 everything (handbook 8.2). A blow and a pry ask nothing. */
export function keennessNeed(task: Task): number {
  const { need } = EDGE;
  switch (workKind(task)) {
    case 'blow':
    case 'tool':
    case 'child':
      return 0;
    case 'joints':
      return need.withinJoint.value;
    default: {
      const face = need.base.value + need.clean.value * task.clean + need.thin.value * task.thin;
      const soft = task.firm <= 2 ? need.soft.value : 0;
      const least = task.crust ? need.crust.value : task.motions[0] === 'in-hand' ? need.inHand.value : 0;
      return Math.min(1, Math.max(least, face + soft));
    }
  }
}

/** What an edge of some keenness (0–1) has lost for work that asks everything of it, 0–1. */
export const biteLost = (keenness: number): number => EDGE.bite.value * Math.pow(1 - keenness, EDGE.slope.value);

/** What an edge of some keenness (0–1) leaves of a score at a task, 0–1. */
export const keptByKeenness = (task: Task, keenness: number): number =>
  Math.max(0, 1 - keennessNeed(task) * biteLost(keenness));
