import type { BladeModel } from '../../core/blade/schema';
import { CATALOGUE_CURRENCY, convertMinor } from '../../core/money/currency';
import { folded } from '../../core/text/fold';
import { typeName } from '../shared/words';

/** Where a model comes from: an example of this application, described here, or a list by its name. */
export const EXAMPLES = 'examples';
export const DESCRIBED = 'described';
export const listKey = (list: string) => `list ${list}`;

export interface Browsing {
  search: string;
  type: string;
  from: string;
  order: 'name' | 'price' | 'length';
}
export const EVERYTHING: Browsing = { search: '', type: '', from: '', order: 'name' };

export const originOf = ({ id, list }: BladeModel, own: ReadonlySet<string>): string =>
  list ? listKey(list) : own.has(id) ? DESCRIBED : EXAMPLES;

/** The models that are looked for, in the order asked for. Every word must stand in name, maker, kind or list. */
export function browsed(models: readonly BladeModel[], own: ReadonlySet<string>, how: Browsing): BladeModel[] {
  const words = folded(how.search).split(/\s+/).filter(Boolean);
  const holdsAll = (model: BladeModel) => {
    const text = folded([model.name, model.maker, typeName(model.type), model.list].join(' '));
    return words.every((word) => text.includes(word));
  };
  const euros = ({ priceMinor, currency }: BladeModel) => convertMinor(priceMinor, currency, CATALOGUE_CURRENCY);
  const byName = (a: BladeModel, b: BladeModel) => a.name.localeCompare(b.name) || (a.id < b.id ? -1 : 1);
  const orders: Record<Browsing['order'], typeof byName> = {
    name: byName,
    price: (a, b) => euros(a) - euros(b) || byName(a, b),
    length: (a, b) => a.lengthMm - b.lengthMm || byName(a, b),
  };
  return models
    .filter((model) => how.type === '' || model.type === how.type)
    .filter((model) => how.from === '' || originOf(model, own) === how.from)
    .filter((model) => words.length === 0 || holdsAll(model))
    .sort(orders[how.order]);
}
