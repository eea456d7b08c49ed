import { typeRoles } from '../../../data/typeFacts';
import type { BladeModel } from '../../core/blade/schema';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { HandTestFile } from '../../core/formats/trialsFile';
import { motionShares } from '../../core/kitchen/kitchen';
import type { Holder } from '../../core/trial/handTest';

export const VERDICTS = {
  'walk-away': 'Walk away',
  'only-if': 'Only if',
  good: 'A good sign',
  open: 'Not finished',
  unfinished: 'Not finished',
} as const;

/** Whose hand a knife was in. */
export const holderOf = (kitchen: KitchenFile, test: HandTestFile): Holder => {
  const cook = kitchen.cooks?.[test.cook ?? 0];
  return { handed: cook?.handed ?? 'right', motions: motionShares(cook?.motions) };
};

export const roleOf = (test: HandTestFile, catalogue: ReadonlyMap<string, BladeModel>) =>
  typeRoles.get(test.label?.type ?? catalogue.get(test.model ?? '')?.type ?? '');

export const nameOfTest = (test: HandTestFile, catalogue: ReadonlyMap<string, BladeModel>) => {
  const model = catalogue.get(test.model ?? '');
  return test.label?.name ?? (model ? `${model.name}, ${model.maker}` : (test.model ?? 'Knife'));
};
