import { GUIDANCE } from '../../constants';
import { euroIn, showMoney } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import { isAllRound } from '../candidates/kinds';
import { isDull } from '../candidates/owned';
import { ownsStone } from '../context/adjustments';
import { isSerratedDear, spreadOf } from '../candidates/spending';
import { minutesServed } from './assignment';
import type { PlanningContext } from '../context/planningContext';

/** What must be said beside a plan: habits that ruin knives, work that can hurt, money oddly spent. */
export function warningsFor(context: PlanningContext, steps: readonly Candidate[], unmet: number): string[] {
  const { kitchen, loads } = context;
  const warnings: string[] = [];
  const { habits, board } = kitchen;
  if (habits.dishwasher)
    warnings.push(
      'The dishwasher dulls edges, loosens handles and rusts steel: wash knives by hand and dry them at once.',
    );
  const ruins = 'A glass or stone board ruins every edge within days';
  if (context.board) warnings.push(`${ruins}: the wooden or rubber one in this plan comes before any knife.`);
  else if (board.material === 'glass' || board.material === 'stone')
    warnings.push(
      kitchen.limits.never.includes('board')
        ? `${ruins}: get a wooden or rubber one before any knife.`
        : `${ruins}: save for a wooden or rubber one first, the money does not reach for it here.`,
    );
  const hasStone = ownsStone([...kitchen.tools, ...context.putAside.map(({ tool }) => tool.id)]);
  if (habits.sharpening === 'stones' && !hasStone && kitchen.owned.some((each) => each.keep === 'use' && isDull(each)))
    warnings.push(
      'You sharpen on stones and own none, and the money does not reach for one here: borrow one, or have the first sharpening done.',
    );
  if (habits.upkeep === 'leaves-wet')
    warnings.push('Knives left wet rust, stainless ones too in time: only rust-proof steels are planned.');
  if (habits.storage === 'loose')
    warnings.push(
      'Loose in a drawer is no place for knives: edges knock dull and hands reach in blind. Guards or a tray come first.',
    );
  if (habits.roughUse)
    warnings.push(
      'Shared, dropped and borrowed knives do not last: nothing dear or brittle is worth buying for this use.',
    );
  for (const { task } of loads) if (task.instead) warnings.push(`${task.name}: ${task.instead}`);
  const does = (id: string) => loads.some(({ task }) => task.id === id);
  if (does('oyster-open'))
    warnings.push('Oysters: folded cloth or cut-resistant glove, hinge first, short push; only an oyster knife.');
  if (does('soft-fruit-with-child')) warnings.push('Children: a seated adult beside them, a blunt tip and soft food.');
  if (does('avocado-halve') || does('stone-fruit-halve'))
    warnings.push('Halve avocados and stone fruit on the board; lift the stone out with a spoon, never strike it.');
  if (loads.some(({ task }) => task.motions[0] === 'cleave' && !task.instead))
    warnings.push('Cleaving: board on a firm surface, eyes clear, free hand away, no swing from the shoulder.');
  if (loads.some(({ task }) => task.group === 'Raw meat and poultry' || task.group === 'Fish and shellfish'))
    warnings.push(
      'Raw meat, poultry and fish: a separate board and knife, or wash between; follow your local food-safety authority.',
    );
  const missing = askedInVain(context, steps);
  const without = Math.max(unmet, missing.length);
  if (without > 0)
    warnings.push(
      `${without === 1 ? 'One knife that was asked for is' : `${without} knives that were asked for are`} not to be had within the budget and limits${missing.length > 0 ? ` (${missing.join(', ')})` : ''}; the plan does without.`,
    );
  if (context.postponed > 0)
    warnings.push(
      `${context.postponed === 1 ? 'One knife' : `${context.postponed} knives`} of the school you follow would leave too little money for the rest: the plan waits with ${context.postponed === 1 ? 'it' : 'them'} until there is more.`,
    );
  return [...warnings, ...moneyWarnings(context, steps)];
}

/** Names of what was asked for and is neither owned nor bought. */
function askedInVain({ kitchen, models, reference }: PlanningContext, steps: readonly Candidate[]): string[] {
  const bought = steps.filter((s) => s.action === 'buy');
  return kitchen.limits.must
    .filter((id) => !kitchen.owned.some((o) => o.type === id || o.model === id))
    .filter((id) => !bought.some((s) => s.id === id || s.type?.id === id))
    .map((id) => reference.types.get(id)?.name ?? models.find((m) => m.id === id)?.name ?? id);
}

function moneyWarnings(context: PlanningContext, steps: readonly Candidate[]): string[] {
  const { kitchen } = context;
  const money = (minor: number) => showMoney(minor, kitchen.currency);
  const bought = steps.filter((s) => s.action === 'buy');
  const owns = context.owned.some(({ type }) => isAllRound(type));
  const spread = spreadOf(steps);
  const { main, serrated, total } = spread;
  const warnings: string[] = [];
  if (main === 0 && !owns)
    warnings.push(
      'Nothing here is a general knife: the budget or the limits leave none that suits. Raise one of them.',
    );
  // several cooks share the money among several main knives
  const generals = bought.filter((s) => isAllRound(s.type)).length;
  if (main > 0 && bought.length > 1 && generals === 1 && main < GUIDANCE.mainLeast.value * total)
    warnings.push(
      `The main knife takes ${money(main)} of the ${money(total)} for knives; about half is usual. Here other work asks for blades of its own, and a dearer main knife would add less than its price.`,
    );
  if (isSerratedDear(spread, kitchen.currency))
    warnings.push(`${money(serrated)} for a serrated knife is much for something that is replaced, not sharpened.`);
  const dear = euroIn(GUIDANCE.dearForRareEur.value, kitchen.currency);
  const minutes = minutesServed(context, steps);
  steps.forEach(({ action, blade, priceMinor }, i) => {
    const aMonth = ((minutes[i] ?? 0) * 52) / 12;
    if (action === 'buy' && blade && priceMinor > dear && aMonth < GUIDANCE.rareMinutes.value)
      warnings.push(
        `${blade.blade.name}: ${money(priceMinor)} is dear for ${aMonth < 1 ? 'less than a minute' : `about ${Math.round(aMonth)} minutes`} a month; a plainer one or a loan may do.`,
      );
  });
  if (kitchen.habits.roughUse && main > euroIn(GUIDANCE.dearForRoughEur.value, kitchen.currency))
    warnings.push(`${money(main)} is dear for a knife in rough, shared use.`);
  return warnings;
}
