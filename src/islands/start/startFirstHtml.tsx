import { renderToStaticMarkup } from 'react-dom/server';
import type { BladeModel } from '../../core/blade/schema';
import type { Sample } from './Hero';
import type { ListedKitchen } from './KitchenList';
import { OwnKitchens, StartFirst } from './StartFirst';

/** Where the kitchens of who asks stand in what is the same for everybody. */
const HERE = '<template></template>';

/** What is the same for everybody, before and after the kitchens of who asks; made once for the samples it shows. */
const shells = new WeakMap<readonly Sample[], [before: string, after: string]>();

function shellOf(samples: readonly Sample[], shown: readonly BladeModel[]): [string, string] {
  const made = shells.get(samples);
  if (made) return made;
  const html = renderToStaticMarkup(
    <StartFirst {...{ samples, shown }}>
      <template />
    </StartFirst>,
  );
  const [before = '', after = ''] = html.split(HERE);
  shells.set(samples, [before, after]);
  return [before, after];
}

/** The first page as HTML before its buttons answer: only the kitchens of who asks are written anew. */
export function startFirstHtml(
  samples: readonly Sample[],
  shown: readonly BladeModel[],
  kitchens: readonly ListedKitchen[],
): string {
  const [before, after] = shellOf(samples, shown);
  return `${before}${kitchens.length > 0 ? renderToStaticMarkup(<OwnKitchens kitchens={kitchens} />) : ''}${after}`;
}
