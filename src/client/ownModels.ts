import { OWN_MODELS } from '../offline/kept';
import type { BladeModel } from '../core/blade/schema';
import { ask } from './http';

/** The models this workspace has added; what reads them is loaded where there are any. */
export async function fetchOwnModels(): Promise<BladeModel[]> {
  const answer = await ask((models) => models, OWN_MODELS);
  if (Array.isArray(answer) && answer.length === 0) return [];
  const { readModels } = await import('./catalogue');
  return readModels(answer);
}
